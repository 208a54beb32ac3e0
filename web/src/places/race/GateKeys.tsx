import type { GateChoice } from '@yaylak/contract';
import type { WeightUnit } from '@yaylak/core';
import styled from 'styled-components';
import { colour, fonts, phone, radius, space, touchRace } from '../../theme/tokens';
import { figureText, gainText, perDayText, weightText } from '../../words/format';
import { boxTodayText } from '../../words/selling';
import { DECISION_WORDS } from '../../words/reasons';
import type { SuggestedGate } from './stations/sort';

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
    <Gates role="group" aria-label="Gate">
      {suggested ? (
        <p>
          Suggested: <b>{suggested.choice.name}</b>, {becauseText(suggested, unit)}
          {held !== undefined && suggested.choice.isForSale ? <strong>. {held}</strong> : null}
          {chosen !== undefined && chosen !== suggested.choice.name ? `. Overruled: ${chosen}.` : ''}
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
            {counts.get(g.name) ?? 0} so far{g.mark ? `, spray ${g.mark.colour} on the ${g.mark.place}` : ''}
          </span>
        </Gate>
      ))}
    </Gates>
  );
}

/** Why a gate is suggested, with the figure it stands on. */
export function becauseText({ because, isNear }: Pick<SuggestedGate, 'because' | 'isNear'>, unit: WeightUnit): string {
  const near = isNear ? '; so near the line that it may as well lie on the other side' : '';
  switch (because.kind) {
    case 'weight':
      return `${weightText(because.kg, unit)} against the line of ${weightText(because.line, unit)}${near}`;
    case 'gain':
      return `${gainText(because.gain, unit)} against the line of ${perDayText(because.line, unit)}${near}`;
    case 'standards':
      return because.failed.length === 0 ? 'nothing failed' : `fails ${because.failed.join(', ').toLowerCase()}`;
    case 'index':
      return `${figureText(because.points, 1)} ± ${figureText(because.standardError, 1)} points against the line of ${figureText(because.line, 1)}${near}`;
    case 'ready':
      return boxTodayText(because.box);
    case 'decision':
      return `as it was chosen: ${DECISION_WORDS[because.decision].toLowerCase()}`;
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
