import { useQuery, useQueryClient } from '@tanstack/react-query';
import { factsOf, planOf, stepName, type PlanView, say, lower } from '@yaylak/contract';
import { dayOf, isoOf, movesWith, moveStep, nextPlan, type PlanStep } from '@yaylak/core';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { ask } from '../../api/client';
import { holdingQuery } from '../../api/queries';
import { readAgain } from '../../api/readAgain';
import { BandKey } from '../../parts/BandKey';
import { Button } from '../../parts/Button';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { Panel, Row, Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { useUndo } from '../../parts/Undo';
import { useNewKey } from '../../parts/useWindowKey';
import { useSavePlans } from '../../shared/season/useSavePlans';
import { fullDate, shortDate } from '../../words/dates';
import { newId } from '../../words/ids';
import { BirthsChart } from './BirthsChart';
import { CalendarSheet } from './CalendarSheet';
import { Clashes } from './Clashes';
import { PlanChoice } from './PlanChoice';
import { PlanSheet } from './PlanSheet';
import { ResourcesSheet } from './ResourcesSheet';
import { RhythmSheet } from './RhythmSheet';
import { StepRows } from './StepRows';
import { useYear, type PlanOnPage } from './useYear';
import { Said } from '../../parts/Said';
import { HistoryButton } from '../../shared/history/HistoryButton';

type Open = 'new' | 'change' | 'resources' | 'rhythm' | 'calendar' | undefined;

/** The year planned back from the births: every step a window that can be moved, and what then no longer fits. */
export function YearPage() {
  const { season, plans, clashes, moving, setMoving } = useYear();
  const { data: holding } = useQuery(holdingQuery);
  const [search, setSearch] = useSearchParams();
  const [open, setOpen] = useState<Open>();
  const [problem, setProblem] = useState<string>();
  const [unsaved, setUnsaved] = useState<PlanStep>();
  const save = useSavePlans();
  const undo = useUndo();
  const client = useQueryClient();
  useNewKey(() => setOpen('new'));
  if (!season.data || !holding)
    return (
      <Page title={say('Year plan')}>
        {season.error ? <Failed error={season.error} onRetry={() => void season.refetch()} /> : <Loading />}
      </Page>
    );
  const today = dayOf(season.data.on);
  const chosen =
    plans.find((p) => p.view.id === search.get('plan')) ??
    plans.find((p) => isAhead(p, 'mating', today)) ??
    plans.find((p) => isAhead(p, 'births', today)) ??
    plans[0];
  const choose = (id: string): void => setSearch({ plan: id }, { replace: true });

  const letGo = async (step: PlanStep): Promise<void> => {
    const page = plans.find((p) => p.view.id === moving?.planId);
    if (!moving || !page) return;
    const before = page.view.facts;
    const facts = factsOf(moving.plan);
    if (JSON.stringify(before) === JSON.stringify(facts)) return setMoving(undefined);
    const now = page.steps.find((s) => s.key === step.key);
    const others = movesWith(step, page.steps, moving.plan).size - 1;
    const name = stepName(step, before);
    const to = now
      ? ` ${say('to {date}', { date: shortDate(isoOf(now.isStretch ? now.window.opens : now.window.bestFrom)) })}`
      : '';
    const along =
      others > 0 ? say('; {others} {others, plural, one {date} other {dates}} moved with it', { others }) : '';
    const wrong = await save(
      [{ plan: page.view, facts }],
      say('Moved: {word}{to}{along}', { word: lower(name), to, along }),
    );
    setProblem(wrong?.message);
    // What could not be sent stays as it was moved, to be sent again.
    setUnsaved(wrong?.isAway ? step : undefined);
    if (!wrong?.isAway) setMoving(undefined);
  };
  const done = async ({ view }: PlanOnPage, step: PlanStep): Promise<void> => {
    const { [step.key]: doneOn, ...rest } = view.facts.done;
    const facts = { ...view.facts, done: doneOn ? rest : { ...rest, [step.key]: season.data?.on ?? '' } };
    const name = stepName(step, view.facts);
    const wrong = await save(
      [{ plan: view, facts }],
      doneOn ? say('Not done: {word}', { word: lower(name) }) : say('Done: {word}', { word: lower(name) }),
    );
    setProblem(wrong?.message);
  };
  const next = async ({ plan }: PlanOnPage): Promise<void> => {
    const id = newId();
    try {
      await ask<PlanView>('/api/season/plans', {
        method: 'POST',
        body: { id, ...factsOf(nextPlan(plan, holding.species[plan.species])) },
      });
      await readAgain(client);
      choose(id);
      undo.offer({
        done: say('Made the plan of the next year'),
        undo: async () => {
          await ask(`/api/season/plans/${id}`, { method: 'DELETE' });
          await readAgain(client);
        },
      });
    } catch (error) {
      setProblem((error as Error).message);
    }
  };

  return (
    <Page
      title={say('Does the year fit?')}
      lead={
        plans.length === 0
          ? say('No plan yet.')
          : clashes.length === 0
            ? say('{n} {n, plural, one {plan} other {plans}}, and nothing stands against them.', { n: plans.length })
            : say('{n} {n, plural, one {thing does} other {things do}} not fit.', { n: clashes.length })
      }
      actions={
        <>
          <Button onPress={() => setOpen('rhythm')}>{say('Rhythms')}</Button>
          <Button onPress={() => setOpen('resources')}>{say('Labour, pens and feed')}</Button>
          <Button onPress={() => setOpen('calendar')}>{say('Calendar')}</Button>
          <LinkButton as={Link} to="/year/sheet?of=year">
            {say('Print')}
          </LinkButton>
          <Button kind="main" onPress={() => setOpen('new')}>
            {say('New plan')}
          </Button>
        </>
      }
      aside={
        <>
          <Clashes clashes={clashes} plans={plans.map((p) => p.view)} onChoose={choose} />
          <Panel>
            <h2>{say('The band above')}</h2>
            <BandKey />
          </Panel>
          {chosen ? <BirthsChart page={chosen} pens={holding.resources.birthPens} /> : null}
          {chosen ? <Compared page={chosen} onNext={() => void next(chosen)} /> : null}
        </>
      }
    >
      {plans.length === 0 ? (
        <Empty
          title={say('Plan back from the births')}
          action={
            <Button kind="main" onPress={() => setOpen('new')}>
              {say('New plan')}
            </Button>
          }
        >
          {say(
            'Say when the first young are wanted: males in and out, flushing, scoring, tests and weaning follow, and what is due comes to Today.',
          )}
        </Empty>
      ) : (
        <PlanChoice plans={plans} chosen={chosen?.view.id} clashes={clashes} today={today} onChoose={choose} />
      )}
      {problem ? (
        <Row>
          <p role="alert">{problem}</p>
          {unsaved ? <Button onPress={() => void letGo(unsaved)}>{say('Save again')}</Button> : null}
        </Row>
      ) : null}
      {chosen ? (
        <Panel>
          <Row style={{ justifyContent: 'space-between' }}>
            <h2>
              {chosen.view.facts.name}
              {chosen.view.groupName ? `, ${chosen.view.groupName}` : ''}
            </h2>
            <Row>
              <Small>{say('Drag a bar, or use the arrow keys on it.')}</Small>
              <HistoryButton what="plan" thingId={chosen.view.id} name={chosen.view.facts.name} />
              <Button onPress={() => setOpen('change')}>{say('Change the plan')}</Button>
            </Row>
          </Row>
          <StepRows
            page={chosen}
            today={today}
            clashes={clashes.filter((c) => c.planId === chosen.view.id)}
            onMove={(step, days) =>
              setMoving({ planId: chosen.view.id, plan: moveStep(planOf(chosen.view.facts), step, days) })
            }
            onLetGo={(step) => void letGo(step)}
            onGiveUp={() => setMoving(undefined)}
            onDone={(step) => void done(chosen, step)}
          />
        </Panel>
      ) : null}
      {open === 'new' && holding ? <PlanSheet onClose={() => setOpen(undefined)} onKept={choose} /> : null}
      {open === 'change' && chosen ? (
        <PlanSheet view={chosen.view} onClose={() => setOpen(undefined)} onKept={choose} />
      ) : null}
      {open === 'resources' ? <ResourcesSheet holding={holding} onClose={() => setOpen(undefined)} /> : null}
      {open === 'rhythm' ? <RhythmSheet holding={holding} onClose={() => setOpen(undefined)} /> : null}
      {open === 'calendar' ? (
        <CalendarSheet holding={holding} calendarKey={season.data.calendarKey} onClose={() => setOpen(undefined)} />
      ) : null}
    </Page>
  );
}

/** The first of its kind in the plan is still to come. */
const isAhead = ({ steps }: PlanOnPage, kind: PlanStep['kind'], today: number): boolean =>
  (steps.find((s) => s.kind === kind)?.window.opens ?? 0) >= today;

/** What was planned against what happened, and the plan of the next year from it. */
function Compared({ page, onNext }: { readonly page: PlanOnPage; readonly onNext: () => void }) {
  const { view, steps } = page;
  const rows = steps.flatMap((s) => {
    const happened = view.happened[s.key];
    return happened ? [{ step: s, happened }] : [];
  });
  return (
    <Panel>
      <h2>{say('Planned and happened')}</h2>
      {rows.length === 0 ? <Small>{say('Nothing of this plan has happened yet.')}</Small> : null}
      {rows.map(({ step, happened }) => {
        const off = dayOf(happened.from) - step.window.bestFrom;
        return (
          <div key={step.key} style={{ marginTop: 8 }}>
            <Said
              text={'<0>{stepName}</0>: {date}{value}, {head} head'}
              values={{
                stepName: stepName(step, view.facts),
                date: fullDate(happened.from),
                value: happened.to === happened.from ? '' : ` ${say('to {date}', { date: shortDate(happened.to) })}`,
                head: happened.head,
              }}
              parts={{ 0: <b /> }}
            />
            <Small>
              {off === 0
                ? say('on the day planned')
                : say('{abs} {abs, plural, one {day} other {days}} {value} the best day planned', {
                    abs: Math.abs(off),
                    value: off > 0 ? say('after') : say('before'),
                  })}
            </Small>
          </div>
        );
      })}
      <Button style={{ marginTop: 12 }} onPress={onNext}>
        {page.plan.kind === 'season' ? say('Plan the next year from it') : say('Plan on from its last litter')}
      </Button>
    </Panel>
  );
}
