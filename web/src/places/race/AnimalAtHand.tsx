import type { RosterAnimal } from '@yaylak/contract';
import { ageWords, dayOf, scaleUnit, type SpeciesSettings, type WeightUnit } from '@yaylak/core';
import styled from 'styled-components';
import { Tag } from '../../parts/Tag';
import { colour, fonts, phone, space } from '../../theme/tokens';
import { shortDate } from '../../words/dates';
import { ageText, bornText, gainText, weightText } from '../../words/format';
import { gainFromBirth } from './jobFigures';
import { say, fieldWord, capital } from '@yaylak/contract';

interface Props {
  readonly animal: RosterAnimal;
  readonly on: string;
  readonly unit: WeightUnit;
  readonly settings: SpeciesSettings;
}

/** Who stands in the race. */
export function AnimalAtHand({ animal, on, unit, settings }: Props) {
  const ageDays = animal.bornOn ? dayOf(on) - dayOf(animal.bornOn) : undefined;
  const what = fieldWord(animal, ageDays);
  const last = animal.weights.at(-1);
  const sinceBirth = gainFromBirth(animal, settings);
  const cells: readonly (readonly [label: string, figure: string, under: string])[] = [
    [
      say('Last weight'),
      last ? weightText(last[1], unit, animal.species) : say('none'),
      last ? `${shortDate(last[0])}, ${say(last[2])}` : say('first time'),
    ],
    [
      say('First weight to now'),
      sinceBirth ? gainText(sinceBirth, scaleUnit(animal.species, unit)) : say('not yet'),
      '',
    ],
    [
      say('Born as'),
      bornText(animal.species, animal.birthType, animal.rearingType),
      animal.bornOn ? shortDate(animal.bornOn) : '',
    ],
    [say('Dam, sire'), animal.dam ?? say('not known'), animal.sire ?? ''],
  ];
  return (
    <>
      <Who>
        <Tag tag={animal.tag} size="large" isStatic />
        <div>
          <h2>
            {capital(what)}
            {animal.bornOn && ageDays !== undefined && ageDays >= 0
              ? `, ${ageText(ageWords(dayOf(animal.bornOn), dayOf(on)), animal.birthKnownTo)}`
              : ''}
          </h2>
          <p>{animal.groupName ?? say('no group')}</p>
        </div>
      </Who>
      <Cells data-known>
        {cells.map(([label, figure, under]) => (
          <div key={label}>
            <span>{label}</span>
            <b>{figure}</b>
            <span>{under}</span>
          </div>
        ))}
      </Cells>
    </>
  );
}

const Who = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(4)};
  padding: ${space(3)} ${space(5)};
  ${phone} {
    flex-wrap: nowrap;
    gap: ${space(3)};
    padding: ${space(2)} ${space(4)};
  }
`;
const Cells = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(120px, 1fr));
  border-block: 1px solid ${colour('line')};
  ${phone} {
    grid-template-columns: repeat(4, 1fr);
    b {
      font-size: 14px;
    }
    span {
      font-size: 12px;
    }
  }
  div {
    padding: ${space(1)} ${space(3)};
    border-left: 1px solid ${colour('line')};
  }
  span {
    display: block;
    font-size: 13px;
    color: ${colour('inkSoft')};
  }
  b {
    font: 700 16px/1.3 ${fonts.heading};
  }
`;
