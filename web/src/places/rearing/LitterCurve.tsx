import type { LitterView } from '@yaylak/contract';
import { fromKg, scaleUnit, type WeightUnit } from '@yaylak/core';
import { CartesianGrid, ComposedChart, Line, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { colour } from '../../theme/tokens';

import { say } from '@yaylak/contract';
import { axisFigure, axisDays } from '../../words/format';

interface Props {
  readonly litter: LitterView;
  readonly unit: WeightUnit;
}

/** What a head weighs on the whole litter's days as a line, and each young as a thin one. */
export function LitterCurve({ litter, unit }: Props) {
  const shownIn = scaleUnit(litter.species, unit);
  const shown = (kg: number): number => Number(fromKg(kg, shownIn).toFixed(2));
  const byAge = new Map<number, Record<string, number>>();
  const at = (ageDays: number): Record<string, number> => {
    const row = byAge.get(ageDays) ?? { ageDays };
    byAge.set(ageDays, row);
    return row;
  };
  for (const d of litter.days) at(d.ageDays).mean = shown(d.totalKg / d.count);
  litter.young.forEach((y, i) => {
    for (const [ageDays, kg] of y.points) at(ageDays)[`y${i}`] = shown(kg);
  });
  const data = [...byAge.values()].sort((a, b) => (a.ageDays ?? 0) - (b.ageDays ?? 0));
  const name = litter.dam?.name ?? litter.dam?.text ?? say('those reared by hand');
  return (
    <div
      role="img"
      aria-label={say(
        'Weights of the litter of {name}: {n} {n, plural, one {day} other {days}} of the whole litter, each young as a thin line',
        { name, n: litter.days.length },
      )}
    >
      <ResponsiveContainer width="100%" height={170}>
        <ComposedChart accessibilityLayer={false} data={data} margin={{ top: 8, right: 4, bottom: 0, left: 0 }}>
          <CartesianGrid stroke={colour('line')} vertical={false} />
          <XAxis
            dataKey="ageDays"
            type="number"
            domain={[0, 'dataMax']}
            tickFormatter={axisDays}
            stroke={colour('inkSoft')}
            fontSize={11}
          />
          <YAxis tickFormatter={axisFigure} unit={` ${shownIn}`} stroke={colour('inkSoft')} fontSize={11} width={62} />
          {litter.young.map((y, i) => (
            <Line
              key={y.tag.animalId}
              dataKey={`y${i}`}
              connectNulls
              dot={false}
              stroke={y.isRunt ? colour('madder') : colour('inkSoft')}
              strokeWidth={y.isRunt ? 2 : 1}
              strokeOpacity={y.isRunt ? 1 : 0.55}
              isAnimationActive={false}
            />
          ))}
          <Line
            dataKey="mean"
            connectNulls
            dot={{ r: 2, fill: colour('indigo') }}
            stroke={colour('indigo')}
            strokeWidth={2.5}
            isAnimationActive={false}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
