import type { LitterChangeView, LitterView, RearedView } from '@yaylak/contract';
import { scaleUnit, type WeightUnit } from '@yaylak/core';
import { lazy, Suspense, useState } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { GainFigure } from '../../parts/GainFigure';
import { LineTable } from '../../parts/LineTable';
import { Panel, Row, Small } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { WindowBar } from '../../parts/WindowBar';
import { phone, space } from '../../theme/tokens';
import { shortDate } from '../../words/dates';
import { bornText, countText, perDayText, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { waitsText } from './words';
import { say, SPECIES_WORDS } from '@yaylak/contract';
import { Said } from '../../parts/Said';

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
  const name = dam?.name ?? dam?.text ?? say('Reared by hand');
  const [one, many] = SPECIES_WORDS[species].young.unknown;
  const looked = young.filter((y) => isBehind(y));
  const shown = isAll ? young : [...looked, ...young.filter((y) => !looked.includes(y))].slice(0, SHOWN);
  return (
    <Panel role="group" aria-label={say('Litter of {name}', { name })}>
      <Head>
        <Row>
          {dam ? <Tag tag={dam} /> : <b>{name}</b>}
          {dam?.name ? <b>{dam.name}</b> : null}
          <span>
            {say('{count}, day {ageDays}', { count: countText(young.length, one, many), ageDays: litter.ageDays })}
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
                <th>{say('Young')}</th>
                <th>{say('Weight')}</th>
                <th>{say('Gain')}</th>
                <th>{say('Place')}</th>
                <th>{say('Weaning')}</th>
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
              {isAll && young.length > SHOWN ? say('Show fewer') : say('Show all {n}', { n: young.length })}
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
          aria-label={say('Weigh the litter of {name}', { name })}
          onPress={() => onAct('weigh')}
        >
          {say('Weigh{value}', { value: litter.toWeigh ? ` ${litter.toWeigh}` : '' })}
        </Button>
        <Button
          kind={weaning.ready > 0 ? 'main' : 'plain'}
          aria-label={say('Wean of {name}', { name })}
          onPress={() => onAct('wean')}
        >
          {say('Wean{value}', { value: weaning.ready > 0 ? ` ${weaning.ready}` : '' })}
        </Button>
        {dam ? (
          <>
            <Button kind="quiet" aria-label={say('Foster young of {name}', { name })} onPress={() => onAct('foster')}>
              {say('Foster')}
            </Button>
            <Button kind="quiet" aria-label={say('A young of {name} died', { name })} onPress={() => onAct('loss')}>
              {say('Record a death')}
            </Button>
            <Button kind="quiet" aria-label={say('Feed of {name}', { name })} onPress={() => onAct('feed')}>
              {say('Feed eaten')}
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
    say('Born {date}: {bornAlive} alive{value}', {
      date: shortDate(bornOn),
      bornAlive,
      value: bornDead > 0 ? say(', {bornDead} dead', { bornDead }) : '',
    }),
    ...(lost > 0 ? [say('{lost} died since', { lost })] : []),
    ...(others > 0 ? [say('{others} of another dam', { others })] : []),
    daysWithout === null
      ? say('never weighed together')
      : daysWithout === 0
        ? say('weighed today')
        : say('{daysWithout} {daysWithout, plural, one {day} other {days}} without a weighing', { daysWithout }),
    ...(weaning.ready > 0 ? [say('{ready} to wean', { ready: weaning.ready })] : []),
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
      <Said
        text={'<0>{weight}</0> together, {weight2} each. {value}'}
        values={{
          weight: weight(now.totalKg),
          weight2: weight(now.totalKg / now.count),
          value:
            last.kind === 'gain'
              ? `${others === '' ? say('The litter') : say('The {heads} there both times', { heads: last.heads })} ${perDayText(last.kgPerDay, scaleUnit(species, unit))}, ` +
                say('{perDay} a head over {days} {days, plural, one {day} other {days}}', {
                  perDay: perDayText(last.kgPerHeadPerDay, scaleUnit(species, unit)),
                  days: last.days,
                }) +
                `${others === '' ? '' : ` (${others})`}.`
              : say('A head weighed {weight} on average {days} {days, plural, one {day} other {days}} before', {
                  weight: weight(last.fromKg),
                  days: last.days,
                }) +
                ` ${say('and {weight} then, but they were not the same heads ({others}): no gain can be told.', { weight: weight(last.toKg), others })}`,
        }}
        parts={{ 0: <b /> }}
      />
    </p>
  );
}

/** Who was in the litter at one of two weighings only. */
const headsText = ({ died, left, joined }: LitterChangeView): string =>
  [
    died > 0 ? say('{died} died', { died }) : [],
    left > 0 ? say('{left} left the litter', { left }) : [],
    joined > 0 ? say('{joined} came to it', { joined }) : [],
  ]
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
          {y.isRunt ? <b>{say('small: watch')}</b> : null}
          {y.bornOf ? <Small>{say('of {n}', { n: y.bornOf.name ?? y.bornOf.text })}</Small> : null}
        </Row>
        {litter.young.length <= 3 && y.birthType !== null ? (
          <Small>{bornText(litter.species, y.birthType, y.rearingType)}</Small>
        ) : null}
      </td>
      <td>{y.lastKg === null ? say('none') : weightText(y.lastKg, unit, litter.species)}</td>
      <td>
        {y.gain ? (
          <GainFigure
            gain={y.gain}
            species={litter.species}
            title={say('Gain of {text}', { text: y.tag.text })}
            isCompact
          />
        ) : (
          say('not yet')
        )}
      </td>
      <td>{y.place === null ? '' : say('{place} of {of}', { place: y.place, of: y.of })}</td>
      <td>
        {y.weaning.isReady ? (y.weaning.step === 'first' ? say('first step now') : say('now')) : waitsText(y.weaning)}
      </td>
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
