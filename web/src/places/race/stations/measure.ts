import { BODY_MEASURES, readTypedNumber, type BodyMeasure, type BodyMeasures } from '@yaylak/core';
import { MEASURE_WORDS } from '../../../words/stations';
import type { Draft } from '../draft';
import type { AtHand, Problem, StationRules } from './atHand';
import { say } from '@yaylak/contract';

/** What was typed of one measure, centimetres; nothing where it cannot be read as one. */
function typedCm(draft: Draft, measure: BodyMeasure): number | undefined {
  const read = readTypedNumber(draft.fields[measure] ?? '');
  return read.kind === 'number' ? read.value : undefined;
}

/** All that was typed. */
export const typedMeasures = (draft: Draft): BodyMeasures =>
  Object.fromEntries(BODY_MEASURES.flatMap((m) => (typedCm(draft, m) === undefined ? [] : [[m, typedCm(draft, m)]])));

const problemOf = (measure: BodyMeasure, draft: Draft, at: AtHand): Problem[] => {
  const text = (draft.fields[measure] ?? '').trim();
  if (text === '') return [];
  const cm = typedCm(draft, measure);
  const { longestCm } = at.settings;
  if (cm !== undefined && cm > 0 && cm <= longestCm) return [];
  return [
    {
      kind: 'refuse',
      field: measure,
      message: say('{measure} “{text}” is not possible: type centimetres, over 0 and up to {longestCm}.', {
        measure: MEASURE_WORDS[measure],
        text,
        longestCm,
      }),
    },
  ];
};

export const measure: StationRules = {
  problems(draft, at) {
    const wrong = BODY_MEASURES.flatMap((m) => problemOf(m, draft, at));
    if (wrong.length > 0) return wrong;
    return Object.keys(typedMeasures(draft)).length > 0
      ? []
      : [{ kind: 'ask', key: 'no-measure', message: say('Not measured. Enter again goes on without.') }];
  },
  facts(draft) {
    const typed = typedMeasures(draft);
    return Object.keys(typed).length === 0 ? [] : [{ type: 'measure', ...typed }];
  },
};
