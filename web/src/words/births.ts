import {
  AFTERBIRTH_WORDS,
  CAUSE_WORDS,
  COLOSTRUM_WORDS,
  EASE_WORDS,
  MOTHERING_WORDS,
  PEN_STAGE_WORDS,
  PRESENTATION_WORDS,
  type Entry,
  say,
  SPECIES_WORDS,
} from '@yaylak/contract';
import type { Species } from '@yaylak/core';
import { shortDate } from './dates';
import { countText, moneyText, weightText } from './format';
import type { Lines, Told } from './lines';

/** Entries of births and rearing. */
export const BIRTH_LINES: Lines<'birth' | 'afterbirth' | 'colostrum' | 'fostering' | 'weaning' | 'pen-stage' | 'feed'> =
  {
    birth(entry, told) {
      const parts = [
        ...(entry.at === undefined ? [] : [say('at {part}', { part: entry.at.slice(11) })]),
        EASE_WORDS[entry.ease],
        ...(entry.presentation === undefined ? [] : [PRESENTATION_WORDS[entry.presentation]]),
        ...(entry.help === undefined ? [] : [entry.help]),
        ...(entry.mothering === undefined ? [] : [MOTHERING_WORDS[entry.mothering]]),
        ...(entry.afterbirth === undefined
          ? []
          : [say('afterbirth {afterbirth}', { afterbirth: AFTERBIRTH_WORDS[entry.afterbirth] })]),
        ...(entry.litterKg === undefined
          ? []
          : [say('{weight} together', { weight: weightText(entry.litterKg, told.unit, told.species) })]),
      ];
      const why = entry.reason === undefined ? '' : ` ${say('(queried: {reason})', { reason: entry.reason })}`;
      return say('Gave birth to {born}: {list}{why}', {
        born: bornText(entry.alive, entry.dead, told.species),
        list: parts.join(', '),
        why,
      });
    },
    afterbirth: (entry) => say('Afterbirth {afterbirth}', { afterbirth: AFTERBIRTH_WORDS[entry.state] }),
    colostrum: (entry) =>
      say('Colostrum at {part}, {colostrum}', { part: entry.at.slice(11), colostrum: COLOSTRUM_WORDS[entry.how] }),
    fostering(entry, told) {
      const why = entry.reason === undefined ? '' : ` (${entry.reason})`;
      if (entry.damId === undefined) return say('Reared by hand{why}', { why });
      return say('Put under {n}{why}', { n: told.nameOf?.(entry.damId) ?? say('another dam'), why });
    },
    weaning: (entry) => (entry.isDone ? say('Weaned') : say('Weaned off milk, first step')),
    feed: (entry, told) =>
      say('Ate {weight} of {feed} since {date}', {
        weight: weightText(entry.kg, told.unit),
        feed: entry.feed,
        date: shortDate(entry.since),
      }),
    'pen-stage': (entry) =>
      say('With her young to the {pen}{value}', {
        pen: PEN_STAGE_WORDS[entry.stage],
        value: entry.pen === undefined ? '' : ` ${entry.pen}`,
      }),
  };

/** `2 kids alive`, `1 kid alive and 1 dead`, `2 kids dead`. */
export function bornText(alive: number, dead: number, species: Species | undefined): string {
  const [one, many] = species ? SPECIES_WORDS[species].young.unknown : [say('young'), say('young')];
  if (alive === 0) return say('{count} dead', { count: countText(dead, one, many) });
  return say('{count} alive{value}', {
    count: countText(alive, one, many),
    value: dead > 0 ? ` ${say('and {dead} dead', { dead })}` : '',
  });
}

/** How an animal left, and of what it died. */
export function departureWords(
  { how, cause, toldUntil, buyer, kg, priceMinor, haulageMinor, reason }: Extract<Entry, { type: 'departure' }>,
  { unit, species, currency }: Pick<Told, 'unit' | 'species' | 'currency'>,
): string {
  const more = [
    ...(buyer === undefined ? [] : [say('to {buyer}', { buyer })]),
    ...(kg === undefined ? [] : [say('at {weight}', { weight: weightText(kg, unit, species) })]),
    ...(priceMinor === undefined ? [] : [say('for {money}', { money: moneyText(priceMinor, currency) })]),
    ...(haulageMinor === undefined ? [] : [say('haulage {money}', { money: moneyText(haulageMinor, currency) })]),
    ...(cause === undefined ? [] : [CAUSE_WORDS[cause]]),
    ...(toldUntil === undefined
      ? []
      : [say('buyer told: withheld to the end of {date}', { date: shortDate(toldUntil) })]),
    ...(reason ? [reason] : []),
  ];
  if (how === 'elsewhere') return say('Not here: known by its number, as a parent');
  return say('Left: {how}{value}', { how, value: more.length > 0 ? ` (${more.join(', ')})` : '' });
}
