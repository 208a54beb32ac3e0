import { ChevronDown } from 'lucide-react';
import { useEffect, useId, useRef, useState, type KeyboardEvent, type SyntheticEvent } from 'react';
import { Options, keyOf, valueOf } from './Options';

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [value: T, words: string])[];
  readonly onChoose: (value: T) => void;
  /** Closed with nothing chosen. */
  readonly onLeave?: () => void;
  readonly isOpenAtOnce?: boolean;
  readonly tabIndex?: number | undefined;
  readonly className?: string;
  readonly 'data-decision'?: string;
  readonly 'data-against'?: true | undefined;
}

const opens = ({ key }: KeyboardEvent): boolean =>
  key === 'Enter' || key === ' ' || key === 'ArrowDown' || key === 'ArrowUp';
/** What is done in the list is no key or press of the row it belongs to. */
const stop = (e: SyntheticEvent): void => e.stopPropagation();

/** A choice in a cell of a long list, which is made only when it is opened: there are hundreds of cells. */
export function CellChoice<T extends string>(props: Props<T>) {
  const { label, value, options, onChoose, onLeave, isOpenAtOnce = false, ...button } = props;
  const [isOpen, setOpen] = useState(isOpenAtOnce);
  const listId = useId();
  const opener = useRef<HTMLButtonElement>(null);
  const wasOpen = useRef(false);
  useEffect(() => {
    // Opened at once, nothing of it had the focus before; closed it is where a row's keys go on from.
    if (wasOpen.current && !isOpen) opener.current?.focus();
    wasOpen.current = isOpen;
  }, [isOpen]);
  const onKeyDown = (e: KeyboardEvent): void => {
    if (!opens(e)) return;
    e.preventDefault();
    e.stopPropagation();
    setOpen(true);
  };
  return (
    <>
      <button
        {...button}
        ref={opener}
        type="button"
        role="combobox"
        aria-label={label}
        aria-haspopup="listbox"
        aria-expanded={isOpen}
        aria-controls={isOpen ? listId : undefined}
        onKeyDown={onKeyDown}
        onClick={(e) => {
          e.stopPropagation();
          setOpen(true);
        }}
      >
        <span>{options.find(([one]) => one === value)?.[1] ?? ''}</span>
        <ChevronDown size={16} aria-hidden />
      </button>
      {isOpen ? (
        <span style={{ display: 'contents' }} onKeyDown={stop} onClick={stop} onFocus={stop} onBlur={stop}>
          <Options
            options={options}
            isOpen
            triggerRef={opener}
            onOpenChange={(open) => {
              setOpen(open);
              if (!open) onLeave?.();
            }}
            list={{
              id: listId,
              'aria-label': label,
              autoFocus: true,
              selectionMode: 'single',
              selectedKeys: [keyOf(value)],
              onSelectionChange: (keys) => {
                setOpen(false);
                // What was chosen before, taken again, comes as none.
                const [key = keyOf(value)] = keys;
                onChoose(valueOf<T>(String(key)));
              },
            }}
          />
        </span>
      ) : null}
    </>
  );
}
