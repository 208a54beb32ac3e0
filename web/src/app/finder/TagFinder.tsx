import { useRef } from 'react';
import {
  Autocomplete,
  Collection,
  Header,
  Input,
  ListBox,
  ListBoxItem,
  ListBoxSection,
  TextField,
} from 'react-aria-components';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { fieldLook } from '../../parts/Field';
import { useHelpDoor } from '../../parts/helpDoor';
import { Key } from '../../parts/Key';
import { Sheet } from '../../parts/Sheet';
import { Tag, tagLabel } from '../../parts/Tag';
import { useWindowKey } from '../../parts/useWindowKey';
import { colour, radius, space, touch } from '../../theme/tokens';
import { useFinds, type Find } from './useFinds';

interface Props {
  /** What is looked for; undefined while nothing is. */
  readonly typed: string | undefined;
  readonly onType: (change: (before: string | undefined) => string | undefined) => void;
}

/** Opens on digits typed outside a field, on `/`, or by its button; finds by any part of anything ever worn, and more. */
export function TagFinder({ typed, onType }: Props) {
  // A digit anywhere is the beginning of a tag, but where a place has keys of its own.
  useWindowKey((event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || !/^[0-9/]$/.test(event.key)) return;
    if ((event.target as Partial<HTMLElement>).closest?.('[role=dialog], [data-own-keys]')) return;
    event.preventDefault();
    // Digits typed faster than the sheet opens belong to the same number.
    onType((before = '') => before + (event.key === '/' ? '' : event.key));
  });
  const close = (): void => onType(() => undefined);
  return (
    <Sheet isForLooking title="Find an animal" isOpen={typed !== undefined} onClose={close}>
      {typed === undefined ? null : <Finder typed={typed} onType={(next) => onType(() => next)} onClose={close} />}
    </Sheet>
  );
}

interface FinderProps {
  readonly typed: string;
  readonly onType: (typed: string) => void;
  readonly onClose: () => void;
}

function Finder({ typed, onType, onClose }: FinderProps) {
  const navigate = useNavigate();
  const openHelp = useHelpDoor();
  const { sections, isPending } = useFinds(typed);
  const isShift = useRef(false);
  const finds = sections.flatMap((s) => s.finds);
  const open = (find: Find | undefined): void => {
    if (!find) return;
    onClose();
    if (find.topicId !== undefined) openHelp?.({ topicId: find.topicId });
    else void navigate((isShift.current ? find.opensWithShift : undefined) ?? find.opens);
  };
  return (
    <Autocomplete inputValue={typed} onInputChange={onType} disableAutoFocusFirst>
      <TextField
        autoFocus
        aria-label="Any part of a number or name, a tube, note, mark, group or place"
        onKeyDown={(e) => {
          isShift.current = e.shiftKey;
          e.continuePropagation();
          // Until an arrow key has chosen one, Enter means the first.
          const isChosen = e.target instanceof Element && e.target.hasAttribute('aria-activedescendant');
          if (e.key === 'Enter' && !isChosen && typed.trim() !== '') open(finds[0]);
        }}
      >
        <Typed />
      </TextField>
      <List
        aria-label="Found"
        items={sections.map((s) => ({ ...s, id: s.name }))}
        onAction={(key) => open(finds.find((f) => f.key === key))}
        onPointerDown={(e) => (isShift.current = e.shiftKey)}
        renderEmptyState={() =>
          isPending || typed.trim() === '' ? null : (
            <p>Nothing here is called “{typed}”. Try fewer digits, or another word.</p>
          )
        }
      >
        {(section) => (
          <ListBoxSection id={section.id}>
            <Header>{section.name}</Header>
            <Collection items={section.finds.map((f) => ({ ...f, id: f.key }))}>
              {(find) => (
                <ListBoxItem id={find.id} textValue={readOut(find)} aria-label={readOut(find)}>
                  {find.tag ? <Tag isStatic tag={find.tag} /> : null}
                  <span>{find.words}</span>
                  {find.note ? <em>{find.note}</em> : null}
                  {find.key === finds[0]?.key && typed.trim() !== '' ? <Key>Enter</Key> : null}
                </ListBoxItem>
              )}
            </Collection>
          </ListBoxSection>
        )}
      </List>
    </Autocomplete>
  );
}

const readOut = ({ tag, words, note }: Find): string =>
  [tag ? tagLabel(tag) : '', words, note].filter(Boolean).join(', ');

const Typed = styled(Input)`
  ${fieldLook}
  width: 100%;
  font-size: 22px;
  min-height: 52px;
`;
const List = styled(ListBox)`
  outline: none;
  header {
    padding: ${space(2)} ${space(2)} 0;
    font-size: 13px;
    color: ${colour('inkSoft')};
  }
  [role='option'] {
    display: flex;
    align-items: center;
    gap: ${space(3)};
    padding: ${space(1)} ${space(2)};
    min-height: ${touch};
    border-radius: ${radius};
    cursor: pointer;
    outline: none;
  }
  [data-focused],
  [data-hovered] {
    background: ${colour('indigoWash')};
  }
  &:has([data-focused]) kbd {
    visibility: hidden;
  }
  kbd {
    order: 1;
    margin-left: auto;
  }
  em + kbd {
    margin-left: 0;
  }
  em {
    margin-left: auto;
    color: ${colour('inkSoft')};
    white-space: nowrap;
  }
` as typeof ListBox;
