import { addDays, yearOf, type Day } from '@yaylak/core';
import type { BookWriter, DemoAnimal } from './bookWriter';
import { trueWeight } from './growthCurve';

const DOES = 'Rabbitry does';
const BUCKS = 'Rabbitry bucks';
const GROWING = 'Growing hutches';
/** From one kindling to the next. */
const LITTER_EVERY = 78;

export function writeRabbits(w: BookWriter, years: number): void {
  const start = addDays(w.today, -365 * years);
  const bucks = [0, 1].map((i) => grown(w, start, 'male', `K-B${i + 1}`));
  let does = Array.from({ length: 6 }, (_, i) => grown(w, start, 'female', `K-D0${i + 1}`));
  for (let ago = years - 1; ago >= 0; ago--) {
    // A doe rabbit works two to three years: from time to time one of her own daughters takes a place.
    if ((ago === 3 || ago === 1) && ago < years - 1) does = renew(w, does, addDays(w.today, -365 * (ago + 1)));
    does.forEach((doe, i) => {
      for (let litter = 0; litter < 4; litter++) {
        const bornOn = addDays(w.today, -365 * (ago + 1) + 62 + i * 11 + litter * LITTER_EVERY);
        kindle(
          w,
          doe,
          bucks[i % 2] as DemoAnimal,
          bornOn,
          i === 2 ? (ago >= 2 ? undefined : 9 - litter - (1 - ago) * 3) : undefined,
        );
      }
    });
  }
  weighGrown(w, [...does, ...bucks]);
}

function grown(w: BookWriter, start: Day, sex: 'female' | 'male', number: string): DemoAnimal {
  return w.add({
    species: 'rabbit',
    sex,
    bornOn: addDays(start, -w.random.whole(170, 220)),
    arrivedOn: start,
    how: 'bought',
    merit: w.random.normal(1, 0.04),
    number,
    colour: 'white',
    group: sex === 'male' ? BUCKS : DOES,
  });
}

/** A litter; `size` is set where the story wants a doe whose litters shrink. */
function kindle(w: BookWriter, dam: DemoAnimal, sire: DemoAnimal, bornOn: Day, size: number | undefined): void {
  if (bornOn > addDays(w.today, -8)) return;
  const born = Math.max(2, size ?? Math.round(w.random.normal(7.6, 1.4)));
  for (let i = 0; i < born; i++) {
    const sex = w.random.chance(0.5) ? 'female' : 'male';
    const kit = w.add({
      species: 'rabbit',
      sex,
      bornOn,
      dam,
      sire,
      birthType: born,
      rearingType: born,
      merit: (dam.merit + sire.merit) / 2 + w.random.normal(0, 0.06),
      number: w.nextNumber(`K-${String(yearOf(bornOn)).slice(2)}-`, 2),
      colour: 'white',
      group: GROWING,
    });
    if (w.random.chance(0.08)) {
      w.leave(kit, addDays(bornOn, w.random.whole(1, 20)), 'died');
      continue;
    }
    const runt = w.random.chance(0.05) ? 0.72 : 1;
    for (const age of [21, 28, 35, 42, 49, 56, 63, 70]) {
      const on = addDays(bornOn, age);
      if (on < w.today) w.weigh(kit, on, kitKg(kit, age) * runt, 0.005);
    }
    w.leave(kit, addDays(bornOn, w.random.whole(76, 88)), 'slaughtered');
  }
}

const kitKg = (kit: DemoAnimal, ageDays: number): number =>
  trueWeight({
    birthKg: 0.058,
    matureKg: 4.4,
    ratePerDay: 0.0092 * kit.merit * (kit.birthType > 8 ? 0.95 : kit.birthType < 5 ? 1.08 : 1),
    ageDays,
  });

function renew(w: BookWriter, does: readonly DemoAnimal[], on: Day): DemoAnimal[] {
  return does.map((doe, i) => {
    if (i % 2 === 1) return doe;
    w.leave(doe, addDays(on, -5), 'slaughtered', 'cast for age');
    const young = w.add({
      species: 'rabbit',
      sex: 'female',
      bornOn: addDays(on, -190),
      dam: doe,
      birthType: 8,
      rearingType: 7,
      merit: w.random.normal(1, 0.04),
      number: w.nextNumber('K-D1', 1),
      colour: 'white',
      group: DOES,
    });
    return young;
  });
}

function weighGrown(w: BookWriter, grownAnimals: readonly DemoAnimal[]): void {
  for (const animal of grownAnimals)
    for (let ago = 700; ago > 0; ago -= 30) {
      const on = addDays(w.today, -ago - 6);
      if (on - animal.bornOn > 160) w.weigh(animal, on, 4.2 * animal.merit, 0.01, 0.008);
    }
}
