import type { ChoosingRow } from '@yaylak/contract';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Row } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Tag } from '../../parts/Tag';
import { DECISION_WORDS } from '../../words/reasons';
import { decisionOf, type Decisions } from './decisions';

interface Props {
  /** Decided against the ranking. */
  readonly against: readonly ChoosingRow[];
  readonly counts: Readonly<Record<'keep' | 'second' | 'sell', number>>;
  readonly decisions: Decisions;
  readonly isOpen: boolean;
  readonly onClose: () => void;
  /** @returns what went wrong */
  readonly onWrite: (reasons: Readonly<Record<string, string>>) => Promise<string | undefined>;
}

/** Writes the choice into the book; an overrule wants its reason and is remembered. */
export function WriteSheet({ against, counts, decisions, isOpen, onClose, onWrite }: Props) {
  const [reasons, setReasons] = useState<Readonly<Record<string, string>>>({});
  const [problem, setProblem] = useState<string>();
  const missing = against.filter((r) => !(reasons[r.tag.animalId] ?? '').trim());
  return (
    <Sheet title="Write down the choice" isOpen={isOpen} onClose={onClose}>
      <p>
        {counts.keep} keep, {counts.second} second string, {counts.sell} sell. It goes into each animal’s time line and
        can be taken back.
      </p>
      {against.map((r) => (
        <Row key={r.tag.animalId} $gap={3}>
          <Tag tag={r.tag} isStatic />
          <span>
            {DECISION_WORDS[decisionOf(r, decisions)]}, suggested {DECISION_WORDS[r.suggestion].toLowerCase()}
          </span>
          <Field
            label={`Why, for ${r.tag.text}`}
            value={reasons[r.tag.animalId] ?? ''}
            onChange={(v) => setReasons({ ...reasons, [r.tag.animalId]: v })}
          />
        </Row>
      ))}
      {missing.length > 0 ? (
        <p>A choice against the ranking wants a reason: {missing.map((r) => r.tag.text).join(', ')}.</p>
      ) : null}
      {problem ? <p role="alert">{problem}</p> : null}
      <Row>
        <Button kind="main" isDisabled={missing.length > 0} onPress={() => void onWrite(reasons).then(setProblem)}>
          Write it down
        </Button>
      </Row>
    </Sheet>
  );
}
