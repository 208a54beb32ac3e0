import { useQuery } from '@tanstack/react-query';
import type { PartingView } from '@yaylak/contract';
import { useState } from 'react';
import { groupsQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Field';
import { NotePanel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { useWrite } from '../../parts/useWrite';
import { WindowBar } from '../../parts/WindowBar';
import { countText } from '../../words/format';

interface Props {
  readonly rows: readonly PartingView[];
  readonly today: string;
}

/** Young males that still run with females of their kind: by when they go, and to which group. */
export function Partings({ rows, today }: Props) {
  const { data: groups } = useQuery(groupsQuery);
  const write = useWrite();
  const [to, setTo] = useState('');
  const [problem, setProblem] = useState<string>();
  const [first] = rows;
  if (!first) return null;
  const from = new Set(rows.map((r) => r.groupId));
  const choices = (groups ?? []).filter((g) => !g.isClosed && !from.has(g.id));
  const move = async (): Promise<void> => {
    if (to === '') return setProblem('Choose the group they go to.');
    const refused = await write(
      rows.map((r) => ({ type: 'move', animalId: r.tag.animalId, on: today, groupId: to })),
      `Moved ${countText(rows.length, 'young male', 'young males')} away from the females`,
    );
    setProblem(refused.join(' ') || undefined);
  };
  return (
    <NotePanel $tone={rows.some((r) => r.isLate) ? 'madder' : 'weld'}>
      <h2>Part from the females ({rows.length})</h2>
      <Small>
        {countText(rows.length, 'young male runs', 'young males run')} in {first.groupName ?? 'a group'} with females
        and can sire from this age on.
      </Small>
      <WindowBar window={first.window} today={today} />
      <Row style={{ marginTop: 8 }}>
        {rows.slice(0, 12).map((r) => (
          <Tag key={r.tag.animalId} tag={r.tag} />
        ))}
      </Row>
      <Row style={{ alignItems: 'flex-end', marginTop: 8 }}>
        <Choice
          label="Move all to"
          value={to}
          options={[['', 'choose a group'], ...choices.map((g) => [g.id, g.name] as const)]}
          onChange={setTo}
        />
        <Button onPress={() => void move()}>Move them</Button>
      </Row>
      {problem ? <p role="alert">{problem}</p> : null}
    </NotePanel>
  );
}
