import { percentText, type InYoungView, say, SPECIES_WORDS, perCent } from '@yaylak/contract';
import { addDays, dayOf, isoOf, type Species } from '@yaylak/core';
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import styled from 'styled-components';
import { How } from '../../parts/How';
import { Panel, Row, Small } from '../../parts/Panel';
import { colour, fonts, space } from '../../theme/tokens';
import { fullDate, shortDate } from '../../words/dates';
import { countText } from '../../words/format';
import { TOLD_WORDS } from '../../words/mating';

interface Props {
  readonly curve: InYoungView;
  readonly today: string;
  readonly species: Species;
}

interface Point {
  readonly day: number;
  readonly known?: number;
  readonly foretold?: number;
  readonly aim?: number;
}

/** Share in young from the start of mating, against the line that was aimed at; by day, and by week below. */
export function InYoungPanel({ curve, today, species }: Props) {
  const words = SPECIES_WORDS[species].grown.female;
  const now = dayOf(today) - dayOf(curve.from);
  const last = curve.known.length - 1;
  const end = Math.max(last, curve.aims.at(-1)?.day ?? 0);
  const known = curve.known.at(-1) ?? 0;
  const foretold = curve.foretold.at(-1) ?? 0;
  const said = say('{percent} of {count} known or very likely in young', {
    percent: percentText(known),
    count: countText(curve.base, words[0], words[1]),
  });
  const weekTicks = Array.from({ length: Math.floor(end / 21) + 1 }, (_, i) => i * 21);
  return (
    <Panel>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>
          {say('In young, from the first service')}
          <How of={say('The curve')}>
            <p>
              {say(
                'Of all {value} that could be mated when the season began, on {date}, the share that had conceived by each day; one counts on the day of the service her scan or her birth tells. Full line: known, or likely with 90\u00a0% and more. Dotted: with the others by their chance. Empty, unserved and unknown ones stay in the base; sold and dead ones leave it from their day (product-limit estimate).',
                { value: words[1], date: fullDate(curve.from) },
              )}
            </p>
            <p>{say('The aims by cycle are set under Holding.')}</p>
          </How>
        </h2>
        <Small>{say('share of the {base} {value} that could be mated', { base: curve.base, value: words[1] })}</Small>
      </Row>
      <div
        role="img"
        aria-label={say('{said}; {percent} expected of those served so far', { said, percent: percentText(foretold) })}
      >
        <ResponsiveContainer width="100%" height={210}>
          <LineChart
            accessibilityLayer={false}
            data={pointsOf(curve, end)}
            margin={{ top: 14, right: 16, bottom: 14, left: -8 }}
          >
            <CartesianGrid stroke={colour('line')} vertical={false} />
            <XAxis
              dataKey="day"
              type="number"
              domain={[0, Math.max(end, 7)]}
              ticks={weekTicks}
              tickFormatter={(d: number) => say('week {n}', { n: d / 7 })}
              stroke={colour('inkSoft')}
              fontSize={12}
            />
            <YAxis
              domain={[0, 1]}
              ticks={[0, 0.25, 0.5, 0.75, 1]}
              tickFormatter={(s: number) => perCent(Math.round(100 * s))}
              stroke={colour('inkSoft')}
              fontSize={12}
            />
            {now >= 0 && now <= end ? (
              <ReferenceLine
                x={now}
                stroke={colour('ink')}
                label={{ value: say('today'), position: 'insideBottomRight', fontSize: 12, fill: colour('ink') }}
              />
            ) : null}
            <Line
              dataKey="aim"
              type="linear"
              connectNulls
              dot={false}
              stroke={colour('madder')}
              strokeDasharray="5 4"
              strokeWidth={1.6}
              isAnimationActive={false}
            />
            <Line
              dataKey="foretold"
              type="stepAfter"
              dot={false}
              stroke={colour('indigo')}
              strokeDasharray="2 3"
              strokeWidth={2}
              isAnimationActive={false}
            />
            <Line
              dataKey="known"
              type="stepAfter"
              dot={false}
              stroke={colour('indigo')}
              strokeWidth={3}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <Legend>
        <b>{said}</b>
        <span data-of="foretold">
          {say('dotted: {percent} with those that may be', { percent: percentText(foretold) })}
        </span>
        <span data-of="aim">
          {say('aim: {list}', {
            list: curve.aims
              .map(
                (a) =>
                  `${percentText(a.share)}${a.day > 0 ? ` ${say('by week {n}', { n: Math.round(a.day / 7) })}` : ''}`,
              )
              .slice(-3)
              .join(', '),
          })}
        </span>
      </Legend>
      <Figures curve={curve} species={species} />
    </Panel>
  );
}

