import { createColumnHelper, tableFeatures, useTable } from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import type { AnimalRow, AnimalSort } from '@yaylak/contract';
import { useEffect, useMemo, useRef } from 'react';
import styled from 'styled-components';
import { colour, radius, space } from '../../theme/tokens';
import { useWeightUnit } from '../../words/useUnits';
import { COLUMNS, type ColumnId } from './columns';

const features = tableFeatures({});
const helper = createColumnHelper<typeof features, AnimalRow>();
const ROW_PX = 44;
const NEAR_END_ROWS = 40;

interface Props {
  readonly rows: readonly AnimalRow[];
  readonly columns: readonly ColumnId[];
  readonly sort: AnimalSort;
  readonly direction: 'up' | 'down';
  readonly onSort: (sort: AnimalSort) => void;
  readonly selected: ReadonlySet<string>;
  readonly onSelectedChange: (selected: ReadonlySet<string>) => void;
  readonly onOpen: (row: AnimalRow) => void;
  readonly hasMore: boolean;
  readonly onMore: () => void;
  readonly total: number;
}

/** The list itself: only the rows in sight are in the page; the next page is fetched before its end is seen. */
export function AnimalsTable(props: Props) {
  const { rows, columns, selected, onSelectedChange, onOpen, hasMore, onMore } = props;
  const unit = useWeightUnit();
  const scroller = useRef<HTMLDivElement>(null);
  const defs = useMemo(
    () =>
      helper.columns(
        columns.map((id) =>
          helper.display({ id, header: COLUMNS[id].heading, cell: ({ row }) => COLUMNS[id].cell(row.original, unit) }),
        ),
      ),
    [columns, unit],
  );
  const data = useMemo(() => [...rows], [rows]);
  const table = useTable({ features, columns: defs, data, getRowId: (row: AnimalRow) => row.tag.animalId });
  const model = table.getRowModel().rows;
  const virtual = useVirtualizer({
    count: model.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: 12,
  });
  const shown = virtual.getVirtualItems();
  const lastShown = shown.at(-1)?.index ?? 0;
  // The server is outside React: more rows are wanted when the end comes near.
  useEffect(() => {
    if (hasMore && lastShown > model.length - NEAR_END_ROWS) onMore();
  }, [hasMore, lastShown, model.length, onMore]);

  const template = `44px ${columns.map((id) => `minmax(${COLUMNS[id].width}px, ${COLUMNS[id].width}fr)`).join(' ')}`;
  const toggle = (id: string): void => {
    const next = new Set(selected);
    if (!next.delete(id)) next.add(id);
    onSelectedChange(next);
  };
  const isAll = rows.length > 0 && rows.every((r) => selected.has(r.tag.animalId));
  return (
    <Scroller ref={scroller} role="table" aria-label="Animals" aria-rowcount={props.total} tabIndex={0}>
      <Head role="row" style={{ gridTemplateColumns: template }}>
        <span role="columnheader">
          <Tick
            type="checkbox"
            aria-label="Choose all that are loaded"
            checked={isAll}
            onChange={() => onSelectedChange(isAll ? new Set() : new Set(rows.map((r) => r.tag.animalId)))}
          />
        </span>
        {table.getHeaderGroups()[0]?.headers.map((header) => {
          const spec = COLUMNS[header.column.id as ColumnId];
          const isSorted = spec.sort !== undefined && spec.sort === props.sort;
          return (
            <span
              key={header.id}
              role="columnheader"
              data-figure={spec.isFigure || undefined}
              aria-sort={isSorted ? (props.direction === 'up' ? 'ascending' : 'descending') : 'none'}
            >
              {spec.sort ? (
                <button type="button" onClick={() => props.onSort(spec.sort as AnimalSort)}>
                  {spec.heading} {isSorted ? (props.direction === 'up' ? '↑' : '↓') : ''}
                </button>
              ) : (
                spec.heading
              )}
            </span>
          );
        })}
      </Head>
      <div role="rowgroup" style={{ height: virtual.getTotalSize(), position: 'relative' }}>
        {shown.map((item) => {
          const row = model[item.index];
          if (!row) return null;
          const id = row.original.tag.animalId;
          return (
            <Line
              key={row.id}
              role="row"
              aria-rowindex={item.index + 2}
              tabIndex={0}
              data-selected={selected.has(id) || undefined}
              data-gone={!row.original.isPresent || undefined}
              style={{ gridTemplateColumns: template, transform: `translateY(${item.start}px)` }}
              onDoubleClick={() => onOpen(row.original)}
              onKeyDown={(e) => {
                if (e.target !== e.currentTarget) return;
                if (e.key === 'Enter') onOpen(row.original);
                else if (e.key === ' ') toggle(id);
                else if (e.key === 'ArrowDown') (e.currentTarget.nextElementSibling as HTMLElement | null)?.focus();
                else if (e.key === 'ArrowUp') (e.currentTarget.previousElementSibling as HTMLElement | null)?.focus();
                else return;
                e.preventDefault();
              }}
            >
              <span role="cell">
                <Tick
                  type="checkbox"
                  aria-label={`Choose ${row.original.tag.text}`}
                  checked={selected.has(id)}
                  onChange={() => toggle(id)}
                />
              </span>
              {row.getAllCells().map((cell) => (
                <span key={cell.id} role="cell" data-figure={COLUMNS[cell.column.id as ColumnId].isFigure || undefined}>
                  <table.FlexRender cell={cell} />
                </span>
              ))}
            </Line>
          );
        })}
      </div>
    </Scroller>
  );
}

const Scroller = styled.div`
  height: calc(100vh - 390px);
  min-height: 340px;
  overflow: auto;
  background: ${colour('panel')};
  border: 1px solid ${colour('line')};
  border-radius: ${radius};
`;
const Head = styled.div`
  display: grid;
  position: sticky;
  top: 0;
  z-index: 2;
  min-width: min-content;
  background: ${colour('panel')};
  border-bottom: 1px solid ${colour('lineStrong')};
  color: ${colour('inkSoft')};
  font-size: 13px;
  > span {
    padding: ${space(2)};
    display: flex;
    align-items: center;
  }
  > span[data-figure] {
    justify-content: flex-end;
  }
  button {
    border: 0;
    background: none;
    padding: 0;
    min-height: 32px;
    cursor: pointer;
    font-weight: 600;
    color: ${colour('ink')};
  }
`;
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
  &[data-selected] {
    background: ${colour('indigoWash')};
  }
  &[data-gone] {
    color: ${colour('inkSoft')};
  }
`;
const Tick = styled.input`
  width: 20px;
  height: 20px;
  margin: 0 auto;
  display: block;
  accent-color: ${colour('indigo')};
`;
