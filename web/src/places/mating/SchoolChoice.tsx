import { useQuery } from '@tanstack/react-query';
import type { MatingView } from '@yaylak/contract';
import { useState } from 'react';
import { holdingQuery } from '../../api/queries';
import { Choice } from '../../parts/Choice';
import { How } from '../../parts/How';
import { useSaveHolding } from '../../parts/useSaveHolding';
import { say } from '@yaylak/contract';

/** By which school the hour of service is told. */
export function SchoolChoice({ view: { school, species } }: { readonly view: MatingView }) {
  const { data: holding } = useQuery(holdingQuery);
  const save = useSaveHolding();
  const [problem, setProblem] = useState<string>();
  if (school === 'none' || !holding) return null;
  const { mating, serviceHours: h } = holding.species[species];
  const change = async (next: 'hours' | 'morning-evening'): Promise<void> => {
    const own = { ...holding.overrides[species], mating: { ...mating, heatSchool: next } };
    setProblem(await save({ species: { ...holding.overrides, [species]: own } }));
  };
  return (
    <>
      <Choice
        label={say('Hour of service')}
        value={school}
        options={[
          ['hours', say('by hours from standing')],
          ['morning-evening', say('by morning and evening')],
        ]}
        onChange={(next) => void change(next)}
      />
      <How of={say('The hour of service')}>
        <p>
          {say(
            'By hours: from when she was first seen to stand, open after {opens}, best from {bestFrom} to {bestTo}, over after {closes} hours. It follows the egg, and asks for two looks a day.',
            { opens: h.opens, bestFrom: h.bestFrom, bestTo: h.bestTo, closes: h.closes },
          )}
        </p>
        <p>
          {say(
            'By morning and evening: seen in the morning, serve that evening; seen after noon, serve next morning. It suits whoever milks twice a day and has no hours to count, and is the older way with cattle.',
          )}
        </p>
        <p>{say('Serve twice in the window where you can. The hours are set under Holding.')}</p>
      </How>
      {problem ? <p role="alert">{problem}</p> : null}
    </>
  );
}
