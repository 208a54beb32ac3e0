import type { BirthsToComeView } from '@yaylak/contract';
import { addDays, dayOf, isoOf, SPECIES_WORDS, type Species } from '@yaylak/core';
import { lazy, Suspense } from 'react';
import { Button } from '../../parts/Button';
import { How } from '../../parts/How';
import { Panel, Small } from '../../parts/Panel';
import { countText, shortDate } from '../../words/format';

const BirthsBars = lazy(async () => ({ default: (await import('./BirthsBars')).BirthsBars }));

interface Props {
  readonly births: BirthsToComeView;
  readonly species: Species;
  readonly onSteps: () => void;
}

/** Births to be expected by day with how sure that is, the fullest week, and what it asks of pens. */
export function BirthsToCome({ births, species, onSteps }: Props) {
  const { birth } = SPECIES_WORDS[species];
  const weekEnd = isoOf(addDays(dayOf(births.peakWeekFrom), 6));
  return (
    <Panel>
      <h2>
        Births to expect
        <How of="Births to expect">
          <p>
            Each female by her chance, spread over the usual range of carrying; days gone by without a birth are taken
            off. ± is how far it may be off, four times out of five: gestation differs, and not all that may carry do.
          </p>
          <p>Pens: a pen is taken for three days. Set how many there are under Year plan.</p>
        </How>
      </h2>
      <Suspense fallback={<div style={{ height: 130 }} />}>
        <BirthsBars births={births} />
      </Suspense>
      <p>
        About {births.total.toFixed(1)} in all, most in the week of {shortDate(births.peakWeekFrom)} to{' '}
        {shortDate(weekEnd)}: {births.peakWeek.toFixed(1)} ± {births.peakWeekHalfWidth.toFixed(1)}. Nearly all by{' '}
        {shortDate(births.mostBy)}.
      </p>
      <Small>
        Up to {births.peakThreeDays.toFixed(1)} in three days
        {births.pens === null
          ? ''
          : `, ${countText(births.pens, 'pen', 'pens')} there${births.shortDays > 0 ? `: too few on ${countText(births.shortDays, 'day', 'days')}` : ': enough'}`}
        .
        {births.overlaps
          .map(
            (o) =>
              ` In the same week about ${o.births.toFixed(1)} ${o.births < 1.05 ? 'birth' : 'births'} of ${SPECIES_WORDS[o.species].plural}.`,
          )
          .join('')}
        {births.overdue > 0 ? ` ${countText(births.overdue, 'is', 'are')} over the usual time of ${birth}.` : ''}
      </Small>
      <Button onPress={onSteps}>Steps before a birth</Button>
    </Panel>
  );
}
