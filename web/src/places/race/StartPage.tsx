import { useQuery } from '@tanstack/react-query';
import { say } from '@yaylak/contract';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { rosterQuery } from '../../api/queries';
import { useJobs } from '../../shared/jobs/useJobs';
import { Button } from '../../parts/Button';
import { Page } from '../../parts/Page';
import { NotePanel, Panel, Small } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { colour, space } from '../../theme/tokens';
import { shortDate } from '../../words/dates';
import { StartForm } from './StartForm';

/** Choose who comes, and what is done; jobs that are not finished stand beside. */
export function StartPage() {
  const roster = useQuery({ ...rosterQuery, staleTime: 0 });
  const jobs = useJobs();
  const navigate = useNavigate();
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
      <StartForm roster={roster.data} />
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
