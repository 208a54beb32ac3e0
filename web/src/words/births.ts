import {
  AFTERBIRTH_WORDS,
  CAUSE_WORDS,
  COLOSTRUM_WORDS,
  EASE_WORDS,
  MOTHERING_WORDS,
  PEN_STAGE_WORDS,
  PRESENTATION_WORDS,
  type Entry,
} from '@yaylak/contract';
import { SPECIES_WORDS, type Species } from '@yaylak/core';
import { countText, moneyText, shortDate, weightText } from './format';
import type { Lines, Told } from './lines';

/** Entries of births and rearing. */
export const BIRTH_LINES: Lines<'birth' | 'afterbirth' | 'colostrum' | 'fostering' | 'weaning' | 'pen-stage' | 'feed'> =
  {
    birth(entry, told) {
      const parts = [
        ...(entry.at === undefined ? [] : [`at ${entry.at.slice(11)}`]),
        EASE_WORDS[entry.ease],
        ...(entry.presentation === undefined ? [] : [PRESENTATION_WORDS[entry.presentation]]),
        ...(entry.help === undefined ? [] : [entry.help]),
        ...(entry.mothering === undefined ? [] : [MOTHERING_WORDS[entry.mothering]]),
        ...(entry.afterbirth === undefined ? [] : [`afterbirth ${AFTERBIRTH_WORDS[entry.afterbirth]}`]),
        ...(entry.litterKg === undefined ? [] : [`${weightText(entry.litterKg, told.unit, told.species)} together`]),
      ];
      const why = entry.reason === undefined ? '' : ` (queried: ${entry.reason})`;
      return `Gave birth to ${bornText(entry.alive, entry.dead, told.species)}: ${parts.join(', ')}${why}`;
    },
    afterbirth: (entry) => `Afterbirth ${AFTERBIRTH_WORDS[entry.state]}`,
    colostrum: (entry) => `Colostrum at ${entry.at.slice(11)}, ${COLOSTRUM_WORDS[entry.how]}`,
    fostering(entry, told) {
      const why = entry.reason === undefined ? '' : ` (${entry.reason})`;
      if (entry.damId === undefined) return `Reared by hand${why}`;
      return `Put under ${told.nameOf?.(entry.damId) ?? 'another dam'}${why}`;
    },
    weaning: (entry) => (entry.isDone ? 'Weaned' : 'Weaned off milk, first step'),
    feed: (entry, told) => `Ate ${weightText(entry.kg, told.unit)} of ${entry.feed} since ${shortDate(entry.since)}`,
    'pen-stage': (entry) =>
      `With her young to the ${PEN_STAGE_WORDS[entry.stage]}${entry.pen === undefined ? '' : ` ${entry.pen}`}`,
  };

/** `2 kids alive`, `1 kid alive and 1 dead`, `2 kids dead`. */
export function bornText(alive: number, dead: number, species: Species | undefined): string {
  const [one, many] = species ? SPECIES_WORDS[species].young.unknown : ['young', 'young'];
  if (alive === 0) return `${countText(dead, one, many)} dead`;
  return `${countText(alive, one, many)} alive${dead > 0 ? ` and ${dead} dead` : ''}`;
}

/** How an animal left, and of what it died. */
export function departureWords(
  { how, cause, toldUntil, buyer, kg, priceMinor, haulageMinor, reason }: Extract<Entry, { type: 'departure' }>,
  { unit, species, currency }: Pick<Told, 'unit' | 'species' | 'currency'>,
): string {
  const more = [
    ...(buyer === undefined ? [] : [`to ${buyer}`]),
    ...(kg === undefined ? [] : [`at ${weightText(kg, unit, species)}`]),
    ...(priceMinor === undefined ? [] : [`for ${moneyText(priceMinor, currency)}`]),
    ...(haulageMinor === undefined ? [] : [`haulage ${moneyText(haulageMinor, currency)}`]),
    ...(cause === undefined ? [] : [CAUSE_WORDS[cause]]),
    ...(toldUntil === undefined ? [] : [`buyer told: withheld to the end of ${shortDate(toldUntil)}`]),
    ...(reason ? [reason] : []),
  ];
  if (how === 'elsewhere') return 'Not here: known by its number, as a parent';
  return `Left: ${how}${more.length > 0 ? ` (${more.join(', ')})` : ''}`;
}
