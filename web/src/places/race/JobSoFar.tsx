import { fromKg, scaleUnit } from '@yaylak/core';
import { lazy, memo, Suspense, useEffect, useState } from 'react';
import styled from 'styled-components';
import { NotePanel, Panel, Small, Stack } from '../../parts/Panel';
import { colour, fonts, space } from '../../theme/tokens';
import { dailyFigure } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import { kindOf, type JobFigures } from './jobFigures';
import { JobMeans } from './JobMeans';
import { MobCounts } from './Mobs';
import { Tally } from './Tally';
import type { Race } from './useRace';
import { say } from '@yaylak/contract';
import { JobMeansHow } from '../../parts/hows/JobMeansHow';

const JobChart = lazy(async () => ({ default: (await import('./JobChart')).JobChart }));

/** More dots say no more to an eye, and drawing thousands would hold up the next animal. */
const MOST_DRAWN = 60;
const DRAW_AFTER_MS = 500;

/** The tally beside the animal. */
export const JobSoFar = memo(function JobSoFar({
  race,
  figures,
}: {
  readonly race: Race;
  readonly figures: JobFigures;
}) {
  const unit = useWeightUnit();
  // The chart may lag behind the next animal; the keyboard may not.
  const drawn = useSettled(figures, DRAW_AFTER_MS);
  const species = race.listed[0]?.species;
  const scale = scaleUnit(species, unit);
  const points = drawn.points
    .filter((p) => p.species === species)
    .slice(-MOST_DRAWN)
    .flatMap((p) => (p.gain ? [{ kg: fromKg(p.kg, scale), daily: dailyFigure(p.gain.kgPerDay, scale) }] : []));
  const line = kindOf(figures, species)?.lineKgPerDay;
  return (
    <Stack $gap={3}>
      <Panel>
        <h2>
          {say('This job')} {race.job?.stations.includes('weigh') ? <JobMeansHow /> : null}
        </h2>
        {race.job?.stations.includes('weigh') ? (
          <Two>
            <JobMeans figures={figures} none={say('none yet')} />
          </Two>
        ) : null}
        <MobCounts race={race} />
        <Tally race={race} />
        {points.length > 1 ? (
          <Suspense fallback={<div style={{ height: 150 }} />}>
            <JobChart points={points} unit={scale} line={line === undefined ? undefined : dailyFigure(line, scale)} />
            {drawn.points.length > MOST_DRAWN ? (
              <Small>{say('the last {most} through', { most: MOST_DRAWN })}</Small>
            ) : null}
          </Suspense>
        ) : null}
      </Panel>
      {(race.job?.gates.length ?? 0) > 0 ? (
        <Panel>
          <h2>{say('Pens after the gate')}</h2>
          <table>
            <tbody>
              {race.job?.gates.map((g) => (
                <tr key={g.key}>
                  <td>{g.name}</td>
                  <td style={{ textAlign: 'right' }}>
                    <b>{figures.gates.get(g.name) ?? 0}</b>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </Panel>
      ) : null}
      <NotePanel $tone="weld">
        <h3>{say('Mind your hands')}</h3>
        <Small>
          {say('Keep arms out of the gate gap, and never stand between a penned animal and the only way out.')}
        </Small>
      </NotePanel>
    </Stack>
  );
});

/** A value that follows another once that has stood still for a while. */
function useSettled<T>(value: T, afterMs: number): T {
  const [settled, setSettled] = useState(value);
  // The clock is outside React.
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), afterMs);
    return () => clearTimeout(timer);
  }, [value, afterMs]);
  return settled;
}

const Two = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space(2)};
  margin: ${space(2)} 0;
  b {
    font: 700 20px ${fonts.heading};
    color: ${colour('ink')};
  }
`;
