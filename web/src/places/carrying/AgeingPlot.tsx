import type { AgeingView } from '@yaylak/contract';
import {
  CartesianGrid,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
} from 'recharts';
import { colour } from '../../theme/tokens';
import { axisDays, figureText } from '../../words/format';
import { say } from '@yaylak/contract';

const CLOSE_DAYS = 5;

/** Differences against the scanner's age; the band is five days to each side, bias and limits are lines. */
export function AgeingPlot({ ages }: { readonly ages: AgeingView }) {
  const data = ages.pairs.map(([learner, scanner]) => ({ age: scanner, off: learner - scanner }));
  const reach = Math.max(10, ...data.map((d) => Math.abs(d.off)));
  const lines = [
    [ages.bias, say('bias {figure}', { figure: figureText(ages.bias, 1) })] as const,
    ...(ages.limits ?? []).map((l) => [l, figureText(l, 0)] as const),
  ];
  return (
    <div
      role="img"
      aria-label={say('Differences of {n} ages: bias {figure} days', {
        n: data.length,
        figure: figureText(ages.bias, 1),
      })}
    >
      <ResponsiveContainer width="100%" height={260}>
        <ScatterChart accessibilityLayer={false} margin={{ top: 8, right: 64, bottom: 20, left: 0 }}>
          <CartesianGrid stroke={colour('line')} vertical={false} />
          <ReferenceArea y1={-CLOSE_DAYS} y2={CLOSE_DAYS} fill={colour('mossWash')} fillOpacity={0.7} />
          <XAxis
            type="number"
            dataKey="age"
            domain={['dataMin - 3', 'dataMax + 3']}
            stroke={colour('inkSoft')}
            fontSize={12}
            label={{ value: say('age by the scanner, days'), position: 'insideBottom', offset: -12, fontSize: 12 }}
          />
          <YAxis
            type="number"
            dataKey="off"
            domain={[-reach - 1, reach + 1]}
            tickFormatter={axisDays}
            stroke={colour('inkSoft')}
            fontSize={12}
          />
          {lines.map(([y, label], i) => (
            <ReferenceLine
              key={label}
              y={y}
              stroke={colour(i === 0 ? 'indigo' : 'madder')}
              strokeDasharray={i === 0 ? '' : '5 4'}
              label={{ value: label, position: 'right', fontSize: 12, fill: colour('ink') }}
            />
          ))}
          <Scatter data={data} fill={colour('indigo')} fillOpacity={0.6} isAnimationActive={false} />
        </ScatterChart>
      </ResponsiveContainer>
    </div>
  );
}
