import { useQuery } from '@tanstack/react-query';
import type { ScorerBiasView, ScorerPairView, ScorersView } from '@yaylak/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { holdingQuery, scorersQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { Panel, Row, Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { useSaveHolding } from '../../parts/useSaveHolding';
import { AgreementPanel, type AgreementFigure } from '../../shared/agreement/AgreementPanel';
import { axisFigure, figureText } from '../../words/format';
import { say, fixedText, percentText } from '@yaylak/contract';

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
  const { first, second, pairs, bias } = pair;
  return (
    <AgreementPanel
      name={
        first === second
          ? say('{first}, the same animals twice', { first })
          : say('{first} and {second}', { first, second })
      }
      count={say('{n} {n, plural, one {animal} other {animals}}', { n: pairs.length })}
      of={{ ...pair, pairs: pairs.map(([a, b]) => ({ read: (a + b) / 2, difference: a - b })) }}
      look={{
        label: say('Differences of {n} animals against their mean score: bias {figure}', {
          n: pairs.length,
          figure: figureText(bias, 2),
        }),
        read: say('mean of the two scores'),
        readRange: { domain: [1, 5], ticks: [1, 2, 3, 4, 5] },
        reach: 2,
        step: 1,
        tick: axisFigure,
        digits: [2, 2],
      }}
      figures={figuresOf(pair)}
    />
  );
}

const figuresOf = ({
  first,
  second,
  bias,
  biasHalfWidth,
  limits,
  kappa,
  withinHalf,
}: ScorerPairView): AgreementFigure[] => [
  {
    name: first === second ? say('First less second time') : say('{first} less {second}', { first, second }),
    how: {
      of: say('Bias'),
      words: say(
        'Mean of the differences on the same animals of the same day; ± is how sure that is, four times out of five.',
      ),
    },
    value: `${signedScore(bias)}${biasHalfWidth === null ? '' : ` ± ${fixedText(biasHalfWidth, 2)}`}`,
  },
  {
    name: say('Limits of agreement'),
    how: {
      of: say('Limits of agreement'),
      words: say('Bias ± 1.96 standard deviations of the differences: 95 of 100 animals lie within.'),
    },
    value:
      limits === null
        ? say('one animal only')
        : say('{signedScore} to {signedScore2}', {
            signedScore: signedScore(limits[0]),
            signedScore2: signedScore(limits[1]),
          }),
  },
  {
    name: say('Weighted kappa'),
    how: {
      of: say('Weighted kappa'),
      words: say(
        'Agreement beyond chance, 1 being full; a miss by a whole score weighs four times one by half. Over 0.8 is very good, 0.6 to 0.8 good, under 0.4 poor (rule of thumb).',
      ),
    },
    value: kappa === null ? say('no answer: all scores are alike') : `${fixedText(kappa, 2)}, ${kappaWords(kappa)}`,
  },
  { name: say('Within half a score'), value: percentText(withinHalf) },
];

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
