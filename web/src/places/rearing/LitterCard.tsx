import type { LitterChangeView, LitterView, RearedView } from '@yaylak/contract';
import { scaleUnit, SPECIES_WORDS, type WeightUnit } from '@yaylak/core';
import { lazy, Suspense, useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { GainFigure } from '../../parts/GainFigure';
import { LineTable } from '../../parts/LineTable';
import { Panel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { WindowBar } from '../../parts/WindowBar';
import { phone, space } from '../../theme/tokens';
import { bornText, countText, perDayText, shortDate, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { waitsText } from './words';

const LitterCurve = lazy(async () => ({ default: (await import('./LitterCurve')).LitterCurve }));

export type LitterAct = 'weigh' | 'wean' | 'foster' | 'loss' | 'feed';

interface Props {
  readonly litter: LitterView;
  readonly today: string;
  readonly onAct: (act: LitterAct) => void;
}

/** So many young stand on a card before the rest is unfolded. */
const SHOWN = 3;

/** A litter with its curve, who is in it and how each does, and what can be done with it. */
export function LitterCard({ litter, today, onAct }: Props) {
  const unit = useWeightUnit();
  const [isAll, setAll] = useState(false);
  const { dam, species, young, weaning } = litter;
  const name = dam?.name ?? dam?.text ?? 'Reared by hand';
  const [one, many] = SPECIES_WORDS[species].young.unknown;
  const looked = young.filter((y) => isBehind(y));
  const shown = isAll ? young : [...looked, ...young.filter((y) => !looked.includes(y))].slice(0, SHOWN);
  return (
    <Panel role="group" aria-label={`Litter of ${name}`}>
      <Head>
        <Row>
          {dam ? <Tag tag={dam} /> : <b>{name}</b>}
          {dam?.name ? <b>{dam.name}</b> : null}
          <span>
            {countText(young.length, one, many)}, day {litter.ageDays}
          </span>
        </Row>
        <WindowBar window={weaning.window} today={today} />
      </Head>
      <Small>{storyText(litter)}</Small>
      <Body>
        <div>
          <GainLine litter={litter} unit={unit} />
          <LineTable>
            <thead>
              <tr>
                <th>Young</th>
                <th>Weight</th>
                <th>Gain</th>
                <th>Place</th>
                <th>Weaning</th>
              </tr>
            </thead>
            <tbody>
              {shown.map((y) => (
                <YoungRow key={y.tag.animalId} young={y} place={young.indexOf(y) + 1} litter={litter} unit={unit} />
              ))}
            </tbody>
          </LineTable>
          {young.length > shown.length || isAll ? (
            <Button kind="quiet" onPress={() => setAll(!isAll)}>
              {isAll && young.length > SHOWN ? 'Show fewer' : `Show all ${young.length}`}
            </Button>
          ) : null}
        </div>
        {agesOf(litter).size > 1 ? (
          <Suspense fallback={<div style={{ height: 170 }} />}>
            <LitterCurve litter={litter} unit={unit} />
          </Suspense>
        ) : null}
      </Body>
      <Row>
        <Button
          kind={litter.toWeigh ? 'main' : 'plain'}
          aria-label={`Weigh the litter of ${name}`}
          onPress={() => onAct('weigh')}
        >
          Weigh{litter.toWeigh ? ` ${litter.toWeigh}` : ''}
        </Button>
        <Button
          kind={weaning.ready > 0 ? 'main' : 'plain'}
          aria-label={`Wean of ${name}`}
          onPress={() => onAct('wean')}
        >
          Wean{weaning.ready > 0 ? ` ${weaning.ready}` : ''}
        </Button>
        {dam ? (
          <>
            <Button kind="quiet" aria-label={`Foster young of ${name}`} onPress={() => onAct('foster')}>
              Foster
            </Button>
            <Button kind="quiet" aria-label={`A young of ${name} died`} onPress={() => onAct('loss')}>
              Record a death
            </Button>
            <Button kind="quiet" aria-label={`Feed of ${name}`} onPress={() => onAct('feed')}>
              Feed eaten
            </Button>
          </>
        ) : null}
      </Row>
    </Panel>
  );
}

/** Ages there is a weight of. */
const agesOf = ({ days, young }: LitterView): ReadonlySet<number> =>
  new Set([...days.map((d) => d.ageDays), ...young.flatMap((y) => y.points.map(([age]) => age))]);

const isBehind = (y: RearedView): boolean => y.isRunt || y.gain?.verdict === 'below';

function storyText({ bornAlive, bornDead, lost, young, bornOn, daysWithout, weaning }: LitterView): string {
  const others = young.filter((y) => y.bornOf !== null).length;
  return `${[
    `Born ${shortDate(bornOn)}: ${bornAlive} alive${bornDead > 0 ? `, ${bornDead} dead` : ''}`,
    ...(lost > 0 ? [`${lost} died since`] : []),
    ...(others > 0 ? [`${others} of another dam`] : []),
    daysWithout === null
      ? 'never weighed together'
      : daysWithout === 0
        ? 'weighed today'
        : `${countText(daysWithout, 'day', 'days')} without a weighing`,
    ...(weaning.ready > 0 ? [`${weaning.ready} to wean`] : []),
  ].join('; ')}.`;
}

/** What the litter put on between its last two weighings; where the heads were others, what one weighed then and now. */
function GainLine({
  litter: { last, species, days },
  unit,
}: {
  readonly litter: LitterView;
  readonly unit: WeightUnit;
}) {
  const now = days.at(-1);
  if (!last || !now) return null;
  const weight = (kg: number): string => weightText(kg, unit, species);
  const others = headsText(last);
  return (
    <p>
      <b>{weight(now.totalKg)}</b> together, {weight(now.totalKg / now.count)} each.{' '}
      {last.kind === 'gain'
        ? `${others === '' ? 'The litter' : `The ${last.heads} there both times`} ${perDayText(last.kgPerDay, scaleUnit(species, unit))}, ` +
          `${perDayText(last.kgPerHeadPerDay, scaleUnit(species, unit))} a head over ${countText(last.days, 'day', 'days')}` +
          `${others === '' ? '' : ` (${others})`}.`
        : `A head weighed ${weight(last.fromKg)} on average ${countText(last.days, 'day', 'days')} before` +
          ` and ${weight(last.toKg)} then, but they were not the same heads (${others}): no gain can be told.`}
    </p>
  );
}

/** Who was in the litter at one of two weighings only. */
const headsText = ({ died, left, joined }: LitterChangeView): string =>
  [died > 0 ? `${died} died` : [], left > 0 ? `${left} left the litter` : [], joined > 0 ? `${joined} came to it` : []]
    .flat()
    .join(', ');

interface RowProps {
  readonly young: RearedView;
  readonly place: number;
  readonly litter: LitterView;
  readonly unit: WeightUnit;
}

function YoungRow({ young: y, place, litter, unit }: RowProps) {
  const words = SPECIES_WORDS[litter.species].young;
  return (
    <tr>
      <td>
        <Row $gap={1}>
          {y.tag.kind === 'none' ? (
            <span>
              {place}. {words[y.sex === 'castrate' ? 'male' : y.sex][0]}
            </span>
          ) : (
            <Tag tag={y.tag} />
          )}
          {y.isRunt ? <b>small: watch</b> : null}
          {y.bornOf ? <Small>of {y.bornOf.name ?? y.bornOf.text}</Small> : null}
        </Row>
        {litter.young.length <= 3 && y.birthType !== null ? (
          <Small>{bornText(litter.species, y.birthType, y.rearingType)}</Small>
        ) : null}
      </td>
      <td>{y.lastKg === null ? 'none' : weightText(y.lastKg, unit, litter.species)}</td>
      <td>
        {y.gain ? (
          <GainFigure gain={y.gain} species={litter.species} title={`Gain of ${y.tag.text}`} isCompact />
        ) : (
          'not yet'
        )}
      </td>
      <td>{y.place === null ? '' : `${y.place} of ${y.of}`}</td>
      <td>{y.weaning.isReady ? (y.weaning.step === 'first' ? 'first step now' : 'now') : waitsText(y.weaning)}</td>
    </tr>
  );
}

const Head = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 230px;
  gap: ${space(4)};
  align-items: center;
  ${phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Body = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.35fr) minmax(0, 1fr);
  gap: ${space(4)};
  ${phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
