import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { DrillAnswer } from '@yaylak/contract';
import { DRILL_CASES, drillResult, readTypedScore, type DrillCase, type Species } from '@yaylak/core';
import { useEffect, useRef, useState } from 'react';
import { ask } from '../../api/client';
import { drillsQuery, holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { NotePanel, Panel, Row, Small, Stack } from '../../parts/Panel';
import { scoreText } from '../../words/condition';
import { figureText } from '../../words/format';
import { newId } from '../../words/ids';

interface Props {
  readonly species: Species;
  /** Which drill of this visit: the order of the cases follows from it. */
  readonly turn: number;
}

/** The cases of a species in an order that changes from drill to drill. */
export function casesFor(species: Species, turn: number): DrillCase[] {
  const own = DRILL_CASES.filter((c) => c.species.includes(species));
  // A step that shares no divisor with the number of cases goes round all of them.
  const step = [7, 5, 3, 11].find((s) => own.length % s !== 0) ?? 1;
  return own.map((_, i) => own[(i * step + turn * 3) % own.length] as DrillCase);
}

/** Written cases one by one, and the result kept at the end. */
export function Drill({ species, turn }: Props) {
  const { data: holding } = useQuery(holdingQuery);
  const client = useQueryClient();
  const [cases] = useState(() => casesFor(species, turn));
  const [answers, setAnswers] = useState<readonly DrillAnswer[]>([]);
  const [typed, setTyped] = useState('');
  const [typedBy, setBy] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const [keeping, setKeeping] = useState<'no' | 'kept'>('no');
  const by = typedBy ?? holding?.keeper ?? '';
  const frame = useRef<HTMLFormElement>(null);
  const now = cases[answers.length];
  const lastAnswer = answers.at(-1);
  const last = DRILL_CASES.find((c) => c.id === lastAnswer?.caseId);
  // Focus is outside React: each case is answered from the keyboard.
  useEffect(() => frame.current?.querySelector<HTMLInputElement>('input[name=score]')?.focus(), [answers.length]);

  const answer = (): void => {
    const score = readTypedScore(typed);
    if (score.kind === 'refused' || !now)
      return setProblem('Type a score from 1 to 5, such as 2.5; a point alone after it is a half.');
    setProblem(undefined);
    setTyped('');
    setAnswers([...answers, { caseId: now.id, score: score.score }]);
  };
  const keep = async (): Promise<void> => {
    if (!holding) return;
    try {
      const body = { id: newId(), on: holding.today, by: by.trim() || holding.keeper, answers };
      client.setQueryData(drillsQuery.queryKey, await ask('/api/condition/drills', { method: 'POST', body }));
      setKeeping('kept');
    } catch (error) {
      setProblem(`${(error as Error).message} The answers are still here; keep them again when it is back.`);
    }
  };
  const result = drillResult(answers);
  return (
    <Panel aria-label="Drill">
      <form
        ref={frame}
        onSubmit={(e) => {
          e.preventDefault();
          if (now) answer();
        }}
      >
        <Stack>
          {last && lastAnswer ? (
            <NotePanel $tone={Math.abs(last.score - lastAnswer.score) <= 0.5 ? 'moss' : 'weld'} role="status">
              You said {scoreText(lastAnswer.score)}; it is <b>{scoreText(last.score)}</b>. {last.why}
            </NotePanel>
          ) : null}
          {now ? (
            <>
              <Small>
                Case {answers.length + 1} of {cases.length}
              </Small>
              <p style={{ fontSize: 18 }}>{now.words}</p>
              <Row style={{ alignItems: 'flex-end' }}>
                <Field
                  name="score"
                  label="Which score is that?"
                  inputMode="decimal"
                  autoComplete="off"
                  value={typed}
                  onChange={setTyped}
                />
                <Button type="submit" kind="main">
                  That is it
                </Button>
              </Row>
            </>
          ) : result ? (
            <>
              <h2>
                {Math.round(result.withinHalf * 100)} % within half a score
                {result.kappa === undefined ? '' : `, weighted kappa ${result.kappa.toFixed(2)}`}
              </h2>
              <p>
                {result.answered} cases; on average you scored{' '}
                {Math.abs(result.bias) < 0.05
                  ? 'true'
                  : `${figureText(Math.abs(result.bias), 2)} too ${result.bias > 0 ? 'high' : 'low'}`}
                .
              </p>
              {keeping === 'kept' ? (
                <p role="status">Kept under the name {by}.</p>
              ) : (
                <Row style={{ alignItems: 'flex-end' }}>
                  <Field label="Whose hand" value={by} onChange={setBy} />
                  <Button kind="main" onPress={() => void keep()}>
                    Keep the result
                  </Button>
                </Row>
              )}
            </>
          ) : null}
          {problem ? <p role="alert">{problem}</p> : null}
        </Stack>
      </form>
    </Panel>
  );
}
