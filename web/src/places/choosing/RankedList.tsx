import type { ChoosingRow, ChoosingView, DraftDecision } from '@yaylak/contract';
import { linesWithin, type Lines } from '@yaylak/core';
import { Fragment, useRef, type KeyboardEvent } from 'react';
import styled from 'styled-components';
import { Key } from '../../parts/Key';
import { Small } from '../../parts/Panel';
import { RowTick } from '../../parts/RowTick';
import { rowWalk } from '../../parts/rowWalk';
import { stackedInFrame } from '../../parts/stackedOnPhone';
import { Tag } from '../../parts/Tag';
import { colour, phone, space } from '../../theme/tokens';
import { partText, RELIABILITY_TEXT, worthFigure, worthText } from '../../words/choosing';
import { scoreText } from '../../words/condition';
import { bornText, perYearFigures, weightText } from '../../words/format';
import { reservedText } from '../../words/reserved';
import { TRAIT_WORDS } from '../../words/reasons';
import { useWeightUnit } from '../../words/useHolding';
import { ChoiceCell, type Decide } from './ChoiceCell';
import { CutLine } from './CutLine';
import { IndexBar } from './IndexBar';
import { DenseTable, Frame } from '../../parts/Beside';
import { say, lower } from '@yaylak/contract';

interface Props {
  readonly view: ChoosingView;
  readonly currency: string;
  /** Of one group alone; the lines count all. */
  readonly rows: readonly ChoosingRow[];
  readonly onLines: (lines: Lines) => void;
  readonly onDecide: Decide;
  readonly selectedId: string | undefined;
  readonly onSelect: (id: string) => void;
  readonly compared: readonly string[];
  readonly onCompare: (ids: readonly string[]) => void;
}

const DECISION_KEYS: Readonly<Record<string, DraftDecision>> = {
  k: 'keep',
  s: 'second',
  x: 'sell',
  c: 'cull',
  u: 'undecided',
};
const COLUMNS = 10;
/** Side by side is for a few. */
export const COMPARED_MOST = 4;

