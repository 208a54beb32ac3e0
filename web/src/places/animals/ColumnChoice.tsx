import { Button as AriaButton, Dialog, DialogTrigger, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { colour, radius, space, touch } from '../../theme/tokens';
import { COLUMNS, type ColumnId } from './columns';
import { say } from '@yaylak/contract';

interface Props {
  readonly value: readonly ColumnId[];
  readonly onChange: (columns: readonly ColumnId[]) => void;
}

const ALL = Object.keys(COLUMNS) as ColumnId[];

/** Which columns the list shows; the number always stays. */
export function ColumnChoice({ value, onChange }: Props) {
  return (
    <DialogTrigger>
      <Open>{say('Columns')}</Open>
      <Pane placement="bottom end">
        <Dialog aria-label={say('Columns')}>
          {ALL.map((id) => (
            <label key={id}>
              <input
                type="checkbox"
                checked={value.includes(id)}
                disabled={id === 'number'}
                onChange={() => onChange(ALL.filter((c) => (c === id ? !value.includes(id) : value.includes(c))))}
              />
              {COLUMNS[id].heading}
            </label>
          ))}
        </Dialog>
      </Pane>
    </DialogTrigger>
  );
}

const Open = styled(AriaButton)`
  min-height: ${touch};
  padding: 0 ${space(4)};
  border: 1px solid ${colour('indigo')};
  border-radius: ${radius};
  background: ${colour('panel')};
  color: ${colour('indigo')};
  font-weight: 600;
  cursor: pointer;
`;
const Pane = styled(Popover)`
  background: ${colour('panel')};
  color: ${colour('ink')};
  border: 1px solid ${colour('line')};
  border-radius: ${radius};
  padding: ${space(3)};
  label {
    display: flex;
    gap: ${space(2)};
    align-items: center;
    min-height: ${touch};
  }
`;
