import { useQuery } from '@tanstack/react-query';
import type { SaleAheadView, YearBandView } from '@yaylak/contract';
import { dayOf, type Species } from '@yaylak/core';
import { Fragment, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { yearBandQuery } from '../api/queries';
import { saleAheadQuery } from '../api/selling';
import { bandLook } from './bandLook';
import { colour, phone, space } from '../theme/tokens';
import { shortDate } from '../words/dates';
import { useSpecies } from '../words/useHolding';
import { goesText, hasReady, keptText, readyText } from '../words/saleAhead';
import { PlainList } from './PlainList';
import { say, SPECIES_WORDS } from '@yaylak/contract';
import { MONTHS } from '../words/months';

const KIND_WORDS = { births: say('born'), rearing: say('rearing') };

type BandLane = YearBandView['lanes'][number];

interface BlockOnBand {
  readonly key: string;
  readonly kind: string;
  readonly from: string;
  readonly to: string;
  readonly isPlanned: boolean;
  readonly words: string;
  /** What the block opens. */
  readonly opens: string;
}

/** A lane's blocks in order of day: what is planned pale, what happened over it. */
function blocksOf(lane: BandLane, sales: SaleAheadView | undefined): BlockOnBand[] {
  const { species, blocks, planned, carrying, loads } = lane;
  const { name, birth } = SPECIES_WORDS[species];
  const plannedWords = { mating: say('mating'), carrying: say('carrying'), births: birth, rearing: say('rearing') };
  return [
    ...planned.map((b) => ({
      key: `${b.planId} ${b.kind} ${b.from}`,
      kind: b.kind,
      from: b.from,
      to: b.to,
      isPlanned: true,
      words: say('{name}, planned: {value}, {date} to {date2} ({name2})', {
        name,
        value: plannedWords[b.kind],
        date: shortDate(b.from),
        date2: shortDate(b.to),
        name2: b.name,
      }),
      opens: `/year?plan=${b.planId}`,
    })),
    ...carrying.map((b) => ({
      key: `${b.season} ${b.kind}`,
      kind: b.kind,
      from: b.from,
      to: b.to,
      isPlanned: b.isExpected,
      words: say(
        '{name}: {value}, {females} {females, plural, one {female} other {females}} served, {date} to {date2}',
        {
          name,
          value: b.isExpected ? say('{birth} expected', { birth }) : plannedWords[b.kind],
          females: b.females,
          date: shortDate(b.from),
          date2: shortDate(b.to),
        },
      ),
      opens: `/carrying?species=${species}&season=${b.season}`,
    })),
    ...loads.map((l) => ({
      key: l.id,
      kind: 'load',
      from: l.on,
      to: l.on,
      isPlanned: false,
      words: say('{name}: load for {outletName}, {heads} {heads, plural, one {head} other {head}}, {date}', {
        name,
        outletName: l.outletName,
        heads: l.heads,
        date: shortDate(l.on),
      }),
      opens: `/selling/loads/${l.id}`,
    })),
    ...blocks.map((b) => ({
      key: `${b.kind} ${b.from}`,
      kind: b.kind,
      from: b.from,
      to: b.to,
      isPlanned: false,
      words: say('{name}: {young} {kind}, {date} to {date2}', {
        name,
        young: b.young,
        kind: KIND_WORDS[b.kind],
        date: shortDate(b.from),
        date2: shortDate(b.to),
      }),
      opens: `/animals?species=${species}&bornIn=${b.batchFrom.slice(0, 4)}&presence=all`,
    })),
    ...(sales ? salesOf(species, sales) : []),
  ].sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0));
}

/** Who is ready and which outlets go next, to the day the first is ready no longer; and who is kept for a buyer to which day. */
function salesOf(species: Species, { on, species: all, reserved }: SaleAheadView): BlockOnBand[] {
  const block = { kind: 'sale', isPlanned: false } as const;
  return [
    ...all
      .filter((s) => s.species === species && hasReady(s))
      .map((s) => ({
        ...block,
        key: 'ready',
        from: on,
        to: s.closesOn ?? on,
        words: [readyText(s), ...s.outlets.map((o) => goesText(o, on))].join('; '),
        opens: `/selling?species=${species}`,
      })),
    ...reserved
      .filter((r) => r.species === species)
      .map((r) => ({
        ...block,
        key: `kept ${r.tag.animalId}`,
        from: r.until,
        to: r.until,
        words: `${r.tag.text} ${keptText(r)}`,
        opens: `/animals/${r.tag.animalId}`,
      })),
  ];
}

