import { DRAFT_DECISIONS, type DraftDecision, say } from '@yaylak/contract';
import styled from 'styled-components';
import { colour, radius } from '../../theme/tokens';
import { DRAFT_DECISION_WORDS } from '../../words/choosing';
import { decisionOf, isOverruled, type Choosable } from './decisions';

export type Decide = (row: Choosable, decision: DraftDecision | 'as-suggested') => void;

interface Props {
  readonly row: Choosable;
  readonly onDecide: Decide;
  readonly tabIndex?: number;
}

/** What becomes of one, to change by key, mouse or touch; framed where it is against the suggestion. */
export function ChoiceCell({ row, onDecide, tabIndex }: Props) {
  const decision = decisionOf(row);
  return (
    <Cell
      aria-label={say('Choice for {text}', { text: row.tag.text })}
      data-decision={decision}
      data-against={isOverruled(row) || undefined}
      value={decision}
      tabIndex={tabIndex}
      onClick={(e) => e.stopPropagation()}
      onKeyDown={(e) => e.stopPropagation()}
      onChange={(e) => {
        const next = e.target.value as DraftDecision;
        onDecide(row, next === row.suggestion ? 'as-suggested' : next);
      }}
    >
      {DRAFT_DECISIONS.map((d) => (
        <option key={d} value={d}>
          {DRAFT_DECISION_WORDS[d]}
        </option>
      ))}
    </Cell>
  );
}

const Cell = styled.select`
  min-height: 44px;
  width: 126px;
  padding: 0 2px;
  font-weight: 700;
  font-size: 14px;
  border: 1px solid transparent;
  border-radius: ${radius};
  background: ${colour('stretch')};
  color: ${colour('ink')};
  cursor: pointer;
  &[data-decision='keep'] {
    background: ${colour('mossWash')};
    color: ${colour('moss')};
  }
  &[data-decision='second'] {
    background: ${colour('weldWash')};
    color: ${colour('weld')};
  }
  &[data-decision='cull'] {
    background: ${colour('madderWash')};
    color: ${colour('madder')};
  }
  &[data-decision='undecided'] {
    background: ${colour('panel')};
    border-style: dashed;
    border-color: ${colour('lineStrong')};
  }
  &[data-against] {
    outline: 2px solid ${colour('madder')};
    outline-offset: -1px;
  }
  &:focus-visible {
    outline: 3px solid ${colour('indigo')};
  }
`;
