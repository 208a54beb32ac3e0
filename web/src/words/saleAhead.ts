import type { SaleAheadView, SpeciesAhead } from '@yaylak/contract';
import { shortDate } from './dates';
import { say, SPECIES_WORDS } from '@yaylak/contract';

export const hasReady = ({ ready, closing }: SpeciesAhead): boolean => ready + closing > 0;

/** `Sheep: 23 ready, 5 of them not for long, the first to 15 Dec`. */
export function readyText({ species, ready, closing, closesOn }: SpeciesAhead): string {
  const all = say('{name}: {n} ready', { name: SPECIES_WORDS[species].name, n: ready + closing });
  return closing > 0 && closesOn
    ? say('{all}, {closing} of them not for long, the first to {date}', { all, closing, date: shortDate(closesOn) })
    : all;
}

/** `River works goes 1 Dec: 15 fit`. */
export const goesText = ({ name, goesOn, fits }: SpeciesAhead['outlets'][number], today: string): string =>
  say('{name} goes {value}: {fits} fit', { name, value: goesOn === today ? say('today') : shortDate(goesOn), fits });

export const keptText = ({ buyer, until }: SaleAheadView['reserved'][number]): string =>
  say('kept for {buyer} to {date}', { buyer, date: shortDate(until) });
