import type { RoundView } from '@yaylak/contract';
import { useState } from 'react';
import { Bar, BarChart, CartesianGrid, LabelList, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import styled from 'styled-components';
import { Choice } from '../../parts/Choice';
import { How } from '../../parts/How';
import { LineTable } from '../../parts/LineTable';
import { Panel, Row, Small } from '../../parts/Panel';
import { colour, phone, space } from '../../theme/tokens';
import { scoreText } from '../../words/condition';
import { fullDate, shortDate } from '../../words/dates';
import { axisFigure } from '../../words/format';
import { say, fixedText, perCent } from '@yaylak/contract';

interface Props {
  readonly rounds: readonly RoundView[];
  readonly stage: string;
  readonly shareWanted: number;
}

/** The last round's scores against an earlier one, and how the rounds went. */
export function Rounds({ rounds, stage, shareWanted }: Props) {
  const [now] = rounds;
  const [againstFrom, setAgainst] = useState<string>();
  const before = rounds.find((r) => r.from === againstFrom) ?? rounds[1];
  if (!now) return null;
  const data = now.byHalf.map((b, i) => ({
    score: scoreText(b.score),
    now: b.count,
    // Of rounds of different size the shares are compared: the earlier one is drawn as if as many had been scored.
    before: before ? ((before.byHalf[i]?.count ?? 0) * now.count) / before.count : 0,
  }));
  const words = now.byHalf
    .flatMap((b) => (b.count > 0 ? [say('{count} at {score}', { count: b.count, score: scoreText(b.score) })] : []))
    .join(', ');
  return (
    <Panel>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>{say('Scores of {date}, {count} head', { date: fullDate(now.to), count: now.count })}</h2>
        {rounds.length > 1 ? (
          <Choice
            label={say('Against')}
            isLabelHidden
            value={before?.from ?? ''}
            options={rounds
              .slice(1)
              .map((r) => [r.from, say('against {date} ({count} head)', { date: fullDate(r.to), count: r.count })])}
            onChange={setAgainst}
          />
        ) : null}
      </Row>
      <Two>
        <div role="img" aria-label={say('Scores of {date}: {words}', { date: fullDate(now.to), words })}>
          <ResponsiveContainer width="100%" height={190}>
            <BarChart
              accessibilityLayer={false}
              data={data}
              margin={{ top: 18, right: 0, bottom: 0, left: -24 }}
              barGap={0}
            >
              <CartesianGrid stroke={colour('line')} vertical={false} />
              <XAxis dataKey="score" stroke={colour('inkSoft')} fontSize={12} />
              <YAxis tickFormatter={axisFigure} stroke={colour('inkSoft')} fontSize={12} allowDecimals={false} />
              <Bar dataKey="before" fill={colour('stretch')} stroke={colour('lineStrong')} isAnimationActive={false} />
              <Bar dataKey="now" fill={colour('indigo')} isAnimationActive={false}>
                <LabelList
                  dataKey="now"
                  position="top"
                  fontSize={12}
                  fill={colour('ink')}
                  formatter={(n) => (n === 0 ? '' : n)}
                />
              </Bar>
            </BarChart>
          </ResponsiveContainer>
          <Small>
            {say('Head by score; dark: {date}{value}. A quarter counts with the half below.', {
              date: shortDate(now.to),
              value: before
                ? say(', pale: {date}, as if {count} had been scored', { date: fullDate(before.to), count: now.count })
                : '',
            })}
          </Small>
        </div>
        <LineTable>
          <thead>
            <tr>
              <th>{say('Round')}</th>
              <th>{say('Head')}</th>
              <th>{say('Mean')}</th>
              <th>
                {say('Uneven')}
                <How of={say('Unevenness')}>
                  <p>
                    {say(
                      'Standard deviation of the scores as a share of their mean. Under 15\u00a0% the group can be fed as one; over it, sort into mobs.',
                    )}
                  </p>
                </How>
              </th>
              <th>
                {say('At aim')}
                <How of={say('Share at the aim')}>
                  <p>
                    {say(
                      'Animals whose score is at their own aim {stage} or over it. All rounds are held against that same aim, so that they can be compared. Wanted: {n}\u00a0%.',
                      { stage, n: Math.round(shareWanted * 100) },
                    )}
                  </p>
                </How>
              </th>
              <th>{say('Scored by')}</th>
            </tr>
          </thead>
          <tbody>
            {rounds.map((r) => (
              <tr key={r.from}>
                <td>{fullDate(r.to)}</td>
                <td>{r.count}</td>
                <td>{fixedText(r.mean, 2)}</td>
                <td>{r.coefficientOfVariation === null ? '' : perCent(Math.round(r.coefficientOfVariation * 100))}</td>
                <td>
                  <b>{Math.round((100 * r.atAim) / r.count)} %</b>
                </td>
                <td>{r.by.join(', ')}</td>
              </tr>
            ))}
          </tbody>
        </LineTable>
      </Two>
    </Panel>
  );
}

const Two = styled.div`
  display: grid;
  grid-template-columns: minmax(240px, 1fr) minmax(380px, 1.4fr);
  ${phone} {
    grid-template-columns: minmax(0, 1fr);
  }
  gap: ${space(4)};
  align-items: start;
  margin-top: ${space(2)};
  td {
    font-size: 14px;
  }
  td:first-child {
    white-space: nowrap;
  }
`;
