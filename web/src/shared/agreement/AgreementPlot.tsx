import {
  CartesianGrid,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
  ZAxis,
} from 'recharts';
import { colour } from '../../theme/tokens';
import { figureText } from '../../words/format';
import { say } from '@yaylak/contract';

/** What two read of the same: differences over what was read. */
export interface Agreement {
  readonly pairs: readonly { readonly read: number; readonly difference: number }[];
  readonly bias: number;
  readonly limits: readonly [low: number, high: number] | null;
}

export interface AgreementLook {
  /** What the picture shows, in words. */
  readonly label: string;
  /** What stands below: what was read, in its unit. */
  readonly read: string;
  readonly readRange?: { readonly domain: [number, number]; readonly ticks: number[] };
  /** Differences at least so far to each side are in sight, with a line at every step. */
  readonly reach: number;
  readonly step: number;
  /** So near is as good as the same. */
  readonly near?: number;
  readonly tick: (difference: number) => string;
  readonly digits: readonly [bias: number, limits: number];
}

/** Differences against what was read, a dot the larger the more share it; bias and limits are lines. */
export function AgreementPlot({ of, look }: { readonly of: Agreement; readonly look: AgreementLook }) {
  const { pairs, bias, limits } = of;
  const { label, read, readRange, near, step, tick, digits } = look;
  const steps = Math.ceil(Math.max(look.reach, ...pairs.map((p) => Math.abs(p.difference))) / step);
  const spots = new Map<string, Agreement['pairs'][number] & { readonly animals: number }>();
  for (const pair of pairs) {
    const key = `${pair.read} ${pair.difference}`;
    spots.set(key, { ...pair, animals: (spots.get(key)?.animals ?? 0) + 1 });
  }
  const lines = [
    [bias, say('bias {figure}', { figure: figureText(bias, digits[0]) })] as const,
    ...(limits ?? []).map((l) => [l, figureText(l, digits[1])] as const),
  ];
  return (
    <div role="img" aria-label={label}>
      <ResponsiveContainer width="100%" height={240}>
        <ScatterChart accessibilityLayer={false} margin={{ top: 8, right: 64, bottom: 20, left: 0 }}>
          <CartesianGrid stroke={colour('line')} vertical={false} />
          {near === undefined ? null : (
            <ReferenceArea y1={-near} y2={near} fill={colour('mossWash')} fillOpacity={0.7} />
          )}
          <XAxis
            type="number"
            dataKey="read"
            {...(readRange ?? { domain: ['dataMin - 3', 'dataMax + 3'] })}
            stroke={colour('inkSoft')}
            fontSize={12}
            label={{ value: read, position: 'insideBottom', offset: -12, fontSize: 12 }}
          />
          <YAxis
            type="number"
            dataKey="difference"
            domain={[-steps * step, steps * step]}
            ticks={Array.from({ length: 2 * steps + 1 }, (_, i) => (i - steps) * step)}
            tickFormatter={tick}
            stroke={colour('inkSoft')}
            fontSize={12}
          />
          <ZAxis dataKey="animals" range={[40, 240]} />
          {lines.map(([y, words], i) => (
            <ReferenceLine
              key={words}
              y={y}
              stroke={colour(i === 0 ? 'indigo' : 'madder')}
              strokeDasharray={i === 0 ? '' : '5 4'}
              label={{ value: words, position: 'right', fontSize: 12, fill: colour('ink') }}
            />
          ))}
          <Scatter data={[...spots.values()]} fill={colour('indigo')} fillOpacity={0.6} isAnimationActive={false} />
        </ScatterChart>
      </ResponsiveContainer>
    </div>
  );
}
