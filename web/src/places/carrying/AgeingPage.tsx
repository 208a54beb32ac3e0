import { useQuery } from '@tanstack/react-query';
import { percentText, type AgeingView, say, fixedText } from '@yaylak/contract';
import { Link } from 'react-router';
import { ageingQuery } from '../../api/queries';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { Empty, Failed, Loading } from '../../parts/States';
import { AgreementPanel, type AgreementFigure } from '../../shared/agreement/AgreementPanel';
import { axisDays, figureText } from '../../words/format';

/** How well somebody who learns tells the age of young beside the scanner. */
export function AgeingPage() {
  const { data, error, refetch } = useQuery(ageingQuery);
  if (!data)
    return (
      <Page title={say('Ageing accuracy')}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={4} />}
      </Page>
    );
  const [first] = data;
  return (
    <Page
      title={say('Does the learner tell the same age?')}
      lead={first ? leadText(first) : say('Nobody has learnt beside a scanner yet.')}
      actions={
        <LinkButton as={Link} to="/carrying">
          {say('Back to Carrying')}
        </LinkButton>
      }
    >
      {data.length === 0 ? (
        <Empty title={say('No age was told by two')}>
          {say(
            'Name who learns at the station Scan or feel for young; what they say of each is held against the scanner here.',
          )}
        </Empty>
      ) : null}
      {data.map((a) => (
        <AgreementPanel
          key={`${a.learner} ${a.scanner}`}
          name={say('{learner} beside {scanner}', { learner: a.learner, scanner: a.scanner })}
          count={say('{n} {n, plural, one {young} other {young}}', { n: a.pairs.length })}
          of={{ ...a, pairs: a.pairs.map(([learner, scanner]) => ({ read: scanner, difference: learner - scanner })) }}
          look={{
            label: say('Differences of {n} ages: bias {figure} days', {
              n: a.pairs.length,
              figure: figureText(a.bias, 1),
            }),
            read: say('age by the scanner, days'),
            reach: 10,
            step: 5,
            near: CLOSE_DAYS,
            tick: axisDays,
            digits: [1, 0],
          }}
          figures={figuresOf(a)}
        />
      ))}
    </Page>
  );
}

const days = (n: number): string => say('{n} days', { n: fixedText(Math.abs(n), 1) });

const leadText = (a: AgeingView): string =>
  say('{learner} reads {days} {value}; {percent} of {n} are within five days.', {
    learner: a.learner,
    days: days(a.bias),
    value: a.bias >= 0 ? say('too old') : say('too young'),
    percent: percentText(a.withinFive),
    n: a.pairs.length,
  });

const CLOSE_DAYS = 5;

const figuresOf = (a: AgeingView): AgreementFigure[] => [
  {
    name: say('Reads'),
    how: {
      of: say('Bias'),
      words: say('Mean of {learner} less {scanner}, in days; ± is how sure that is, four times out of five.', {
        learner: a.learner,
        scanner: a.scanner,
      }),
    },
    value: `${days(a.bias)}${a.biasHalfWidth === null ? '' : ` ± ${fixedText(a.biasHalfWidth, 1)}`} ${
      a.bias >= 0 ? say('too old') : say('too young')
    }`,
  },
  {
    name: say('Strays by'),
    how: {
      of: say('Standard deviation'),
      words: say('Standard deviation of the differences: two of three fall within it of the mean.'),
    },
    value: a.sd === null ? say('one only') : days(a.sd),
  },
  {
    name: say('Limits'),
    how: {
      of: say('Limits of agreement'),
      words: say('Bias ± 1.96 standard deviations: 95 of 100 ages lie within.'),
    },
    value:
      a.limits === null
        ? say('one only')
        : say('{figure} to {figure2} days', {
            figure: figureText(a.limits[0], 0),
            figure2: figureText(a.limits[1], 0),
          }),
  },
  { name: say('Within five days'), value: percentText(a.withinFive) },
];
