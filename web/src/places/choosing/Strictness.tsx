import { useQuery } from '@tanstack/react-query';
import type { StrictnessView } from '@yaylak/contract';
import type { Species } from '@yaylak/core';
import { useState } from 'react';
import { Bar, BarChart, ErrorBar, LabelList, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { strictnessQuery } from '../../api/choosing';
import { Choice } from '../../parts/Choice';
import { How } from '../../parts/How';
import { Panel, Small } from '../../parts/Panel';
import { colour } from '../../theme/tokens';
import { say, fixedText, perCent } from '@yaylak/contract';

type OfStandard = StrictnessView['standards'][number];

const share = (of: number): string => perCent(Math.round(of * 100));

/** How many fail each standard, year by year: strictness pays over years, and this is where it shows. */
export function Strictness({ species }: { readonly species: Species }) {
  const { data } = useQuery(strictnessQuery(species));
  const [standardId, setStandardId] = useState('');
  const one = data?.standards.find((s) => (s.standardId ?? '') === standardId) ?? data?.standards[0];
  if (!data || !one) return null;
  const years = one.years.map((y) => ({ ...y, range: [y.share - y.low, y.high - y.share] }));
  return (
    <Panel>
      <h2>{say('Failing, by year of birth')}</h2>
      <Choice
        label={say('Standard')}
        isLabelHidden
        value={one.standardId ?? ''}
        options={data.standards.map((s) => [s.standardId ?? '', say(s.name)])}
        onChange={setStandardId}
      />
      <div role="img" aria-label={yearsText(one)} style={{ height: 150, marginTop: 8 }}>
        <ResponsiveContainer width="100%" height="100%">
          <BarChart accessibilityLayer={false} data={years} margin={{ top: 22, right: 4, bottom: 0, left: 4 }}>
            <XAxis dataKey="year" tickLine={false} axisLine={false} tick={{ fill: colour('inkSoft'), fontSize: 13 }} />
            <YAxis hide domain={[0, (most: number) => Math.min(1, Math.max(0.2, most))]} />
            <Bar dataKey="share" fill={colour('stretch')} isAnimationActive={false} maxBarSize={44}>
              <ErrorBar dataKey="range" width={4} stroke={colour('inkSoft')} />
              <LabelList
                dataKey="share"
                position="insideBottom"
                formatter={(v) => share(Number(v))}
                style={{ fill: colour('ink'), fontSize: 13 }}
              />
            </Bar>
          </BarChart>
        </ResponsiveContainer>
      </div>
      <Small>
        {trendText(one)} {damsText(one)}{' '}
        <How of={say('Share failing')}>
          <p>
            {say(
              'Of the young of each year that were looked over, from 42 days to two years of age, by the last grade of each standard. The thin lines hold the true share four times out of five (Wilson). Young of one dam are not independent of each other, so the comparison of dams is a little less sure than it looks.',
            )}
          </p>
        </How>
      </Small>
    </Panel>
  );
}

const yearsText = ({ name, years }: OfStandard): string =>
  `${name}: ${years.map((y) => say('{year} {failed} of {of} failed', { year: y.year, failed: y.failed, of: y.of })).join(', ')}`;

/** From the first year to the last, where their ranges lie apart. */
function trendText({ years }: OfStandard): string {
  const [first, last] = [years[0], years.at(-1)];
  if (!first || !last || first === last) return say('One year alone shows no trend.');
  const words = say('{share} in {year}, {share2} in {year2}', {
    share: share(first.share),
    year: first.year,
    share2: share(last.share),
    year2: last.year,
  });
  if (last.high < first.low) return say('Fewer fail than before: {words}.', { words });
  if (last.low > first.high) return say('More fail than before: {words}.', { words });
  return say('{words}: too close to call a change.', { words });
}

function damsText({ ofDams }: OfStandard): string {
  if (!ofDams) return say('Fewer than 10 young of dams that failed, or of dams that passed: not compared yet.');
  const { ratio, ofFailed, ofPassed } = ofDams;
  if (!ratio)
    return say('Of dams that failed {failed} of {of} fail, of the others {failed2} of {of2}.', {
      failed: ofFailed.failed,
      of: ofFailed.of,
      failed2: ofPassed.failed,
      of2: ofPassed.of,
    });
  return say('Young of dams that failed fail {n} times as often ({n2} to {n3}){value}.', {
    n: fixedText(ratio.value, 1),
    n2: fixedText(ratio.low, 1),
    n3: fixedText(ratio.high, 1),
    value: ratio.low < 1 && ratio.high > 1 ? say(', which may be chance') : '',
  });
}
