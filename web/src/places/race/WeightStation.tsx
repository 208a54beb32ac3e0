import type { RosterAnimal } from '@yaylak/contract';
import { dayOf, type SpeciesSettings, type WeightUnit } from '@yaylak/core';
import { useEffect, useRef, type KeyboardEvent } from 'react';
import styled from 'styled-components';
import { colour, fonts, space } from '../../theme/tokens';
import { differenceText, gainText } from '../../words/format';
import { AnimalAtHand } from './AnimalAtHand';
import { answerWeight } from './answers';
import type { Draft } from './draft';
import { Ask, BigInput } from './fields';
import { gainTo, judged } from './jobFigures';

interface Props {
  readonly draft: Draft;
  readonly animal: RosterAnimal | undefined;
  readonly settings: SpeciesSettings;
  readonly unit: WeightUnit;
  readonly on: string;
  readonly lineKgPerDay: number | undefined;
  readonly onType: (weight: string) => void;
  /** A key that is not a digit of the weight. @returns whether it was taken */
  readonly onKey: (key: string) => boolean;
}

const VERDICT_WORDS = { above: 'growing', below: 'not growing as it should', 'too-soon': 'too soon to tell' } as const;

/** The animal at hand and its weight, with what the weight says while it is typed. */
export function WeightStation({ draft, animal, settings, unit, on, lineKgPerDay, onType, onKey }: Props) {
  const input = useRef<HTMLInputElement>(null);
  // Focus is outside React: once the animal is known its weight has the keyboard.
  useEffect(() => input.current?.focus(), []);
  const typedKg =
    draft.weight === '' || !animal
      ? undefined
      : answerWeight({ typed: draft.weight, unit, species: animal.species, before: undefined, on, settings });
  const gain =
    animal && typedKg?.kind === 'weight'
      ? gainTo(animal, { on: dayOf(on), kg: typedKg.kg, method: 'scale' }, settings)
      : undefined;
  const verdict = gain && judged(gain, lineKgPerDay);
  const lastKg = animal?.weights.at(-1)?.[1];
  return (
    <>
      {animal ? (
        <AnimalAtHand animal={animal} on={on} unit={unit} settings={settings} />
      ) : (
        <Stranger>{draft.number}: unknown, taken in and asked later</Stranger>
      )}
      <Ask>
        <label htmlFor="race-weight">Weight, {unit}</label>
        <WeightRow>
          <BigInput
            id="race-weight"
            ref={input}
            autoComplete="off"
            inputMode="decimal"
            value={draft.weight}
            onChange={(e) => onType(e.target.value)}
            onKeyDown={(e: KeyboardEvent) => {
              if (onKey(e.key)) e.preventDefault();
            }}
          />
          <span aria-live="polite">
            {lastKg !== undefined && typedKg?.kind === 'weight' ? (
              <b>{differenceText(typedKg.kg - lastKg, unit)} since last time</b>
            ) : null}
            {gain ? (
              <em data-verdict={verdict}>
                {gainText(gain)}
                {verdict ? `: ${VERDICT_WORDS[verdict]}` : ''}
              </em>
            ) : null}
          </span>
        </WeightRow>
      </Ask>
    </>
  );
}

const WeightRow = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(4)};
  b,
  em {
    display: block;
    font-style: normal;
    font-size: 17px;
  }
  em[data-verdict='below'] {
    color: ${colour('madder')};
    font-weight: 700;
  }
  em[data-verdict='too-soon'] {
    color: ${colour('weld')};
  }
`;
const Stranger = styled.p`
  padding: ${space(5)};
  font: 700 22px ${fonts.heading};
`;
