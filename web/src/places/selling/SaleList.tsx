import type { SaleRow, SellingView } from '@yaylak/contract';
import { addDays, dayOf, isoOf, scaleUnit, Z_80, wantedRun } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { DenseTable, Frame } from '../../parts/Beside';
import { How } from '../../parts/How';
import { Small } from '../../parts/Panel';
import { RowLink } from '../../parts/RowLink';
import { rowWalk } from '../../parts/rowWalk';
import { stackedInFrame } from '../../parts/stackedOnPhone';
import { Tag } from '../../parts/Tag';
import { useFirst } from '../../parts/useFirst';
import { colour, fonts, phone, radius, touch } from '../../theme/tokens';
import { fullDate, shortDate } from '../../words/dates';
import { figureText, gainText, weightText } from '../../words/format';
import { finishText, missText, saleStateText } from '../../words/selling';
import { useWeightUnit } from '../../words/useHolding';
import { OutlookSheet } from './OutlookSheet';
import { useOnLoad, type OnLoad } from './useOnLoad';
import { WorthCurve } from './WorthCurve';
import { say } from '@yaylak/contract';

interface Props {
  readonly view: SellingView;
  readonly currency: string;
  /** Where a head goes in the split as it stands; undefined of one that is no part of it. */
  readonly columnOf: (animalId: string) => string | undefined;
  readonly onSend: (animalId: string, column: string) => void;
}

const FIRST = 40;

/** One head a row: what it weighs, what it is worth over the coming weeks, and what each outlet brings today. */
export function SaleList({ view, currency, columnOf, onSend }: Props) {
  const { rows, outlets } = view;
  const { shown, more } = useFirst(rows, FIRST);
  const [looked, setLooked] = useState<SaleRow['tag']>();
  const onLoad = useOnLoad();
  const [atHand, setAtHand] = useState<string>();
  const first = rows.find((r) => r.tag.animalId === atHand) ?? rows[0];
  const walk = rowWalk(first?.tag.animalId, setAtHand);
  return (
    <>
      <Frame>
        <Sales>
          <thead>
            <tr>
              <th>{say('Animal')}</th>
              <th>{say('Weight, gain')}</th>
              <th>{say('Worth over the next 8 weeks')}</th>
              {outlets.map((o) => (
                <th key={o.id} data-figure>
                  {o.facts.name}
                </th>
              ))}
              {outlets.length > 0 ? <th data-figure>{say('stays')}</th> : null}
            </tr>
          </thead>
          <tbody>
            {shown.map((row) => (
              <Line
                key={row.tag.animalId}
                row={row}
                walked={walk(row.tag.animalId)}
                view={view}
                currency={currency}
                at={columnOf(row.tag.animalId)}
                load={onLoad.get(row.tag.animalId)}
                onSend={onSend}
                onLook={setLooked}
              />
            ))}
          </tbody>
        </Sales>
      </Frame>
      {more}
      {looked ? (
        <OutlookSheet
          animalId={looked.animalId}
          name={looked.text}
          currency={currency}
          onClose={() => setLooked(undefined)}
        />
      ) : null}
    </>
  );
}

interface LineProps {
  readonly row: SaleRow;
  readonly walked: ReturnType<ReturnType<typeof rowWalk>>;
  readonly view: SellingView;
  readonly currency: string;
  readonly at: string | undefined;
  readonly load: OnLoad | undefined;
  readonly onSend: Props['onSend'];
  readonly onLook: (tag: SaleRow['tag']) => void;
}

