import { SPECIES_WORDS as IN_ENGLISH, fieldWord as inEnglish } from '@yaylak/core';
import { say } from './say/say';
import { told } from './say/told';

/** What people call the animals of a species, in the language of who reads it. */
export const SPECIES_WORDS: typeof IN_ENGLISH = told(IN_ENGLISH);

/** The field word for an animal of this age, in the language of who reads it. */
export const fieldWord: typeof inEnglish = (animal, ageDays, many) => say(inEnglish(animal, ageDays, many));
