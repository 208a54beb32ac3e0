import { ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { colour, radius, space, touchRace } from '../theme/tokens';

interface Props<T extends string> {
  readonly label: string;
  readonly options: readonly (readonly [value: T, words: string])[];
  /** Empty: none pressed yet. */
  readonly value: T | '';
  readonly onChange: (value: T | '') => void;
  /** One of them is always pressed. */
  readonly isNeeded?: boolean;
}

/** A row of keys for a gloved hand, of which one is pressed. */
export function BigKeys<T extends string>({ label, options, value, onChange, isNeeded = false }: Props<T>) {
  return (
    <div>
      <Label>{label}</Label>
      <Keys
        aria-label={label}
        selectionMode="single"
        disallowEmptySelection={isNeeded}
        selectedKeys={value === '' ? [] : [value]}
        onSelectionChange={(keys) => onChange(([...keys][0] as T | undefined) ?? '')}
      >
        {options.map(([key, words]) => (
          <Key key={key} id={key}>
            {words}
          </Key>
        ))}
      </Keys>
    </div>
  );
}

const Label = styled.span`
  display: block;
  font-size: 13px;
  color: ${colour('inkSoft')};
  margin-bottom: ${space(1)};
`;
const Keys = styled(ToggleButtonGroup)`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
`;
/** The face of a key that is pressed with a glove. */
export const bigKeyFace = `
  min-height: ${touchRace};
  min-width: ${touchRace};
  padding: 0 ${space(4)};
  border-radius: ${radius};
  border: 1px solid ${colour('lineStrong')};
  background: ${colour('panel')};
  color: ${colour('ink')};
  font-weight: 600;
  cursor: pointer;
`;
const Key = styled(ToggleButton)`
  ${bigKeyFace}
  &[data-selected] {
    background: ${colour('indigo')};
    border-color: ${colour('indigo')};
    color: ${colour('onIndigo')};
  }
`;
