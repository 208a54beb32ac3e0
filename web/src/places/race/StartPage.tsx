import { useQuery } from '@tanstack/react-query';
import { SHIPPED_TEMPLATES, type RosterAnimal } from '@yaylak/contract';
import { fieldWord, SPECIES, SPECIES_WORDS } from '@yaylak/core';
import { useMemo, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import { groupsQuery, holdingQuery, jobsQuery, rosterQuery } from '../../api/queries';
import { useStartJob } from '../../shared/jobs/useStartJob';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Page } from '../../parts/Page';
import { NotePanel, Panel, Row, Small, Stack } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { Tag } from '../../parts/Tag';
import { useNewKey } from '../../parts/useWindowKey';
import { colour, radius, space } from '../../theme/tokens';
import { countText, shortDate } from '../../words/format';
import { STATION_WORDS } from '../../words/stations';
import { useWeightUnit } from '../../words/useUnits';
import { KeepTemplate } from './KeepTemplate';
import { planFault, planToStart, withNextTube, type JobPlan } from './plan';
import { StationChoice } from './StationChoice';
import { StationSettingsForm } from './StationSettingsForm';

/** What another place hands over to start a job with. */
export interface GivenJob {
  readonly animalIds?: readonly string[];
  readonly name?: string;
  readonly templateId?: string;
  readonly plan?: JobPlan;
}

interface Who {
  readonly key: string;
  readonly words: string;
  readonly animals: readonly RosterAnimal[];
}

const MOST_SHOWN = 60;
const START = 'start-job';
/** Choose who comes, and what is done; jobs that are not finished stand beside. */
export function StartPage() {
  const roster = useQuery({ ...rosterQuery, staleTime: 0 });
  const { data: holding } = useQuery(holdingQuery);
  const { data: jobs } = useQuery(jobsQuery);
  const { data: groups } = useQuery(groupsQuery);
  const navigate = useNavigate();
  const startJob = useStartJob();
  const given = useLocation().state as GivenJob | null;
  const sets = useMemo(
    () => whoSets(roster.data?.animals ?? [], holding?.today ?? '', given),
    [roster.data, holding?.today, given],
  );
  const [chosen, setChosen] = useState<string>();
  const [name, setName] = useState<string>();
  const [templateId, setTemplateId] = useState(given?.templateId ?? 'weigh');
  const templates = roster.data?.templates ?? SHIPPED_TEMPLATES;
  const [ownPlan, setOwnPlan] = useState<JobPlan>();
  const lastTubes = roster.data?.lastTubes ?? {};
  // A job handed over stands for a template: its tubes go on from the last one as well.
  const template = templates.find((t) => t.id === templateId) ?? given?.plan ?? (SHIPPED_TEMPLATES[0] as JobPlan);
  const plan = ownPlan ?? withNextTube(template, lastTubes);
  const [typedBy, setStartedBy] = useState<string>();
  const [forDay, setForDay] = useState<string>();
  const startedBy = typedBy ?? holding?.keeper ?? '';
  const unit = useWeightUnit();
  const [problem, setProblem] = useState<string>();
  const who = sets.find((s) => s.key === chosen) ?? sets[0];
  const shownName = name ?? (who ? (given?.name ?? who.words.replace(/ \(\d+\)$/, '')) : '');

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
    if (!who || !holding) return;
    const fault = planFault(plan);
    if (fault) return setProblem(fault);
    if (forDay !== undefined && (forDay === '' || forDay > holding.today))
      return setProblem('Day: enter today or an earlier day.');
    const problemFound = await startJob({
      name: shownName.trim() || 'Weighing',
      startedBy,
      forDay,
      ...planToStart(plan),
      animalIds: who.animals.map((a) => a.tag.animalId),
    });
    if (problemFound) setProblem(problemFound);
  };
  // A job is begun by its own button: a letter only leads there.
  useNewKey(() => document.getElementById(START)?.focus());

  if (!roster.data)
    return (
      <Page title="At the race">
        {roster.error ? <Failed error={roster.error} onRetry={() => void roster.refetch()} /> : <Loading />}
      </Page>
    );
  const open = (jobs ?? []).filter((j) => j.finishedAt === null);
  const done = (jobs ?? []).filter((j) => j.finishedAt !== null).slice(0, 6);
  return (
    <Page
      title="Who comes through the race?"
      aside={
        <>
          {open.length > 0 ? (
            <Panel>
              <h2>Not finished</h2>
              {open.map((j) => (
                <Job key={j.id}>
                  <span>
                    <b>{j.name}</b>
                    <Small>
                      {shortDate(j.on)}, {j.seen} of {j.expected} through
                    </Small>
                  </span>
                  <Button onPress={() => void navigate(`/race/${j.id}`)}>Go on</Button>
                </Job>
              ))}
            </Panel>
          ) : null}
          {done.length > 0 ? (
            <Panel>
              <h2>Done</h2>
              {done.map((j) => (
                <Job key={j.id}>
                  <span>
                    <b>{j.name}</b>
                    <Small>
                      {shortDate(j.on)}, {j.seen} of {j.expected}
                    </Small>
                  </span>
                  <Button kind="quiet" onPress={() => void navigate(`/race/${j.id}`)}>
                    Look
                  </Button>
                </Job>
              ))}
            </Panel>
          ) : null}
          <NotePanel $tone="weld">
            <h3>Before you start</h3>
            <p>
              Check the gate and the scale’s zero. Never work between a penned animal and the only way out, and keep
              children behind the rails. A male in the mating season is not to be turned your back on.
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
              label="Who"
              value={who?.key ?? ''}
              options={sets.map((s) => [s.key, s.words])}
              onChange={setChosen}
            />
            <Field label="Name of the job" value={shownName} onChange={setName} />
            <Row $gap={3} style={{ alignItems: 'flex-end' }}>
              <Choice
                label="What is done"
                value={templateId}
                options={[...templates.map((t) => [t.id, t.name] as const), ['', 'put together here']]}
                onChange={choose}
              />
              <Choice
                label="Written down is"
                value={plan.settings.subject ?? 'each'}
                options={[
                  ['each', 'each animal'],
                  ['young', 'the young of each dam'],
                  ['litter', 'each dam’s litter as one'],
                ]}
                onChange={(subject) => setPlan({ ...plan, settings: { ...plan.settings, subject } })}
              />
              {plan.settings.subject === 'young' ? (
                <Field
                  label="How old, days"
                  inputMode="numeric"
                  value={String(plan.settings.young?.ageDays ?? 2)}
                  onChange={(text) => {
                    const ageDays = Math.min(60, Number(text.replace(/\D/g, '')));
                    setPlan({ ...plan, settings: { ...plan.settings, young: { ageDays } } });
                  }}
                />
              ) : null}
              <Field label="Weighed and recorded by" value={startedBy} onChange={setStartedBy} />
              <Field
                label="Day"
                type="date"
                value={forDay ?? holding?.today ?? ''}
                onChange={setForDay}
                hint={
                  forDay !== undefined && forDay !== '' && forDay !== holding?.today
                    ? 'Every animal will be dated with this day, whenever you enter it.'
                    : undefined
                }
              />
            </Row>
            <StationChoice plan={plan} onChange={change} />
            {plan.stations.map((station) => (
              <StationPart key={`${templateId} ${station}`} aria-label={STATION_WORDS[station]}>
                <legend>{STATION_WORDS[station]}</legend>
                <StationSettingsForm
                  station={station}
                  plan={plan}
                  products={roster.data.products}
                  groups={groups ?? []}
                  startedBy={startedBy}
                  unit={unit}
                  species={who?.animals[0]?.species}
                  onChange={setPlan}
                />
              </StationPart>
            ))}
            {problem ? <p role="alert">{problem}</p> : null}
            <Row>
              <Button id={START} kind="main" type="submit" isDisabled={!who}>
                Start with {countText(who?.animals.length ?? 0, 'animal', 'animals')}
              </Button>
              <KeepTemplate plan={plan} templates={templates} onKept={setTemplateId} />
            </Row>
          </Stack>
        </form>
      </Panel>
      {who ? (
        <Row aria-label="Those expected" role="group">
          {who.animals.slice(0, MOST_SHOWN).map((a) => (
            <Tag key={a.tag.animalId} tag={a.tag} isStatic />
          ))}
          {who.animals.length > MOST_SHOWN ? <Small>and {who.animals.length - MOST_SHOWN} more</Small> : null}
        </Row>
      ) : null}
    </Page>
  );
}

