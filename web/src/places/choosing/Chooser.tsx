import { useQuery } from '@tanstack/react-query';
import type { ChoosingSet } from '@yaylak/contract';
import type { ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import { Tab, TabList, TabPanel, Tabs } from 'react-aria-components';
import styled from 'styled-components';
import { breedingProgressQuery } from '../../api/choosing';
import { Page } from '../../parts/Page';
import { NotePanel, Small } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { colour, phone, radius, space } from '../../theme/tokens';
import { dayAndHour } from '../../words/dates';
import { ChoiceStep } from './ChoiceStep';
import { choosable, countsOf } from './decisions';
import { EyeStep } from './EyeStep';
import { KinStep } from './KinStep';
import { NumbersStep } from './NumbersStep';
import { useChoosing, type Choosing } from './useChoosing';
import { say } from '@yaylak/contract';

interface Props {
  readonly set: ChoosingSet;
  readonly words: string;
  readonly picker: ReactNode;
}

const STEPS = ['eye', 'numbers', 'kin', 'choice'] as const;
type Step = (typeof STEPS)[number];

/** One set through its four steps. */
export function Chooser({ set, words, picker }: Props) {
  const choosing = useChoosing(set);
  const [params, setParams] = useSearchParams();
  const { view, error, onRetry, problem, waiting } = choosing;
  const title = say('Choosing: {words}', { words });
  if (!view)
    return (
      <Page title={title} actions={picker}>
        {error ? <Failed error={error} onRetry={onRetry} /> : <Working set={set} />}
      </Page>
    );
  const step = STEPS.find((s) => s === params.get('step')) ?? 'numbers';
  const notes = stepNotes(choosing);
  const shared = { choosing, view, set, words };
  return (
    <Page title={title} lead={<Lead choosing={choosing} />} actions={picker}>
      {problem ? (
        <NotePanel $tone="madder" role="alert">
          <p>{problem}</p>
        </NotePanel>
      ) : null}
      {waiting > 0 ? (
        <NotePanel $tone="weld" role="status">
          <p>
            {say(
              'The server is away. {waiting} {waiting, plural, one {change waits} other {changes wait}} here and will be sent when it is back. Leave this page open until then.',
              { waiting },
            )}
          </p>
        </NotePanel>
      ) : null}
      <Steps
        selectedKey={step}
        onSelectionChange={(next) => {
          params.set('step', String(next));
          setParams(params, { replace: true });
        }}
      >
        <Bar aria-label={say('Steps of choosing')} className="no-print">
          {STEPS.map((s) => (
            <StepTab key={s} id={s}>
              {STEP_WORDS[s]}
              <small>{notes[s]}</small>
            </StepTab>
          ))}
        </Bar>
        <Pane id="eye">
          <EyeStep {...shared} />
        </Pane>
        <Pane id="numbers">
          <NumbersStep {...shared} />
        </Pane>
        <Pane id="kin">
          <KinStep {...shared} />
        </Pane>
        <Pane id="choice">
          <ChoiceStep {...shared} />
        </Pane>
      </Steps>
    </Page>
  );
}

export interface StepProps {
  readonly choosing: Choosing;
  readonly view: NonNullable<Choosing['view']>;
  readonly set: ChoosingSet;
  /** The set in words. */
  readonly words: string;
}

const STEP_WORDS: Readonly<Record<Step, string>> = {
  eye: say('By eye'),
  numbers: say('By the numbers'),
  kin: say('Who is related'),
  choice: say('The choice'),
};

/** What each step says of itself. */
function stepNotes({ view }: Choosing): Readonly<Record<Step, string>> {
  if (!view) return { eye: '', numbers: '', kin: '', choice: '' };
  const all = choosable(view);
  const looked = all.filter((a) => a.eye.state !== 'not-looked').length;
  const counts = countsOf(all);
  const { keptIds } = view.kin;
  return {
    eye:
      looked === 0
        ? say('nobody looked at yet')
        : say('{looked} looked at, {n} fail', { looked, n: view.failed.length }),
    numbers: say('{n} ranked, keep {keep}', { n: view.rows.length, keep: view.lines.keep }),
    kin: view.isKinStale
      ? say('to be drawn again')
      : keptIds.length > 0
        ? say('{n} kept together', { n: keptIds.length })
        : say('plain order'),
    choice: say('{keep} keep, {second} second, {n} go', {
      keep: counts.keep,
      second: counts.second,
      n: counts.sell + counts.cull,
    }),
  };
}

/** Who was here last, and what is not ranked. */
function Lead({ choosing: { view } }: { readonly choosing: Choosing }) {
  if (!view) return null;
  const grey = view.rows.filter((r) => r.isGrey).length;
  return (
    <>
      {say('{count} {count, plural, one {animal} other {animals}}', { count: view.set.count })}
      {view.notRanked.length > 0
        ? say(', {n} too young or too little known to judge', { n: view.notRanked.length })
        : ''}
      {grey > 0 ? say('; {grey} too near a line to tell', { grey }) : ''}.{' '}
      {view.draft
        ? say('Last changed by {by}, {dayAndHour}.', {
            by: view.draft.by,
            dayAndHour: dayAndHour(view.draft.at, view.draft.at.slice(0, 10)),
          })
        : ''}
    </>
  );
}

/** The breeding values are being worked. */
function Working({ set }: { readonly set: ChoosingSet }) {
  const { data } = useQuery(breedingProgressQuery(set.species));
  return (
    <>
      {data?.isWorking ? (
        <Small role="status">
          {say('Working out breeding values: {done} of {of} traits done.', { done: data.done, of: data.of })}
        </Small>
      ) : null}
      <Loading rows={12} />
    </>
  );
}

/** The ring is of what has the focus in it, not of all the steps. */
const Steps = styled(Tabs)`
  &&[data-focus-visible] {
    outline: none;
  }
`;
const Bar = styled(TabList)`
  display: flex;
  flex-wrap: wrap;
  gap: 0;
  align-self: flex-start;
  width: fit-content;
  max-width: 100%;
  background: ${colour('panel')};
  border: 1px solid ${colour('line')};
  border-radius: ${radius};
  overflow: hidden;
  ${phone} {
    width: 100%;
  }
`;
const StepTab = styled(Tab)`
  min-height: 52px;
  padding: ${space(2)} ${space(4)};
  display: flex;
  flex-direction: column;
  cursor: pointer;
  font-weight: 600;
  border-right: 1px solid ${colour('line')};
  outline-offset: -3px;
  small {
    font-weight: 400;
    font-size: 13px;
    color: ${colour('inkSoft')};
  }
  &[data-selected] {
    background: ${colour('ink')};
    color: ${colour('panel')};
  }
  &[data-selected] small {
    color: ${colour('panel')};
  }
  ${phone} {
    flex: 1 1 45%;
  }
`;
const Pane = styled(TabPanel)`
  margin-top: ${space(4)};
  outline-offset: 4px;
`;
