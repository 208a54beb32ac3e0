import type { PartingView } from '@yaylak/contract';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { NotePanel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { useFirst } from '../../parts/useFirst';
import { useWrite } from '../../parts/useWrite';
import { WindowBar } from '../../parts/WindowBar';
import { GroupField } from '../../shared/groups/GroupField';
import { shortDate } from '../../words/dates';
import { say } from '@yaylak/contract';

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
  const groupName = first.groupName ?? say('a group');
  const move = async (): Promise<void> => {
    if (to === '') return setProblem(say('Choose the group they go to.'));
    const refused = await write(
      due.map((r) => ({ type: 'move', animalId: r.tag.animalId, on: today, groupId: to })),
      say('Moved {n} {n, plural, one {young male} other {young males}} away from the females', { n: due.length }),
    );
    setProblem(refused.join(' ') || undefined);
  };
  const soon =
    next &&
    say('{n}{value} from {date} on', {
      n: later.length,
      value: due.length > 0 ? ` ${say('more')}` : '',
      date: shortDate(next.window.opens),
    });
  return (
    <NotePanel $tone={due.some((r) => r.isLate) ? 'madder' : 'weld'}>
      <h2>
        {say('Part from the females in {groupName}:', { groupName })}{' '}
        {due.length > 0 ? say('{n} now', { n: due.length }) : soon}
      </h2>
      <Small>
        {say(
          '{n, plural, one {This young male can sire} other {These young males can sire}} from this age on.{value}',
          { n: due.length, value: due.length > 0 && soon ? ` ${soon}.` : '' },
        )}
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
              label={due.length === 1 ? say('Move it to') : say('Move these {n} to', { n: due.length })}
              value={to}
              none={say('choose a group')}
              but={first.groupId ?? undefined}
              onChange={setTo}
            />
            <Button onPress={() => void move()}>{say('Move them')}</Button>
          </Row>
        </>
      ) : null}
      {problem ? <p role="alert">{problem}</p> : null}
    </NotePanel>
  );
}