function Line({ row, walked, view, currency, at, load, onSend, onLook }: LineProps) {
  const { tag, weight, finish } = row;
  const { tabIndex } = walked;
  const [isDragged, setDragged] = useState(false);
  const unit = useWeightUnit();
  const scale = scaleUnit(view.species, unit);
  const columns = [
    ...row.cells.map((c) => ({ id: c.outletId, minor: c.nowMinor, cell: c })),
    ...(view.outlets.length > 0 && weight ? [{ id: 'stays', minor: row.staysMinor, cell: undefined }] : []),
  ];
  return (
    <tr {...walked}>
      <td>
        <Tag tag={tag} tabIndex={tabIndex} />
        <State data-state={row.state}>{saleStateText(row, view)}</State>
        {load ? (
          <Small>
            <RowLink to={`/selling/loads/${load.loadId}`} tabIndex={tabIndex}>
              {say('On the load of {date}', { date: shortDate(load.on) })}
            </RowLink>
          </Small>
        ) : null}
        {finish ? (
          <Small>
            {finishText({
              shape: finish.shape ?? undefined,
              fat: finish.fat === null ? {} : { tail: finish.fat },
            }).replace(/ \(.*\)/, '')}
          </Small>
        ) : null}
      </td>
      <td>
        {weight ? (
          <>
            <b>{weightText(weight.nowKg, unit, view.species)}</b>{' '}
            <How of={say('the weight of {text}', { text: tag.text })} isPassedByTab={tabIndex < 0}>
              <p>
                {say('{weight} on {date}{value}; sure to ± {weight2} four times out of five.', {
                  weight: weightText(weight.kg, unit, view.species),
                  date: fullDate(weight.on),
                  value: weight.on === view.on ? '' : say(', carried on to today'),
                  weight2: weightText(Z_80 * weight.nowSd, unit, view.species),
                })}
              </p>
              <p>
                {weight.isPlateau
                  ? say('It stands on a plateau: the gain of its last three weeks is carried on.')
                  : say('Its own gain of the last six weeks counts {n} %, that of the pen the rest.', {
                      n: Math.round(100 * weight.ownShare),
                    })}
                {row.feedDays === null ? '' : ` ${say('{feedDays} days on feed.', { feedDays: row.feedDays })}`}
              </p>
            </How>
            <Small>{gainText({ kgPerDay: weight.gainKgPerDay, halfWidth: Z_80 * weight.gainSd }, scale)}</Small>
            {isOld(weight.on, view.on) ? (
              <Old>{say('weighed {n} days ago: weigh it first', { n: dayOf(view.on) - dayOf(weight.on) })}</Old>
            ) : null}
          </>
        ) : (
          <Small>{say('never weighed')}</Small>
        )}
      </td>
      <td>
        <WorthCurve row={row} today={view.on} currency={currency} />
        {row.cells.length > 0 ? (
          <Later
            type="button"
            tabIndex={tabIndex}
            aria-label={say('Sell {text} today, or later?', { text: tag.text })}
            onClick={() => onLook(tag)}
          >
            {bestText(row, view)}
          </Later>
        ) : null}
      </td>
      {columns.map(({ id, minor, cell }) => {
        const name = view.outlets.find((o) => o.id === id)?.facts.name ?? 'stays';
        const isOutside = cell !== undefined && cell.readiness.kind !== 'ready';
        return (
          <td key={id} data-figure data-under={name === 'stays' ? say('stays') : name}>
            {minor === null ? (
              <Small>{cell ? missText(row, cell) : ''}</Small>
            ) : (
              <Worth
                type="button"
                tabIndex={tabIndex}
                aria-pressed={at === id}
                disabled={at === undefined}
                aria-label={`${tag.text} ${id === 'stays' ? say('stays') : say('to {name}', { name })}, ${figureText(minor / 100, 0)} ${currency}${isOutside ? say(', outside what it wants') : ''}`}
                onClick={() => onSend(tag.animalId, id)}
                // What is framed can be dragged along the row, too.
                draggable={at === id}
                data-target={isDragged || undefined}
                onDragStart={(e) => {
                  e.dataTransfer.setData('text/plain', tag.text);
                  setDragged(true);
                }}
                onDragEnd={() => setDragged(false)}
                onDragOver={(e) => isDragged && e.preventDefault()}
                onDrop={(e) => {
                  e.preventDefault();
                  if (isDragged) onSend(tag.animalId, id);
                }}
              >
                {figureText(minor / 100, 0)}
                {isOutside ? <Outside>{say('outside')}</Outside> : null}
              </Worth>
            )}
          </td>
        );
      })}
    </tr>
  );
}

