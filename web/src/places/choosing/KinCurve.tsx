import type { RankScale, TogetherPoint } from '@yaylak/core';
import { CartesianGrid, Line, LineChart, ReferenceDot, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { colour } from '../../theme/tokens';
import { worthFigure } from '../../words/choosing';
import { say, fixedText, perCent } from '@yaylak/contract';

interface Props {
  readonly points: readonly TogetherPoint[];
  readonly at: number;
  readonly scale: RankScale;
  readonly currency: string;
}

/** Kinship counted: the mean of that among them and that with their mates, or whichever is known. */
function kinshipOf({ answer: { amongThem, withMates } }: TogetherPoint): number {
  if (amongThem === undefined || withMates === undefined) return amongThem ?? withMates ?? 0;
  return (amongThem + withMates) / 2;
}

/** Mean worth of those kept against their kinship; the dot is where the slider stands. */
export function KinCurve({ points, at, scale, currency }: Props) {
  const data = points.map((p) => ({ kinship: 100 * kinshipOf(p), worth: p.answer.meanIndex }));
  const here = data[at];
  const words = data
    .map((d) =>
      say('worth {worthFigure} at {n} % kinship', {
        worthFigure: worthFigure(d.worth, scale, currency),
        n: fixedText(d.kinship, 1),
      }),
    )
    .join(', ');
  return (
    <div role="img" aria-label={say('Mean worth against kinship: {words}', { words })} style={{ height: 190 }}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart accessibilityLayer={false} data={data} margin={{ top: 12, right: 24, bottom: 22, left: 12 }}>
          <CartesianGrid stroke={colour('line')} vertical={false} />
          <XAxis
            type="number"
            dataKey="kinship"
            reversed
            domain={['dataMin', 'dataMax']}
            tickFormatter={(v: number) => perCent(fixedText(v, 1))}
            stroke={colour('inkSoft')}
            fontSize={12}
            label={{ value: say('mean kinship'), position: 'insideBottom', offset: -12, fontSize: 12 }}
          />
          <YAxis
            type="number"
            domain={['auto', 'auto']}
            tickFormatter={(v: number) => (scale === 'points' ? fixedText(v, 1) : worthFigure(v, scale, currency))}
            stroke={colour('inkSoft')}
            fontSize={12}
            width={scale === 'points' ? 44 : 84}
          />
          <Line
            dataKey="worth"
            stroke={colour('indigo')}
            strokeWidth={2}
            dot={{ r: 4, fill: colour('panel'), stroke: colour('indigo') }}
            isAnimationActive={false}
          />
          {here ? <ReferenceDot x={here.kinship} y={here.worth} r={8} fill={colour('madder')} stroke="none" /> : null}
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
