import { checkWeight, dayOf, doubtLitter, readTypedNumber, readTypedWeight, scaleUnit, toKg } from '@yaylak/core';
import { refusalText, say } from '@yaylak/contract';
import { litterDoubtText } from '../../../words/doubts';
import type { Draft } from '../draft';
import type { AtHand, Problem, StationRules } from './atHand';

/** A litter on the scale: what is typed of it, without the pan. */
export function litterTyped(
  draft: Draft,
  at: AtHand,
): { readonly totalKg: number | undefined; readonly count: number | undefined; readonly tareKg: number } {
  const tareKg = at.job.settings.weigh?.tareKg ?? 0;
  const weight = readTypedWeight(draft.fields.litterKg ?? '', scaleUnit(at.species, at.unit));
  const count = readTypedNumber(draft.fields.litterCount ?? '');
  return {
    totalKg:
      weight.kind === 'number'
        ? Number((toKg(weight.value, scaleUnit(at.species, at.unit)) - tareKg).toFixed(4))
        : undefined,
    count: count.kind === 'number' && Number.isInteger(count.value) && count.value > 0 ? count.value : undefined,
    tareKg,
  };
}

/** How many a dam has with her, and how old they are; a litter born since she was last read is not known. */
function litterOf({ animal, job }: AtHand): { heads: number | undefined; ageDays: number | undefined } {
  const bornOn = animal?.lastBirthOn;
  return {
    heads: animal?.rears,
    ageDays: bornOn === undefined ? undefined : dayOf(job.on) - dayOf(bornOn),
  };
}

export const litter: StationRules = {
  problems(draft, at): Problem[] {
    const { totalKg, count } = litterTyped(draft, at);
    if (at.animal && at.animal.sex !== 'female')
      return [
        {
          kind: 'refuse',
          message: say('{text} is not a female. Scan the dam of the litter.', { text: at.animal.tag.text }),
        },
      ];
    if (totalKg === undefined)
      return [{ kind: 'refuse', message: say('Type what the litter weighs together.'), field: 'litterKg' }];
    if (count === undefined || count > 30)
      return [{ kind: 'refuse', message: say('Type how many are on the scale, 1 to 30.'), field: 'litterCount' }];
    const fault = checkWeight(totalKg / count, at.species, { settings: () => at.settings });
    if (fault)
      return [
        {
          kind: 'refuse',
          message: say('By the head: {refusal}', { refusal: refusalText(fault, undefined, at.unit) }),
          field: 'litterKg',
        },
      ];
    const doubts = doubtLitter({ totalKg, count }, litterOf(at), at.settings);
    return doubts.length === 0
      ? []
      : [
          {
            kind: 'ask',
            key: `litter ${totalKg} ${count}`,
            message: say('{list} Enter again keeps it.', {
              list: doubts.map((d) => litterDoubtText(d, at.unit, at.species)).join(' '),
            }),
          },
        ];
  },
  facts(draft, at) {
    const { totalKg, count, tareKg } = litterTyped(draft, at);
    if (totalKg === undefined || count === undefined) return [];
    return [{ type: 'litter-weight', totalKg, count, ...(tareKg ? { tareKg } : {}) }];
  },
};
