import { useQuery } from '@tanstack/react-query';
import type { ScorerBiasView, ScorerPairView, ScorersView } from '@yaylak/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { holdingQuery, scorersQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { How } from '../../parts/How';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { Panel, Row, Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { useSaveHolding } from '../../parts/useSaveHolding';
import { space } from '../../theme/tokens';
import { figureText } from '../../words/format';
import { AgreementPlot } from './AgreementPlot';
import { say, fixedText } from '@yaylak/contract';

/** How the hands that score differ, and whose scores are set right. */
export function ScorersPage() {
  const { data, error, refetch } = useQuery(scorersQuery);
  if (!data)
    return (
      <Page title={say('Scorers')}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}
      </Page>
    );
  const between = data.pairs.filter((p) => p.first !== p.second);
  const again = data.pairs.filter((p) => p.first === p.second);
  return (
    <Page
      title={say('Do our hands feel the same?')}
      lead={lead(data)}
      actions={
        <LinkButton as={Link} to="/condition">
          {say('Back to Condition')}
        </LinkButton>
      }
      aside={<SetRight data={data} />}
    >
      {data.pairs.length === 0 ? (
        <Empty title={say('No animal was felt twice on a day')}>
          {say(
            'Give two names at the station Score condition, or let an animal through a second time: from eight animals on it can be said how two hands differ.',
          )}
        </Empty>
      ) : null}
      {[...between, ...again].map((p) => (
        <PairPanel key={`${p.first} ${p.second}`} pair={p} />
      ))}
    </Page>
  );
}

function lead({ scorers, pairs }: ScorersView): string {
  const names = scorers.map((s) => `${s.name} ${s.scores}`).join(', ');
  return scorers.length === 0
    ? say('Nobody has scored yet.')
    : say('Scores so far: {names}. {n} {n, plural, one {comparison} other {comparisons}}.', { names, n: pairs.length });
}

const signedScore = (bias: number): string => `${bias > 0 ? '+' : ''}${figureText(bias, 2)}`;

function PairPanel({ pair }: { readonly pair: ScorerPairView }) {
  const { first, second, pairs, bias, biasHalfWidth, limits, kappa, withinHalf } = pair;
  const isAgain = first === second;
  const name = isAgain
    ? say('{first}, the same animals twice', { first })
    : say('{first} and {second}', { first, second });
  return (
    <Panel aria-label={name}>
      <h2>
        {name} ({say('{n} {n, plural, one {animal} other {animals}}', { n: pairs.length })})
      </h2>
      <Two>
        <AgreementPlot pair={pair} />
        <dl>
          <div>
            <dt>
              {isAgain ? say('First less second time') : say('{first} less {second}', { first, second })}
              <How of={say('Bias')}>
                <p>
                  {say(
                    'Mean of the differences on the same animals of the same day; ± is how sure that is, four times out of five.',
                  )}
                </p>
              </How>
            </dt>
            <dd>
              {signedScore(bias)}
              {biasHalfWidth === null ? '' : ` ± ${fixedText(biasHalfWidth, 2)}`}
            </dd>
          </div>
          <div>
            <dt>
              {say('Limits of agreement')}
              <How of={say('Limits of agreement')}>
                <p>{say('Bias ± 1.96 standard deviations of the differences: 95 of 100 animals lie within.')}</p>
              </How>
            </dt>
            <dd>
              {limits === null
                ? say('one animal only')
                : say('{signedScore} to {signedScore2}', {
                    signedScore: signedScore(limits[0]),
                    signedScore2: signedScore(limits[1]),
                  })}
            </dd>
          </div>
          <div>
            <dt>
              {say('Weighted kappa')}
              <How of={say('Weighted kappa')}>
                <p>
                  {say(
                    'Agreement beyond chance, 1 being full; a miss by a whole score weighs four times one by half. Over 0.8 is very good, 0.6 to 0.8 good, under 0.4 poor (rule of thumb).',
                  )}
                </p>
              </How>
            </dt>
            <dd>
              {kappa === null ? say('no answer: all scores are alike') : `${fixedText(kappa, 2)}, ${kappaWords(kappa)}`}
            </dd>
          </div>
          <div>
            <dt>{say('Within half a score')}</dt>
            <dd>{Math.round(withinHalf * 100)} %</dd>
          </div>
        </dl>
      </Two>
    </Panel>
  );
}

const kappaWords = (kappa: number): string =>
  kappa > 0.8 ? say('very good') : kappa > 0.6 ? say('good') : kappa > 0.4 ? say('fair') : say('poor');

/** The hand the others are held against, and who is set right by it. */
function SetRight({ data }: { readonly data: ScorersView }) {
  const { data: holding } = useQuery(holdingQuery);
  const save = useSaveHolding();
  const [problem, setProblem] = useState<string>();
  if (!holding || data.scorers.length < 2) return null;
  const { setRight } = holding.scorers;
  const keep = async (reference: string | null, names: readonly string[]): Promise<void> =>
    setProblem(await save({ scorers: { ...(reference === null ? {} : { reference }), setRight: [...names] } }));
  const toggle = (b: ScorerBiasView): Promise<void> =>
    keep(data.reference, b.isSetRight ? setRight.filter((n) => n !== b.by) : [...setRight, b.by]);
  return (
    <Panel>
      <h2>{say('Corrections')}</h2>
      <Choice
        label={say('Held against the hand of')}
        value={data.reference ?? ''}
        options={data.scorers.map((s) => [s.name, s.name])}
        onChange={(reference) => void keep(reference, setRight)}
      />
      {data.biases.map((b) => (
        <div key={b.by} style={{ marginTop: 12 }}>
          <b>
            {say('{by} scores {value}', {
              by: b.by,
              value:
                b.bias === 0
                  ? say('the same')
                  : `${fixedText(Math.abs(b.bias), 2)} ${b.bias > 0 ? say('higher') : say('lower')}`,
            })}
          </b>
          <Small>
            {say('{value}{pairs} {pairs, plural, one {animal} other {animals}} felt by both{value2}.', {
              value: b.halfWidth === null ? '' : `± ${fixedText(b.halfWidth, 2)}, `,
              pairs: b.pairs,
              value2: b.isUsable
                ? ''
                : say('; from {pairsNeeded} on it can be corrected', { pairsNeeded: data.pairsNeeded }),
            })}
          </Small>
          {b.isUsable ? (
            <Row>
              <Button onPress={() => void toggle(b)}>
                {b.isSetRight
                  ? say('Take {by}’s scores as they are', { by: b.by })
                  : say('Correct {by}’s scores', { by: b.by })}
              </Button>
            </Row>
          ) : null}
        </div>
      ))}
      {problem ? <p role="alert">{problem}</p> : null}
      <Small style={{ marginTop: 8 }}>
        {say(
          'What was felt stays in the book; wherever it is shown or reckoned with, the bias is taken off and “corrected” stands beside it.',
        )}
      </Small>
    </Panel>
  );
}

const Two = styled.div`
  display: grid;
  grid-template-columns: minmax(260px, 420px) minmax(220px, 1fr);
  gap: ${space(5)};
  margin-top: ${space(2)};
  dl {
    margin: 0;
    display: flex;
    flex-direction: column;
    gap: ${space(3)};
  }
  dd {
    margin: 0;
    font-weight: 700;
    font-size: 17px;
  }
`;
