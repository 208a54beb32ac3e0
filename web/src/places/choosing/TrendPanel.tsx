import { useQuery } from '@tanstack/react-query';
import type { BroughtView, TrendOfTrait } from '@yaylak/contract';
import type { BreedingTraitName, Species } from '@yaylak/core';
import { useState } from 'react';
import { ErrorBar, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import styled from 'styled-components';
import { trendQuery } from '../../api/choosing';
import { Choice } from '../../parts/Choice';
import { How } from '../../parts/How';
import { Panel, Small } from '../../parts/Panel';
import { Failed } from '../../parts/States';
import { colour, space } from '../../theme/tokens';
import { traitFigure, traitStateText, traitUnit } from '../../words/choosing';
import { TRAIT_WORDS } from '../../words/reasons';
import { useWeightUnit } from '../../words/useHolding';
import { say } from '@yaylak/contract';
import { Said } from '../../parts/Said';

/** What choosing has done to the breeding values over the years, and how much of it came by dams and by sires. */
export function TrendPanel({ species }: { readonly species: Species }) {
  const { data, error, refetch } = useQuery(trendQuery(species));
  const [chosen, setChosen] = useState<BreedingTraitName>();
  const unit = useWeightUnit();
  if (error) return <Failed error={error} onRetry={() => void refetch()} />;
  if (!data) return null;
  const shown = data.traits.filter((t) => t.state === 'values' && t.years.length > 0);
  const one = shown.find((t) => t.trait === chosen) ?? shown[0];
  return (
    <Panel>
      <h2>{say('Breeding values, by year of birth')}</h2>
      {one ? (
        <>
          <Choice
            label={say('Trait')}
            isLabelHidden
            value={one.trait}
            options={shown.map((t) => [t.trait, TRAIT_WORDS[t.trait]])}
            onChange={setChosen}
          />
          <TrendOf one={one} figure={(value) => traitFigure(one.trait, value, { species, unit })} />
          <Small>
            <Said
              text={'In {unit}, against the mean of the base years. <0/>'}
              values={{ unit: unitWords(one.trait, traitUnit(one.trait, species, unit)) }}
              parts={{
                0: (
                  <How of={say('Breeding values by year of birth')}>
                    <p>
                      {say(
                        'The mean breeding value of the animals born in each year. The thin lines are one standard error of the spread alone (SD/√n): what kin share in error is not in it, so a step of one year says little and a run of years more.',
                      )}
                    </p>
                    <p>
                      {say(
                        'Parents ahead: how far the dams or sires of a year’s young stood above the mean of their own birth years, each parent counted once for each young. Gain: how far those young stand above the same mean. Choosing shows in the first, what it brought in the second.',
                      )}
                    </p>
                  </How>
                ),
              }}
            />
          </Small>
        </>
      ) : (
        <Small as="ul" style={{ paddingLeft: 18 }}>
          {data.traits.map((t) => (
            <li key={t.trait}>{traitStateText(t)}</li>
          ))}
        </Small>
      )}
    </Panel>
  );
}

const unitWords = (trait: BreedingTraitName, unit: string): string =>
  trait === 'young-born' ? say('young {unit}', { unit }) : unit;

interface OfProps {
  readonly one: TrendOfTrait;
  /** A value in its unit, with a sign. */
  readonly figure: (value: number) => string;
}

function TrendOf({ one, figure }: OfProps) {
  const years = one.years.map((y) => ({ ...y, error: y.standardError ?? 0 }));
  const words = one.years.map((y) => `${y.year} ${figure(y.mean)}`).join(', ');
  return (
    <>
      <div role="img" aria-label={`${TRAIT_WORDS[one.trait]}: ${words}`} style={{ height: 150, marginTop: 8 }}>
        <ResponsiveContainer width="100%" height="100%">
          <LineChart accessibilityLayer={false} data={years} margin={{ top: 10, right: 16, bottom: 0, left: -8 }}>
            <XAxis
              dataKey="year"
              type="number"
              domain={['dataMin', 'dataMax']}
              allowDecimals={false}
              tickLine={false}
              axisLine={false}
              tick={{ fill: colour('inkSoft'), fontSize: 13 }}
            />
            <YAxis
              tickFormatter={figure}
              tickCount={4}
              tickLine={false}
              axisLine={false}
              tick={{ fill: colour('inkSoft'), fontSize: 12 }}
            />
            <ReferenceLine y={0} stroke={colour('line')} />
            <Line dataKey="mean" stroke={colour('indigo')} strokeWidth={2} isAnimationActive={false}>
              <ErrorBar dataKey="error" width={4} stroke={colour('inkSoft')} />
            </Line>
          </LineChart>
        </ResponsiveContainer>
      </div>
      <Table>
        <caption>{say('{trait} by year of birth', { trait: TRAIT_WORDS[one.trait] })}</caption>
        <thead>
          <tr>
            <th rowSpan={2} scope="col">
              {say('Born')}
            </th>
            <th rowSpan={2} scope="col">
              {say('Head')}
            </th>
            <th rowSpan={2} scope="col">
              {say('Mean')}
            </th>
            <th colSpan={2} scope="colgroup">
              {say('Dams')}
            </th>
            <th colSpan={2} scope="colgroup">
              {say('Sires')}
            </th>
          </tr>
          <tr>
            {['dams', 'sires'].flatMap((of) => [
              <th key={`${of} ahead`} scope="col">
                {say('ahead')}
              </th>,
              <th key={`${of} gain`} scope="col">
                {say('gain')}
              </th>,
            ])}
          </tr>
        </thead>
        <tbody>
          {one.years.map((y) => (
            <tr key={y.year}>
              <th scope="row">{y.year}</th>
              <td>{y.head}</td>
              <td>{figure(y.mean)}</td>
              <BroughtCells brought={y.dams} figure={figure} />
              <BroughtCells brought={y.sires} figure={figure} />
            </tr>
          ))}
        </tbody>
      </Table>
    </>
  );
}

const BroughtCells = ({
  brought,
  figure,
}: {
  readonly brought: BroughtView | null;
  readonly figure: (value: number) => string;
}) => (
  <>
    <td>{brought ? figure(brought.superiority) : '–'}</td>
    <td>{brought ? figure(brought.gain) : '–'}</td>
  </>
);

const Table = styled.table`
  width: 100%;
  margin: ${space(2)} 0;
  font-size: 12px;
  font-variant-numeric: tabular-nums;
  caption {
    position: absolute;
    clip-path: inset(50%);
  }
  th {
    font-weight: 400;
    color: ${colour('inkSoft')};
    text-align: right;
    vertical-align: bottom;
  }
  tbody th,
  tr:first-child > th:first-child {
    text-align: left;
  }
  th[colspan] {
    text-align: center;
  }
  td {
    text-align: right;
    padding: 2px 0 2px ${space(1)};
    white-space: nowrap;
  }
  tbody tr {
    border-top: 1px solid ${colour('line')};
  }
`;