/** Rates of the season, and the weeks one by one for those who do not read a chart. */
function Figures({ curve, species }: { readonly curve: InYoungView; readonly species: Species }) {
  const hasCycle = curve.cycleDays > 0;
  const figures: readonly (readonly [what: string, figure: string])[] = [
    ...(hasCycle
      ? ([
          [say('First cycle ({cycleDays} days)', { cycleDays: curve.cycleDays }), percentText(curve.firstCycle)],
          [say('Second'), percentText(curve.secondCycle)],
          [say('3 weeks'), percentText(curve.threeWeeks)],
          [say('6 weeks'), percentText(curve.sixWeeks)],
          [
            say('Half in young'),
            curve.medianDay === null
              ? say('not yet')
              : say('day {medianDay}, {date}', {
                  medianDay: curve.medianDay,
                  date: shortDate(isoOf(addDays(dayOf(curve.from), curve.medianDay))),
                }),
          ],
        ] as const)
      : []),
    [say('Empty'), String(curve.empty)],
    [say('Not known'), String(curve.unknown)],
    [say('Not served'), String(curve.notServed)],
    ...(curve.left > 0 ? ([[say('Sold or dead'), String(curve.left)]] as const) : []),
    ...(curve.scanning
      ? ([
          [
            TOLD_WORDS[SPECIES_WORDS[species].toldBy],
            say('{n} {value} per 100 {value2} ({females})', {
              n: Math.round(curve.scanning.per100),
              value: SPECIES_WORDS[species].young.unknown[1],
              value2: SPECIES_WORDS[species].grown.female[1],
              females: curve.scanning.females,
            }),
          ],
        ] as const)
      : []),
  ];
  return (
    <>
      <List>
        {figures.map(([what, figure]) => (
          <div key={what}>
            <dt>{what}</dt>
            <dd>{figure}</dd>
          </div>
        ))}
      </List>
      <details>
        <summary>{say('Week by week')}</summary>
        <Weeks>
          <thead>
            <tr>
              <th>{say('Week')}</th>
              <th>{say('Known')}</th>
              <th>{say('With those that may be')}</th>
            </tr>
          </thead>
          <tbody>
            {curve.weeks.map((w) => (
              <tr key={w.week}>
                <td>{w.week}</td>
                <td>{percentText(w.known)}</td>
                <td>{percentText(w.foretold)}</td>
              </tr>
            ))}
          </tbody>
        </Weeks>
      </details>
    </>
  );
}

function pointsOf({ known, foretold, aims }: InYoungView, end: number): Point[] {
  const aimOn = new Map(aims.map((a) => [a.day, a.share]));
  // Where there is no cycle the aim is one level for all days.
  const level = aims.length === 1 ? aims[0]?.share : undefined;
  return Array.from({ length: end + 1 }, (_, day) => ({
    day,
    ...(known[day] === undefined ? {} : { known: known[day] }),
    ...(foretold[day] === undefined ? {} : { foretold: foretold[day] }),
    ...(level !== undefined ? { aim: level } : aimOn.has(day) ? { aim: aimOn.get(day) as number } : {}),
  }));
}

const Legend = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(1)} ${space(4)};
  font-size: 14px;
  b {
    color: ${colour('indigo')};
  }
  span[data-of='foretold'] {
    color: ${colour('indigo')};
  }
  span[data-of='aim'] {
    color: ${colour('madder')};
  }
`;
const List = styled.dl`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)} ${space(5)};
  margin: ${space(3)} 0;
  dt {
    font-size: 13px;
    color: ${colour('inkSoft')};
  }
  dd {
    margin: 0;
    font: 700 16px ${fonts.heading};
  }
`;
const Weeks = styled.table`
  margin-top: ${space(2)};
  font-variant-numeric: tabular-nums;
  th {
    font-weight: 400;
    font-size: 13px;
    color: ${colour('inkSoft')};
    text-align: left;
  }
  td,
  th {
    padding: 2px ${space(5)} 2px 0;
  }
`;
