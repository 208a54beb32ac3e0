import type { BirthsToComeView } from '@yaylak/contract';
import { addDays, dayOf, halfWidth80, isoOf } from '@yaylak/core';
import { Area, CartesianGrid, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { dayAxis } from '../../parts/dayAxis';
import { colour } from '../../theme/tokens';
import { shortDate } from '../../words/dates';
import { axisFigure } from '../../words/format';
import { say } from '@yaylak/contract';

/** Births in three days running, as pens are taken, with the band four out of five fall into. */
const PEN_DAYS = 3;

export function BirthsBars({ births }: { readonly births: BirthsToComeView }) {
  const sum = (list: readonly number[], i: number): number =>
    list.slice(Math.max(0, i - PEN_DAYS + 1), i + 1).reduce((s, n) => s + n, 0);
  const variance = births.sdPerDay.map((sd) => sd * sd);
  const data = births.perDay.map((_, i) => {
    const mean = sum(births.perDay, i);
    const half = halfWidth80(Math.sqrt(sum(variance, i)));
    return { day: dayOf(births.from) + i, mean, band: [Math.max(0, mean - half), mean + half] };
  });
  const from = births.from;
  const to = isoOf(addDays(dayOf(from), births.perDay.length - 1));
  return (
    <div
      role="img"
      aria-label={say('Births in three days running, {date} to {date2}', {
        date: shortDate(from),
        date2: shortDate(to),
      })}
    >
      <ResponsiveContainer width="100%" height={130}>
        <ComposedChart accessibilityLayer={false} data={data} margin={{ top: 12, right: 4, bottom: 0, left: -28 }}>
          <CartesianGrid stroke={colour('line')} vertical={false} />
          <XAxis {...dayAxis} tickCount={3} interval="preserveStartEnd" />
          <YAxis tickFormatter={axisFigure} stroke={colour('inkSoft')} fontSize={11} allowDecimals={false} />
          <Area dataKey="band" stroke="none" fill={colour('weldWash')} isAnimationActive={false} />
          <Line dataKey="mean" dot={false} stroke={colour('weldFill')} strokeWidth={2.5} isAnimationActive={false} />
          {births.pens === null ? null : (
            <ReferenceLine
              y={births.pens}
              ifOverflow="extendDomain"
              stroke={colour('madder')}
              strokeDasharray="5 4"
              label={{
                value: say('pens: {pens}', { pens: births.pens }),
                position: 'insideBottomRight',
                fontSize: 11,
                fill: colour('madder'),
              }}
            />
          )}
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
