import type { MatingRecordView } from '@yaylak/contract';
import { Bar, BarChart, CartesianGrid, Cell, ErrorBar, LabelList, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { colour } from '../../theme/tokens';
import { say, fixedText, perCent, quarterText } from '@yaylak/contract';

type Quarter = MatingRecordView['quarters'][number];

/** How much of a quarter's services fell after heat, from which its bar is barred. */
const HOT_SHARE = 0.5;
const SHOWN = 14;

const percent = (share: number): number => Math.round(100 * share);
const isHot = (q: Quarter): boolean => q.afterHeat >= HOT_SHARE * q.spells;

/** A quarter in words. */
export const quarterWords = (q: Quarter): string =>
  [
    `${quarterText(q)}: ${q.share ? say('{percent} % of {of} took', { percent: percent(q.share.share), of: q.share.of }) : say('not known yet')}`,
    ...(q.meanSize === null ? [] : [say('{n} young a litter', { n: fixedText(q.meanSize, 1) })]),
    ...(q.afterHeat > 0
      ? [say('{afterHeat} of {spells} after heat', { afterHeat: q.afterHeat, spells: q.spells })]
      : []),
  ].join(', ');

/** Share that took by quarter, each bar with its range; those after heat are barred. */
export function QuarterChart({ quarters }: { readonly quarters: readonly Quarter[] }) {
  const shown = quarters.filter((q) => q.share !== null).slice(-SHOWN);
  const data = shown.map((q) => {
    const { share, low, high } = q.share ?? { share: 0, low: 0, high: 0 };
    return {
      name: quarterText(q).replace(' 20', ' '),
      share: percent(share),
      range: [percent(share) - percent(low), percent(high) - percent(share)],
      label: q.meanSize === null ? '' : fixedText(q.meanSize, 1),
    };
  });
  return (
    <div
      role="img"
      aria-label={say('Share that took by quarter. {list}', { list: shown.map(quarterWords).join('. ') })}
    >
      <ResponsiveContainer width="100%" height={200}>
        <BarChart accessibilityLayer={false} data={data} margin={{ top: 8, right: 0, bottom: 0, left: -14 }}>
          <defs>
            <pattern id="after-heat" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
              <rect width="6" height="6" fill={colour('madderWash')} />
              <rect width="3" height="6" fill={colour('madder')} />
            </pattern>
          </defs>
          <CartesianGrid stroke={colour('line')} vertical={false} />
          <XAxis dataKey="name" stroke={colour('inkSoft')} fontSize={12} interval="equidistantPreserveStart" />
          <YAxis stroke={colour('inkSoft')} fontSize={12} domain={[0, 100]} tickFormatter={perCent} />
          <Bar dataKey="share" isAnimationActive={false}>
            {shown.map((q) => (
              <Cell
                key={`${q.year} ${q.quarter}`}
                fill={isHot(q) ? 'url(#after-heat)' : colour('stretch')}
                stroke={colour('lineStrong')}
              />
            ))}
            <ErrorBar dataKey="range" stroke={colour('ink')} width={4} />
            <LabelList
              dataKey="label"
              position="insideBottom"
              fontSize={12}
              fill={colour('ink')}
              stroke={colour('panel')}
              strokeWidth={3}
              style={{ paintOrder: 'stroke' }}
            />
          </Bar>
        </BarChart>
      </ResponsiveContainer>
    </div>
  );
}