/** Carried on for longer than this a weight says little. */
const OLD_DAYS = 28;
const isOld = (on: string, today: string): boolean => dayOf(today) - dayOf(on) > OLD_DAYS;

/** When it brings most where it brings most, of the days it is wanted there. */
function bestText(row: SaleRow, view: SellingView): string {
  const there = row.cells.find((c) => c.outletId === row.bestOutletId);
  if (!there?.best) return row.cells.length === 0 ? '' : say('no day it may go');
  const name = view.outlets.find((o) => o.id === row.bestOutletId)?.facts.name ?? '';
  const on = (days: number): string => shortDate(isoOf(addDays(dayOf(view.on), days)));
  const { from, to } = wantedRun(there.best.run, there.readiness);
  if (from === to) return `${name}, ${from === 0 ? say('today') : on(from)}`;
  return `${name}, ${from === 0 ? say('to {on}', { on: on(to) }) : say('{on} to {on2}', { on: on(from), on2: on(to) })}`;
}

const Sales = styled(DenseTable)`
  td:nth-child(1) > p {
    max-width: 130px;
  }
  td:nth-child(2) {
    min-width: 124px;
  }
  td:nth-child(2) > p:first-of-type {
    white-space: nowrap;
  }
  th[data-figure] {
    white-space: normal;
    width: 78px;
  }
  td {
    vertical-align: top;
    padding-top: 6px;
    padding-bottom: 6px;
  }
  p {
    font-size: 13px;
  }
  ${stackedInFrame}
  ${phone} {
    && td:first-child > p {
      max-width: none;
      font-weight: 400;
    }
  }
`;
const Old = styled.p`
  max-width: 140px;
  color: ${colour('weld')};
`;
const State = styled.p`
  font-weight: 600;
  color: ${colour('inkSoft')};
  &[data-state='ready'],
  &[data-state='closing'] {
    color: ${colour('moss')};
  }
  &[data-state='held'],
  &[data-state='never'] {
    color: ${colour('madder')};
  }
  &[data-state='plateau'] {
    color: ${colour('weld')};
  }
`;
/** When it brings most; pressed it tells why. */
const Later = styled.button`
  min-height: ${touch};
  padding: 0;
  text-align: left;
  font: 13px ${fonts.text};
  color: ${colour('indigo')};
  text-decoration: underline;
  background: none;
  border: 0;
  cursor: pointer;
`;
/** It would pay so much, and may turn it down. */
const Outside = styled.span`
  display: block;
  font: 11px ${fonts.text};
  color: ${colour('inkSoft')};
`;
/** Pressed is where it goes: framed, and said by aria-pressed. */
const Worth = styled.button`
  min-width: 64px;
  min-height: 44px;
  padding: 0 8px;
  text-align: right;
  font: 15px ${fonts.text};
  font-variant-numeric: tabular-nums;
  color: ${colour('ink')};
  background: none;
  border: 3px solid transparent;
  border-radius: ${radius};
  cursor: pointer;
  &:hover:enabled {
    background: ${colour('indigoWash')};
  }
  &[data-target] {
    border: 3px dashed ${colour('line')};
  }
  &[aria-pressed='true'] {
    border: 3px solid ${colour('moss')};
    font-weight: 700;
  }
  &[draggable='true'] {
    cursor: grab;
  }
  ${phone} {
    /* Under its heading, as all figures of a stacked row are. */
    margin-left: -11px;
    text-align: left;
  }
  &:disabled {
    cursor: default;
  }
`;
