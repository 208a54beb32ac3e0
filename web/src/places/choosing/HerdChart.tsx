import { Area, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { colour } from '../../theme/tokens';
import type { HerdAhead } from './herdAhead';
import { say } from '@yaylak/contract';
import { axisFigure } from '../../words/format';

interface Props {
  readonly ahead: HerdAhead;
  readonly head: number;
  readonly wanted: number;
}

/** Females in the next five years with the band they lie in, and the number wanted. */
export function HerdChart({ ahead, head, wanted }: Props) {
  const data = [
    { year: say('now'), head, band: [head, head] },
    ...ahead.years.map((y, i) => ({
      year: `+${y.year}`,
      head: y.head,
      band: ahead.bands[i]?.head ?? [y.head, y.head],
    })),
  ];
  const words = data.map((d) => `${d.year} ${Math.round(d.head)}`).join(', ');
  return (
    <div
      role="img"
      aria-label={say('Females in the next five years: {words}; wanted {wanted}', { words, wanted })}
      style={{ height: 170 }}
    >
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart accessibilityLayer={false} data={data} margin={{ top: 10, right: 12, bottom: 0, left: -20 }}>
          <XAxis dataKey="year" tickLine={false} stroke={colour('inkSoft')} fontSize={12} />
          <YAxis
            tickFormatter={axisFigure}
            domain={[0, 'auto']}
            stroke={colour('inkSoft')}
            fontSize={12}
            allowDecimals={false}
          />
          <Area dataKey="band" stroke="none" fill={colour('stretch')} isAnimationActive={false} />
          <Line dataKey="head" stroke={colour('indigo')} strokeWidth={2} dot={false} isAnimationActive={false} />
          <ReferenceLine
            y={wanted}
            stroke={colour('madder')}
            strokeDasharray="5 4"
            label={{
              value: say('wanted {wanted}', { wanted }),
              position: 'insideTopRight',
              fontSize: 12,
              fill: colour('ink'),
            }}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
