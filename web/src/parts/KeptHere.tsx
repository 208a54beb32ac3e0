import { useQuery } from '@tanstack/react-query';
import type { RosterAnimal } from '@yaylak/contract';
import { ageWords, dayOf, normalised, type Species } from '@yaylak/core';
import styled from 'styled-components';
import { rosterQuery } from '../api/queries';
import { space } from '../theme/tokens';
import { fullDate } from '../words/dates';
import { ageText, bornText, weightText } from '../words/format';
import { useWeightUnit } from '../words/useHolding';
import { FigureTable } from './FigureTable';
import { NotePanel, Panel, Row, Small } from './Panel';
import { Picture } from './Picture';
import { Tag } from './Tag';
import { say, fieldWord } from '@yaylak/contract';

const SHOWN = 300;
const PHOTO_WIDTH = 360;

/** Says from when the figures are that this device goes by. */
function AsOf({ on }: { readonly on: string }) {
  return (
    <NotePanel $tone="weld">
      <p>{say('The server is away. This is what this device keeps, as of {date}.', { date: fullDate(on) })}</p>
    </NotePanel>
  );
}

/** An animal out of the device's roster, while the server is away. */
export function KeptAnimal({ animal, on }: { readonly animal: RosterAnimal; readonly on: string }) {
  const unit = useWeightUnit();
  const ageDays = animal.bornOn ? dayOf(on) - dayOf(animal.bornOn) : undefined;
  const rows: readonly (readonly [string, string])[] = [
    [say('Group'), animal.groupName ?? say('no group')],
    [say('Born as'), bornText(animal.species, animal.birthType, animal.rearingType)],
    [say('Dam, sire'), `${animal.dam ?? say('not known')}, ${animal.sire ?? say('not known')}`],
    [say('Tags'), animal.worn.map(([text]) => text).join(', ') || say('none')],
    ...(animal.formerly.length > 0 ? ([[say('Earlier tags'), animal.formerly.join(', ')]] as const) : []),
    ...animal.withheld.map(
      (w) =>
        [
          w.of === 'meat' ? say('Meat withheld') : say('Milk withheld'),
          say('to the end of {date}, {product}', { date: fullDate(w.until), product: w.product }),
        ] as const,
    ),
    ...animal.weights
      .toReversed()
      .map(([day, kg, method]) => [fullDate(day), `${weightText(kg, unit, animal.species)}, ${say(method)}`] as const),
  ];
  return (
    <Stack>
      <AsOf on={on} />
      <Panel>
        <Row $gap={4}>
          <Tag tag={animal.tag} size="large" isStatic />
          <h1>
            {fieldWord(animal, ageDays)}
            {animal.bornOn && ageDays !== undefined && ageDays >= 0
              ? `, ${ageText(ageWords(dayOf(animal.bornOn), dayOf(on)), animal.birthKnownTo)}`
              : ''}
          </h1>
        </Row>
        {animal.photo ? (
          <div style={{ maxWidth: PHOTO_WIDTH }}>
            <Picture photo={animal.photo} alt={say('Photo of {number}', { number: animal.tag.text })} />
          </div>
        ) : null}
        <FigureTable>
          <tbody>
            {rows.map(([label, figure]) => (
              <tr key={label}>
                <th scope="row">{label}</th>
                <td>{figure}</td>
              </tr>
            ))}
          </tbody>
        </FigureTable>
      </Panel>
    </Stack>
  );
}

/** The animals of the device's roster, while the server is away. */
export function KeptAnimals({ words, species }: { readonly words: string; readonly species: Species | undefined }) {
  const { data: roster } = useQuery({ ...rosterQuery, staleTime: Infinity });
  if (!roster) return <Small>{say('This device has not been at the server yet, so it keeps no animals.')}</Small>;
  const plain = normalised(words);
  const found = roster.animals.filter(
    (a) =>
      (species === undefined || a.species === species) &&
      (plain === '' || [...a.worn.map(([text]) => text), ...a.formerly].some((t) => normalised(t).includes(plain))),
  );
  return (
    <Stack>
      <AsOf on={roster.on} />
      <Row role="group" aria-label={say('Animals kept on this device')}>
        {found.slice(0, SHOWN).map((a) => (
          <Tag key={a.tag.animalId} tag={a.tag} />
        ))}
      </Row>
      {found.length > SHOWN ? (
        <Small>{say('and {n} more: type part of a number', { n: found.length - SHOWN })}</Small>
      ) : null}
    </Stack>
  );
}

const Stack = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${space(4)};
`;
