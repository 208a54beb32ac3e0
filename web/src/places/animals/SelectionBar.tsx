import { useQuery } from '@tanstack/react-query';
import { MARK_COLOURS, MARK_PLACES, type AnimalRow, say } from '@yaylak/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { groupsQuery, holdingQuery } from '../../api/queries';
import { cardsOf } from '../../shared/nav/cardAddress';
import { NotebookSheet } from './NotebookSheet';
import { ReserveSheet } from './ReserveSheet';
import type { EntryDraft } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { LinkButton } from '../../parts/LinkButton';
import { Row } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';
import { TreatSheet } from '../../shared/remedies/TreatSheet';
import { GroupField } from '../../shared/groups/GroupField';
import { colour, radius, space } from '../../theme/tokens';

interface Props {
  readonly rows: readonly AnimalRow[];
  readonly onDone: () => void;
  readonly onJob: (rows: readonly AnimalRow[]) => void;
}

/** What can be done with the chosen: move, mark, start a job. */
export function SelectionBar({ rows, onDone, onJob }: Props) {
  const { data: groups } = useQuery(groupsQuery);
  const { data: holding } = useQuery(holdingQuery);
  const [isReserving, setReserving] = useState(false);
  const [isWeighing, setWeighing] = useState(false);
  const [open, setOpen] = useState<'move' | 'mark'>();
  const [groupId, setGroupId] = useState('');
  const [mark, setMark] = useState<{
    colour: (typeof MARK_COLOURS)[number];
    place: (typeof MARK_PLACES)[number];
    purpose: string;
    until: string;
  }>({ colour: 'blue', place: 'rump', purpose: '', until: '' });
  const [isTreating, setTreating] = useState(false);
  const [problem, setProblem] = useState<string>();
  const write = useWrite();
  if (rows.length === 0) return null;
  const on = holding?.today ?? '';
  const many = say('{n} {n, plural, one {animal} other {animals}}', { n: rows.length });

  const send = async (drafts: readonly EntryDraft[], done: string): Promise<void> => {
    const refused = await write(drafts, done);
    setProblem(refused.join(' ') || undefined);
    if (refused.length > 0) return;
    setOpen(undefined);
    onDone();
  };
  const target = groups?.find((g) => g.id === groupId);
  return (
    <Bar role="region" aria-label={say('Chosen animals')}>
      <b>{say('{many} chosen', { many })}</b>
      {isTreating ? (
        <TreatSheet animalIds={rows.map((r) => r.tag.animalId)} onClose={() => setTreating(false)} />
      ) : null}
      <Button onPress={() => setOpen('move')}>{say('Move to a group')}</Button>
      <Button onPress={() => setOpen('mark')}>{say('Mark')}</Button>
      <Button onPress={() => setReserving(true)}>{say('Reserve')}</Button>
      {isReserving ? (
        <ReserveSheet tags={rows.map((r) => r.tag)} today={on} onClose={() => setReserving(false)} onDone={onDone} />
      ) : null}
      <Button onPress={() => setTreating(true)}>{say('Treat')}</Button>
      <Button onPress={() => onJob(rows)}>{say('Start a job')}</Button>
      <Button onPress={() => setWeighing(true)}>{say('Type weights')}</Button>
      {isWeighing ? (
        <NotebookSheet animalIds={rows.map((r) => r.tag.animalId)} onClose={() => setWeighing(false)} onDone={onDone} />
      ) : null}
      <LinkButton as={Link} to={cardsOf(rows.map((r) => r.tag.animalId))}>
        {say('Pen cards')}
      </LinkButton>
      <Button kind="quiet" onPress={onDone}>
        {say('Choose none')}
      </Button>
      <Sheet title={say('Move {many}', { many })} isOpen={open === 'move'} onClose={() => setOpen(undefined)}>
        <GroupField label={say('To')} none={say('choose a group')} value={groupId} onChange={setGroupId} />
        {problem ? <Problem role="alert">{problem}</Problem> : null}
        <Row>
          <Button
            kind="main"
            isDisabled={!target}
            onPress={() =>
              void send(
                rows.map((r) => ({ type: 'move', animalId: r.tag.animalId, on, groupId })),
                say('Moved {many} to {n}', { many, n: target?.name ?? '' }),
              )
            }
          >
            {say('Move them')}
          </Button>
        </Row>
      </Sheet>
      <Sheet title={say('Mark {many}', { many })} isOpen={open === 'mark'} onClose={() => setOpen(undefined)}>
        <Row>
          <Choice
            label={say('Spray colour')}
            value={mark.colour}
            options={MARK_COLOURS.map((c) => [c, say(c)])}
            onChange={(c) => setMark({ ...mark, colour: c })}
          />
          <Choice
            label={say('Place on the body')}
            value={mark.place}
            options={MARK_PLACES.map((p) => [p, say(p)])}
            onChange={(p) => setMark({ ...mark, place: p })}
          />
        </Row>
        <Field
          label={say('What it means')}
          placeholder={say('second string')}
          value={mark.purpose}
          onChange={(purpose) => setMark({ ...mark, purpose })}
        />
        <Field
          label={say('Until (may be left empty)')}
          type="date"
          value={mark.until}
          onChange={(until) => setMark({ ...mark, until })}
        />
        {problem ? <Problem role="alert">{problem}</Problem> : null}
        <Row>
          <Button
            kind="main"
            isDisabled={mark.purpose.trim() === ''}
            onPress={() =>
              void send(
                rows.map((r) => ({ type: 'mark', animalId: r.tag.animalId, on, ...markOf(mark) })),
                say('Marked {many} {colour} on the {place}', {
                  many,
                  colour: say(mark.colour),
                  place: say(mark.place),
                }),
              )
            }
          >
            {say('Record the mark')}
          </Button>
        </Row>
      </Sheet>
    </Bar>
  );
}

/** A mark without an end has none. */
const markOf = <T extends { readonly until: string }>({ until, ...mark }: T) => ({
  ...mark,
  ...(until === '' ? {} : { until }),
});

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(2)};
  padding: ${space(2)} ${space(3)};
  border: 1px solid ${colour('indigo')};
  border-radius: ${radius};
  background: ${colour('indigoWash')};
`;
export const Problem = styled.p`
  color: ${colour('madder')};
  font-weight: 600;
`;
