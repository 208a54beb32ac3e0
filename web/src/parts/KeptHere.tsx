import { useQuery } from '@tanstack/react-query';
import type { RosterAnimal } from '@yaylak/contract';
import { ageWords, dayOf, fieldWord, normalised, type Species } from '@yaylak/core';
import styled from 'styled-components';
import { rosterQuery } from '../api/queries';
import { space } from '../theme/tokens';
import { ageText, bornText, fullDate, weightText } from '../words/format';
import { useWeightUnit } from '../words/useHolding';
import { FigureTable } from './FigureTable';
import { NotePanel, Panel, Row, Small } from './Panel';
import { Tag } from './Tag';

const SHOWN = 300;

/** Says from when the figures are that this device goes by. */
function AsOf({ on }: { readonly on: string }) {
  return (
    <NotePanel $tone="weld">
      <p>The server is away. This is what this device keeps, as of {fullDate(on)}.</p>
    </NotePanel>
  );
}

/** An animal out of the device's roster, while the server is away. */
export function KeptAnimal({ animal, on }: { readonly animal: RosterAnimal; readonly on: string }) {
  const unit = useWeightUnit();
  const ageDays = animal.bornOn ? dayOf(on) - dayOf(animal.bornOn) : undefined;
  const rows: readonly (readonly [string, string])[] = [
    ['Group', animal.groupName ?? 'no group'],
    ['Born as', bornText(animal.species, animal.birthType, animal.rearingType)],
    ['Dam, sire', `${animal.dam ?? 'not known'}, ${animal.sire ?? 'not known'}`],
    ['Tags', animal.worn.map(([text]) => text).join(', ') || 'none'],
    ...(animal.formerly.length > 0 ? ([['Earlier tags', animal.formerly.join(', ')]] as const) : []),
    ...animal.withheld.map(
      (w) =>
        [
          w.of === 'meat' ? 'Meat withheld' : 'Milk withheld',
          `to the end of ${fullDate(w.until)}, ${w.product}`,
        ] as const,
    ),
    ...animal.weights
      .toReversed()
      .map(([day, kg, method]) => [fullDate(day), `${weightText(kg, unit, animal.species)}, ${method}`] as const),
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
  if (!roster) return <Small>This device has not been at the server yet, so it keeps no animals.</Small>;
  const plain = normalised(words);
  const found = roster.animals.filter(
    (a) =>
      (species === undefined || a.species === species) &&
      (plain === '' || [...a.worn.map(([text]) => text), ...a.formerly].some((t) => normalised(t).includes(plain))),
  );
  return (
    <Stack>
      <AsOf on={roster.on} />
      <Row role="group" aria-label="Animals kept on this device">
        {found.slice(0, SHOWN).map((a) => (
          <Tag key={a.tag.animalId} tag={a.tag} />
        ))}
      </Row>
      {found.length > SHOWN ? <Small>and {found.length - SHOWN} more: type part of a number</Small> : null}
    </Stack>
  );
}

const Stack = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${space(4)};
`;
