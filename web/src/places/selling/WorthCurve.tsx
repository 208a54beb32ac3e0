import type { SaleRow } from '@yaylak/contract';
import { wantedRun } from '@yaylak/core';
import { Area, ComposedChart, Line, XAxis, YAxis } from 'recharts';
import { colour } from '../../theme/tokens';
import { figureText } from '../../words/format';
import { say } from '@yaylak/contract';

interface Props {
  readonly row: SaleRow;
  readonly today: string;
  readonly currency: string;
}

const WIDTH = 116;
const HEIGHT = 46;

/** What one is worth by day where it brings most, its keep taken off; the days as good as the best on which it is wanted are shaded. */
export function WorthCurve({ row, currency }: Props) {
  const known = row.curve.flatMap((m) => m ?? []);
  if (known.length < 2) return null;
  const there = row.cells.find((c) => c.outletId === row.bestOutletId);
  const run = there?.best ? wantedRun(there.best.run, there.readiness) : undefined;
  const [low, high] = [Math.min(...known), Math.max(...known)];
  // A flat curve is drawn flat: the scale is never narrower than a twentieth of the money.
  const least = Math.min(low, high - Math.abs(high) / 20);
  const data = row.curve.map((minor, day) => ({
    day,
    minor,
    best: run && day >= run.from && day <= run.to ? high : null,
  }));
  const words = say('Worth from {figure} {currency} on the first day to {figure2} after {n} days, {figure3} at best', {
    figure: figureText((known[0] as number) / 100, 0),
    currency,
    figure2: figureText((known.at(-1) as number) / 100, 0),
    n: row.curve.length - 1,
    figure3: figureText(high / 100, 0),
  });
  return (
    <div role="img" aria-label={words}>
      <ComposedChart
        accessibilityLayer={false}
        width={WIDTH}
        height={HEIGHT}
        data={data}
        margin={{ top: 3, right: 0, bottom: 2, left: 0 }}
      >
        <XAxis dataKey="day" type="number" domain={[0, row.curve.length - 1]} hide />
        <YAxis domain={[least, high]} hide />
        <Area
          dataKey="best"
          stroke="none"
          fill={colour('moss')}
          fillOpacity={0.2}
          isAnimationActive={false}
          type="step"
        />
        <Line
          dataKey="minor"
          stroke={colour('indigo')}
          strokeWidth={2}
          dot={false}
          activeDot={false}
          isAnimationActive={false}
        />
      </ComposedChart>
    </div>
  );
}
