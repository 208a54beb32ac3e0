import { useQuery } from '@tanstack/react-query';
import { SHIPPED_TEMPLATES, say } from '@yaylak/contract';
import { useMemo, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import { holdingQuery, rosterQuery } from '../../api/queries';
import { useJobs } from '../../shared/jobs/useJobs';
import { useStartJob } from '../../shared/jobs/useStartJob';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { Page } from '../../parts/Page';
import { NotePanel, Panel, Row, Small, Stack } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { Tag } from '../../parts/Tag';
import { useUnsaved } from '../../parts/unsaved';
import { useNewKey } from '../../parts/useWindowKey';
import { colour, space } from '../../theme/tokens';
import { shortDate } from '../../words/dates';
import { KeepTemplate } from './KeepTemplate';
import { planFault, planToStart, withNextTube, type JobPlan } from './plan';
import { PlanFields } from './PlanFields';
import { WhoComes } from './WhoComes';
import { whoSets } from './whoSets';
import { writerOf } from '../../words/writer';

/** What another place hands over to start a job with. */
export interface GivenJob {
  readonly animalIds?: readonly string[];
  readonly name?: string;
  readonly templateId?: string;
  readonly plan?: JobPlan;
}

const MOST_SHOWN = 60;
const START = 'start-job';
/** Choose who comes, and what is done; jobs that are not finished stand beside. */
export function StartPage() {
  const roster = useQuery({ ...rosterQuery, staleTime: 0 });
  const { data: holding } = useQuery(holdingQuery);
  const jobs = useJobs();
  const navigate = useNavigate();
  const startJob = useStartJob();
  const given = useLocation().state as GivenJob | null;
  const sets = useMemo(
    () => whoSets(roster.data?.animals ?? [], holding?.today ?? '', given),
    [roster.data, holding?.today, given],
  );
  const [chosen, setChosen] = useState<string>();
  const [name, setName] = useState<string>();
  const [templateId, setTemplateId] = useState(given?.templateId ?? (given?.plan ? '' : 'weigh'));
  const templates = roster.data?.templates ?? SHIPPED_TEMPLATES;
  const [ownPlan, setOwnPlan] = useState<JobPlan>();
  const lastTubes = roster.data?.lastTubes ?? {};
  // A job handed over stands for a template: its tubes go on from the last one as well.
  const template = templates.find((t) => t.id === templateId) ?? given?.plan ?? (SHIPPED_TEMPLATES[0] as JobPlan);
  const plan = ownPlan ?? withNextTube(template, lastTubes);
  const [typedBy, setStartedBy] = useState<string>();
  const [forDay, setForDay] = useState<string>();
  const startedBy = typedBy ?? writerOf(holding);
  const [problem, setProblem] = useState<string>();
  const who = sets.find((s) => s.key === chosen) ?? sets[0];
  const animals = useMemo(() => new Map(roster.data?.animals.map((a) => [a.tag.animalId, a])), [roster.data]);
  const [own, setOwn] = useState<readonly string[]>();
  const [isChoosing, setChoosing] = useState(false);
  const coming = own?.flatMap((id) => animals.get(id) ?? []) ?? who?.animals ?? [];
  const shownName = name ?? (who ? (given?.name ?? who.words.replace(/ \(\d+\)$/, '')) : '');

  const saved = useUnsaved(ownPlan !== undefined || own !== undefined || name !== undefined);

  const setPlan = (next: JobPlan): void => {
    setProblem(undefined);
    setOwnPlan(next);
  };
  /** Stations ticked or moved: what is done is no longer what the template says. */
  const change = (next: JobPlan): void => {
    setTemplateId('');
    const isNew = next.stations.includes('sample') && !plan.stations.includes('sample');
    setPlan(isNew ? withNextTube(next, lastTubes) : next);
  };
  const choose = (id: string): void => {
    setTemplateId(id);
    setOwnPlan(id === '' ? { stations: plan.stations, settings: plan.settings, gates: plan.gates } : undefined);
    setProblem(undefined);
  };

  const start = async (): Promise<void> => {
    if (!holding) return;
    if (coming.length === 0) return setProblem(say('Nobody is on the list. Add the animals that come.'));
    const fault = planFault(plan);
    if (fault) return setProblem(fault);
    if (forDay !== undefined && (forDay === '' || forDay > holding.today))
      return setProblem(say('Day: enter today or an earlier day.'));
    saved();
    const problemFound = await startJob({
      name: shownName.trim() || say('Weighing'),
      startedBy,
      forDay,
      ...planToStart(plan),
      animalIds: coming.map((a) => a.tag.animalId),
    });
    if (problemFound) setProblem(problemFound);
  };
  // A job is begun by its own button: a letter only leads there.
  useNewKey(() => document.getElementById(START)?.focus());

  if (!roster.data)
    return (
      <Page title={say('At the race')}>
        {roster.error ? <Failed error={roster.error} onRetry={() => void roster.refetch()} /> : <Loading />}
      </Page>
    );
  const open = jobs.filter((j) => j.finishedAt === null);
  const done = jobs.filter((j) => j.finishedAt !== null).slice(0, 6);
  return (
    <Page
      title={say('Which animals are coming through?')}
      aside={
        <>
          {open.length > 0 ? (
            <Panel>
              <h2>{say('Not finished')}</h2>
              {open.map((j) => (
                <Job key={j.id}>
                  <span>
                    <b>{j.name}</b>
                    <Small>
                      {say('{date}, {seen} of {expected} through', {
                        date: shortDate(j.on),
                        seen: j.seen,
                        expected: j.expected,
                      })}
                    </Small>
                  </span>
                  <Button onPress={() => void navigate(`/race/${j.id}`)}>{say('Continue')}</Button>
                </Job>
              ))}
            </Panel>
          ) : null}
          {done.length > 0 ? (
            <Panel>
              <h2>{say('Done')}</h2>
              {done.map((j) => (
                <Job key={j.id}>
                  <span>
                    <b>{j.name}</b>
                    <Small>
                      {say('{date}, {seen} of {expected}', {
                        date: shortDate(j.on),
                        seen: j.seen,
                        expected: j.expected,
                      })}
                    </Small>
                  </span>
                  <Button kind="quiet" onPress={() => void navigate(`/race/${j.id}`)}>
                    {say('Look')}
                  </Button>
                </Job>
              ))}
            </Panel>
          ) : null}
          <NotePanel $tone="weld">
            <h3>{say('Before you start')}</h3>
            <p>
              {say(
                'Check the gate and the scale’s zero. Never work between a penned animal and the only way out, and keep children behind the rails. Never turn your back on a male in the mating season.',
              )}
            </p>
          </NotePanel>
        </>
      }
    >
      <Panel>
        <form
          onSubmit={(e) => {
            e.preventDefault();
            void start();
          }}
        >
          <Stack>
            <Choice
              label={say('Who')}
              value={who?.key ?? ''}
              options={sets.map((s) => [s.key, s.words])}
              onChange={(key) => {
                setChosen(key);
                setOwn(undefined);
              }}
            />
            <Field label={say('Name of the job')} value={shownName} onChange={setName} />
            <Row $gap={3} style={{ alignItems: 'flex-end' }}>
              <Choice
                label={say('What is done')}
                value={templateId}
                options={[...templates.map((t) => [t.id, say(t.name)] as const), ['', say('put together here')]]}
                onChange={choose}
              />
              {holding?.writer ? null : (
                <Field label={say('Weighed and recorded by')} value={startedBy} onChange={setStartedBy} />
              )}
              <Field
                label={say('Day')}
                type="date"
                value={forDay ?? holding?.today ?? ''}
                onChange={setForDay}
                hint={
                  forDay !== undefined && forDay !== '' && forDay !== holding?.today
                    ? say('Every animal will be dated with this day, whenever you enter it.')
                    : undefined
                }
              />
            </Row>
            <PlanFields
              key={templateId}
              plan={plan}
              products={roster.data.products}
              species={coming[0]?.species}
              startedBy={startedBy}
              onStations={change}
              onSettings={setPlan}
            />
            {problem ? <p role="alert">{problem}</p> : null}
            <Row>
              <Button id={START} kind="main" type="submit" isDisabled={coming.length === 0}>
                {say('Start with {n} {n, plural, one {animal} other {animals}}', { n: coming.length })}
              </Button>
              <KeepTemplate plan={plan} templates={templates} onKept={setTemplateId} />
            </Row>
          </Stack>
        </form>
      </Panel>
      <Panel>
        <Row style={{ justifyContent: 'space-between' }}>
          <h2>{say('Those expected')}</h2>
          <Button kind="quiet" aria-expanded={isChoosing} onPress={() => setChoosing(!isChoosing)}>
            {isChoosing ? say('Done') : say('Change who comes')}
          </Button>
        </Row>
        {isChoosing ? (
          <WhoComes ids={coming.map((a) => a.tag.animalId)} animals={animals} sets={sets} onChange={setOwn} />
        ) : (
          <Row aria-label={say('Those expected')} role="group">
            {coming.slice(0, MOST_SHOWN).map((a) => (
              <Tag key={a.tag.animalId} tag={a.tag} isStatic />
            ))}
            {coming.length > MOST_SHOWN ? (
              <Small>{say('and {n} more', { n: coming.length - MOST_SHOWN })}</Small>
            ) : null}
          </Row>
        )}
      </Panel>
    </Page>
  );
}

const Job = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: ${space(2)};
  padding: ${space(2)} 0;
  & + & {
    border-top: 1px solid ${colour('line')};
  }
`;
