import type { ChoosingRow } from '@yaylak/contract';
import { scaleUnit, type Decision, type Lines, type Species } from '@yaylak/core';
import { Fragment, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import styled from 'styled-components';
import { Key } from '../../parts/KeysHelp';
import { Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { colour, radius, space, touchable } from '../../theme/tokens';
import { RowTick } from '../../parts/RowTick';
import {
  bornText,
  dailyUnit,
  figureText,
  gainFigures,
  perYearFigures,
  surePointsText,
  verdictText,
  weightText,
} from '../../words/format';
import { DECISION_WORDS } from '../../words/reasons';
import { useWeightUnit } from '../../words/useUnits';
import { decisionOf, type Decisions } from './decisions';

interface Props {
  readonly species: Species;
  readonly rows: readonly ChoosingRow[];
  readonly lines: Lines;
  readonly onLinesChange: (lines: Lines) => void;
  readonly decisions: Decisions;
  readonly onDecide: (row: ChoosingRow, decision: Decision) => void;
  readonly selectedId: string | undefined;
  readonly onSelect: (id: string) => void;
  readonly pair: readonly string[];
  readonly onPairChange: (pair: readonly string[]) => void;
}

const DECISION_KEYS: Readonly<Record<string, Decision>> = { k: 'keep', s: 'second', x: 'sell' };

/** The ranking with its two lines; a line is moved by dragging it or by its keys. */
export function RankedList({
  species,
  rows,
  lines,
  onLinesChange,
  decisions,
  onDecide,
  selectedId,
  onSelect,
  pair,
  onPairChange,
}: Props) {
  const unit = useWeightUnit();
  const body = useRef<HTMLTableSectionElement>(null);
  const most = Math.max(1, ...rows.map((r) => r.index));
  const least = Math.min(...rows.map((r) => r.index));
  const setKeep = (keep: number): void =>
    onLinesChange({
      keep: clamp(keep, rows.length),
      second: Math.min(lines.second, rows.length - clamp(keep, rows.length)),
    });
  const setSecond = (end: number): void =>
    onLinesChange({ keep: lines.keep, second: clamp(end - lines.keep, rows.length - lines.keep) });

  const onRowKey = (e: KeyboardEvent<HTMLTableRowElement>, row: ChoosingRow): void => {
    const decision = DECISION_KEYS[e.key.toLowerCase()];
    if (decision && !e.ctrlKey && !e.metaKey && !e.altKey) onDecide(row, decision);
    else if (e.key === 'ArrowDown' || e.key === 'ArrowUp')
      moveFocus(body.current, e.currentTarget, e.key === 'ArrowDown' ? 1 : -1);
    else if (e.key === '[') setKeep(lines.keep - 1);
    else if (e.key === ']') setKeep(lines.keep + 1);
    else if (e.key === ' ' && e.target === e.currentTarget) onPairChange(toggled(pair, row.tag.animalId));
    else return;
    e.preventDefault();
  };
  /** The place a pointer is at: how many rows lie above it. */
  const placeAt = (y: number): number => {
    const all = [...(body.current?.querySelectorAll<HTMLTableRowElement>('tr[data-row]') ?? [])];
    return all.filter((r) => r.getBoundingClientRect().top + r.offsetHeight / 2 < y).length;
  };
  const line = (name: string, at: number, set: (n: number) => void) => (
    <tr data-line>
      <td colSpan={9}>
        <Line
          role="slider"
          tabIndex={0}
          aria-label={name}
          aria-valuemin={0}
          aria-valuemax={rows.length}
          aria-valuenow={at}
          aria-orientation="vertical"
          onKeyDown={(e) => {
            const step = e.key === 'ArrowDown' || e.key === ']' ? 1 : e.key === 'ArrowUp' || e.key === '[' ? -1 : 0;
            if (step === 0) return;
            set(at + step);
            e.preventDefault();
          }}
          onPointerDown={(e: PointerEvent<HTMLDivElement>) => e.currentTarget.setPointerCapture(e.pointerId)}
          onPointerMove={(e: PointerEvent<HTMLDivElement>) => {
            if (!e.currentTarget.hasPointerCapture(e.pointerId)) return;
            const place = placeAt(e.clientY);
            if (place !== at) set(place);
          }}
        >
          <span>
            {name}: {at}
          </span>
        </Line>
      </td>
    </tr>
  );
  return (
    <Frame>
      <Table>
        <thead>
          <tr>
            <th>Place</th>
            <th>Animal</th>
            <th>Born as</th>
            <th data-figure>Set weight</th>
            <th data-figure>Last gain, {dailyUnit(scaleUnit(species, unit))}</th>
            <th>Dam, reared a year</th>
            <th>Worth, points</th>
            <th>Choice</th>
            <th className="no-print">Compare</th>
          </tr>
        </thead>
        <tbody ref={body}>
          {lines.keep === 0 ? line('Keep', 0, setKeep) : null}
          {rows.map((r, i) => {
            const decision = decisionOf(r, decisions);
            return (
              <Fragment key={r.tag.animalId}>
                <tr
                  data-row
                  tabIndex={0}
                  aria-selected={r.tag.animalId === selectedId}
                  data-grey={r.isGrey || undefined}
                  onClick={() => onSelect(r.tag.animalId)}
                  onFocus={() => onSelect(r.tag.animalId)}
                  onKeyDown={(e) => onRowKey(e, r)}
                >
                  <td>{r.place}</td>
                  <td>
                    <Tag tag={r.tag} />
                  </td>
                  <td>{bornText(species, r.birthType, r.rearingType)}</td>
                  <td data-figure>{r.adjusted ? weightText(r.adjusted.kg, unit) : 'none'}</td>
                  <td data-figure title={r.lastGain ? verdictText(r.lastGain) : ''}>
                    {r.lastGain ? gainFigures(r.lastGain, scaleUnit(species, unit)) : 'none'}
                  </td>
                  <td>{r.damRecord ? perYearFigures(r.damRecord) : 'none'}</td>
                  <td style={{ whiteSpace: 'nowrap' }}>
                    <Bar title={surePointsText(r.index, r.standardError)}>
                      <span
                        style={{ width: `${8 + (92 * (r.index - least)) / Math.max(1, most - least)}%` }}
                        data-grey={r.isGrey || undefined}
                      />
                    </Bar>
                    {figureText(r.index, 0)}
                    {r.isGrey ? ' ?' : ''}
                  </td>
                  <td>
                    <Chosen data-decision={decision} data-against={decision !== r.suggestion || undefined}>
                      {DECISION_WORDS[decision]}
                    </Chosen>
                  </td>
                  <td className="no-print">
                    <RowTick
                      aria-label={`Compare ${r.tag.text}`}
                      checked={pair.includes(r.tag.animalId)}
                      onChange={() => onPairChange(toggled(pair, r.tag.animalId))}
                    />
                  </td>
                </tr>
                {i + 1 === lines.keep && lines.keep < rows.length ? line('Keep', lines.keep, setKeep) : null}
                {lines.second > 0 && i + 1 === lines.keep + lines.second && i + 1 < rows.length
                  ? line('Keep and second string', i + 1, setSecond)
                  : null}
              </Fragment>
            );
          })}
        </tbody>
      </Table>
      <Keys className="no-print">
        Drag a line, or <Key>[</Key> <Key>]</Key>. <Key>K</Key> <Key>S</Key> <Key>X</Key> on a row: keep, second string,
        sell. A choice against the ranking asks for a reason. A question mark: too near to a line to tell.
      </Keys>
    </Frame>
  );
}

const clamp = (n: number, most: number): number => Math.max(0, Math.min(most, n));
const toggled = (pair: readonly string[], id: string): string[] =>
  pair.includes(id) ? pair.filter((p) => p !== id) : [...pair.slice(-1), id];

function moveFocus(body: HTMLElement | null, from: HTMLElement, step: number): void {
  const all = [...(body?.querySelectorAll<HTMLElement>('tr[data-row]') ?? [])];
  all[all.indexOf(from) + step]?.focus();
}

const Frame = styled.div`
  background: ${colour('panel')};
  border: 1px solid ${colour('line')};
  border-radius: ${radius};
  overflow-x: auto;
`;
const Table = styled.table`
  th {
    text-align: left;
    font-size: 13px;
    font-weight: 600;
    color: ${colour('inkSoft')};
    padding: ${space(2)} 4px;
    border-bottom: 1px solid ${colour('lineStrong')};
    white-space: nowrap;
  }
  [data-figure] {
    text-align: right;
    white-space: nowrap;
  }
  td {
    padding: 2px 4px;
    height: 34px;
  }
  tr[data-row] {
    border-bottom: 1px solid ${colour('line')};
    cursor: pointer;
  }
  tr[data-grey] {
    background: repeating-linear-gradient(45deg, transparent 0 7px, ${colour('ground')} 7px 9px);
  }
  tr[aria-selected='true'] {
    background: ${colour('indigoWash')};
  }
  tr[data-line] td {
    padding: 0;
    height: 20px;
  }
  input {
    width: 20px;
    height: 20px;
    accent-color: ${colour('indigo')};
  }
`;
const Line = styled.div`
  ${touchable}
  height: 20px;
  display: flex;
  align-items: center;
  cursor: ns-resize;
  touch-action: none;
  background: linear-gradient(${colour('madder')}, ${colour('madder')}) center / 100% 3px no-repeat;
  span {
    margin-left: auto;
    padding: 0 ${space(2)};
    font-size: 12px;
    font-weight: 700;
    color: ${colour('madder')};
    background: ${colour('panel')};
  }
`;
const Bar = styled.span`
  display: inline-block;
  width: 52px;
  height: 8px;
  margin-right: ${space(2)};
  background: ${colour('stretch')};
  span {
    display: block;
    height: 8px;
    background: ${colour('mossFill')};
  }
  span[data-grey] {
    background: repeating-linear-gradient(90deg, ${colour('mossFill')} 0 4px, ${colour('mossWash')} 4px 7px);
  }
`;
const Chosen = styled.span`
  display: inline-block;
  padding: 1px ${space(2)};
  border-radius: 4px;
  font-weight: 700;
  white-space: nowrap;
  &[data-decision='keep'] {
    background: ${colour('mossWash')};
    color: ${colour('moss')};
  }
  &[data-decision='second'] {
    background: ${colour('weldWash')};
    color: ${colour('weld')};
  }
  &[data-decision='sell'] {
    background: ${colour('stretch')};
  }
  &[data-against] {
    outline: 2px solid ${colour('madder')};
  }
`;
const Keys = styled(Small)`
  padding: ${space(2)} ${space(3)};
`;
