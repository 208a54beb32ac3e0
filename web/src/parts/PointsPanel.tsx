import type { OwnWeights } from '@yaylak/contract';
import { CHOOSING_TRAITS, type PointsWeights } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from './Button';
import { Panel, Small } from './Panel';
import { colour, space, touch } from '../theme/tokens';
import { useSaveHolding } from './useSaveHolding';
import { TRAIT_WORDS } from '../words/reasons';
import { say } from '@yaylak/contract';

/** How much each own record counts, in all sets that are not ranked otherwise. */
export function PointsPanel({ weights }: { readonly weights: PointsWeights }) {
  const [draft, setDraft] = useState(weights);
  const [problem, setProblem] = useState<string>();
  const save = useSaveHolding();
  const isChanged = CHOOSING_TRAITS.some((t) => (draft[t] ?? 0) !== (weights[t] ?? 0));
  return (
    <Panel>
      <h2>{say('Own records: what counts')}</h2>
      {CHOOSING_TRAITS.map((trait) => (
        <Line key={trait}>
          {TRAIT_WORDS[trait]}
          <input
            type="range"
            min={0}
            max={100}
            step={5}
            value={draft[trait] ?? 0}
            onChange={(e) => setDraft({ ...draft, [trait]: Number(e.target.value) })}
          />
          <b>{draft[trait] ?? 0}</b>
        </Line>
      ))}
      {isChanged ? (
        <Button kind="main" onPress={() => void save({ pointsWeights: draft as OwnWeights }).then(setProblem)}>
          {say('Save the points')}
        </Button>
      ) : (
        <Small>{say('Each trait counts as deviation from the set’s mean in its own spread.')}</Small>
      )}
      {problem ? <p role="alert">{problem}</p> : null}
    </Panel>
  );
}

const Line = styled.label`
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr) 34px;
  align-items: center;
  gap: ${space(2)};
  min-height: ${touch};
  b {
    text-align: right;
  }
  input {
    accent-color: ${colour('indigo')};
    min-width: 0;
    min-height: ${touch};
  }
`;
