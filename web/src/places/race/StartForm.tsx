import { useQuery } from '@tanstack/react-query';
import { say, SHIPPED_TEMPLATES, StartJob, type RosterView } from '@yaylak/contract';
import { useMemo, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { useLocation } from 'react-router';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm } from '../../parts/form/useTypedForm';
import { Panel, Row } from '../../parts/Panel';
import { TagRow } from '../../parts/TagRow';
import { useNewKey } from '../../parts/useWindowKey';
import { useStartJob } from '../../shared/jobs/useStartJob';
import { newId } from '../../words/ids';
import { writerOf } from '../../words/writer';
import { KeepTemplate } from './KeepTemplate';
import { PLAN_FIELDS, PLAN_WORDS, planFault, planToStart, withNextTube, type JobPlan } from './plan';
import { PlanFields } from './PlanFields';
import { WhoComes } from './WhoComes';
import { whoSets } from './whoSets';

/** What another place hands over to start a job with. */
export interface GivenJob {
  readonly animalIds?: readonly string[];
  readonly name?: string;
  readonly templateId?: string;
  readonly plan?: JobPlan;
}

/** What was typed; null where it is as it stands there by itself, which goes on with the book. */
interface Typed {
  readonly name: string | null;
  readonly startedBy: string | null;
  readonly on: string | null;
  readonly plan: JobPlan | null;
  /** Who comes, where it is another set of animals than any that is offered. */
  readonly own: readonly string[] | null;
}

const FIRST = 60;
const START = 'start-job';

