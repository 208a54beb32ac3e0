import type { BirthsToComeView } from '@yaylak/contract';
import { addDays, dayOf, isoOf, type Species } from '@yaylak/core';
import { lazy, Suspense } from 'react';
import { Button } from '../../parts/Button';
import { How } from '../../parts/How';
import { Panel, Small } from '../../parts/Panel';
import { shortDate } from '../../words/dates';
import { say, SPECIES_WORDS, fixedText } from '@yaylak/contract';

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
        {say('Births to expect')}
        <How of={say('Births to expect')}>
          <p>
            {say(
              'Each female by her chance, spread over the usual range of carrying; days gone by without a birth are taken off. ± is how far it may be off, four times out of five: gestation differs, and not all that may carry do.',
            )}
          </p>
          <p>{say('Pens: a pen is taken for three days. Set how many there are under Year plan.')}</p>
        </How>
      </h2>
      <Suspense fallback={<div style={{ height: 130 }} />}>
        <BirthsBars births={births} />
      </Suspense>
      <p>
        {say('About {n} in all, most in the week of {date} to {date2}: {n2} ± {n3}. Nearly all by {date3}.', {
          n: fixedText(births.total, 1),
          date: shortDate(births.peakWeekFrom),
          date2: shortDate(weekEnd),
          n2: fixedText(births.peakWeek, 1),
          n3: fixedText(births.peakWeekHalfWidth, 1),
          date3: shortDate(births.mostBy),
        })}
      </p>
      <Small>
        {say('Up to {n} in three days{value}.{list}{value2}', {
          n: fixedText(births.peakThreeDays, 1),
          value:
            births.pens === null
              ? ''
              : say(', {pens} {pens, plural, one {pen} other {pens}} there{value}', {
                  pens: births.pens,
                  value:
                    births.shortDays > 0
                      ? say(': too few on {shortDays} {shortDays, plural, one {day} other {days}}', {
                          shortDays: births.shortDays,
                        })
                      : say(': enough'),
                }),
          list: births.overlaps
            .map(
              (o) =>
                ` ${say('In the same week about {n} {value} of {plural}.', { n: fixedText(o.births, 1), value: o.births < 1.05 ? say('birth') : say('births'), plural: SPECIES_WORDS[o.species].plural })}`,
            )
            .join(''),
          value2:
            births.overdue > 0
              ? ` ${say('{overdue} {overdue, plural, one {is} other {are}} over the usual time of {birth}.', { overdue: births.overdue, birth })}`
              : '',
        })}
      </Small>
      <Button onPress={onSteps}>{say('Steps before a birth')}</Button>
    </Panel>
  );
}
