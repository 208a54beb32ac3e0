import type { GateChoice } from '@yaylak/contract';
import type { WeightUnit } from '@yaylak/core';
import styled from 'styled-components';
import { colour, fonts, phone, radius, space, touchRace } from '../../theme/tokens';
import { figureText, gainText, perDayText, weightText } from '../../words/format';
import { boxTodayText } from '../../words/selling';
import { DECISION_WORDS } from '../../words/reasons';
import type { SuggestedGate } from './stations/sort';
import { say, lower } from '@yaylak/contract';
import { Said } from '../../parts/Said';

interface Props {
  readonly gates: readonly GateChoice[];
  readonly chosen: string | undefined;
  /** What the job's rule suggests, taken by Enter unless another gate is chosen. */
  readonly suggested: SuggestedGate | undefined;
  /** Meat of the animal at hand that is withheld, in words: said beside a gate of those for sale. */
  readonly held: string | undefined;
  readonly unit: WeightUnit;
  readonly counts: ReadonlyMap<string, number>;
  readonly onChoose: (name: string) => void;
}

const SIGNS = { left: '←', down: '↓', right: '→' } as const;

/** The ways out of the race, each with how many have left by it. */
export function GateKeys({ gates, chosen, suggested, held, unit, counts, onChoose }: Props) {
  return (
    <Gates role="group" aria-label={say('Gate')}>
      {suggested ? (
        <p>
          <Said
            text={'Suggested: <0>{name}</0>, {because}'}
            values={{ name: suggested.choice.name, because: becauseText(suggested, unit) }}
            parts={{ 0: <b /> }}
          />
          {held !== undefined && suggested.choice.isForSale ? <strong>. {held}</strong> : null}
          {chosen !== undefined && chosen !== suggested.choice.name ? say('. Overruled: {chosen}.', { chosen }) : ''}
        </p>
      ) : null}
      {gates.map((g) => (
        <Gate
          key={g.key}
          type="button"
          aria-pressed={(chosen ?? suggested?.choice.name) === g.name}
          data-suggested={(chosen === undefined && suggested?.choice.name === g.name) || undefined}
          onClick={() => onChoose(g.name)}
        >
          <b>
            {SIGNS[g.key]} {g.name}
          </b>
          <span>
            {say('{n} so far{value}', {
              n: counts.get(g.name) ?? 0,
              value: g.mark
                ? say(', spray {colour} on the {place}', { colour: say(g.mark.colour), place: say(g.mark.place) })
                : '',
            })}
          </span>
        </Gate>
      ))}
    </Gates>
  );
}

/** Why a gate is suggested, with the figure it stands on. */
export function becauseText({ because, isNear }: Pick<SuggestedGate, 'because' | 'isNear'>, unit: WeightUnit): string {
  const near = isNear ? say('; so near the line that it may as well lie on the other side') : '';
  switch (because.kind) {
    case 'weight':
      return say('{weight} against the line of {weight2}{near}', {
        weight: weightText(because.kg, unit),
        weight2: weightText(because.line, unit),
        near,
      });
    case 'gain':
      return say('{gain} against the line of {perDay}{near}', {
        gain: gainText(because.gain, unit),
        perDay: perDayText(because.line, unit),
        near,
      });
    case 'standards':
      return because.failed.length === 0
        ? say('nothing failed')
        : say('fails {word}', { word: lower(because.failed.join(', ')) });
    case 'index':
      return say('{figure} ± {figure2} points against the line of {figure3}{near}', {
        figure: figureText(because.points, 1),
        figure2: figureText(because.standardError, 1),
        figure3: figureText(because.line, 1),
        near,
      });
    case 'ready':
      return boxTodayText(because.box);
    case 'decision':
      return say('as it was chosen: {word}', { word: lower(DECISION_WORDS[because.decision]) });
  }
}

const Gates = styled.div`
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: ${space(3)};
  padding: ${space(3)} ${space(5)};
  ${phone} {
    gap: ${space(2)};
    padding: ${space(2)};
  }
  p {
    grid-column: 1 / -1;
    font-size: 15px;
  }
  strong {
    color: ${colour('plum')};
  }
`;
const Gate = styled.button`
  min-height: ${touchRace};
  border: 2px solid ${colour('lineStrong')};
  border-radius: ${radius};
  background: ${colour('panel')};
  cursor: pointer;
  b {
    display: block;
    font: 700 18px ${fonts.heading};
  }
  &[aria-pressed='true'] {
    border-color: ${colour('indigo')};
    background: ${colour('indigoWash')};
  }
  &[data-suggested] {
    border-style: dashed;
  }
`;