/** The year across the top: a lane per species, pale what the plans want, full what happened. */
export function YearBand() {
  const { data } = useQuery(yearBandQuery);
  const { data: sales } = useQuery(saleAheadQuery);
  const navigate = useNavigate();
  const kept = useSpecies();
  const [here, setHere] = useState<string>();
  if (!data) return <Lanes aria-hidden style={{ minHeight: 84 }} />;
  const first = dayOf(`${data.year}-01-01`);
  const length = dayOf(`${data.year}-12-31`) - first + 1;
  const at = (iso: string, end = 0): number => Math.min(100, Math.max(0, (100 * (dayOf(iso) + end - first)) / length));
  const lanes = data.lanes
    .filter((lane) => kept.includes(lane.species))
    .map((lane) => ({
      species: lane.species,
      blocks: blocksOf(lane, sales).map((b) => ({ ...b, id: `${lane.species} ${b.key}` })),
    }));
  const all = lanes.flatMap((lane) => lane.blocks);
  // One stop of the tab key: the block last stood on, else one of today.
  const stop = (all.find((b) => b.id === here) ?? all.find((b) => b.to >= data.today) ?? all[0])?.id;
  return (
    <Lanes role="group" aria-label={say('The year {year}', { year: data.year })}>
      <span />
      <Months aria-hidden>
        {MONTHS.map((m) => (
          <span key={m}>{m}</span>
        ))}
      </Months>
      {lanes.map((lane) => (
        <Fragment key={lane.species}>
          <LaneName>{SPECIES_WORDS[lane.species].name}</LaneName>
          <Lane aria-label={say('{name} in {year}', { name: SPECIES_WORDS[lane.species].name, year: data.year })}>
            {lane.blocks.map((b) => (
              <li key={b.id} style={{ left: `${at(b.from)}%`, width: `${Math.max(0.6, at(b.to, 1) - at(b.from))}%` }}>
                <Block
                  type="button"
                  tabIndex={b.id === stop ? 0 : -1}
                  data-kind={b.kind}
                  data-planned={b.isPlanned || undefined}
                  aria-label={b.words}
                  title={b.words}
                  onClick={() => void navigate(b.opens)}
                  onFocus={() => setHere(b.id)}
                  onKeyDown={moveAlong}
                />
              </li>
            ))}
          </Lane>
        </Fragment>
      ))}
      <TodayFrame aria-hidden>
        <TodayLine style={{ left: `${at(data.today)}%` }}>
          <span>{shortDate(data.today)}</span>
        </TodayLine>
      </TodayFrame>
    </Lanes>
  );
}

/** Arrow keys go along the blocks in the order they stand, up and down to the next lane; Home and End to its ends. */
function moveAlong(event: React.KeyboardEvent<HTMLButtonElement>): void {
  const own = event.currentTarget;
  const lanes = [...(own.closest('[role=group]')?.querySelectorAll('ul') ?? [])].map((lane) => [
    ...lane.querySelectorAll('button'),
  ]);
  const all = lanes.flat();
  const lane = lanes.findIndex((blocks) => blocks.includes(own));
  const to = {
    ArrowRight: all[all.indexOf(own) + 1],
    ArrowLeft: all[all.indexOf(own) - 1],
    ArrowDown: lanes.slice(lane + 1).find((blocks) => blocks.length > 0)?.[0],
    ArrowUp: lanes.slice(0, lane).findLast((blocks) => blocks.length > 0)?.[0],
    Home: lanes[lane]?.[0],
    End: lanes[lane]?.at(-1),
  }[event.key];
  if (!to) return;
  to.focus();
  event.preventDefault();
}

const Lanes = styled.div`
  position: relative;
  display: grid;
  grid-template-columns: 62px minmax(0, 1fr);
  gap: 5px ${space(2)};
  align-items: center;
  color: ${colour('bandInk')};
  font-size: 13px;
  ${phone} {
    display: none;
  }
`;
const Months = styled.div`
  display: grid;
  grid-template-columns: repeat(12, 1fr);
  font-size: 12px;
  color: ${colour('bandSoft')};
`;
const LaneName = styled.span`
  font-size: 12px;
  line-height: 12px;
`;
const Lane = styled(PlainList)`
  position: relative;
  height: 12px;
  background: ${colour('bandLine')};
  border-radius: 2px;
  li {
    position: absolute;
    top: 0;
  }
`;
const Block = styled.button`
  display: block;
  width: 100%;
  height: 12px;
  padding: 0;
  border: 0;
  border-radius: 2px;
  cursor: pointer;
  ${bandLook}
  &:focus-visible {
    outline: 2px solid #fff;
    opacity: 1;
  }
`;
const TodayFrame = styled.div`
  position: absolute;
  left: calc(62px + ${space(2)});
  right: 0;
  top: 0;
  bottom: -8px;
  pointer-events: none;
`;
const TodayLine = styled.div`
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  background: #fff;
  span {
    position: absolute;
    bottom: -5px;
    left: 4px;
    font-size: 12px;
    white-space: nowrap;
    background: #14110f;
    padding: 0 5px;
    border-radius: 3px;
  }
`;
