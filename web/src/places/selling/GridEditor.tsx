import { cellNames, FAT_CLASSES, SHAPE_CLASSES, type GridDivision } from '@yaylak/core';
import type { KeyboardEvent } from 'react';
import styled from 'styled-components';
import { Choice } from '../../parts/Choice';
import { Row, Small } from '../../parts/Panel';
import { colour, fonts, space } from '../../theme/tokens';
import { dividedAs, pasted, type GridDraft } from './outletDraft';
import { say } from '@yaylak/contract';

/** Animals of the holding by the cell they would fall in: `2 3`, row and column. */
export type Dots = Readonly<Record<string, number>>;

interface Props {
  readonly grid: GridDraft;
  readonly unit: string;
  readonly dotsOf: (grid: GridDraft) => Dots;
  readonly onChange: (grid: GridDraft) => void;
}

const DIVISION_WORDS: Readonly<Record<GridDivision, string>> = {
  whole: say('whole classes'),
  thirds: say('thirds'),
  'low-high': say('low and high'),
};

/** What is paid by class, as a field of cells; the holding's own animals lie in it as dots. */
export function GridEditor({ grid, unit, dotsOf, onChange }: Props) {
  const rows = cellNames(SHAPE_CLASSES, grid.shape);
  const columns = cellNames(FAT_CLASSES, grid.fat);
  const dots = dotsOf(grid);
  const divide = (shape: GridDraft['shape'], fat: GridDivision): void =>
    onChange({ ...grid, ...dividedAs(grid, shape, fat) });
  const set = (r: number, c: number, text: string): void =>
    onChange({ ...grid, cells: grid.cells.map((row, i) => (i === r ? row.map((x, j) => (j === c ? text : x)) : row)) });
  return (
    <>
      <Row $gap={3}>
        <Choice
          label={say('Shape by')}
          value={grid.shape}
          options={(['whole', 'thirds'] as const).map((d) => [d, DIVISION_WORDS[d]])}
          onChange={(shape) => divide(shape, grid.fat)}
        />
        <Choice
          label={say('Fat by')}
          value={grid.fat}
          options={(['whole', 'thirds', 'low-high'] as const).map((d) => [d, DIVISION_WORDS[d]])}
          onChange={(fat) => divide(grid.shape, fat)}
        />
        <Choice
          label={say('Each cell is')}
          value={grid.cellsAre}
          options={[
            ['adjustment', say('added to the price a {unit}', { unit })],
            ['price', say('the price a {unit}', { unit })],
          ]}
          onChange={(cellsAre) => onChange({ ...grid, cellsAre })}
        />
      </Row>
      <Small>
        {say(
          'Best shape on top, lean on the left. Paste a field from a spreadsheet into its upper left cell; arrow keys go from cell to cell. Dots are your own animals as you felt them.',
        )}
      </Small>
      <Scroll>
        <Cells>
          <thead>
            <tr>
              <td />
              {columns.map((c) => (
                <th key={c} scope="col">
                  {c}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows
              .map((name, r) => ({ name, r }))
              .toReversed()
              .map(({ name, r }) => (
                <tr key={name}>
                  <th scope="row">{name}</th>
                  {columns.map((column, c) => {
                    const heads = dots[`${r} ${c}`] ?? 0;
                    return (
                      <td key={column} data-own={heads > 0 || undefined}>
                        <input
                          aria-label={say('Shape {name}, fat {column}{value}', {
                            name,
                            column,
                            value: heads > 0 ? say(', {heads} of yours', { heads }) : '',
                          })}
                          inputMode="decimal"
                          data-cell={`${r} ${c}`}
                          value={grid.cells[r]?.[c] ?? ''}
                          onChange={(e) => set(r, c, e.target.value)}
                          onKeyDown={step}
                          onPaste={(e) => {
                            const text = e.clipboardData.getData('text');
                            if (!/[\t\n]/.test(text)) return;
                            e.preventDefault();
                            onChange({ ...grid, cells: pasteTopDown(grid.cells, r, c, text) });
                          }}
                        />
                        {heads > 0 ? <i aria-hidden>{'•'.repeat(Math.min(heads, 5))}</i> : null}
                      </td>
                    );
                  })}
                </tr>
              ))}
          </tbody>
        </Cells>
      </Scroll>
    </>
  );
}

/** Rows stand best on top, and are kept poorest first: what is pasted goes down as it is seen. */
function pasteTopDown(cells: GridDraft['cells'], r: number, c: number, text: string): string[][] {
  const seen = cells.toReversed();
  return pasted(seen, [cells.length - 1 - r, c], text).toReversed();
}

const STEPS: Readonly<Record<string, readonly [rows: number, columns: number]>> = {
  ArrowUp: [1, 0],
  ArrowDown: [-1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

/** Arrow keys go to the next cell; within a figure they move the cursor first. */
function step(event: KeyboardEvent<HTMLInputElement>): void {
  const by = STEPS[event.key];
  const input = event.currentTarget;
  const isSideways = by !== undefined && by[0] === 0;
  const atEnd = event.key === 'ArrowLeft' ? input.selectionStart === 0 : input.selectionEnd === input.value.length;
  if (!by || (isSideways && !atEnd)) return;
  const [r = 0, c = 0] = (input.dataset.cell ?? '').split(' ').map(Number);
  const next = input.closest('table')?.querySelector<HTMLInputElement>(`[data-cell="${r + by[0]} ${c + by[1]}"]`);
  if (!next) return;
  event.preventDefault();
  next.focus();
  next.select();
}

const Scroll = styled.div`
  overflow-x: auto;
`;
const Cells = styled.table`
  width: auto;
  border-collapse: separate;
  border-spacing: 2px;
  th {
    font: 600 14px ${fonts.heading};
    padding: 2px ${space(2)};
    color: ${colour('inkSoft')};
  }
  td {
    position: relative;
    padding: 0;
  }
  input {
    width: 64px;
    min-height: 44px;
    text-align: center;
    font: 15px ${fonts.mono};
    border: 1px solid ${colour('line')};
    border-radius: 4px;
    background: ${colour('panel')};
    color: ${colour('ink')};
  }
  td[data-own] input {
    border-color: ${colour('indigo')};
  }
  i {
    position: absolute;
    right: 4px;
    bottom: 0;
    font-style: normal;
    font-size: 12px;
    letter-spacing: -1px;
    color: ${colour('indigo')};
    pointer-events: none;
  }
`;
