import type { SaleAheadView, SpeciesAhead } from '@yaylak/contract';
import { SPECIES_WORDS } from '@yaylak/core';
import { shortDate } from './format';

export const hasReady = ({ ready, closing }: SpeciesAhead): boolean => ready + closing > 0;

/** `Sheep: 23 ready, 5 of them not for long, the first to 15 Dec`. */
export function readyText({ species, ready, closing, closesOn }: SpeciesAhead): string {
  const all = `${SPECIES_WORDS[species].name}: ${ready + closing} ready`;
  return closing > 0 && closesOn ? `${all}, ${closing} of them not for long, the first to ${shortDate(closesOn)}` : all;
}

/** `River works goes 1 Dec: 15 fit`. */
export const goesText = ({ name, goesOn, fits }: SpeciesAhead['outlets'][number], today: string): string =>
  `${name} goes ${goesOn === today ? 'today' : shortDate(goesOn)}: ${fits} fit`;

export const keptText = ({ buyer, until }: SaleAheadView['reserved'][number]): string =>
  `kept for ${buyer} to ${shortDate(until)}`;
