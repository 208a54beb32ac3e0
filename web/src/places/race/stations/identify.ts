import { electronicText, say } from '@yaylak/contract';
import { normalised, readElectronicNumber } from '@yaylak/core';
import { tagDoubtText } from '../../../words/tags';
import { fieldText, type AtHand, type Problem, type StationRules } from './atHand';

/** Identifiers the animal at hand wears, without its name. */
export const wornAt = (at: AtHand): readonly (readonly [text: string, entryId: string, kind: string])[] =>
  (at.animal?.worn ?? []).filter(([, , kind]) => kind !== 'name');

/** The first free number that was not fitted in this job. */
function nextNumber(at: AtHand): string {
  const fitted = new Set(at.fitted.map(normalised));
  // Those fitted in this job may be among the next ones: so many more are looked at.
  const next = at.nextNumbers({ count: fitted.size + 1, colour: at.job.settings.identify?.colour });
  return next.find((n) => !fitted.has(normalised(n))) ?? '';
}

/** A visual number is proposed for one that has none left: its own again if it lost it, else the next free one. */
export function identifiersProposed(at: AtHand): { visual?: string } {
  const kinds = at.job.settings.identify?.kinds ?? [];
  if (!kinds.includes('visual') || wornAt(at).some(([, , kind]) => kind === 'visual')) return {};
  return { visual: at.animal?.formerly.findLast((text) => !/^\d{15}$/.test(text)) ?? nextNumber(at) };
}

/** A number another lost, or one that is gone wore: asked once. */
function formerly(text: string, at: AtHand): Problem[] {
  const own = at.animal?.formerly.some((f) => normalised(f) === normalised(text));
  const before = text === '' || own ? undefined : at.formerWearerOf(text);
  if (!before) return [];
  const words = tagDoubtText(
    { kind: before.isGone ? 'worn-by-gone' : 'lost-by', animalId: '' },
    { text, name: before.name },
  );
  return [{ kind: 'ask', key: `wore ${text}`, message: say('{words} Enter again fits it anyway.', { words }) }];
}

export const identify: StationRules = {
  proposed: identifiersProposed,
  problems(draft, at): Problem[] {
    const visual = fieldText(draft, 'visual', identifiersProposed(at)).trim();
    const wearer = visual === '' ? undefined : at.wearerOf(visual);
    // A number may come again in another colour: that is one of the ways people number.
    const isOtherColour = wearer !== undefined && wearer.colour !== (at.job.settings.identify?.colour ?? null);
    if (wearer && !isOtherColour)
      return [
        {
          kind: 'refuse',
          message: say('{visual} is already on {text}, which is here. Type another number.', {
            visual,
            text: wearer.text,
          }),
          field: 'visual',
        },
      ];
    const asked: Problem[] = wearer
      ? [
          {
            kind: 'ask',
            key: `worn ${visual}`,
            message: say('{n} {visual} is already on another. Enter again fits it in this colour.', {
              n: wearer.colour ?? '',
              visual,
            }).trim(),
          },
        ]
      : formerly(visual, at);
    const electronic = (draft.fields.electronic ?? '').trim();
    if (electronic === '') return asked;
    const read = readElectronicNumber(electronic);
    if (read.kind === 'refused')
      return [{ kind: 'refuse', message: electronicText(read.reason, electronic, read.length), field: 'electronic' }];
    const other = at.wearerOf(read.digits);
    return other === undefined
      ? asked
      : [
          {
            kind: 'refuse',
            message: say('That electronic tag is {text}’s. Read it again.', { text: other.text }),
            field: 'electronic',
          },
        ];
  },
  facts(draft, at) {
    const { colour } = at.job.settings.identify ?? {};
    const visual = fieldText(draft, 'visual', identifiersProposed(at)).trim();
    const read = readElectronicNumber((draft.fields.electronic ?? '').trim());
    return [
      ...draft.lost.map((identifierId) => ({ type: 'identifier-end', identifierId, how: 'lost' }) as const),
      ...(visual === ''
        ? []
        : [{ type: 'identifier', kind: 'visual', text: visual, ...(colour ? { colour } : {}) } as const]),
      ...(read.kind === 'number' ? [{ type: 'identifier', kind: 'electronic', text: read.digits } as const] : []),
    ];
  },
  toggles: (at) => wornAt(at).map(([text, entryId]) => ({ key: entryId, words: text })),
};