/** Never wore anything: new-born young that go through with their dam. */
const isUnmarked = (a: RosterAnimal): boolean => a.worn.length === 0 && a.formerly.length === 0;

/**
 * Sets to choose from: those handed over, this year's and last year's young by sex, and the groups; without those that
 * nobody could call, since they wear nothing yet.
 */
function whoSets(
  all: readonly RosterAnimal[],
  today: string,
  given: { readonly animalIds?: readonly string[] | undefined; readonly name?: string | undefined } | null,
): Who[] {
  const sets: Who[] = [];
  const animals = all.filter((a) => !isUnmarked(a));
  if (given?.animalIds) {
    const ids = new Set(given.animalIds);
    const own = all.filter((a) => ids.has(a.tag.animalId));
    sets.push({ key: 'given', words: `${given.name ?? 'Chosen animals'} (${own.length})`, animals: own });
  }
  const year = Number(today.slice(0, 4));
  for (const species of SPECIES)
    for (const sex of ['female', 'male', 'castrate'] as const)
      for (const bornIn of [year, year - 1]) {
        const own = animals.filter((a) => a.species === species && a.sex === sex && a.bornOn?.startsWith(`${bornIn}-`));
        if (own.length === 0) continue;
        const word = fieldWord({ species, sex }, 1, true);
        sets.push({
          key: `${species} ${sex} ${bornIn}`,
          words: `${word.charAt(0).toUpperCase()}${word.slice(1)} of ${bornIn} (${own.length})`,
          animals: own,
        });
      }
  const groups = new Map<string, { name: string; animals: RosterAnimal[] }>();
  for (const a of animals) {
    if (a.groupId === null) continue;
    const group = groups.get(a.groupId) ?? { name: a.groupName ?? 'group', animals: [] };
    group.animals.push(a);
    groups.set(a.groupId, group);
  }
  for (const [id, g] of groups)
    sets.push({ key: id, words: `Group ${g.name} (${g.animals.length})`, animals: g.animals });
  for (const species of SPECIES) {
    const own = animals.filter((a) => a.species === species);
    if (own.length > 0)
      sets.push({ key: species, words: `All ${SPECIES_WORDS[species].plural} (${own.length})`, animals: own });
  }
  return sets;
}

const StationPart = styled.fieldset`
  display: flex;
  flex-direction: column;
  gap: ${space(2)};
  margin: 0;
  padding: ${space(2)} ${space(3)} ${space(3)};
  border: 1px solid ${colour('line')};
  border-radius: ${radius};
  legend {
    padding: 0 ${space(2)};
    font-weight: 700;
  }
`;
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
