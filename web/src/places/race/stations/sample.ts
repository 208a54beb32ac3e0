import { nextTube, normalised } from '@yaylak/core';
import { reasonAt, soonProblems } from './scan';
import { fieldText, type AtHand, type Problem, type StationRules } from './atHand';
import { say } from '@yaylak/contract';

/** The tube that is next: after the last of this job, else the job's first. */
export const tubeProposed = (at: AtHand): string => {
  const last = [...at.tubes.values()].at(-1);
  return (last && nextTube(last.tube)) ?? at.job.settings.sample?.firstTube ?? '';
};

/** One needle and one tube an animal: the number is looked at twice before it is written. */
export const sample: StationRules = {
  proposed: (at) => ({ tube: tubeProposed(at) }),
  problems(draft, at): Problem[] {
    if (draft.leftOut.includes('sample')) return [];
    const tube = fieldText(draft, 'tube', { tube: tubeProposed(at) }).trim();
    if (normalised(tube) === '')
      return [{ kind: 'refuse', message: say('Type the number on the tube.'), field: 'tube' }];
    const soon = at.job.settings.sample?.purpose === 'pregnancy' ? soonProblems(draft, at, 'blood') : [];
    if (soon.length > 0) return soon;
    const taken = at.tubes.get(normalised(tube));
    if (taken)
      return [
        {
          kind: 'refuse',
          message: say('Tube {tube} is {name}’s. Look at the tube again.', { tube, name: taken.name }),
          field: 'tube',
        },
      ];
    return [
      {
        kind: 'ask',
        key: `tube ${tube}`,
        message: say('Look at the tube: it must say {tube}. Enter again records it{value}.', {
          tube,
          value: at.animal ? ` ${say('for {text}', { text: at.animal.tag.text })}` : '',
        }),
      },
    ];
  },
  facts(draft, at) {
    const tube = fieldText(draft, 'tube', { tube: tubeProposed(at) }).trim();
    return draft.leftOut.includes('sample')
      ? []
      : [
          {
            type: 'sample',
            tube,
            purpose: at.job.settings.sample?.purpose ?? 'blood',
            ...(at.job.settings.sample?.purpose === 'pregnancy' ? reasonAt(draft, at, 'blood') : {}),
          },
        ];
  },
  toggles: () => [{ key: 'sample', words: say('Tube') }],
};
