import { biasesByKey, correctedKg, dayOf, readingBefore, scaleUnit } from '@yaylak/core';
import type { BiasView } from '@yaylak/contract';
import { checkReadingText } from '../../../words/doubts';
import { readingsOf } from '../../../shared/remedies/planTreatment';
import { answerWeight, type WeightAnswer } from '../answers';
import type { Draft } from '../draft';
import { whyAt, type AtHand, type StationRules } from './atHand';
import { say } from '@yaylak/contract';

/** What the typed weight means for the animal at hand. */
export function weightAnswer(draft: Draft, at: AtHand): WeightAnswer {
  const { method = 'scale', tareKg = 0 } = at.job.settings.weigh ?? {};
  return answerWeight({
    typed: draft.fields.weight ?? '',
    unit: scaleUnit(at.species, at.unit),
    species: at.species,
    before: at.animal && readingBefore(readingsOf(at.animal), dayOf(at.job.on)),
    sameDay: at.animal && readingsOf(at.animal).findLast((r) => r.on === dayOf(at.job.on)),
    ageDays: at.ageDays,
    on: at.job.on,
    settings: at.settings,
    tareKg,
    method: draft.isFromCrate ? 'crate' : method,
  });
}

/** Kilograms of the animal at hand, once they can be. */
export function typedKg(draft: Draft, at: AtHand): number | undefined {
  const answer = weightAnswer(draft, at);
  return answer.kind === 'refused' ? undefined : answer.kg;
}

/** How the tape or eye of whoever weighs reads, once it is known well enough to be set right. */
export function biasAt(draft: Draft, at: AtHand): BiasView | undefined {
  const method = draft.isFromCrate ? 'crate' : at.job.settings.weigh?.method;
  return at.roster.biases.find(
    (b) => b.isUsed && b.by === at.weighedBy && b.method === method && b.species === at.species,
  );
}

/** What is thought of the animal's weight: a guess is set right by its hand's bias. What is written stays as it was read. */
export function trueKg(draft: Draft, at: AtHand): number | undefined {
  const kg = typedKg(draft, at);
  if (kg === undefined) return undefined;
  const { method = 'scale' } = at.job.settings.weigh ?? {};
  const guess = { kg, method: draft.isFromCrate ? ('crate' as const) : method, by: at.weighedBy, species: at.species };
  return correctedKg(guess, biasesByKey(at.roster.biases)) ?? kg;
}

export const weigh: StationRules = {
  problems(draft, at) {
    const answer = weightAnswer(draft, at);
    if (answer.kind === 'refused') {
      const isEmpty = (draft.fields.weight ?? '').trim() === '';
      // Where weighing is all there is to do, an animal without a weight has not been through.
      if (!isEmpty) return [{ kind: 'refuse', message: answer.message, field: 'weight' }];
      if (at.job.stations.length === 1)
        return whyAt(draft) === ''
          ? [
              {
                kind: 'refuse',
                message: say('{message} Or say why it passes without a weight.', { message: answer.message }),
                field: 'weight',
              },
            ]
          : [];
      return [{ kind: 'ask', key: 'no-weight', message: say('No weight. Enter again goes on without one.') }];
    }
    if (answer.kind === 'weight') return [];
    const words = checkReadingText(answer.kg, answer.doubt, at.unit, at.species);
    return [{ kind: 'ask', key: 'doubt', message: say('{words} Enter again keeps it, marked.', { words }) }];
  },
  facts(draft, at) {
    const answer = weightAnswer(draft, at);
    if (answer.kind === 'refused') return [];
    const { method = 'scale', tareKg } = at.job.settings.weigh ?? {};
    return [
      {
        type: 'weight',
        kg: answer.kg,
        method: draft.isFromCrate ? 'crate' : method,
        ...(tareKg ? { tareKg } : {}),
      },
    ];
  },
};
