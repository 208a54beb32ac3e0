import type { MarkColour } from '@yaylak/contract';
import type { AtHand, Fact, StationRules, Toggle } from './atHand';
import { say } from '@yaylak/contract';

/** A colour that may be found on her, with all males that wear it. */
interface Raddle {
  readonly key: string;
  readonly colour: MarkColour | null;
  /** Those that may sire; with none of them it is a teaser's mark, and tells of a heat alone. */
  readonly sireIds: readonly string[];
  readonly names: readonly string[];
}

/** The colours males wear that run with the animal at hand; those without a raddle leave a mark without a colour. */
export function raddlesAt({ animal }: Pick<AtHand, 'animal'>): Raddle[] {
  const byColour = new Map<MarkColour | null, { readonly ids: string[]; readonly names: string[] }>();
  for (const { maleId, name, colour, isTeaser } of animal?.runsWith ?? []) {
    const own = byColour.get(colour) ?? { ids: [], names: [] };
    byColour.set(colour, own);
    if (!isTeaser) own.ids.push(maleId);
    own.names.push(isTeaser ? say('{name}, teaser', { name }) : name);
  }
  return [...byColour].map(([colour, { ids, names }]) => ({
    key: `raddle ${colour ?? 'none'}`,
    colour,
    sireIds: ids,
    names,
  }));
}

/** Marks of the males that run with the females: each colour found is a service, or a heat where a teaser wears it. */
export const raddle: StationRules = {
  facts: (draft, at) =>
    raddlesAt(at).flatMap(({ key, colour, sireIds }): Fact[] => {
      if (!draft.marks.includes(key)) return [];
      if (sireIds.length === 0) return [{ type: 'heat', at: at.now, signs: ['stands'] }];
      return [{ type: 'service', way: 'raddle', maleIds: [...sireIds], ...(colour === null ? {} : { colour }) }];
    }),
  toggles: (at) =>
    raddlesAt(at).map(({ key, colour, names }): Toggle => ({
      key,
      words: `${colour === null ? say('Marked') : say(colour)} (${names.join(` ${say('or')} `)})`,
    })),
};
