import { DRAFT_DECISIONS, type DraftDecision, say } from '@yaylak/contract';
import styled from 'styled-components';
import { colour, radius } from '../../theme/tokens';
import { CellChoice } from '../../parts/CellChoice';
import { DRAFT_DECISION_WORDS } from '../../words/choosing';
import { decisionOf, isOverruled, type Choosable } from './decisions';

export type Decide = (row: Choosable, decision: DraftDecision | 'as-suggested') => void;

interface Props {
  readonly row: Choosable;
  readonly onDecide: Decide;
  readonly tabIndex?: number;
}

const OPTIONS = DRAFT_DECISIONS.map((d) => [d, DRAFT_DECISION_WORDS[d]] as const);

/** What becomes of one, to change by key, mouse or touch; framed where it is against the suggestion. */
export function ChoiceCell({ row, onDecide, tabIndex }: Props) {
  const decision = decisionOf(row);
  return (
    <Cell
      label={say('Choice for {text}', { text: row.tag.text })}
      data-decision={decision}
      data-against={isOverruled(row) || undefined}
      value={decision}
      options={OPTIONS}
      tabIndex={tabIndex}
      onChoose={(next) => {
        if (next !== decision) onDecide(row, next === row.suggestion ? 'as-suggested' : next);
      }}
    />
  );
}

const Cell = styled(CellChoice<DraftDecision>)`
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 44px;
  width: 126px;
  padding: 0 6px 0 8px;
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
