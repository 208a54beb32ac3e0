import type { BookFile } from '@yaylak/contract';
import { addDays, seededRandom, yearOf, type Day } from '@yaylak/core';
import { writeBirths } from './births';
import { BookWriter } from './bookWriter';
import { writeCarrying } from './carrying';
import { writeCattle } from './cattle';
import { demoDrills, demoPlans, demoResources, writeCondition } from './condition';
import { writeGoats } from './goats';
import { writePhotos } from './photos';
import { writeRabbits } from './rabbits';
import { demoHeatWaves, writeMating } from './mating';
import { demoBlankTags, writeRemedies } from './remedies';
import { writeSales } from './sales';
import { writeSelling } from './selling';
import { writeSheep } from './sheep';

export const DEMO_SEED = 20_261;
const YEARS = 5;

/**
 * The demo holding: five years of a made-up farm that end on `today`. The same seed and day give the same book, to the
 * last digit.
 * @param options.years  whole years of history; fewer make a small book for tests
 */
export function makeDemoBook(
  today: Day,
  { seed = DEMO_SEED, years = YEARS }: { readonly seed?: number; readonly years?: number } = {},
): BookFile {
  const w = new BookWriter(today, seededRandom(seed));
  writeSheep(w, years);
  writeGoats(w, years);
  writeRabbits(w, years);
  writeCattle(w, years);
  writeRemedies(w);
  const stray = w.add({
    species: 'sheep',
    sex: 'unknown',
    bornOn: addDays(today, -30),
    arrivedOn: addDays(today, -14),
    how: 'found',
    number: '25-0402',
    colour: 'green',
    group: 'Ewe lambs',
  });
  w.weigh(stray, addDays(today, -14), 41);
  writeCondition(w);
  writeMating(w);
  writeCarrying(w);
  writeBirths(w);
  writeSelling(w);
  writeSales(w);
  writePhotos(w);
  return w.finish('Ardıçlı', {
    blankTags: demoBlankTags(yearOf(today)),
    plans: demoPlans(w, w.groupIds(), w.productId('Two-step vaccine')),
    drills: demoDrills(today),
    resources: { ...demoResources(today), hot: demoHeatWaves(today) },
  });
}
