import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { GroupView } from '@yaylak/contract';
import { useState } from 'react';
import { ask } from '../../api/client';
import { groupsQuery } from '../../api/queries';
import { readAgain } from '../../api/readAgain';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Panel, Row, Small } from '../../parts/Panel';
import { useUnsaved } from '../../parts/unsaved';
import { useUndo } from '../../parts/Undo';
import { HistoryButton } from '../../shared/history/HistoryButton';
import { newId } from '../../words/ids';
import { say } from '@yaylak/contract';

/** The groups animals can be in. */
export function Groups() {
  const { data } = useQuery(groupsQuery);
  const client = useQueryClient();
  const undo = useUndo();
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string>();
  useUnsaved(name !== '');

  const send = async <T,>(path: string, method: string, body?: object): Promise<T> => {
    const answer = await ask<T>(path, { method, body });
    void readAgain(client);
    return answer;
  };
  /** Does it, says so with the way back; what the server says against it stands at the field. */
  const doing = async (
    work: () => Promise<{ readonly done: string; readonly undo: () => Promise<unknown> }>,
  ): Promise<void> => {
    try {
      const { done, undo: back } = await work();
      setProblem(undefined);
      undo.offer({ done, undo: async () => void (await back()) });
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  const make = (): Promise<void> =>
    doing(async () => {
      const made = await send<GroupView>('/api/groups', 'POST', { id: newId(), name: name.trim() });
      setName('');
      return {
        done: say('Made the group “{name}”', { name: made.name }),
        undo: () => send(`/api/groups/${made.id}`, 'DELETE'),
      };
    });
  const setClosed = (group: GroupView, isClosed: boolean): Promise<void> =>
    doing(async () => {
      const path = `/api/groups/${group.id}`;
      const { version } = await send<GroupView>(path, 'PATCH', { version: group.version, isClosed });
      return {
        done: say('{value} the group “{name}”', { value: isClosed ? say('Closed') : say('Opened'), name: group.name }),
        undo: () => send(path, 'PATCH', { version, isClosed: !isClosed }),
      };
    });

  return (
    <Panel>
      <h2>{say('Groups')}</h2>
      {data?.map((g) => (
        <Row key={g.id} style={{ justifyContent: 'space-between' }}>
          <span>
            {g.name}{' '}
            <Small as="span">{g.isClosed ? say('closed') : say('{present} here', { present: g.present })}</Small>
          </span>
          <Row>
            <HistoryButton isShort what="group" thingId={g.id} name={g.name} />
            {g.present === 0 ? (
              <Button
                kind="quiet"
                aria-label={`${g.isClosed ? say('Open again') : say('Close')}: ${g.name}`}
                onPress={() => void setClosed(g, !g.isClosed)}
              >
                {g.isClosed ? say('Open again') : say('Close')}
              </Button>
            ) : null}
          </Row>
        </Row>
      ))}
      <form
        style={{ display: 'flex', flexDirection: 'column', gap: 8, marginTop: 8 }}
        onSubmit={(e) => {
          e.preventDefault();
          void make();
        }}
      >
        <Field label={say('New group')} value={name} onChange={setName} error={problem} />
        <Button type="submit" isDisabled={name.trim() === ''}>
          {say('Make it')}
        </Button>
      </form>
    </Panel>
  );
}
