import { ReferenceLine, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from 'recharts';
import { colour } from '../../theme/tokens';

interface Props {
  readonly points: readonly { readonly kg: number; readonly grams: number }[];
  readonly unit: string;
  readonly lineGrams: number | undefined;
}

/** Gain against weight of those through, with the line of not growing. */
export function JobChart({ points, unit, lineGrams }: Props) {
  const isUnder = (p: (typeof points)[number]): boolean => lineGrams !== undefined && p.grams < lineGrams;
  const under = points.filter(isUnder);
  const over = points.filter((p) => !isUnder(p));
  return (
    <div role="img" aria-label={`Gain against weight of ${points.length} animals, ${under.length} under the line`}>
      <ResponsiveContainer width="100%" height={170}>
        <ScatterChart margin={{ top: 8, right: 8, bottom: 0, left: 0 }}>
          <XAxis
            dataKey="kg"
            type="number"
            domain={['dataMin - 1', 'dataMax + 1']}
            unit={` ${unit}`}
            fontSize={12}
            stroke={colour('inkSoft')}
            tickFormatter={(v: number) => v.toFixed(0)}
          />
          <YAxis
            dataKey="grams"
            type="number"
            fontSize={12}
            stroke={colour('inkSoft')}
            width={44}
            tickFormatter={(v: number) => `${v.toFixed(0)} g`}
          />
          {lineGrams === undefined ? null : (
            <ReferenceLine
              y={lineGrams}
              stroke={colour('madder')}
              strokeDasharray="4 3"
              label={{
                value: `${lineGrams.toFixed(0)} g/day`,
                position: 'insideBottomRight',
                fill: colour('madder'),
                fontSize: 12,
              }}
            />
          )}
          <Scatter data={over} fill={colour('mossFill')} isAnimationActive={false} />
          <Scatter data={under} fill={colour('weldFill')} shape="square" isAnimationActive={false} />
        </ScatterChart>
      </ResponsiveContainer>
    </div>
  );
}
