import { useQuery } from '@tanstack/react-query';
import { type AnimalRow, say } from '@yaylak/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { groupsQuery, holdingQuery } from '../../api/queries';
import { cardsOf } from '../../shared/nav/cardAddress';
import { MarkSheet } from './MarkSheet';
import { NotebookSheet } from './NotebookSheet';
import { ReserveSheet } from './ReserveSheet';
import { Button } from '../../parts/Button';
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
  const [isMoving, setMoving] = useState(false);
  const [isMarking, setMarking] = useState(false);
  const [groupId, setGroupId] = useState('');
  const [isTreating, setTreating] = useState(false);
  const [problem, setProblem] = useState<string>();
  const write = useWrite();
  if (rows.length === 0) return null;
  const on = holding?.today ?? '';
  const many = say('{n} {n, plural, one {animal} other {animals}}', { n: rows.length });

  const target = groups?.find((g) => g.id === groupId);
  const move = async (): Promise<void> => {
    const refused = await write(
      rows.map((r) => ({ type: 'move', animalId: r.tag.animalId, on, groupId })),
      say('Moved {many} to {n}', { many, n: target?.name ?? '' }),
    );
    setProblem(refused.join(' ') || undefined);
    if (refused.length > 0) return;
    setMoving(false);
    onDone();
  };
  return (
    <Bar role="region" aria-label={say('Chosen animals')}>
      <b>{say('{many} chosen', { many })}</b>
      {isTreating ? (
        <TreatSheet animalIds={rows.map((r) => r.tag.animalId)} onClose={() => setTreating(false)} />
      ) : null}
      <Button onPress={() => setMoving(true)}>{say('Move to a group')}</Button>
      <Button onPress={() => setMarking(true)}>{say('Mark')}</Button>
      <Button onPress={() => setReserving(true)}>{say('Reserve')}</Button>
      {isMarking ? (
        <MarkSheet tags={rows.map((r) => r.tag)} today={on} onClose={() => setMarking(false)} onDone={onDone} />
      ) : null}
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
      <Sheet title={say('Move {many}', { many })} isOpen={isMoving} onClose={() => setMoving(false)}>
        <GroupField label={say('To')} none={say('choose a group')} value={groupId} onChange={setGroupId} />
        {problem ? <Problem role="alert">{problem}</Problem> : null}
        <Row>
          <Button kind="main" isDisabled={!target} onPress={() => void move()}>
            {say('Move them')}
          </Button>
        </Row>
      </Sheet>
    </Bar>
  );
}

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
