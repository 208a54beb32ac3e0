import type { GateChoice } from '@yaylak/contract';
import styled from 'styled-components';
import { colour, fonts, radius, space, touchRace } from '../../theme/tokens';

interface Props {
  readonly gates: readonly GateChoice[];
  readonly chosen: string | undefined;
  readonly counts: ReadonlyMap<string, number>;
  readonly onChoose: (name: string) => void;
}

const SIGNS = { left: '←', down: '↓', right: '→' } as const;

/** The ways out of the race, each with how many have left by it. */
export function GateKeys({ gates, chosen, counts, onChoose }: Props) {
  return (
    <Gates role="group" aria-label="Gate">
      {gates.map((g) => (
        <Gate key={g.key} type="button" aria-pressed={chosen === g.name} onClick={() => onChoose(g.name)}>
          <b>
            {SIGNS[g.key]} {g.name}
          </b>
          <span>{counts.get(g.name) ?? 0} so far</span>
        </Gate>
      ))}
    </Gates>
  );
}

const Gates = styled.div`
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: ${space(3)};
  padding: ${space(3)} ${space(5)} 0;
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
`;
