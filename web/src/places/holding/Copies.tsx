import { useQuery, useQueryClient } from '@tanstack/react-query';
import { grouped, say, type CopiesView, type CopyReason, type CopyView } from '@yaylak/contract';
import { COPY_DAYS, COPY_MONTHS, COPY_WEEKS } from '@yaylak/core';
import { useState } from 'react';
import { ask } from '../../api/client';
import { copiesQuery, todayQuery } from '../../api/queries';
import { Beside } from '../../parts/Beside';
import { Button } from '../../parts/Button';
import { NotePanel, Panel, Row, Small, Stack } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { useUndo } from '../../parts/Undo';
import { followingText } from '../../words/copies';
import { timeText } from '../../words/dates';
import { megabytes } from '../../words/format';
import { newId } from '../../words/ids';
import { ListWithButtons } from './ListWithButtons';
import { PutBackSheet } from './PutBackSheet';
import { SecondPlace } from './SecondPlace';

const WHY: Readonly<Record<CopyReason, string>> = {
  daily: say('of the day'),
  asked: say('asked for'),
  migration: say('before a new version'),
  'put-back': say('before one was put back'),
};

/** The copies of the book, the newest first; where else they go, and how long they are kept. */
export function Copies() {
  const { data, error, refetch } = useQuery(copiesQuery);
  const client = useQueryClient();
  const undo = useUndo();
  const [isUnderWay, setUnderWay] = useState(false);
  const [problem, setProblem] = useState<string>();
  const [wanted, setWanted] = useState<CopyView>();
  const show = (view: CopiesView): void => {
    client.setQueryData(copiesQuery.queryKey, view);
    void client.invalidateQueries({ queryKey: todayQuery.queryKey });
  };
  const make = async (): Promise<void> => {
    setUnderWay(true);
    setProblem(undefined);
    try {
      const view = await ask<CopiesView>('/api/copies', { method: 'POST', body: { id: newId() } });
      show(view);
      if (view.failed === null) undo.say(say('The book is copied.'));
    } catch (e) {
      setProblem((e as Error).message);
    } finally {
      setUnderWay(false);
    }
  };
  if (!data) return error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={4} />;
  const copyNow = (
    <Button kind="main" isDisabled={isUnderWay} onPress={() => void make()}>
      {isUnderWay ? say('Copying…') : say('Copy the book now')}
    </Button>
  );
  return (
    <Beside aside={<Kept folder={data.folder} />}>
      {data.copies.length === 0 ? (
        <Empty title={say('No copy yet')} action={copyNow}>
          {say('The first is made by itself, two minutes after Yaylak has started.')}
        </Empty>
      ) : (
        <Panel>
          <Row style={{ justifyContent: 'space-between' }}>
            <h2>{say('Beside the book')}</h2>
            {copyNow}
          </Row>
          <ListWithButtons>
            <thead>
              <tr>
                <th>{say('Made')}</th>
                <th>{say('Why')}</th>
                <th>{say('Animals')}</th>
                <th>{say('Entries')}</th>
                <th>{say('Size')}</th>
                {data.second ? <th>{say('Second place')}</th> : null}
                <th aria-label={say('Put back')} />
              </tr>
            </thead>
            <tbody>
              {data.copies.map((c) => (
                <tr key={c.name}>
                  <td>{timeText(c.at)}</td>
                  <td data-under={say('Why')}>{WHY[c.reason]}</td>
                  <td data-under={say('Animals')}>{grouped(c.animals)}</td>
                  <td data-under={say('Entries')}>{grouped(c.entries)}</td>
                  <td data-under={say('Size')}>{megabytes(c.bytes)}</td>
                  {data.second ? (
                    <td data-under={say('Second place')}>{c.isInSecond ? say('there too') : ''}</td>
                  ) : null}
                  <td>
                    <Button
                      kind="quiet"
                      aria-label={say('Put back the copy of {at}', { at: timeText(c.at) })}
                      onPress={() => setWanted(c)}
                    >
                      {say('Put back')}
                    </Button>
                  </td>
                </tr>
              ))}
            </tbody>
          </ListWithButtons>
        </Panel>
      )}
      {data.failed === null ? null : (
        <p role="alert">
          {say('The last copy could not be made: {failed}. Make room on the disk, then copy the book again.', {
            failed: data.failed,
          })}
        </p>
      )}
      {problem ? <p role="alert">{problem}</p> : null}
      {wanted ? <PutBackSheet copy={wanted} onClose={() => setWanted(undefined)} /> : null}
      <SecondPlace key={data.second?.path ?? ''} second={data.second} onNamed={show} />
      <Following following={data.following} />
    </Beside>
  );
}

/** The copy that follows the book, where one is asked for. */
function Following({ following }: Pick<CopiesView, 'following'>) {
  return (
    <Panel>
      <Stack>
        <h2>{say('A copy that follows')}</h2>
        {following === null ? (
          <Small>
            {say(
              'A copy a day can lose a day. One that follows the book loses a second or so: start Yaylak with FOLLOW_TO set to a folder on another disk, or to an address; the README says how it is got back. Pictures do not go with it.',
            )}
          </Small>
        ) : following.said === null ? (
          <p>{followingText(following)}</p>
        ) : (
          <NotePanel $tone="madder" role="status">
            {followingText(following)}
          </NotePanel>
        )}
      </Stack>
    </Panel>
  );
}

function Kept({ folder }: Pick<CopiesView, 'folder'>) {
  return (
    <>
      <Panel>
        <h2>{say('What is kept')}</h2>
        <Small>
          {say(
            'One copy a day for {days} days, one a week for {weeks} weeks, one a month for {months} months. Those asked for, or made before a new version or before one was put back, stay {days} days besides. Each is opened, checked and counted before it counts as one.',
            { days: COPY_DAYS, weeks: COPY_WEEKS, months: COPY_MONTHS },
          )}
        </Small>
      </Panel>
      <Panel>
        <h2>{say('When Yaylak itself does not start')}</h2>
        <Small>
          {say(
            'Or on another computer: with Yaylak stopped, move yaylak.sqlite, and the files beside it whose names begin like it, to another folder. Copy the one you want from {folder} to where yaylak.sqlite was, name it yaylak.sqlite, and start Yaylak. From the second place copy its folder of photos too.',
            { folder },
          )}
        </Small>
      </Panel>
    </>
  );
}