/** Who comes, what is done with them, and for which day. */
export function StartForm({ roster }: { readonly roster: RosterView }) {
  const { data: holding } = useQuery(holdingQuery);
  const startJob = useStartJob();
  const given = useLocation().state as GivenJob | null;
  const today = holding?.today ?? '';
  const sets = useMemo(() => whoSets(roster.animals, today, given), [roster.animals, today, given]);
  const animals = useMemo(() => new Map(roster.animals.map((a) => [a.tag.animalId, a])), [roster.animals]);
  const templates = roster.templates ?? SHIPPED_TEMPLATES;
  const lastTubes = roster.lastTubes ?? {};
  const [isChoosing, setChoosing] = useState(false);

  // Chosen and not typed: nobody is asked about it who goes elsewhere.
  const [chosen, setChosen] = useState<string>();
  const who = sets.find((set) => set.key === chosen) ?? sets[0];
  const [templateId, setTemplateId] = useState(given?.templateId ?? (given?.plan ? '' : 'weigh'));
  /** Counts what was chosen: its fields begin anew with each. */
  const [choices, setChoices] = useState(0);
  const usualName = given?.name ?? who?.words.replace(/ \(\d+\)$/, '') ?? '';
  // A job handed over stands for a template: its tubes go on from the last one as well.
  const usualPlan = withNextTube(
    templates.find((t) => t.id === templateId) ?? given?.plan ?? (SHIPPED_TEMPLATES[0] as JobPlan),
    lastTubes,
  );
  const comingOf = ({ own }: Pick<Typed, 'own'>) => own?.flatMap((id) => animals.get(id) ?? []) ?? who?.animals ?? [];
  const jobOf = (typed: Typed) => ({
    name: (typed.name ?? usualName).trim() || say('Weighing'),
    startedBy: typed.startedBy ?? writerOf(holding),
    ...planToStart(typed.plan ?? usualPlan),
    animalIds: comingOf(typed).map((a) => a.tag.animalId),
  });
  const form = useTypedForm<Typed>({
    start: { name: null, startedBy: null, on: null, plan: null, own: null },
    made: (typed) => {
      const { startedBy, ...job } = jobOf(typed);
      const startedAt = new Date(0).toISOString();
      // Nobody named is whoever keeps the book.
      return [
        {
          shape: StartJob,
          value: { id: newId(), ...job, on: typed.on ?? today, startedAt, startedBy: startedBy.trim() || '-' },
        },
      ];
    },
    also: (typed) => {
      const fault = planFault(typed.plan ?? usualPlan);
      return {
        ...(comingOf(typed).length === 0 ? { own: say('Nobody is on the list. Add the animals that come.') } : {}),
        ...(fault === undefined ? {} : { plan: fault }),
        ...(typed.on !== null && (typed.on === '' || typed.on > today)
          ? { on: say('Enter today or an earlier day.') }
          : {}),
      };
    },
    words: PLAN_WORDS,
    fieldOf: PLAN_FIELDS,
  });
  const typed = useWatch({ control: form.control }) as Typed;
  const coming = comingOf(typed);
  const plan = typed.plan ?? usualPlan;
  const startedBy = typed.startedBy ?? writerOf(holding);
  const isForItsDay = typed.on !== null && typed.on !== '' && typed.on !== today;

  const chooseTemplate = (id: string): void => {
    const { stations, settings, gates } = plan;
    setTemplateId(id);
    setChoices(choices + 1);
    form.setValue('plan', id === '' ? { stations, settings, gates } : null, { shouldDirty: true });
    form.clearErrors('plan');
  };
  /** Stations ticked or moved: what is done is no longer what the template says. */
  const changed = (next: JobPlan): JobPlan => {
    setTemplateId('');
    return next.stations.includes('sample') && !plan.stations.includes('sample') ? withNextTube(next, lastTubes) : next;
  };
  const start = async (all: Typed, saved: () => void): Promise<readonly string[]> => {
    saved();
    const problem = await startJob({ ...jobOf(all), forDay: all.on ?? undefined });
    return problem === undefined ? [] : [problem];
  };
  // A job is begun by its own button: a letter only leads there.
  useNewKey(() => document.getElementById(START)?.focus());

  return (
    <>
      <Panel>
        <SendForm
          form={form}
          send={start}
          onDone={() => undefined}
          submit={say('Start with {n} {n, plural, one {animal} other {animals}}', { n: coming.length })}
          submitId={START}
          more={<KeepTemplate plan={plan} templates={templates} onKept={chooseTemplate} />}
        >
          <Choice
            label={say('Who')}
            value={who?.key ?? ''}
            options={sets.map((s) => [s.key, s.words])}
            onChange={(key) => {
              setChosen(key);
              form.setValue('own', null, { shouldDirty: true });
            }}
          />
          <FormField name="name" usual={usualName} label={say('Name of the job')} />
          <FieldRow $gap={3}>
            <Choice
              label={say('What is done')}
              value={templateId}
              options={[...templates.map((t) => [t.id, say(t.name)] as const), ['', say('put together here')]]}
              onChange={chooseTemplate}
            />
            {holding?.writer ? null : (
              <FormField name="startedBy" usual={startedBy} label={say('Weighed and recorded by')} />
            )}
            <FormField
              name="on"
              usual={today}
              label={say('Day')}
              type="date"
              hint={isForItsDay ? say('Every animal will be dated with this day, whenever you enter it.') : undefined}
            />
          </FieldRow>
          <PlanFields
            key={choices}
            usual={plan}
            products={roster.products}
            species={coming[0]?.species}
            startedBy={startedBy}
            onStations={changed}
          />
        </SendForm>
      </Panel>
      <Panel>
        <Row style={{ justifyContent: 'space-between' }}>
          <h2>{say('Those expected')}</h2>
          <Button kind="quiet" aria-expanded={isChoosing} onPress={() => setChoosing(!isChoosing)}>
            {isChoosing ? say('Done') : say('Change who comes')}
          </Button>
        </Row>
        {isChoosing ? (
          <WhoComes
            ids={coming.map((a) => a.tag.animalId)}
            animals={animals}
            sets={sets}
            onChange={(ids) => form.setValue('own', [...ids], { shouldDirty: true })}
          />
        ) : (
          <TagRow label={say('Those expected')} tags={coming.map((a) => a.tag)} first={FIRST} isStatic />
        )}
      </Panel>
    </>
  );
}
