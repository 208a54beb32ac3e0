import type { MarginsView } from '@yaylak/contract';
import { Bar, BarChart, LabelList, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { Panel, Small } from '../../parts/Panel';
import { colour } from '../../theme/tokens';
import { axisFigure, figureText } from '../../words/format';
import { marginRowName } from '../../words/margins';
import { say } from '@yaylak/contract';

interface Props {
  readonly view: MarginsView;
  readonly currency: string;
}

/** Years drawn beside each other, and rows: more are in the table. */
const YEARS = 3;
const ROWS = 8;
const ROW_HEIGHT = 260;

/** What was left of each head, a bar for each year from the oldest to the newest. */
export function MarginsChart({ view, currency }: Props) {
  const years = view.years.slice(0, YEARS).reverse();
  const rows = [...view.rows]
    .sort((a, b) => (view.by === 'month' ? 0 : headsOf(b) - headsOf(a)))
    .slice(0, view.by === 'month' ? 12 : ROWS);
  const data = rows.map((row) => ({
    name: marginRowName(row, view.by),
    ...Object.fromEntries(
      row.years.filter((y) => years.includes(y.year)).map((y) => [`of${y.year}`, y.leftMinor / 100]),
    ),
  }));
  const words = rows
    .map(
      (row) =>
        `${marginRowName(row, view.by)}: ${row.years.map((y) => `${y.year} ${figureText(y.leftMinor / 100, 0)}`).join(', ')}`,
    )
    .join('; ');
  return (
    <Panel>
      <h2>{say('Left per head, {currency}', { currency })}</h2>
      <div
        role="img"
        aria-label={say('Left per head, {currency}. {words}', { currency, words })}
        style={{ height: ROW_HEIGHT, marginTop: 8 }}
      >
        <ResponsiveContainer width="100%" height="100%">
          <BarChart
            accessibilityLayer={false}
            data={data}
            margin={{ top: 18, right: 8, bottom: 0, left: -8 }}
            barGap={2}
          >
            <XAxis
              dataKey="name"
              interval={0}
              tickLine={false}
              axisLine={false}
              tick={{ fill: colour('inkSoft'), fontSize: 13 }}
            />
            <YAxis
              tickFormatter={axisFigure}
              tickLine={false}
              axisLine={false}
              tick={{ fill: colour('inkSoft'), fontSize: 12 }}
            />
            <ReferenceLine y={0} stroke={colour('line')} />
            {years.map((year, i) => (
              <Bar
                key={year}
                dataKey={`of${year}`}
                maxBarSize={38}
                isAnimationActive={false}
                fill={colour(i === years.length - 1 ? 'indigo' : 'stretch')}
                stroke={colour('inkSoft')}
                strokeWidth={i === years.length - 1 ? 0 : 1}
              >
                <LabelList
                  dataKey={`of${year}`}
                  position="top"
                  formatter={(v) => (v === undefined || v === null ? '' : figureText(Number(v), 0))}
                  style={{ fill: colour('ink'), fontSize: 12 }}
                />
              </Bar>
            ))}
          </BarChart>
        </ResponsiveContainer>
      </div>
      <Small>
        {years.length > 1
          ? say('From left to right: {list}; the newest in dark.', { list: years.join(', ') })
          : say('All of {n}.', { n: years[0] ?? '' })}
        {view.rows.length > rows.length
          ? ` ${say('The {n} with most head; the others are in the table.', { n: rows.length })}`
          : ''}
      </Small>
    </Panel>
  );
}

const headsOf = ({ years }: MarginsView['rows'][number]): number => years.reduce((sum, y) => sum + y.heads, 0);
