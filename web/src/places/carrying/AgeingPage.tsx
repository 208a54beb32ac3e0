import { useQuery } from '@tanstack/react-query';
import { percentText, type AgeingView, say, fixedText } from '@yaylak/contract';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { ageingQuery } from '../../api/queries';
import { How } from '../../parts/How';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { Panel } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { narrow, space } from '../../theme/tokens';
import { figureText } from '../../words/format';

const AgeingPlot = lazy(async () => ({ default: (await import('./AgeingPlot')).AgeingPlot }));

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
        <Panel
          key={`${a.learner} ${a.scanner}`}
          aria-label={say('{learner} beside {scanner}', { learner: a.learner, scanner: a.scanner })}
        >
          <h2>
            {say('{learner} beside {scanner} ({n} {n, plural, one {young} other {young}})', {
              learner: a.learner,
              scanner: a.scanner,
              n: a.pairs.length,
            })}
          </h2>
          <Two>
            <Suspense fallback={<div style={{ height: 240 }} />}>
              <AgeingPlot ages={a} />
            </Suspense>
            <dl>
              <div>
                <dt>
                  {say('Reads')}
                  <How of={say('Bias')}>
                    <p>
                      {say(
                        'Mean of {learner} less {scanner}, in days; ± is how sure that is, four times out of five.',
                        { learner: a.learner, scanner: a.scanner },
                      )}
                    </p>
                  </How>
                </dt>
                <dd>
                  {days(a.bias)}
                  {a.biasHalfWidth === null ? '' : ` ± ${fixedText(a.biasHalfWidth, 1)}`}{' '}
                  {a.bias >= 0 ? say('too old') : say('too young')}
                </dd>
              </div>
              <div>
                <dt>
                  {say('Strays by')}
                  <How of={say('Standard deviation')}>
                    <p>{say('Standard deviation of the differences: two of three fall within it of the mean.')}</p>
                  </How>
                </dt>
                <dd>{a.sd === null ? say('one only') : days(a.sd)}</dd>
              </div>
              <div>
                <dt>
                  {say('Limits')}
                  <How of={say('Limits of agreement')}>
                    <p>{say('Bias ± 1.96 standard deviations: 95 of 100 ages lie within.')}</p>
                  </How>
                </dt>
                <dd>
                  {a.limits === null
                    ? say('one only')
                    : say('{figure} to {figure2} days', {
                        figure: figureText(a.limits[0], 0),
                        figure2: figureText(a.limits[1], 0),
                      })}
                </dd>
              </div>
              <div>
                <dt>{say('Within five days')}</dt>
                <dd>{percentText(a.withinFive)}</dd>
              </div>
            </dl>
          </Two>
        </Panel>
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

const Two = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 220px;
  gap: ${space(5)};
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
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
