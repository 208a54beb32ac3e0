import type { RosterAnimal } from '@yaylak/contract';
import { ageWords, dayOf, normalised } from '@yaylak/core';
import styled from 'styled-components';
import { Small } from '../../parts/Panel';
import { colour, radius, space } from '../../theme/tokens';
import { ageText } from '../../words/format';
import { PlainList } from '../../parts/PlainList';
import { say, fieldWord } from '@yaylak/contract';

interface Props {
  readonly animals: readonly RosterAnimal[];
  /** What is typed: part of a dam's number, a sire's or a group narrows them. */
  readonly typed: string;
  readonly on: string;
  readonly onChoose: (animalId: string) => void;
}

const SHOWN = 12;

/** Animals that wear nothing and cannot be called: picked by what is known of them. */
export function Unnumbered({ animals, typed, on, onChoose }: Props) {
  const plain = normalised(typed);
  const found = animals.filter(
    (a) => plain === '' || [a.dam, a.sire, a.groupName].some((t) => normalised(t ?? '').includes(plain)),
  );
  if (found.length === 0) return null;
  return (
    <section>
      <Small>
        {say(
          'Without a number ({n}). Type part of the dam’s number or the group to narrow them, and press the one at hand.',
          { n: animals.length },
        )}
      </Small>
      <List aria-label={say('Without a number')}>
        {found.slice(0, SHOWN).map((a) => (
          <li key={a.tag.animalId}>
            <button type="button" onClick={() => onChoose(a.tag.animalId)}>
              {wordsOf(a, on)}
            </button>
          </li>
        ))}
      </List>
      {found.length > SHOWN ? <Small>{say('and {n} more', { n: found.length - SHOWN })}</Small> : null}
    </section>
  );
}

/** `ewe lamb, 3 months, of 24-0012 by Lodos, Top paddock`. */
export function wordsOf(
  { species, sex, bornOn, birthKnownTo, dam, sire, groupName }: RosterAnimal,
  on: string,
): string {
  const isBorn = bornOn !== null && bornOn <= on;
  const parents =
    `${dam === null ? '' : ` ${say('of {dam}', { dam })}`}${sire === null ? '' : ` ${say('by {sire}', { sire })}`}`.trim();
  return [
    fieldWord({ species, sex }, isBorn ? dayOf(on) - dayOf(bornOn) : undefined),
    ...(isBorn ? [ageText(ageWords(dayOf(bornOn), dayOf(on)), birthKnownTo)] : []),
    ...(parents === '' ? [] : [parents]),
    ...(groupName === null ? [] : [groupName]),
  ].join(', ');
}

const List = styled(PlainList)`
  margin: ${space(2)} 0 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(260px, 100%), 1fr));
  gap: ${space(2)};
  button {
    width: 100%;
    min-height: 64px;
    padding: ${space(2)} ${space(3)};
    border: 1px solid ${colour('line')};
    border-radius: ${radius};
    background: ${colour('panel')};
    color: inherit;
    font: inherit;
    text-align: left;
    cursor: pointer;
  }
`;
