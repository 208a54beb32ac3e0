import type { RosterAnimal } from '@yaylak/contract';
import { dayOf, scaleUnit } from '@yaylak/core';
import styled from 'styled-components';
import { colour, phone, space } from '../../../theme/tokens';
import { differenceText, gainText, readsText, weightText } from '../../../words/format';
import type { Draft } from '../draft';
import { Ask, BigInput } from '../fields';
import { gainTo, judged } from '../jobFigures';
import type { AtHand } from './atHand';
import { useFigureKeys } from './parts';
import { biasAt, trueKg } from './weigh';
import { say } from '@yaylak/contract';

const VERDICT_WORDS = {
  above: say('growing'),
  below: say('not growing as it should'),
  'too-soon': say('too soon to tell'),
} as const;
const METHOD_WORDS = {
  scale: '',
  crate: ` ${say('in the crate')}`,
  tape: ` ${say('by tape')}`,
  estimate: ` ${say('by eye')}`,
} as const;

interface Props {
  readonly draft: Draft;
  readonly at: AtHand;
  readonly lineKgPerDay: number | undefined;
  readonly onType: (text: string) => void;
}

/** The weight, with what it says while it is typed. */
export function WeighFields({ draft, at, lineKgPerDay, onType }: Props) {
  const figureKeys = useFigureKeys();
  const { unit } = at;
  const { method = 'scale', tareKg } = at.job.settings.weigh ?? {};
  const bias = biasAt(draft, at);
  const kg = (draft.fields.weight ?? '') === '' ? undefined : trueKg(draft, at);
  return (
    <Ask>
      <label htmlFor="race-weight">
        {say('Weight{value}, {scaleUnit}{value2}', {
          value: draft.isFromCrate ? METHOD_WORDS.crate : METHOD_WORDS[method],
          scaleUnit: scaleUnit(at.species, unit),
          value2: tareKg ? say(', with the pan') : '',
        })}
      </label>
      <WeightRow>
        <BigInput
          id="race-weight"
          autoComplete="off"
          inputMode={figureKeys}
          value={draft.fields.weight ?? ''}
          onChange={(e) => onType(e.target.value)}
        />
        <span aria-live="polite">
          {bias && kg !== undefined ? (
            <b>
              {say('{weight} corrected: {by}’s {value} {reads}', {
                weight: weightText(kg, unit, at.species),
                by: bias.by,
                value: bias.method === 'tape' ? say('tape') : say('eye'),
                reads: readsText(bias),
              })}
            </b>
          ) : null}
          {tareKg && kg !== undefined ? (
            <b>{say('{weight} without the pan', { weight: weightText(kg, unit, at.species) })}</b>
          ) : null}
          {at.animal && kg !== undefined ? <Growth animal={at.animal} kg={kg} at={at} line={lineKgPerDay} /> : null}
        </span>
      </WeightRow>
    </Ask>
  );
}

function Growth({
  animal,
  kg,
  at,
  line,
}: {
  readonly animal: RosterAnimal;
  readonly kg: number;
  readonly at: AtHand;
  readonly line: number | undefined;
}) {
  const lastKg = animal.weights.at(-1)?.[1];
  const gain = gainTo(animal, { on: dayOf(at.job.on), kg, method: 'scale' }, at.settings);
  const verdict = gain && judged(gain, line);
  return (
    <>
      {lastKg === undefined ? null : (
        <b>
          {say('{difference} since last time', {
            difference: differenceText(kg - lastKg, scaleUnit(animal.species, at.unit)),
          })}
        </b>
      )}
      {gain ? (
        <em data-verdict={verdict}>
          {gainText(gain, scaleUnit(animal.species, at.unit))}
          {verdict ? <span>{VERDICT_WORDS[verdict]}</span> : null}
        </em>
      ) : null}
    </>
  );
}

const WeightRow = styled.div`
  display: flex;
  align-items: center;
  gap: ${space(4)};
  input {
    max-width: 240px;
    ${phone} {
      width: 150px;
      flex: none;
    }
  }
  b,
  em {
    display: block;
    font-style: normal;
    font-size: 17px;
  }
  em > span {
    display: block;
  }
  em[data-verdict='below'] {
    color: ${colour('madder')};
    font-weight: 700;
  }
  em[data-verdict='too-soon'] {
    color: ${colour('weld')};
  }
`;
