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

import { DECISION_WORDS } from '../../words/reasons';
import { choosable, countsOf, decisionOf, idOf, lacksReason, type Choosable } from './decisions';
import { ReasonField } from './ReasonField';
import { say, lower } from '@yaylak/contract';

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
      say('Recorded the choice among {n} {n, plural, one {animal} other {animals}}', { n: decided.length }),
    );
    if (refused.length > 0) return setProblem(refused.join(' '));
    setProblem(undefined);
    onClose();
  };
  const told = (['keep', 'second', 'sell', 'cull'] as const)
    .filter((d) => counts[d] > 0)
    .map((d) => `${counts[d]} ${lower(DRAFT_DECISION_WORDS[d])}`);
  return (
    <Sheet title={say('Record the choice')} isOpen={isOpen} onClose={onClose}>
      <p>
        {say('{list}{value}. It goes into each animal’s time line, and can be undone.', {
          list: told.join(', '),
          value:
            counts.undecided > 0
              ? say('; {undecided} undecided, of which nothing is recorded', { undecided: counts.undecided })
              : '',
        })}
      </p>
      {missing.map((a) => (
        <Row key={idOf(a)} $gap={3}>
          <Tag tag={a.tag} isStatic />
          <span>
            {say('{draft}, suggested {word}', {
              draft: DRAFT_DECISION_WORDS[decisionOf(a)],
              word: lower(DECISION_WORDS[a.suggestion]),
            })}
          </span>
          <ReasonField row={a} isMissing onReason={(reason) => onReason(a, reason)} />
        </Row>
      ))}
      {missing.length > 0 ? (
        <p>
          {say('{value} decided otherwise than suggested, without a reason: {list}.', {
            value: missing.length === 1 ? say('One is') : say('{n} are', { n: missing.length }),
            list: missing.map((a) => a.tag.text).join(', '),
          })}
        </p>
      ) : null}
      {problem ? <p role="alert">{problem}</p> : null}
      <Row>
        <Button kind="main" isDisabled={missing.length > 0 || decided.length === 0} onPress={() => void record()}>
          {say('Record')}
        </Button>
      </Row>
    </Sheet>
  );
}
