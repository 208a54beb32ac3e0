import styled from 'styled-components';
import { colour, fonts, radius, phone, space, touchRace } from '../../theme/tokens';

interface Props {
  readonly onDigit: (digit: string) => void;
  readonly onErase: () => void;
  readonly onEnter: () => void;
  readonly onTakeBack: () => void;
}

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0', '.', '-'];

/** Big keys for a gloved hand; they type into the field that is next. */
export function Keypad({ onDigit, onErase, onEnter, onTakeBack }: Props) {
  return (
    <Keys role="group" aria-label="Keys to touch">
      {DIGITS.map((d) => (
        <PadKey key={d} type="button" tabIndex={-1} onClick={() => onDigit(d)}>
          {d}
        </PadKey>
      ))}
      <PadKey type="button" tabIndex={-1} onClick={onErase} aria-label="Erase a digit">
        ⌫
      </PadKey>
      <PadKey type="button" tabIndex={-1} data-small onClick={onTakeBack}>
        Take back
      </PadKey>
      <PadKey type="button" tabIndex={-1} data-wide data-main onClick={onEnter}>
        Enter
      </PadKey>
    </Keys>
  );
}

const Keys = styled.div`
  display: grid;
  grid-template-columns: repeat(8, 1fr);
  gap: ${space(2)};
  padding: ${space(4)} ${space(5)} ${space(4)};
  ${phone} {
    grid-template-columns: repeat(4, 1fr);
  }
`;
const PadKey = styled.button`
  min-height: ${touchRace};
  border: 1px solid ${colour('lineStrong')};
  border-radius: ${radius};
  background: ${colour('ground')};
  font: 700 22px ${fonts.mono};
  cursor: pointer;
  &[data-wide] {
    grid-column: span 2;
    font: 700 17px ${fonts.text};
  }
  &[data-small] {
    font: 600 14px/1.1 ${fonts.text};
  }
  &[data-main] {
    background: ${colour('indigo')};
    color: ${colour('onIndigo')};
  }
`;
