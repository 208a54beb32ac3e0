import { useQuery } from '@tanstack/react-query';
import { say, type JobView } from '@yaylak/contract';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { rosterQuery } from '../../api/queries';
import { useJobs } from '../../shared/jobs/useJobs';
import { Button } from '../../parts/Button';
import { Page } from '../../parts/Page';
import { NotePanel, Panel, Small } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { useFirst } from '../../parts/useFirst';
import { colour, space } from '../../theme/tokens';
import { shortDate } from '../../words/dates';
import { StartForm } from './StartForm';

const FIRST = 6;

/** Choose who comes, and what is done; jobs that are not finished stand beside. */
export function StartPage() {
  const roster = useQuery({ ...rosterQuery, staleTime: 0 });
  const jobs = useJobs();
  if (!roster.data)
    return (
      <Page title={say('At the race')}>
        {roster.error ? <Failed error={roster.error} onRetry={() => void roster.refetch()} /> : <Loading />}
      </Page>
    );
  const open = jobs.filter((j) => j.finishedAt === null);
  const done = jobs.filter((j) => j.finishedAt !== null);
  return (
    <Page
      title={say('Which animals are coming through?')}
      aside={
        <>
          <Jobs title={say('Not finished')} jobs={open} press={say('Continue')} />
          <Jobs title={say('Done')} jobs={done} press={say('Look')} isQuiet />
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
      <StartForm roster={roster.data} />
    </Page>
  );
}

interface JobsProps {
  readonly title: string;
  readonly jobs: readonly JobView[];
  /** What the button of each says. */
  readonly press: string;
  readonly isQuiet?: boolean;
}

/** Jobs beside what is begun now, and how far each has come. */
function Jobs({ title, jobs, press, isQuiet = false }: JobsProps) {
  const navigate = useNavigate();
  const { shown, more } = useFirst(jobs, FIRST);
  if (jobs.length === 0) return null;
  return (
    <Panel>
      <h2>{title}</h2>
      {shown.map((j) => (
        <Job key={j.id}>
          <span>
            <b>{j.name}</b>
            <Small>
              {j.finishedAt === null
                ? say('{date}, {seen} of {expected} through', {
                    date: shortDate(j.on),
                    seen: j.seen,
                    expected: j.expected,
                  })
                : say('{date}, {seen} of {expected}', { date: shortDate(j.on), seen: j.seen, expected: j.expected })}
            </Small>
          </span>
          <Button kind={isQuiet ? 'quiet' : 'plain'} onPress={() => void navigate(`/race/${j.id}`)}>
            {press}
          </Button>
        </Job>
      ))}
      {more}
    </Panel>
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
