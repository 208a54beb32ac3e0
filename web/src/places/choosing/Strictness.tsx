import { useQuery } from '@tanstack/react-query';
import type { StrictnessView } from '@yaylak/contract';
import type { Species } from '@yaylak/core';
import { useState } from 'react';
import { Bar, BarChart, ErrorBar, LabelList, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { strictnessQuery } from '../../api/choosing';
import { Choice } from '../../parts/Field';
import { How } from '../../parts/How';
import { Panel, Small } from '../../parts/Panel';
import { colour } from '../../theme/tokens';

type OfStandard = StrictnessView['standards'][number];

const share = (of: number): string => `${Math.round(of * 100)} %`;

/** How many fail each standard, year by year: strictness pays over years, and this is where it shows. */
export function Strictness({ species }: { readonly species: Species }) {
  const { data } = useQuery(strictnessQuery(species));
  const [standardId, setStandardId] = useState('');
  const one = data?.standards.find((s) => (s.standardId ?? '') === standardId) ?? data?.standards[0];
  if (!data || !one) return null;
  const years = one.years.map((y) => ({ ...y, range: [y.share - y.low, y.high - y.share] }));
  return (
    <Panel>
      <h2>Failing, by year of birth</h2>
      <Choice
        label="Standard"
        isLabelHidden
        value={one.standardId ?? ''}
        options={data.standards.map((s) => [s.standardId ?? '', s.name])}
        onChange={setStandardId}
      />
      <div role="img" aria-label={yearsText(one)} style={{ height: 150, marginTop: 8 }}>
        <ResponsiveContainer width="100%" height="100%">
          <BarChart data={years} margin={{ top: 22, right: 4, bottom: 0, left: 4 }}>
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
        <How of="Share failing">
          <p>
            Of the young of each year that were looked over, from 42 days to two years of age, by the last grade of each
            standard. The thin lines hold the true share four times out of five (Wilson). Young of one dam are not
            independent of each other, so the comparison of dams is a little less sure than it looks.
          </p>
        </How>
      </Small>
    </Panel>
  );
}

const yearsText = ({ name, years }: OfStandard): string =>
  `${name}: ${years.map((y) => `${y.year} ${y.failed} of ${y.of} failed`).join(', ')}`;

/** From the first year to the last, where their ranges lie apart. */
function trendText({ years }: OfStandard): string {
  const [first, last] = [years[0], years.at(-1)];
  if (!first || !last || first === last) return 'One year alone shows no trend.';
  const words = `${share(first.share)} in ${first.year}, ${share(last.share)} in ${last.year}`;
  if (last.high < first.low) return `Fewer fail than before: ${words}.`;
  if (last.low > first.high) return `More fail than before: ${words}.`;
  return `${words}: too close to call a change.`;
}

function damsText({ ofDams }: OfStandard): string {
  if (!ofDams) return 'Fewer than 10 young of dams that failed, or of dams that passed: not compared yet.';
  const { ratio, ofFailed, ofPassed } = ofDams;
  if (!ratio)
    return `Of dams that failed ${ofFailed.failed} of ${ofFailed.of} fail, of the others ${ofPassed.failed} of ${ofPassed.of}.`;
  return `Young of dams that failed fail ${ratio.value.toFixed(1)} times as often (${ratio.low.toFixed(1)} to ${ratio.high.toFixed(1)})${ratio.low < 1 && ratio.high > 1 ? ', which may be chance' : ''}.`;
}
