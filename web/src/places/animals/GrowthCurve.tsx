import type { AnimalView } from '@yaylak/contract';
import { fromKg, scaleUnit, type WeightUnit } from '@yaylak/core';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  LabelList,
  Line,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { colour } from '../../theme/tokens';
import { fullDate } from '../../words/dates';
import { axisDays, axisFigure, axisYears, weightText } from '../../words/format';
import { LANE_LEFT_PX, LANE_RIGHT_PX } from './LifeLanes';
import { say, fixedText } from '@yaylak/contract';

interface Props {
  readonly view: AnimalView;
  readonly unit: WeightUnit;
  /** Days of the axis it shares with the lanes below: since birth, or since the first entry. */
  readonly fromDays: number;
  readonly toDays: number;
}

const YEAR_DAYS = 365.25;

/** Whole years of age on the axis. */
const yearTicks = (from: number, to: number): number[] =>
  Array.from({ length: Math.floor((to - from) / YEAR_DAYS) + 1 }, (_, year) => from + year * YEAR_DAYS);

interface Point {
  readonly ageDays: number;
  readonly band?: [number, number];
  readonly own?: number;
  readonly on?: string;
}

/** The animal's own weights as a line over the band of its kind. */
export function GrowthCurve({ view, unit, fromDays, toDays }: Props) {
  const { readings, band } = view.curve;
  if (readings.length === 0) return <p>{say('Never weighed. The first weighing starts the curve.')}</p>;
  const shownIn = scaleUnit(view.row.species, unit);
  const isSmall = shownIn === 'g';
  const shown = (kg: number): number => fromKg(kg, shownIn);
  const points: Point[] = [
    ...band.map((b) => ({ ageDays: b.ageDays, band: [shown(b.lowKg), shown(b.highKg)] as [number, number] })),
    ...readings.map((r) => ({ ageDays: r.ageDays, own: shown(r.kg), on: r.on })),
  ].sort((a, b) => a.ageDays - b.ageDays);
  const last = readings.at(-1);
  const isLong = toDays > 900;
  const words = say('{n} weights from {date} to {date2}, the last {weight}', {
    n: readings.length,
    date: fullDate(readings[0]?.on ?? ''),
    date2: fullDate(last?.on ?? ''),
    weight: weightText(last?.kg ?? 0, unit, view.row.species),
  });
  return (
    <div role="group" aria-label={say('Growth curve: {words}', { words })}>
      <ResponsiveContainer width="100%" height={250}>
        <ComposedChart data={points} margin={{ top: 18, right: LANE_RIGHT_PX, bottom: 4, left: 0 }}>
          <CartesianGrid stroke={colour('line')} vertical={false} />
          <XAxis
            dataKey="ageDays"
            type="number"
            domain={[fromDays, toDays]}
            allowDataOverflow
            {...(isLong ? { ticks: yearTicks(fromDays, toDays) } : {})}
            tickFormatter={(d: number) => (isLong ? axisYears(d / YEAR_DAYS) : axisDays(d))}
            stroke={colour('inkSoft')}
            fontSize={12}
          />
          <YAxis
            tickFormatter={axisFigure}
            unit={` ${shownIn}`}
            stroke={colour('inkSoft')}
            fontSize={12}
            width={LANE_LEFT_PX}
          />
          <Tooltip
            labelFormatter={(d) => say('{number} days old', { number: Number(d) })}
            formatter={(value, name) => {
              const figure = (v: unknown): string => `${fixedText(Number(v), isSmall ? 0 : 1)} ${shownIn}`;
              return [Array.isArray(value) ? value.map(figure).join(` ${say('to')} `) : figure(value), name];
            }}
          />
          <Area
            dataKey="band"
            name={say('middle half')}
            stroke="none"
            fill={colour('stretch')}
            connectNulls
            isAnimationActive={false}
          />
          <Line
            dataKey="own"
            name={view.row.tag.text}
            stroke={colour('indigo')}
            strokeWidth={2}
            dot={{ r: 3, fill: colour('indigo') }}
            connectNulls
            isAnimationActive={false}
          >
            <LabelList
              dataKey="own"
              content={({ x, y, value, index }) =>
                points[index ?? -1]?.on === last?.on && value !== undefined ? (
                  <text x={Number(x) + 8} y={Number(y) + 4} fontSize={13} fontWeight={700} fill={colour('indigo')}>
                    {weightText(last?.kg ?? 0, unit, view.row.species)}
                  </text>
                ) : null
              }
            />
          </Line>
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
