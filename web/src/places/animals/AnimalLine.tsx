import type { AnimalRow } from '@yaylak/contract';
import { Children, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import styled from 'styled-components';
import { RowTick } from '../../parts/RowTick';
import { colour, space } from '../../theme/tokens';
import { CellEditor } from './CellEditor';
import { COLUMNS, type ColumnId } from './columns';
import { say } from '@yaylak/contract';

export const ROW_PX = 44;

interface Props {
  readonly row: AnimalRow;
  readonly index: number;
  /** Pixels from the top of the list. */
  readonly top: number;
  readonly template: string;
  readonly columns: readonly ColumnId[];
  readonly isSelected: boolean;
  readonly onToggle: () => void;
  readonly onOpen: () => void;
  /** What stands in the cells, in the order of the columns. */
  readonly children: ReactNode;
}

/**
 * One animal in the list. Up and down go from animal to animal, left and right along its cells; Enter opens the animal,
 * or on a cell that can be changed begins to change it, as a click does.
 */
export function AnimalLine({ row, index, top, template, columns, isSelected, onToggle, onOpen, children }: Props) {
  const [editing, setEditing] = useState<ColumnId>();
  const cellAtHand = useRef<HTMLSpanElement>(null);
  const cells = Children.toArray(children);
  const onLineKey = (event: KeyboardEvent<HTMLElement>): void => {
    const line = event.currentTarget;
    if (event.target !== line) return;
    const next = { ArrowDown: line.nextElementSibling, ArrowUp: line.previousElementSibling }[event.key];
    if (event.key === 'Enter') onOpen();
    else if (event.key === ' ') onToggle();
    else if (event.key === 'ArrowRight') focus(line.querySelector('[data-edits]'));
    else if (next !== undefined) focus(next);
    else return;
    event.preventDefault();
  };
  const onCellKey = (event: KeyboardEvent<HTMLElement>, id: ColumnId): void => {
    const cell = event.currentTarget;
    if (event.target !== cell) return;
    const line = cell.parentElement;
    const editable = [...(line?.querySelectorAll('[data-edits]') ?? [])];
    const at = editable.indexOf(cell);
    if (event.key === 'Enter' || event.key === 'F2') setEditing(id);
    else if (event.key === 'ArrowRight') focus(editable[at + 1]);
    else if (event.key === 'ArrowLeft') focus(editable[at - 1] ?? line);
    else if (event.key === 'Escape') focus(line);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    <Line
      role="row"
      aria-rowindex={index + 2}
      tabIndex={0}
      data-selected={isSelected || undefined}
      data-gone={!row.isPresent || undefined}
      data-editing={editing !== undefined || undefined}
      style={{ gridTemplateColumns: template, transform: `translateY(${top}px)` }}
      onDoubleClick={onOpen}
      onKeyDown={onLineKey}
    >
      <span role="gridcell">
        <RowTick aria-label={say('Choose {text}', { text: row.tag.text })} checked={isSelected} onChange={onToggle} />
      </span>
      {columns.map((id, i) => {
        const { edits, isFigure } = COLUMNS[id];
        if (edits === undefined)
          return (
            <span key={id} role="gridcell" data-figure={isFigure || undefined}>
              {cells[i]}
            </span>
          );
        return (
          <span
            key={id}
            role="gridcell"
            ref={editing === id ? cellAtHand : undefined}
            data-edits
            tabIndex={-1}
            title={editing === id ? undefined : say('Click or Enter to change')}
            onKeyDown={(e) => onCellKey(e, id)}
            onDoubleClick={(e) => e.stopPropagation()}
            onClick={(e) => {
              // A tag in the cell opens its own animal.
              if (!(e.target as HTMLElement).closest('a')) setEditing(id);
            }}
          >
            {editing === id ? (
              <CellEditor
                row={row}
                fact={edits}
                onDone={(by) => {
                  if (by === 'key') focus(cellAtHand.current);
                  setEditing(undefined);
                }}
              />
            ) : (
              cells[i]
            )}
          </span>
        );
      })}
    </Line>
  );
}

const focus = (element: Element | null | undefined): void => (element as HTMLElement | null | undefined)?.focus();

const Line = styled.div`
  display: grid;
  position: absolute;
  left: 0;
  min-width: 100%;
  height: ${ROW_PX}px;
  align-items: center;
  border-bottom: 1px solid ${colour('line')};
  > span {
    padding: 0 ${space(2)};
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  > span[data-figure] {
    text-align: right;
  }
  > span[data-edits] {
    display: flex;
    align-items: center;
    align-self: stretch;
    cursor: text;
  }
  > span[data-edits]:hover,
  > span[data-edits]:focus-visible {
    box-shadow: inset 0 -2px 0 ${colour('indigo')};
  }
  /* What is against a change may hang out of its row, over the ones below. */
  &[data-editing] {
    z-index: 1;
    > span[data-edits] {
      overflow: visible;
    }
  }
  &[data-selected] {
    background: ${colour('indigoWash')};
  }
  &[data-gone] {
    color: ${colour('inkSoft')};
  }
`;
