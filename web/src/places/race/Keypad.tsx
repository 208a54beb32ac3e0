import { Fragment } from 'react';
import styled from 'styled-components';
import { colour, fonts, phone, radius, space, touchRace } from '../../theme/tokens';
import { say } from '@yaylak/contract';

interface Props {
  readonly onDigit: (digit: string) => void;
  readonly onErase: () => void;
  readonly onEnter: () => void;
  readonly onTakeBack: () => void;
}

const ROWS = [
  ['7', '8', '9'],
  ['4', '5', '6'],
  ['1', '2', '3'],
  ['0', '.', '-'],
] as const;

/** Big keys for a gloved hand; they type into the field that is next. */
export function Keypad({ onDigit, onErase, onEnter, onTakeBack }: Props) {
  const beside = [
    <PadKey key="erase" type="button" tabIndex={-1} onClick={onErase} aria-label={say('Erase a digit')}>
      ⌫
    </PadKey>,
    <PadKey key="back" type="button" tabIndex={-1} data-words onClick={onTakeBack}>
      {say('Take back')}
    </PadKey>,
    <PadKey key="enter" type="button" tabIndex={-1} data-words data-main onClick={onEnter}>
      {say('Enter')}
    </PadKey>,
  ];
  return (
    <Keys role="group" aria-label={say('Keys to touch')}>
      {ROWS.map((row, i) => (
        <Fragment key={row[0]}>
          {row.map((d) => (
            <PadKey key={d} type="button" tabIndex={-1} onClick={() => onDigit(d)}>
              {d}
            </PadKey>
          ))}
          {beside[i]}
        </Fragment>
      ))}
    </Keys>
  );
}

const Keys = styled.div`
  display: grid;
  grid-template-columns: repeat(3, 1fr) 76px;
  gap: ${space(2)};
  margin-top: auto;
  ${phone} {
    order: 2;
    position: sticky;
    bottom: 0;
    z-index: 2;
    padding: ${space(2)};
    background: ${colour('ground')};
    border-top: 1px solid ${colour('line')};
  }
`;
const PadKey = styled.button`
  min-height: ${touchRace};
  border: 1px solid ${colour('lineStrong')};
  border-radius: ${radius};
  background: ${colour('ground')};
  font: 700 22px ${fonts.mono};
  cursor: pointer;
  &[data-words] {
    font: 700 15px/1.1 ${fonts.text};
  }
  &[data-main] {
    grid-row: span 2;
    background: ${colour('indigo')};
    color: ${colour('onIndigo')};
  }
`;
