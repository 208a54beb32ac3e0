import type { ReactNode } from 'react';
import styled from 'styled-components';
import { Chip } from '../../../parts/Chip';
import { fieldLook } from '../../../parts/fieldLook';
import { colour, fonts, phone, radius, space, touchRace } from '../../../theme/tokens';
import { usePhone } from '../../../theme/usePhone';

/** A station's row: its name on the left, what it asks on the right. */
export function StationRow({
  name,
  isWide = false,
  children,
}: {
  readonly name: string;
  /** Many keys: they take the whole width, under the name. */
  readonly isWide?: boolean;
  readonly children: ReactNode;
}) {
  return (
    <Line role="group" aria-label={name} data-wide={isWide || undefined}>
      <span aria-hidden>{name}</span>
      <div>{children}</div>
    </Line>
  );
}

interface LetterKeyProps {
  readonly words: string;
  readonly letter: string;
  readonly state: 'on' | 'off' | 'good' | 'bad' | 'plain';
  readonly says?: string;
  readonly onPress: () => void;
}

/** A key to touch with its letter; what it stands at is said by a word as well as by its ground. */
export function LetterKey({ words, letter, state, says, onPress }: LetterKeyProps) {
  return (
    <Press
      type="button"
      tabIndex={-1}
      data-state={state}
      aria-pressed={state === 'on' || state === 'bad'}
      onClick={onPress}
    >
      <kbd>{letter.toUpperCase()}</kbd> {words}
      {says ? <em>{says}</em> : null}
    </Press>
  );
}

/** A phone's own keyboard would lie over the keys to touch, which have all that a figure needs. */
export const useFigureKeys = (): 'none' | 'decimal' => (usePhone() ? 'none' : 'decimal');

interface SmallFieldProps {
  readonly id: string;
  readonly label: string;
  readonly value: string;
  readonly isFigure?: boolean;
  readonly width?: number;
  readonly onType: (text: string) => void;
}

/** A field of a station. Letters typed in one of words are letters; in one of figures they are keys. */
export function SmallField({ id, label, value, isFigure = false, width = 150, onType }: SmallFieldProps) {
  const figureKeys = useFigureKeys();
  return (
    <Labelled htmlFor={id}>
      <span>{label}</span>
      <input
        id={id}
        style={{ width }}
        autoComplete="off"
        inputMode={isFigure ? figureKeys : 'text'}
        data-words={isFigure ? undefined : true}
        value={value}
        onChange={(e) => onType(e.target.value)}
      />
    </Labelled>
  );
}

/** A count to press, with a glove. */
export const Count = styled(Chip)`
  min-width: ${touchRace};
  min-height: ${touchRace};
  border-radius: ${radius};
  font: 700 18px ${fonts.mono};
`;
const Line = styled.div`
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr);
  gap: ${space(2)};
  align-items: center;
  padding: ${space(1)} ${space(5)};
  > span {
    color: ${colour('inkSoft')};
    font-size: 14px;
  }
  &[data-wide] {
    grid-template-columns: minmax(0, 1fr);
    gap: 2px;
  }
  ${phone} {
    grid-template-columns: minmax(0, 1fr);
    gap: 2px;
    padding: ${space(1)} ${space(4)};
  }
  > div {
    display: flex;
    flex-wrap: wrap;
    gap: ${space(2)};
    align-items: center;
  }
`;
const Press = styled.button`
  min-height: ${touchRace};
  min-width: ${touchRace};
  padding: 0 ${space(3)};
  border: 1px solid ${colour('lineStrong')};
  border-radius: ${radius};
  background: ${colour('panel')};
  cursor: pointer;
  kbd {
    font: 700 13px ${fonts.mono};
    padding: 1px 5px;
    border: 1px solid ${colour('line')};
    border-radius: 4px;
    background: ${colour('ground')};
    color: ${colour('ink')};
  }
  em {
    font-style: normal;
    font-weight: 700;
    margin-left: ${space(2)};
  }
  &[data-state='bad'] {
    background: ${colour('madderWash')};
    border-color: ${colour('madder')};
    color: ${colour('madder')};
    font-weight: 700;
  }
  &[data-state='good'] em {
    color: ${colour('moss')};
  }
  &[data-state='on'] {
    background: ${colour('indigoWash')};
    border-color: ${colour('indigo')};
  }
  &[data-state='off'] {
    text-decoration: line-through;
    color: ${colour('inkSoft')};
  }
`;
const Labelled = styled.label`
  display: inline-flex;
  align-items: center;
  gap: ${space(2)};
  max-width: 100%;
  span {
    color: ${colour('inkSoft')};
    font-size: 14px;
  }
  input {
    ${fieldLook}
    min-height: ${touchRace};
    font: 700 18px ${fonts.mono};
  }
`;
