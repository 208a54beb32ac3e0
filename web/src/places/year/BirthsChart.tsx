import type { PensSetting } from '@yaylak/contract';
import { addDays, isoOf } from '@yaylak/core';
import { Area, AreaChart, CartesianGrid, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { How } from '../../parts/How';
import { Panel, Small } from '../../parts/Panel';
import { dayAxis } from '../../parts/dayAxis';
import { colour } from '../../theme/tokens';
import { shortDate } from '../../words/dates';
import { axisFigure } from '../../words/format';
import type { PlanOnPage } from './useYear';
import { say, SPECIES_WORDS } from '@yaylak/contract';

interface Props {
  readonly page: PlanOnPage;
  readonly pens: readonly PensSetting[];
}

/** Births to be expected by day, and what that asks of pens. */
export function BirthsChart({ page, pens }: Props) {
  const { births, plan } = page;
  const [first] = births;
  if (!first) return null;
  const data = births.flatMap((b) => b.perDay.map((n, i) => ({ day: b.from + i, births: n })));
  const there = pens.find((p) => p.species === plan.species)?.pens;
  const most = births.reduce((top, b) => (b.peakThreeDays > top.peakThreeDays ? b : top), first);
  const words = say('{n} births expected, most in the week of {date}', {
    n: Math.round(most.total),
    date: shortDate(isoOf(most.peakWeekFrom)),
  });
  return (
    <Panel>
      <h2>
        {say('Births by day')}
        <How of={say('Births by day')}>
          <p>
            {say(
              'Heats fall evenly over the first cycle; {n}\u00a0% of the females take in the end, by the share of heats that take under Holding. Gestation spreads over its usual range. Single animals fall outside it.',
              { n: Math.round(100 * conceptionOf(most, plan.females)) },
            )}
          </p>
        </How>
      </h2>
      <div role="img" aria-label={words}>
        <ResponsiveContainer width="100%" height={130}>
          <AreaChart accessibilityLayer={false} data={data} margin={{ top: 8, right: 4, bottom: 0, left: -28 }}>
            <CartesianGrid stroke={colour('line')} vertical={false} />
            <XAxis {...dayAxis} tickCount={4} />
            <YAxis tickFormatter={axisFigure} stroke={colour('inkSoft')} fontSize={11} />
            <Area
              dataKey="births"
              stroke={colour('weldFill')}
              fill={colour('weldWash')}
              isAnimationActive={false}
              type="step"
            />
          </AreaChart>
        </ResponsiveContainer>
      </div>
      <p>
        {say('About {n} of {females} {value}; the busiest week from {date} to {date2} with about {n2}.', {
          n: Math.round(most.total),
          females: plan.females,
          value: SPECIES_WORDS[plan.species].grown.female[1],
          date: shortDate(isoOf(most.peakWeekFrom)),
          date2: shortDate(isoOf(addDays(most.peakWeekFrom, 6))),
          n2: Math.round(most.peakWeek),
        })}
      </p>
      <Small>
        {say('Up to {ceil} in three days{value}. 95\u00a0% by {date}.', {
          ceil: Math.ceil(most.peakThreeDays - 0.05),
          value: there === undefined ? '' : say('; {there} pens there', { there }),
          date: shortDate(isoOf(most.mostBy)),
        })}
      </Small>
    </Panel>
  );
}

const conceptionOf = (births: { readonly total: number }, females: number): number => births.total / females;
