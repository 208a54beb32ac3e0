import { createColumnHelper, tableFeatures, useTable } from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import type { AnimalRow, AnimalSort } from '@yaylak/contract';
import { useEffect, useMemo, useRef } from 'react';
import styled from 'styled-components';
import { RowTick } from '../../parts/RowTick';
import { useKeptOffset } from '../../parts/useKeptState';
import { colour, radius, space, touch } from '../../theme/tokens';
import { useWeightUnit } from '../../words/useHolding';
import { AnimalLine, ROW_PX } from './AnimalLine';
import { COLUMNS, type ColumnId } from './columns';
import { say } from '@yaylak/contract';

const features = tableFeatures({});
const helper = createColumnHelper<typeof features, AnimalRow>();
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
  const kept = useKeptOffset();
  const virtual = useVirtualizer({
    initialOffset: kept.offset,
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
    <Scroller
      ref={scroller}
      role="grid"
      aria-label={say('Animals')}
      aria-rowcount={props.total}
      tabIndex={0}
      onScroll={(e) => kept.keep(e.currentTarget.scrollTop)}
    >
      <Head role="row" style={{ gridTemplateColumns: template }}>
        <span role="columnheader">
          <RowTick
            aria-label={say('Choose all that are loaded')}
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
              {spec.how}
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
            <AnimalLine
              key={row.id}
              row={row.original}
              index={item.index}
              top={item.start}
              template={template}
              columns={columns}
              isSelected={selected.has(id)}
              onToggle={() => toggle(id)}
              onOpen={() => onOpen(row.original)}
            >
              {row.getAllCells().map((cell) => (
                <table.FlexRender key={cell.id} cell={cell} />
              ))}
            </AnimalLine>
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
    padding: 0 ${space(2)};
    text-align: start;
    display: flex;
    align-items: center;
  }
  > span[data-figure] {
    justify-content: flex-end;
    gap: ${space(1)};
  }
  button {
    border: 0;
    background: none;
    padding: 0;
    min-height: ${touch};
    min-width: ${touch};
    text-align: inherit;
    cursor: pointer;
    font-weight: 600;
    color: ${colour('ink')};
  }
`;
