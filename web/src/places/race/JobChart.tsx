import { ReferenceLine, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from 'recharts';
import type { ScaleUnit } from '@yaylak/core';
import { colour } from '../../theme/tokens';
import { dailyUnit, figureText } from '../../words/format';
import { say, fixedText } from '@yaylak/contract';

interface Props {
  readonly points: readonly { readonly kg: number; readonly daily: number }[];
  readonly unit: ScaleUnit;
  /** A day, as gains are shown beside this unit. */
  readonly line: number | undefined;
}

/** Gain against weight of those through, with the line of not growing. */
export function JobChart({ points, unit, line }: Props) {
  const isUnder = (p: (typeof points)[number]): boolean => line !== undefined && p.daily < line;
  const digits = unit === 'lb' || unit === 'oz' ? 2 : 0;
  const under = points.filter(isUnder);
  const over = points.filter((p) => !isUnder(p));
  return (
    <div
      role="img"
      aria-label={say('Gain against weight of {n} animals, {n2} under the line', {
        n: points.length,
        n2: under.length,
      })}
    >
      <ResponsiveContainer width="100%" height={170}>
        <ScatterChart accessibilityLayer={false} margin={{ top: 8, right: 8, bottom: 0, left: 0 }}>
          <XAxis
            dataKey="kg"
            type="number"
            domain={['dataMin - 1', 'dataMax + 1']}
            unit={` ${unit}`}
            fontSize={12}
            stroke={colour('inkSoft')}
            tickFormatter={(v: number) => fixedText(v, 0)}
          />
          <YAxis
            dataKey="daily"
            type="number"
            fontSize={12}
            stroke={colour('inkSoft')}
            width={44}
            tickFormatter={(v: number) => figureText(v, digits)}
          />
          {line === undefined ? null : (
            <ReferenceLine
              y={line}
              stroke={colour('madder')}
              strokeDasharray="4 3"
              label={{
                value: `${figureText(line, digits)} ${dailyUnit(unit)}`,
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
