import { ChevronDown } from 'lucide-react';
import { useId } from 'react';
import { Button, Select, SelectValue } from 'react-aria-components';
import styled from 'styled-components';
import { colour, space } from '../theme/tokens';
import { fieldLook } from './fieldLook';
import { keyOf, Options, valueOf } from './Options';
import { Wrong } from './Wrong';

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [value: T, words: string])[];
  readonly onChange: (value: T) => void;
  readonly isLabelHidden?: boolean;
  readonly error?: string | undefined;
}

/** One of a few, out of a list that opens. */
export function Choice<T extends string>({ label, value, options, onChange, isLabelHidden = false, error }: Props<T>) {
  const labelId = useId();
  return (
    <Box
      aria-labelledby={labelId}
      selectedKey={keyOf(value)}
      onSelectionChange={(key) => key !== null && onChange(valueOf<T>(String(key)))}
      isInvalid={error !== undefined}
    >
      <span id={labelId} hidden={isLabelHidden}>
        {label}
      </span>
      <Opener>
        {/* What is chosen now may be none of the list, as in an address that somebody typed. */}
        <SelectValue>{() => options.find(([one]) => one === value)?.[1] ?? ''}</SelectValue>
        <ChevronDown size={18} aria-hidden />
      </Opener>
      {error === undefined ? null : <Wrong role="alert">{error}</Wrong>}
      <Options options={options} list={{ 'aria-labelledby': labelId }} />
    </Box>
  );
}

const Box = styled(Select)`
  display: flex;
  flex-direction: column;
  gap: ${space(1)};
  font-size: 13px;
  color: ${colour('inkSoft')};
  min-width: 0;
`;
const Opener = styled(Button)`
  ${fieldLook}
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: ${space(2)};
  font-size: 15px;
  text-align: left;
  cursor: pointer;
  svg {
    flex: none;
    color: ${colour('inkSoft')};
  }
  .react-aria-SelectValue {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
`;
