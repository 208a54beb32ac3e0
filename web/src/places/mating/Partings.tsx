import type { PartingView } from '@yaylak/contract';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { NotePanel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { useFirst } from '../../parts/useFirst';
import { useWrite } from '../../parts/useWrite';
import { WindowBar } from '../../parts/WindowBar';
import { GroupField } from '../../shared/groups/GroupField';
import { countText, shortDate } from '../../words/format';

interface Props {
  readonly rows: readonly PartingView[];
  readonly today: string;
}

/** Young males that still run with females of their kind, a group each: by when they go, and to which group. */
export function Partings({ rows, today }: Props) {
  const groups = new Map<string | null, PartingView[]>();
  for (const r of rows) groups.set(r.groupId, [...(groups.get(r.groupId) ?? []), r]);
  return [...groups].map(([id, own]) => <OfGroup key={id} rows={own} today={today} />);
}

const SHOWN = 12;

/** Those of one group: who goes now, and how many more will have to. */
function OfGroup({ rows, today }: Props) {
  const write = useWrite();
  const [to, setTo] = useState('');
  const [problem, setProblem] = useState<string>();
  const due = rows.filter((r) => r.isOpen);
  const later = rows.filter((r) => !r.isOpen);
  const { shown, more } = useFirst(due, SHOWN);
  const [first] = rows;
  const [next] = later;
  if (!first) return null;
  const groupName = first.groupName ?? 'a group';
  const move = async (): Promise<void> => {
    if (to === '') return setProblem('Choose the group they go to.');
    const refused = await write(
      due.map((r) => ({ type: 'move', animalId: r.tag.animalId, on: today, groupId: to })),
      `Moved ${countText(due.length, 'young male', 'young males')} away from the females`,
    );
    setProblem(refused.join(' ') || undefined);
  };
  const soon = next && `${later.length}${due.length > 0 ? ' more' : ''} from ${shortDate(next.window.opens)} on`;
  return (
    <NotePanel $tone={due.some((r) => r.isLate) ? 'madder' : 'weld'}>
      <h2>
        Part from the females in {groupName}: {due.length > 0 ? `${due.length} now` : soon}
      </h2>
      <Small>
        {due.length === 1 ? 'This young male can sire' : 'These young males can sire'} from this age on.
        {due.length > 0 && soon ? ` ${soon}.` : ''}
      </Small>
      <WindowBar window={first.window} today={today} />
      {due.length > 0 ? (
        <>
          <Row style={{ marginTop: 8 }}>
            {shown.map((r) => (
              <Tag key={r.tag.animalId} tag={r.tag} />
            ))}
            {more}
          </Row>
          <Row style={{ alignItems: 'flex-end', marginTop: 8 }}>
            <GroupField
              label={due.length === 1 ? 'Move it to' : `Move these ${due.length} to`}
              value={to}
              none="choose a group"
              but={first.groupId ?? undefined}
              onChange={setTo}
            />
            <Button onPress={() => void move()}>Move them</Button>
          </Row>
        </>
      ) : null}
      {problem ? <p role="alert">{problem}</p> : null}
    </NotePanel>
  );
}
