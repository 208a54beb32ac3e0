import { useQuery } from '@tanstack/react-query';
import { percentText, type AgeingView } from '@yaylak/contract';
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
import { countText, figureText } from '../../words/format';

const AgeingPlot = lazy(async () => ({ default: (await import('./AgeingPlot')).AgeingPlot }));

/** How well somebody who learns tells the age of young beside the scanner. */
export function AgeingPage() {
  const { data, error, refetch } = useQuery(ageingQuery);
  if (!data)
    return (
      <Page title="Ageing accuracy">
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={4} />}
      </Page>
    );
  const [first] = data;
  return (
    <Page
      title="Does the learner tell the same age?"
      lead={first ? leadText(first) : 'Nobody has learnt beside a scanner yet.'}
      actions={
        <LinkButton as={Link} to="/carrying">
          Back to Carrying
        </LinkButton>
      }
    >
      {data.length === 0 ? (
        <Empty title="No age was told by two">
          Name who learns at the station Scan or feel for young; what they say of each is held against the scanner here.
        </Empty>
      ) : null}
      {data.map((a) => (
        <Panel key={`${a.learner} ${a.scanner}`} aria-label={`${a.learner} beside ${a.scanner}`}>
          <h2>
            {a.learner} beside {a.scanner} ({countText(a.pairs.length, 'young', 'young')})
          </h2>
          <Two>
            <Suspense fallback={<div style={{ height: 240 }} />}>
              <AgeingPlot ages={a} />
            </Suspense>
            <dl>
              <div>
                <dt>
                  Reads
                  <How of="Bias">
                    <p>
                      Mean of {a.learner} less {a.scanner}, in days; ± is how sure that is, four times out of five.
                    </p>
                  </How>
                </dt>
                <dd>
                  {days(a.bias)}
                  {a.biasHalfWidth === null ? '' : ` ± ${a.biasHalfWidth.toFixed(1)}`}{' '}
                  {a.bias >= 0 ? 'too old' : 'too young'}
                </dd>
              </div>
              <div>
                <dt>
                  Strays by
                  <How of="Standard deviation">
                    <p>Standard deviation of the differences: two of three fall within it of the mean.</p>
                  </How>
                </dt>
                <dd>{a.sd === null ? 'one only' : days(a.sd)}</dd>
              </div>
              <div>
                <dt>
                  Limits
                  <How of="Limits of agreement">
                    <p>Bias ± 1.96 standard deviations: 95 of 100 ages lie within.</p>
                  </How>
                </dt>
                <dd>
                  {a.limits === null
                    ? 'one only'
                    : `${figureText(a.limits[0], 0)} to ${figureText(a.limits[1], 0)} days`}
                </dd>
              </div>
              <div>
                <dt>Within five days</dt>
                <dd>{percentText(a.withinFive)}</dd>
              </div>
            </dl>
          </Two>
        </Panel>
      ))}
    </Page>
  );
}

const days = (n: number): string => `${Math.abs(n).toFixed(1)} days`;

const leadText = (a: AgeingView): string =>
  `${a.learner} reads ${days(a.bias)} ${a.bias >= 0 ? 'too old' : 'too young'}; ${percentText(a.withinFive)} of ${a.pairs.length} are within five days.`;

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
