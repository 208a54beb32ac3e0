import { addDays, yearOf, type Day } from '@yaylak/core';
import type { BookWriter, DemoAnimal } from './bookWriter';
import { trueWeight } from './growthCurve';

export const COWS = 'Cows';
const YOUNG = 'Young cattle';
const CALVING_BEFORE_END = 250;

export function writeCattle(w: BookWriter, years: number): void {
  const start = addDays(w.today, -365 * years - 30);
  const bull = beast(w, start, 'male', 'Poyraz', 'C-1801');
  ['Bulut', 'Yağmur', 'Kar', 'Çiy'].forEach((name, i) => beast(w, start, 'female', name, `C-180${i + 2}`));
  for (let ago = years - 1; ago >= 0; ago--) {
    const end = addDays(w.today, -365 * ago);
    for (const cow of w.present('cattle', end)) {
      if (cow.sex !== 'female' || end - cow.bornOn < 1000 || w.random.chance(0.1)) continue;
      const bornOn = addDays(end, -CALVING_BEFORE_END + w.random.whole(0, 30));
      const sex = w.random.chance(0.5) ? 'female' : 'castrate';
      const calf = w.add({
        species: 'cattle',
        sex,
        bornOn,
        dam: cow,
        sire: bull,
        birthType: 1,
        rearingType: 1,
        merit: w.random.normal(1, 0.05),
        number: w.nextNumber(`C-${String(yearOf(bornOn)).slice(2)}`, 2),
        colour: 'orange',
        group: YOUNG,
        withElectronic: true,
      });
      for (const age of [0, 90, 205, 240, 300, 365, 430, 500, 560]) {
        const on = addDays(bornOn, age);
        if (on < addDays(w.today, -3)) w.weigh(calf, on, calfKg(calf, age), 1, 0.015);
      }
      if (sex === 'castrate') w.leave(calf, addDays(bornOn, 585), 'slaughtered');
      else if (w.random.chance(0.6)) w.leave(calf, addDays(bornOn, 420), 'sold');
      else if (addDays(bornOn, 800) < w.today) w.move(calf, addDays(bornOn, 800), COWS);
    }
    for (const grown of w.present('cattle', end).filter((a) => end - a.bornOn > 900))
      for (const d of [-200, -20]) w.weigh(grown, addDays(end, d), (grown.sex === 'male' ? 760 : 525) * grown.merit, 1);
  }
}

function beast(w: BookWriter, start: Day, sex: 'female' | 'male', name: string, number: string): DemoAnimal {
  return w.add({
    species: 'cattle',
    sex,
    bornOn: addDays(start, -365 * 3 - w.random.whole(0, 200)),
    arrivedOn: start,
    how: 'bought',
    merit: w.random.normal(1, 0.04),
    number,
    colour: 'orange',
    name,
    group: COWS,
    withElectronic: true,
  });
}

const calfKg = (calf: DemoAnimal, ageDays: number): number =>
  trueWeight({ birthKg: 34, matureKg: calf.sex === 'castrate' ? 690 : 560, ratePerDay: 0.00195 * calf.merit, ageDays });
