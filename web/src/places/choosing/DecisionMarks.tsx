import { useQuery } from '@tanstack/react-query';
import { MARK_COLOURS, MARK_PLACES, type DecisionMarksSetting, say } from '@yaylak/contract';
import { DECISIONS, type Decision } from '@yaylak/core';
import { useState } from 'react';
import { holdingQuery } from '../../api/queries';
import { Choice } from '../../parts/Choice';
import { Panel, Row, Small } from '../../parts/Panel';
import { useSaveHolding } from '../../parts/useSaveHolding';
import { DECISION_WORDS } from '../../words/reasons';

/** What is sprayed on whom the choice keeps, puts second or sells; the race takes it from here. */
export function DecisionMarks() {
  const { data: holding } = useQuery(holdingQuery);
  const save = useSaveHolding();
  const [problem, setProblem] = useState<string>();
  if (!holding) return null;
  const marks = holding.decisionMarks;
  const set = (decision: Decision, mark: DecisionMarksSetting[Decision]): void => {
    const { [decision]: _, ...others } = marks;
    void save({ decisionMarks: mark ? { ...others, [decision]: mark } : others }).then(setProblem);
  };
  return (
    <Panel>
      <h2>{say('Marks to spray')}</h2>
      <Small>
        {say('Whoever goes out by the gate of a decision is sprayed so, unless the gate has a mark of its own.')}
      </Small>
      {DECISIONS.map((decision) => {
        const mark = marks[decision];
        return (
          <Row key={decision} $gap={2} style={{ marginTop: 8 }}>
            <Choice
              label={DECISION_WORDS[decision]}
              value={mark?.colour ?? ''}
              options={[['', say('no mark')], ...MARK_COLOURS.map((c) => [c, say(c)] as const)]}
              onChange={(colour) => set(decision, colour === '' ? undefined : { colour, place: mark?.place ?? 'back' })}
            />
            {mark ? (
              <Choice
                label={say('on the')}
                value={mark.place}
                options={MARK_PLACES.map((p) => [p, say(p)] as const)}
                onChange={(place) => set(decision, { ...mark, place })}
              />
            ) : null}
          </Row>
        );
      })}
      {problem ? <p role="alert">{problem}</p> : null}
    </Panel>
  );
}
