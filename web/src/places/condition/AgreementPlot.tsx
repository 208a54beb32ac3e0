import type { ScorerPairView } from '@yaylak/contract';
import {
  CartesianGrid,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
  ZAxis,
} from 'recharts';
import { colour } from '../../theme/tokens';
import { axisFigure, figureText } from '../../words/format';
import { say } from '@yaylak/contract';

interface Spot {
  readonly middle: number;
  readonly difference: number;
  readonly animals: number;
}

/** Differences against means, a dot the larger the more animals share it; bias and limits as lines. */
export function AgreementPlot({ pair }: { readonly pair: ScorerPairView }) {
  const spots = new Map<string, Spot>();
  for (const [a, b] of pair.pairs) {
    const spot = { middle: (a + b) / 2, difference: a - b };
    const key = `${spot.middle} ${spot.difference}`;
    spots.set(key, { ...spot, animals: (spots.get(key)?.animals ?? 0) + 1 });
  }
  const lines = [
    [pair.bias, say('bias {figure}', { figure: figureText(pair.bias, 2) })] as const,
    ...(pair.limits ?? []).map((l) => [l, figureText(l, 2)] as const),
  ];
  return (
    <div
      role="img"
      aria-label={say('Differences of {n} animals against their mean score: bias {figure}', {
        n: pair.pairs.length,
        figure: figureText(pair.bias, 2),
      })}
    >
      <ResponsiveContainer width="100%" height={220}>
        <ScatterChart accessibilityLayer={false} margin={{ top: 8, right: 64, bottom: 18, left: -18 }}>
          <CartesianGrid stroke={colour('line')} vertical={false} />
          <XAxis
            type="number"
            dataKey="middle"
            domain={[1, 5]}
            ticks={[1, 2, 3, 4, 5]}
            stroke={colour('inkSoft')}
            fontSize={12}
            label={{ value: say('mean of the two scores'), position: 'insideBottom', offset: -10, fontSize: 12 }}
          />
          <YAxis
            type="number"
            tickFormatter={axisFigure}
            dataKey="difference"
            domain={[-2, 2]}
            stroke={colour('inkSoft')}
            fontSize={12}
          />
          <ZAxis dataKey="animals" range={[40, 240]} />
          {lines.map(([y, label], i) => (
            <ReferenceLine
              key={label}
              y={y}
              stroke={colour(i === 0 ? 'indigo' : 'madder')}
              strokeDasharray={i === 0 ? '' : '5 4'}
              label={{ value: label, position: 'right', fontSize: 12, fill: colour('ink') }}
            />
          ))}
          <Scatter data={[...spots.values()]} fill={colour('indigo')} fillOpacity={0.55} isAnimationActive={false} />
        </ScatterChart>
      </ResponsiveContainer>
    </div>
  );
}
