import { addDays, dayOf, isoOf } from '@yaylak/core';
import { Bar, BarChart, CartesianGrid, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { Panel, Small } from '../../parts/Panel';
import { colour } from '../../theme/tokens';
import { shortDate } from '../../words/dates';
import { axisFigure } from '../../words/format';
import { say, fixedText } from '@yaylak/contract';

interface Props {
  /** Births to be expected each day, from today on. */
  readonly perDay: readonly number[];
  readonly on: string;
}

/** Births to be expected each day of a fortnight. */
export function BirthDays({ perDay, on }: Props) {
  const data = perDay.map((births, d) => ({ day: shortDate(isoOf(addDays(dayOf(on), d))), births }));
  const sum = perDay.reduce((s, n) => s + n, 0);
  return (
    <Panel>
      <h2>{say('Births per day')}</h2>
      <div role="img" aria-label={say('Births expected each day of a fortnight, {n} in all', { n: fixedText(sum, 1) })}>
        <ResponsiveContainer width="100%" height={130}>
          <BarChart accessibilityLayer={false} data={data} margin={{ top: 8, right: 0, bottom: 0, left: -28 }}>
            <CartesianGrid stroke={colour('line')} vertical={false} />
            <XAxis dataKey="day" interval={6} stroke={colour('inkSoft')} fontSize={11} />
            <YAxis tickFormatter={axisFigure} stroke={colour('inkSoft')} fontSize={11} />
            <Bar dataKey="births" fill={colour('weldFill')} isAnimationActive={false} />
          </BarChart>
        </ResponsiveContainer>
      </div>
      <Small>{say('Each by her chance, spread over the usual range of carrying.')}</Small>
    </Panel>
  );
}
