import { useQueryClient } from '@tanstack/react-query';
import { workTitle, type DueWork, say } from '@yaylak/contract';
import { Link, useNavigate } from 'react-router';
import { seasonQuery } from '../../api/queries';
import { useStartJob } from '../../shared/jobs/useStartJob';
import { Button } from '../../parts/Button';
import { LinkButton } from '../../parts/LinkButton';
import { Row, Small } from '../../parts/Panel';
import { useUndo } from '../../parts/Undo';
import { useWrite } from '../../parts/useWrite';
import { WindowBar } from '../../parts/WindowBar';
import { useSavePlans } from '../../shared/season/useSavePlans';
import { shortDate } from '../../words/dates';
import { Item, Rows } from '../../parts/rows';

interface Props {
  readonly work: readonly DueWork[];
  readonly today: string;
}

/** Work that is due, a row each with its window and one press that starts it. */
export function DueRows({ work, today }: Props) {
  const start = useStartJob();
  const navigate = useNavigate();
  const undo = useUndo();
  const done = useStepsDone(today);
  const write = useWrite();
  const stepDone = async (work: DueWork): Promise<void> => {
    const refused = await write(
      work.animalIds.flatMap((animalId) => (work.writes ? [{ ...work.writes, animalId, on: today }] : [])),
      say('Done: {workTitle}', { workTitle: workTitle(work) }),
    );
    if (refused.length > 0) undo.say(refused.join(' '));
  };
  const begin = async ({ job, animalIds }: DueWork): Promise<void> => {
    if (!job) return;
    // A first tube has to be looked at before anything is filled.
    if (job.stations.includes('sample'))
      return void navigate('/race', { state: { animalIds, name: job.name, plan: job } });
    const { name, stations, settings, gates } = job;
    const problem = await start({
      name,
      stations: [...stations],
      settings,
      gates: [...gates],
      animalIds: [...animalIds],
    });
    if (problem) undo.say(problem);
  };
  return (
    <Rows>
      {work.map((w) => (
        <Item key={w.key}>
          <div>
            <b>{workTitle(w)}</b>
            <Small>
              {[...w.why, ...(w.group ? [w.group.name] : [])].join(', ')}.{' '}
              {windowWords(w.window.opens, w.window.closes, today)}
            </Small>
          </div>
          <WindowBar window={w.window} today={today} />
          <Row>
            {w.job ? (
              <Button
                kind={w.isOpen ? 'main' : 'plain'}
                aria-label={say('Start: {workTitle}', { workTitle: workTitle(w) })}
                onPress={() => void begin(w)}
              >
                {say('Start')}
              </Button>
            ) : null}
            {w.at ? (
              <LinkButton as={Link} to={w.at.path} aria-label={`${w.at.words}: ${workTitle(w)}`}>
                {w.at.words}
              </LinkButton>
            ) : null}
            {w.writes ? (
              <Button
                aria-label={say('Done: {workTitle}', { workTitle: workTitle(w) })}
                onPress={() => void stepDone(w)}
              >
                {say('Done')}
              </Button>
            ) : null}
            {w.steps.length > 0 && !w.job ? (
              <Button aria-label={say('Done: {workTitle}', { workTitle: workTitle(w) })} onPress={() => void done(w)}>
                {say('Done')}
              </Button>
            ) : null}
          </Row>
        </Item>
      ))}
    </Rows>
  );
}

/** Writes the steps of a row down as done. */
function useStepsDone(today: string): (work: DueWork) => Promise<void> {
  const client = useQueryClient();
  const undo = useUndo();
  const save = useSavePlans();
  return async (work) => {
    const { plans } = await client.fetchQuery({ ...seasonQuery, staleTime: 0 });
    const changes = plans.flatMap((plan) => {
      const keys = work.steps.flatMap((s) => (s.planId === plan.id ? [s.key] : []));
      if (keys.length === 0) return [];
      const done = { ...plan.facts.done, ...Object.fromEntries(keys.map((key) => [key, today])) };
      return [{ plan, facts: { ...plan.facts, done } }];
    });
    const problem = await save(changes, say('Done: {workTitle}', { workTitle: workTitle(work) }));
    if (problem) undo.say(problem.message);
  };
}

function windowWords(opens: string, closes: string, today: string): string {
  if (closes < today) return say('Was due by {date}.', { date: shortDate(closes) });
  return opens > today
    ? say('From {date}.', { date: shortDate(opens) })
    : say('Until {date}.', { date: shortDate(closes) });
}
