import { fieldWord as wordOf, SPECIES_WORDS as WORDS } from '@yaylak/core';
import { sayOf, told } from './say/told';

/** What people call the animals of a species, in the language of who reads it. */
export const SPECIES_WORDS: typeof WORDS = {
  sheep: told(WORDS.sheep, 'sheep'),
  goat: told(WORDS.goat, 'goat'),
  rabbit: told(WORDS.rabbit, 'rabbit'),
  cattle: told(WORDS.cattle, 'cattle'),
};

/** The field word for an animal of this age, in the language of who reads it. */
export const fieldWord: typeof wordOf = (animal, ageDays, many) => sayOf(animal.species, wordOf(animal, ageDays, many));
