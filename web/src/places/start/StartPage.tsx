import { useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { holdingQuery, rosterQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Page } from '../../parts/Page';
import { Panel, Small } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { NumbersToCome } from '../../shared/tags/NumbersToCome';
import { colour, narrow, radius, space, touch } from '../../theme/tokens';
import { AboutStep } from './AboutStep';
import { AnimalsStep } from './AnimalsStep';
import { FoundStep } from './FoundStep';
import { nextStep, STEP_WORDS, STEPS, stepsDone, type StepId } from './steps';
import { WeighStep } from './WeighStep';
import { say } from '@yaylak/contract';

/** An empty book leads: five short steps, in whatever order, left and gone on with at any time. */
export function StartPage() {
  const { data: holding, error, refetch } = useQuery(holdingQuery);
  const { data: roster } = useQuery(rosterQuery);
  const [params, setParams] = useSearchParams();
  if (!holding || !roster)
    return (
      <Page title={say('First steps')}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}
      </Page>
    );
  const here = roster.animals.length;
  const weighed = roster.animals.filter((a) => a.weights.length > 0).length;
  const done = stepsDone({ name: holding.name, keeper: holding.keeper, animals: here, weighed });
  const at = STEPS.find((s) => s === params.get('step')) ?? nextStep(done);
  const go = (step: StepId): void => setParams({ step });
  const after = (): void => go(STEPS[STEPS.indexOf(at) + 1] ?? 'found');
  return (
    <Page
      title={say('First steps')}
      lead={say('About ten minutes. Leave whenever you like: what is done stays, and you go on from there.')}
    >
      <Frame>
        <Steps aria-label={say('Steps')}>
          {STEPS.map((step, i) => (
            <li key={step}>
              <button type="button" aria-current={step === at ? 'step' : undefined} onClick={() => go(step)}>
                <b aria-hidden>{done.has(step) ? '✓' : i + 1}</b>
                <span>
                  {STEP_WORDS[step]}
                  {done.has(step) ? <span className="unseen">{say(', done')}</span> : null}
                </span>
              </button>
            </li>
          ))}
        </Steps>
        <Panel aria-label={STEP_WORDS[at]}>
          <h2>{STEP_WORDS[at]}</h2>
          <Body>
            {at === 'about' ? <AboutStep holding={holding} onDone={after} /> : null}
            {at === 'numbers' ? (
              <>
                <Small>
                  {say(
                    'New animals get the next free number. If yours have numbers already, keep the way they are made.',
                  )}
                </Small>
                <Numbers>
                  <NumbersToCome />
                </Numbers>
                <div>
                  <Button kind="main" onPress={after}>
                    {say('Go on')}
                  </Button>
                </div>
              </>
            ) : null}
            {at === 'animals' ? <AnimalsStep holding={holding} here={here} onDone={after} /> : null}
            {at === 'weigh' ? <WeighStep weighed={weighed} onDone={after} /> : null}
            {at === 'found' ? <FoundStep holding={holding} /> : null}
          </Body>
        </Panel>
      </Frame>
    </Page>
  );
}

const Frame = styled.div`
  display: grid;
  grid-template-columns: 230px minmax(0, 1fr);
  gap: ${space(4)};
  align-items: start;
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Steps = styled.ol`
  list-style: none;
  margin: 0;
  padding: 0;
  button {
    display: flex;
    align-items: center;
    gap: ${space(3)};
    width: 100%;
    min-height: ${touch};
    padding: ${space(1)} ${space(2)};
    border: 0;
    border-radius: ${radius};
    background: none;
    text-align: left;
    cursor: pointer;
  }
  button[aria-current] {
    background: ${colour('panel')};
    font-weight: 700;
  }
  b {
    flex: none;
    display: grid;
    place-items: center;
    width: 28px;
    height: 28px;
    border-radius: 50%;
    border: 1px solid ${colour('lineStrong')};
  }
`;
const Numbers = styled.div`
  max-width: 440px;
`;
const Body = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${space(4)};
  margin-top: ${space(3)};
`;
