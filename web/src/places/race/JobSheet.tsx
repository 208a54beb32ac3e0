import { useQuery } from '@tanstack/react-query';
import type { JobFacts } from '@yaylak/contract';
import { useMemo, useState } from 'react';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { AskButton } from '../../parts/AskButton';
import { Field } from '../../parts/Field';
import { Row, Small, Stack } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Tick } from '../../parts/Tick';
import { useUnsaved } from '../../parts/unsaved';
import { fullDate } from '../../words/dates';
import { factsOf, keptPlan, planFault, type JobPlan } from './plan';
import { PlanFields } from './PlanFields';
import type { Race } from './useRace';
import { WhoComes } from './WhoComes';
import { whoSets } from './whoSets';
import { say } from '@yaylak/contract';

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

function Form({ race, job, onClose }: Omit<Props, 'isOpen'> & { readonly job: NonNullable<Race['job']> }) {
  const { passages, animals, roster } = race;
  const { data: holding } = useQuery(holdingQuery);
  const today = holding?.today ?? job.on;
  const [name, setName] = useState(job.name);
  const [on, setOn] = useState(job.isForItsDay ? job.on : today);
  const [plan, setPlan] = useState<JobPlan>({
    stations: job.stations,
    settings: job.settings ?? {},
    gates: job.gates,
  });
  const [ids, setIds] = useState<readonly string[]>(job.animalIds);
  const [isMoving, setMoving] = useState(true);
  const [problem, setProblem] = useState<string>();
  const sets = useMemo(() => whoSets(roster.animals, today, null), [roster.animals, today]);
  // Begun on another day and not for it, a job goes on dating by the day; only a day chosen here makes it one for its day.
  const isOtherDay = on !== (job.isForItsDay ? job.on : today);
  const elsewhere = passages.filter((p) => p.on !== on);
  const facts: JobFacts = {
    name: name.trim(),
    on: isOtherDay ? on : job.on,
    ...((isOtherDay ? on !== today : job.isForItsDay) ? { isForItsDay: true } : {}),
    ...keptPlan(plan),
    animalIds: [...ids],
  };
  const saved = useUnsaved(JSON.stringify(facts) !== JSON.stringify(factsOf(job)));
  const save = async (): Promise<void> => {
    const fault = planFault(plan);
    if (fault) return setProblem(fault);
    if (name.trim() === '') return setProblem(say('Name of the job: enter one.'));
    if (on === '' || on > today) return setProblem(say('Day: enter today or an earlier day.'));
    const refused = isOtherDay && isMoving && elsewhere.length > 0 ? await race.redate(elsewhere, on) : [];
    if (refused.length > 0) return setProblem(refused.join(' '));
    await race.change(facts);
    saved();
    onClose();
  };
  return (
    <form
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <Stack>
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <Field label={say('Name of the job')} value={name} onChange={setName} autoFocus />
          <Field
            label={say('Day')}
            type="date"
            value={on}
            onChange={setOn}
            hint={isOtherDay && on !== today ? say('Every animal from now on is dated with this day.') : undefined}
          />
        </Row>
        {isOtherDay && elsewhere.length > 0 ? (
          <Tick
            isSelected={isMoving}
            onChange={setMoving}
            label={say(
              'Move the {n} {n, plural, one {animal} other {animals}} already recorded to {date} too; withdrawal is counted from then',
              { n: elsewhere.length, date: fullDate(on) },
            )}
          />
        ) : null}
        <h3>{say('Who comes ({n})', { n: ids.length })}</h3>
        <WhoComes ids={ids} animals={animals} sets={sets} onChange={setIds} />
        <h3>{say('What is done')}</h3>
        <Small>{say('What was recorded already stays as it is.')}</Small>
        <PlanFields
          plan={plan}
          products={roster.products}
          species={race.listed[0]?.species}
          startedBy={race.by}
          onStations={setPlan}
          onSettings={setPlan}
        />
        {problem ? <p role="alert">{problem}</p> : null}
        <Row>
          <Button kind="main" type="submit">
            {say('Save the job')}
          </Button>
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
        </Row>
      </Stack>
    </form>
  );
}