/** The ranking with its two lines. */
export function RankedList(props: Props) {
  const { view, currency, rows, onLines, onDecide, selectedId, onSelect, compared, onCompare } = props;
  const unit = useWeightUnit();
  const body = useRef<HTMLTableSectionElement>(null);
  const { lines, set, basis } = view;
  const scale = basis === 'values' ? view.how.scale : 'points';
  const all = view.rows.length;
  const hasScores = view.rows.some((r) => r.score !== null);
  const reach = Math.max(...view.rows.map((r) => sideOf(r, 1)), ...view.rows.map((r) => sideOf(r, -1)), 0);
  const setKeep = (keep: number): void => onLines(linesWithin({ ...lines, keep }, all));
  const setEnd = (end: number): void => onLines(linesWithin({ ...lines, second: end - lines.keep }, all));

  const onRowKey = (e: KeyboardEvent<HTMLTableRowElement>, row: ChoosingRow): void => {
    const decision = DECISION_KEYS[e.key.toLowerCase()];
    if (decision && !e.ctrlKey && !e.metaKey && !e.altKey)
      onDecide(row, decision === row.suggestion ? 'as-suggested' : decision);
    else if (e.key === '[') setKeep(lines.keep - 1);
    else if (e.key === ']') setKeep(lines.keep + 1);
    else if (e.key === ' ' && e.target === e.currentTarget) onCompare(toggled(compared, row.tag.animalId));
    else return;
    e.preventDefault();
  };
  const walk = rowWalk(selectedId, onSelect);
  const placeAt = (y: number): number => {
    const shown = [...(body.current?.querySelectorAll<HTMLTableRowElement>('tr[data-row]') ?? [])];
    return shown.filter((r) => r.getBoundingClientRect().top + r.offsetHeight / 2 < y).length;
  };
  const isWhole = rows.length === all;
  const line = (name: string, at: number, set: (n: number) => void) => (
    <tr data-line>
      <td colSpan={COLUMNS}>
        <CutLine name={name} at={at} most={all} placeAt={isWhole ? placeAt : () => at} onMove={set} />
      </td>
    </tr>
  );
  /** The last shown of those above a line. */
  const isLastAbove = (i: number, at: number): boolean =>
    (rows[i]?.place ?? 0) <= at && (rows[i + 1]?.place ?? Infinity) > at;
  const weightWords =
    view.standardDays === null ? say('Weight') : say('{standardDays}-day weight', { standardDays: view.standardDays });
  const worthWords = scale === 'points' ? say('Worth, points') : say('Worth');
  return (
    <Frame>
      <List aria-label={say('By the numbers')}>
        <thead>
          <tr>
            <th>{say('Place')}</th>
            <th>{say('Animal')}</th>
            <th>{say('Born as')}</th>
            <th data-figure>{weightWords}</th>
            <th data-figure>{say('Dam rears a year')}</th>
            {hasScores ? <th data-figure>{say('Score')}</th> : null}
            <th colSpan={2}>{worthWords}</th>
            <th>{say('Choice')}</th>
            <th className="no-print">{say('Beside')}</th>
          </tr>
        </thead>
        <tbody ref={body}>
          {lines.keep === 0 && all > 0 ? line(say('Keep'), 0, setKeep) : null}
          {rows.map((r, i) => {
            const walked = walk(r.tag.animalId);
            const { tabIndex } = walked;
            return (
              <Fragment key={r.tag.animalId}>
                <tr
                  {...walked}
                  aria-selected={r.tag.animalId === selectedId}
                  data-grey={r.isGrey || undefined}
                  onClick={() => onSelect(r.tag.animalId)}
                  onKeyDown={(e) => {
                    walked.onKeyDown(e);
                    if (!e.defaultPrevented) onRowKey(e, r);
                  }}
                >
                  <td>{r.place}</td>
                  <td>
                    <Tag tag={r.tag} tabIndex={tabIndex} />
                    {r.tag.reserved ? <Small>{reservedText(r.tag.reserved)}</Small> : null}
                  </td>
                  <td data-under={say('Born as')}>{bornText(set.species, r.birthType, r.rearingType)}</td>
                  <td data-figure data-under={weightWords}>
                    {r.adjusted ? weightText(r.adjusted.kg, unit) : r.lastKg === null ? '' : weightText(r.lastKg, unit)}
                  </td>
                  <td data-figure data-under={say('Dam rears a year')}>
                    {r.damRecord ? perYearFigures(r.damRecord) : ''}
                  </td>
                  {hasScores ? (
                    <td data-figure data-under={say('Score')}>
                      {r.score ? scoreText(r.score.score) : ''}
                    </td>
                  ) : null}
                  <td>
                    <IndexBar
                      parts={r.parts}
                      reach={reach}
                      words={`${worthText(r, scale, currency)}: ${r.parts
                        .map((p) => `${lower(TRAIT_WORDS[p.trait])} ${partText(p.points, scale, currency)}`)
                        .join(', ')}`}
                    />
                  </td>
                  <td data-figure data-under={worthWords}>
                    {worthFigure(r.index, scale, currency)}
                    {r.isGrey ? ' ?' : ''}
                    {basis === 'values' ? <Small>{RELIABILITY_TEXT[sureness(r)]}</Small> : null}
                  </td>
                  <td data-under={say('Choice')}>
                    <ChoiceCell row={r} onDecide={onDecide} tabIndex={tabIndex} />
                  </td>
                  <td className="no-print" data-under={say('Beside')}>
                    <RowTick
                      aria-label={say('Compare {text}', { text: r.tag.text })}
                      tabIndex={tabIndex}
                      checked={compared.includes(r.tag.animalId)}
                      onChange={() => onCompare(toggled(compared, r.tag.animalId))}
                    />
                  </td>
                </tr>
                {isLastAbove(i, lines.keep) ? line(say('Keep'), lines.keep, setKeep) : null}
                {lines.second > 0 && lines.keep + lines.second < all && isLastAbove(i, lines.keep + lines.second)
                  ? line(say('Keep and second string'), lines.keep + lines.second, setEnd)
                  : null}
              </Fragment>
            );
          })}
        </tbody>
      </List>
      <Keys className="no-print">
        {say('Drag a line, or')} <Key>[</Key> <Key>]</Key>. <Key>{say('K')}</Key> <Key>{say('S')}</Key>{' '}
        <Key>{say('X')}</Key> <Key>{say('C')}</Key>{' '}
        {say(
          'on a row: keep, second string, sell, cull. A choice against the ranking needs a reason. Hatched, with a question mark: too near a line to tell.',
        )}
      </Keys>
    </Frame>
  );
}

const sideOf = ({ parts }: ChoosingRow, sign: 1 | -1): number =>
  parts.reduce((sum, { points }) => sum + Math.max(0, sign * points), 0);

/** How far the values behind a place can be relied on: that of the trait that moves it most. */
function sureness({ parts, values }: ChoosingRow): 'guess' | 'fair' | 'good' {
  const [most] = [...parts].sort((a, b) => Math.abs(b.points) - Math.abs(a.points));
  return values.find((v) => v.trait === most?.trait)?.word ?? 'guess';
}

const toggled = (ids: readonly string[], id: string): string[] =>
  ids.includes(id) ? ids.filter((p) => p !== id) : [...ids.slice(1 - COMPARED_MOST), id];

const List = styled(DenseTable)`
  tr[data-row] {
    cursor: pointer;
  }
  /* Wide headings take two lines, so that the list fits beside what stands next to it. */
  th[data-figure] {
    white-space: normal;
    width: 72px;
  }
  tr[data-grey] td:first-child {
    background: repeating-linear-gradient(45deg, transparent 0 5px, ${colour('stretch')} 5px 8px);
  }
  tr[aria-selected='true'] {
    background: ${colour('indigoWash')};
  }
  tr[data-line] td {
    padding: 0;
    height: 22px;
  }
  ${stackedInFrame}
  ${phone} {
    /* The place stands beside all that is said of the animal, a line to be drawn is as wide as the list. */
    && tr[data-row] {
      grid-template-columns: 36px 1fr 1fr;
    }
    && tr[data-row] > :first-child {
      grid-column: 1;
      grid-row: 1 / span 6;
    }
    /* The bar and the figure of its worth, whatever stands before them. */
    && tr[data-row] > :nth-last-child(4) {
      grid-column: 2;
      align-self: end;
    }
    && tr[data-line] {
      display: block;
      padding: 0;
    }
  }
`;
const Keys = styled(Small)`
  padding: ${space(2)} ${space(3)};
`;
