import { useQuery } from '@tanstack/react-query';
import { JobFacts, say } from '@yaylak/contract';
import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import { holdingQuery } from '../../api/queries';
import { AskButton } from '../../parts/AskButton';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormField, FormTick } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { fullDate } from '../../words/dates';
import { keptPlan, PLAN_FIELDS, PLAN_WORDS, planFault, type JobPlan } from './plan';
import { PlanFields } from './PlanFields';
import type { Race } from './useRace';
import { WhoComes } from './WhoComes';
import { whoSets } from './whoSets';

interface Props {
  readonly race: Race;
  readonly isOpen: boolean;
  readonly onClose: () => void;
}

/** A job said anew while it stands: its name, its day, who comes and what is done; or put away. */
export function JobSheet({ race, isOpen, onClose }: Props) {
  return (
    <Sheet title={say('Change this job')} isOpen={isOpen} onClose={onClose} width={860}>
      {race.job ? <Form race={race} job={race.job} onClose={onClose} /> : null}
    </Sheet>
  );
}

interface Typed {
  readonly name: string;
  readonly on: string;
  readonly plan: JobPlan;
  readonly own: readonly string[];
  /** What was recorded on another day goes with it. */
  readonly isMoving: boolean;
}

function Form({ race, job, onClose }: Omit<Props, 'isOpen'> & { readonly job: NonNullable<Race['job']> }) {
  const { passages, animals, roster } = race;
  const { data: holding } = useQuery(holdingQuery);
  const today = holding?.today ?? job.on;
  const sets = useMemo(() => whoSets(roster.animals, today, null), [roster.animals, today]);
  // Begun on another day and not for it, a job goes on dating by the day; only a day chosen here makes it one for its day.
  const shownDay = job.isForItsDay ? job.on : today;
  const factsNow = ({ name, on, plan, own }: Typed): JobFacts => ({
    name: name.trim(),
    on: on === shownDay ? job.on : on,
    ...((on === shownDay ? job.isForItsDay : on !== today) ? { isForItsDay: true } : {}),
    ...keptPlan(plan),
    animalIds: [...own],
  });
  const form = useTypedForm<Typed>({
    start: {
      name: job.name,
      on: shownDay,
      plan: { stations: job.stations, settings: job.settings ?? {}, gates: job.gates },
      own: job.animalIds,
      isMoving: true,
    },
    made: (typed) => [{ shape: JobFacts, value: factsNow(typed) }],
    also: ({ plan, on }): Against => {
      const fault = planFault(plan);
      return {
        ...(fault === undefined ? {} : { plan: fault }),
        ...(on === '' || on > today ? { on: say('Enter today or an earlier day.') } : {}),
      };
    },
    words: { ...PLAN_WORDS, name: say('Enter a name for the job.') },
    fieldOf: PLAN_FIELDS,
  });
  const [on, own] = useWatch({ control: form.control, name: ['on', 'own'] });
  const isOtherDay = on !== shownDay;
  const elsewhere = passages.filter((p) => p.on !== on);
  const save = async (typed: Typed): Promise<readonly string[]> => {
    const refused = isOtherDay && typed.isMoving && elsewhere.length > 0 ? await race.redate(elsewhere, typed.on) : [];
    if (refused.length === 0) await race.change(factsNow(typed));
    return refused;
  };
  return (
    <SendForm
      form={form}
      send={save}
      onDone={onClose}
      submit={say('Save the job')}
      more={
        <AskButton
          label={say('Discard the job')}
          ask={
            passages.length === 0
              ? say('Discard it?')
              : say(
                  'Strike out what was recorded of {n} {n, plural, one {animal} other {animals}}? This cannot be taken back.',
                  { n: passages.length },
                )
          }
          onConfirm={() => void race.discard().then(onClose)}
        />
      }
    >
      <FieldRow $gap={3}>
        <FormField name="name" label={say('Name of the job')} autoFocus />
        <FormField
          name="on"
          label={say('Day')}
          type="date"
          hint={isOtherDay && on !== today ? say('Every animal from now on is dated with this day.') : undefined}
        />
      </FieldRow>
      {isOtherDay && elsewhere.length > 0 ? (
        <FormTick
          name="isMoving"
          label={say(
            'Move the {n} {n, plural, one {animal} other {animals}} already recorded to {date} too; withdrawal is counted from then',
            { n: elsewhere.length, date: fullDate(on) },
          )}
        />
      ) : null}
      <h3>{say('Who comes ({n})', { n: own.length })}</h3>
      <WhoComes
        ids={own}
        animals={animals}
        sets={sets}
        onChange={(ids) => form.setValue('own', [...ids], { shouldDirty: true })}
      />
      <h3>{say('What is done')}</h3>
      <Small>{say('What was recorded already stays as it is.')}</Small>
      <PlanFields products={roster.products} species={race.listed[0]?.species} startedBy={race.by} />
    </SendForm>
  );
}
