import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { GroupView } from '@yaylak/contract';
import { useState } from 'react';
import { ask } from '../../api/client';
import { groupsQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Panel, Row, Small } from '../../parts/Panel';
import { newId } from '../../words/ids';

/** The groups animals can be in. */
export function Groups() {
  const { data } = useQuery(groupsQuery);
  const client = useQueryClient();
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string>();
  const send = async (path: string, method: string, body: object): Promise<void> => {
    try {
      await ask<GroupView>(path, { method, body });
      setProblem(undefined);
      setName('');
      await client.invalidateQueries();
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <Panel>
      <h2>Groups</h2>
      {data?.map((g) => (
        <Row key={g.id} style={{ justifyContent: 'space-between' }}>
          <span>
            {g.name} <Small as="span">{g.isClosed ? 'closed' : `${g.present} here`}</Small>
          </span>
          {g.present === 0 ? (
            <Button
              kind="quiet"
              onPress={() => void send(`/api/groups/${g.id}`, 'PATCH', { version: g.version, isClosed: !g.isClosed })}
            >
              {g.isClosed ? 'Open again' : 'Close'}
            </Button>
          ) : null}
        </Row>
      ))}
      <form
        style={{ display: 'flex', flexDirection: 'column', gap: 8, marginTop: 8 }}
        onSubmit={(e) => {
          e.preventDefault();
          void send('/api/groups', 'POST', { id: newId(), name: name.trim() });
        }}
      >
        <Field label="New group" value={name} onChange={setName} error={problem} />
        <Button type="submit" isDisabled={name.trim() === ''}>
          Make it
        </Button>
      </form>
    </Panel>
  );
}
