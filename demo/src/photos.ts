import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { addDays, type Sex, type Species } from '@yaylak/core';
import type { BookWriter, DemoAnimal } from './bookWriter';

/** Our own drawings, all of one size, in pixels. */
const FOLDER = join(__dirname, '../photos');
const SIZE = { width: 800, height: 600 };

interface Told {
  readonly file: string;
  readonly species: Species;
  readonly sex: Sex;
  /** Which of those that are here and grown, the oldest first. */
  readonly nth: number;
  readonly daysAgo: number;
  readonly shows?: string;
}

const PHOTOS: readonly Told[] = [
  { file: 'ewe', species: 'sheep', sex: 'female', nth: 0, daysAgo: 400, shows: 'before shearing' },
  { file: 'ewe2', species: 'sheep', sex: 'female', nth: 0, daysAgo: 38, shows: 'left side' },
  { file: 'ewe', species: 'sheep', sex: 'female', nth: 3, daysAgo: 38 },
  { file: 'ram', species: 'sheep', sex: 'male', nth: 0, daysAgo: 52, shows: 'at the ram check' },
  { file: 'goat', species: 'goat', sex: 'female', nth: 1, daysAgo: 20 },
  { file: 'rabbit', species: 'rabbit', sex: 'female', nth: 0, daysAgo: 12 },
  { file: 'cow', species: 'cattle', sex: 'female', nth: 0, daysAgo: 90, shows: 'after calving' },
];
const GROWN_DAYS = 300;

/** A few animals of the demo have a picture. */
export function writePhotos(w: BookWriter): void {
  for (const { file, species, sex, nth, daysAgo, shows } of PHOTOS) {
    const on = addDays(w.today, -daysAgo);
    const animal = grown(w, species, sex)[nth];
    if (!animal || animal.arrivedOn > on) continue;
    const pictureId = w.picture(readFileSync(join(FOLDER, `${file}.jpg`)).toString('base64'));
    w.write(animal, on, { type: 'photo', pictureId, ...SIZE, ...(shows === undefined ? {} : { shows }) });
  }
}

const grown = (w: BookWriter, species: Species, sex: Sex): DemoAnimal[] =>
  w.animals
    .filter((a) => a.species === species && a.sex === sex && a.goneOn === undefined && w.today - a.bornOn > GROWN_DAYS)
    .sort((a, b) => a.bornOn - b.bornOn);
