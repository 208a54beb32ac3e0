import type { PlanView } from '@yaylak/contract';
import type { Clash } from '@yaylak/core';
import styled from 'styled-components';
import { Panel, Small } from '../../parts/Panel';
import { colour, space, touch } from '../../theme/tokens';
import { clashText } from '../../words/season';
import { say } from '@yaylak/contract';

interface Props {
  readonly clashes: readonly Clash[];
  readonly plans: readonly PlanView[];
  readonly onChoose: (planId: string) => void;
}

/** What does not fit, each with its plan to press. */
export function Clashes({ clashes, plans, onChoose }: Props) {
  const nameOf = (id: string): string => plans.find((p) => p.id === id)?.facts.name ?? say('another plan');
  return (
    <Panel>
      <h2>{say('Does not fit{value}', { value: clashes.length > 0 ? ` (${clashes.length})` : '' })}</h2>
      <div role="status">
        {clashes.length === 0 ? <Small>{say('Nothing: waits, hands, pens and feed all hold.')}</Small> : null}
        {clashes.map((c, i) => {
          const plan = plans.find((p) => p.id === c.planId);
          return plan ? (
            <One key={`${c.planId} ${c.step} ${c.code} ${i}`}>
              <button type="button" onClick={() => onChoose(c.planId)}>
                {plan.facts.name}
              </button>
              <p>{clashText(c, plan.facts, nameOf)}</p>
            </One>
          ) : null;
        })}
      </div>
    </Panel>
  );
}

const One = styled.div`
  border-left: 5px solid ${colour('madder')};
  padding: ${space(1)} ${space(3)};
  margin-top: ${space(2)};
  background: ${colour('madderWash')};
  font-size: 14px;
  button {
    border: 0;
    background: none;
    padding: 0;
    min-height: ${touch};
    font-weight: 700;
    color: ${colour('ink')};
    text-decoration: underline;
    cursor: pointer;
  }
`;
