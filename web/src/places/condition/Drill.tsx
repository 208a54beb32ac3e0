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
import { say, fixedText } from '@yaylak/contract';
import { Said } from '../../parts/Said';
import { writerOf } from '../../words/writer';

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
  const by = typedBy ?? writerOf(holding);
  const frame = useRef<HTMLFormElement>(null);
  const now = cases[answers.length];
  const lastAnswer = answers.at(-1);
  const last = DRILL_CASES.find((c) => c.id === lastAnswer?.caseId);
  // Focus is outside React: each case is answered from the keyboard.
  useEffect(() => frame.current?.querySelector<HTMLInputElement>('input[name=score]')?.focus(), [answers.length]);

  const answer = (): void => {
    const score = readTypedScore(typed);
    if (score.kind === 'refused' || !now)
      return setProblem(say('Type a score from 1 to 5, such as 2.5; a point alone after it is a half.'));
    setProblem(undefined);
    setTyped('');
    setAnswers([...answers, { caseId: now.id, score: score.score }]);
  };
  const keep = async (): Promise<void> => {
    if (!holding) return;
    try {
      const body = { id: newId(), on: holding.today, by: by.trim() || writerOf(holding), answers };
      client.setQueryData(drillsQuery.queryKey, await ask('/api/condition/drills', { method: 'POST', body }));
      setKeeping('kept');
    } catch (error) {
      setProblem(
        say('{message} The answers are still here; keep them again when it is back.', {
          message: (error as Error).message,
        }),
      );
    }
  };
  const result = drillResult(answers);
  return (
    <Panel aria-label={say('Drill')}>
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
              <Said
                text={'You said {score}; it is <0>{score2}</0>. {why}'}
                values={{ score: scoreText(lastAnswer.score), score2: scoreText(last.score), why: last.why }}
                parts={{ 0: <b /> }}
              />
            </NotePanel>
          ) : null}
          {now ? (
            <>
              <Small>{say('Case {n} of {n2}', { n: answers.length + 1, n2: cases.length })}</Small>
              <p style={{ fontSize: 18 }}>{now.words}</p>
              <Row style={{ alignItems: 'flex-end' }}>
                <Field
                  name="score"
                  label={say('Which score is that?')}
                  inputMode="decimal"
                  autoComplete="off"
                  value={typed}
                  onChange={setTyped}
                />
                <Button type="submit" kind="main">
                  {say('That is it')}
                </Button>
              </Row>
            </>
          ) : result ? (
            <>
              <h2>
                {say('{n} % within half a score{value}', {
                  n: Math.round(result.withinHalf * 100),
                  value:
                    result.kappa === undefined ? '' : say(', weighted kappa {n}', { n: fixedText(result.kappa, 2) }),
                })}
              </h2>
              <p>
                {say('{answered} cases; on average you scored {value}.', {
                  answered: result.answered,
                  value:
                    Math.abs(result.bias) < 0.05
                      ? say('true')
                      : say('{figure} too {value}', {
                          figure: figureText(Math.abs(result.bias), 2),
                          value: result.bias > 0 ? say('high') : say('low'),
                        }),
                })}
              </p>
              {keeping === 'kept' ? (
                <p role="status">{say('Kept under the name {by}.', { by })}</p>
              ) : (
                <Row style={{ alignItems: 'flex-end' }}>
                  <Field label={say('Whose hand')} value={by} onChange={setBy} />
                  <Button kind="main" onPress={() => void keep()}>
                    {say('Keep the result')}
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
