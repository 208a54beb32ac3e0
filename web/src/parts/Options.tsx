import { ListBox, ListBoxItem, Popover, type ListBoxProps, type PopoverProps } from 'react-aria-components';
import styled from 'styled-components';
import { colour, radius, space, touch } from '../theme/tokens';

/** A choice may be "none of them", kept as an empty text, which is no key of a list. */
export const keyOf = (value: string): string => `=${value}`;
export const valueOf = <T extends string>(key: string): T => key.slice(1) as T;

interface Props<T extends string> extends Pick<PopoverProps, 'isOpen' | 'onOpenChange' | 'triggerRef'> {
  readonly options: readonly (readonly [value: T, words: string])[];
  readonly list: ListBoxProps<object>;
}

/** The list that opens under a choice: by keys, by touch, by the first letters, and read out as such. */
export function Options<T extends string>({ options, list, ...pane }: Props<T>) {
  return (
    <Pane {...pane}>
      <List {...list} data-choice>
        {options.map(([one, words]) => (
          <Item key={one} id={keyOf(one)} textValue={words}>
            {words}
          </Item>
        ))}
      </List>
    </Pane>
  );
}

const Pane = styled(Popover)`
  min-width: var(--trigger-width);
  max-width: min(480px, calc(100vw - 24px));
  background: ${colour('panel')};
  color: ${colour('ink')};
  border: 1px solid ${colour('lineStrong')};
  border-radius: ${radius};
  overflow: auto;
`;
const List = styled(ListBox)`
  padding: ${space(1)};
  outline: none;
`;
const Item = styled(ListBoxItem)`
  display: flex;
  align-items: center;
  min-height: ${touch};
  padding: ${space(1)} ${space(3)};
  border-radius: ${radius};
  font-size: 15px;
  cursor: pointer;
  /* The frame within it is enough. */
  &&:focus-visible {
    outline: none;
  }
  &[data-selected] {
    font-weight: 700;
    background: ${colour('indigoWash')};
  }
  &[data-focused] {
    box-shadow: inset 0 0 0 2px ${colour('indigo')};
  }
`;
