import { useQuery } from '@tanstack/react-query';
import type { ChoosingView } from '@yaylak/contract';
import { useState } from 'react';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Row } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Tag } from '../../parts/Tag';
import { useWrite } from '../../parts/useWrite';
import { DRAFT_DECISION_WORDS } from '../../words/choosing';
import { countText } from '../../words/format';
import { DECISION_WORDS } from '../../words/reasons';
import { choosable, countsOf, decisionOf, idOf, lacksReason, type Choosable } from './decisions';
import { ReasonField } from './ReasonField';

interface Props {
  readonly view: ChoosingView;
  readonly words: string;
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly onReason: (row: Choosable, reason: string) => void;
}

/** Writes the choice into the book; deciding otherwise than suggested wants its reason, which is remembered. */
export function WriteSheet({ view, words, isOpen, onClose, onReason }: Props) {
  const { data: holding } = useQuery(holdingQuery);
  const write = useWrite();
  const [problem, setProblem] = useState<string>();
  const all = choosable(view);
  const decided = all.filter((a) => decisionOf(a) !== 'undecided');
  const counts = countsOf(all);
  const missing = all.filter(lacksReason);
  const record = async (): Promise<void> => {
    const refused = await write(
      decided.map((a) => {
        const reason = a.decided?.reason ?? a.eye.letBack ?? undefined;
        return {
          type: 'choice',
          animalId: idOf(a),
          on: holding?.today ?? '',
          decision: decisionOf(a),
          suggested: a.suggestion,
          among: words,
          ...('place' in a ? { place: a.place, of: view.rows.length } : {}),
          ...(reason ? { reason } : {}),
        } as never;
      }),
      `Recorded the choice among ${countText(decided.length, 'animal', 'animals')}`,
    );
    if (refused.length > 0) return setProblem(refused.join(' '));
    setProblem(undefined);
    onClose();
  };
  const told = (['keep', 'second', 'sell', 'cull'] as const)
    .filter((d) => counts[d] > 0)
    .map((d) => `${counts[d]} ${DRAFT_DECISION_WORDS[d].toLowerCase()}`);
  return (
    <Sheet title="Record the choice" isOpen={isOpen} onClose={onClose}>
      <p>
        {told.join(', ')}
        {counts.undecided > 0 ? `; ${counts.undecided} undecided, of which nothing is recorded` : ''}. It goes into each
        animal’s time line, and can be undone.
      </p>
      {missing.map((a) => (
        <Row key={idOf(a)} $gap={3}>
          <Tag tag={a.tag} isStatic />
          <span>
            {DRAFT_DECISION_WORDS[decisionOf(a)]}, suggested {DECISION_WORDS[a.suggestion].toLowerCase()}
          </span>
          <ReasonField row={a} isMissing onReason={(reason) => onReason(a, reason)} />
        </Row>
      ))}
      {missing.length > 0 ? (
        <p>
          {missing.length === 1 ? 'One is' : `${missing.length} are`} decided otherwise than suggested, without a
          reason: {missing.map((a) => a.tag.text).join(', ')}.
        </p>
      ) : null}
      {problem ? <p role="alert">{problem}</p> : null}
      <Row>
        <Button kind="main" isDisabled={missing.length > 0 || decided.length === 0} onPress={() => void record()}>
          Record
        </Button>
      </Row>
    </Sheet>
  );
}
