import { addDays, isoOf, yearOf, type Day } from '@yaylak/core';
import type { BookWriter, DemoAnimal } from './bookWriter';
import { trueWeight } from './growthCurve';

const KIDDING_BEFORE_END = 276;
const DOE_NAMES = [
  'Nergis',
  'Kekik',
  'Sumak',
  'Çiğdem',
  'Lale',
  'Defne',
  'Reyhan',
  'Nane',
  'Papatya',
  'Menekşe',
  'Zambak',
  'Gelincik',
  'Safran',
  'Yonca',
];
const KID_NAMES = [
  'Ihlamur',
  'Fesleğen',
  'Karanfil',
  'Mersin',
  'Akasya',
  'Erguvan',
  'Leylak',
  'Sardunya',
  'Susam',
  'Anason',
];
export const DOES = 'Milking does';
const BUCKS = 'Bucks';
const KIDS = 'Kids';

export function writeGoats(w: BookWriter, years: number): void {
  const start = addDays(w.today, -365 * years - 60);
  const bucks = ['Sümbül', 'Lodos'].map((name, i) => adult(w, start, 'male', name, `G-0${i + 1}B`));
  DOE_NAMES.forEach((name, i) => adult(w, start, 'female', name, `G-${String(17 + i * 4).padStart(3, '0')}`));
  for (let ago = years - 1; ago >= 0; ago--) {
    const end = addDays(w.today, -365 * ago);
    const kids = kidding(w, addDays(end, -KIDDING_BEFORE_END), bucks[ago % 2] as DemoAnimal);
    weigh(w, kids, end, ago === 0);
    if (ago > 0) choose(w, kids, end);
    else tellUnfinishedJob(w, kids);
  }
}

function adult(w: BookWriter, start: Day, sex: 'female' | 'male', name: string, number: string): DemoAnimal {
  return w.add({
    species: 'goat',
    sex,
    bornOn: addDays(start, -365 * w.random.whole(1, 2) - w.random.whole(0, 60)),
    arrivedOn: start,
    how: 'bought',
    merit: w.random.normal(1, 0.05),
    number,
    colour: 'blue',
    name,
    group: sex === 'male' ? BUCKS : DOES,
    withElectronic: true,
  });
}

function kidding(w: BookWriter, from: Day, sire: DemoAnimal): DemoAnimal[] {
  const kids: DemoAnimal[] = [];
  for (const doe of w.present('goat', from)) {
    if (doe.sex !== 'female' || from - doe.bornOn < 420 || w.random.chance(0.08)) continue;
    const bornOn = addDays(from, w.random.whole(0, 24));
    const born = w.random.chance(0.35) ? 1 : w.random.chance(0.85) ? 2 : 3;
    for (let i = 0; i < born; i++) {
      const sex = w.random.chance(0.5) ? 'female' : 'male';
      const kid = w.add({
        species: 'goat',
        sex,
        bornOn,
        dam: doe,
        sire,
        birthType: born,
        rearingType: born,
        merit: (doe.merit + sire.merit) / 2 + w.random.normal(0, 0.05),
        number: w.nextNumber(`G-${String(yearOf(bornOn)).slice(2)}-`, 2),
        colour: 'blue',
        group: KIDS,
        withElectronic: true,
        ...(sex === 'female' && w.random.chance(0.4) ? { name: w.random.pick(KID_NAMES) } : {}),
      });
      w.weigh(kid, bornOn, kidKg(kid, bornOn));
      if (w.random.chance(0.05)) w.leave(kid, addDays(bornOn, w.random.whole(2, 30)), 'died', undefined, 'scour');
      else kids.push(kid);
    }
  }
  return kids;
}

const kidKg = (kid: DemoAnimal, on: Day): number =>
  trueWeight({
    birthKg: ([3.5, 3.1, 2.7][kid.birthType - 1] ?? 2.7) * kid.merit,
    matureKg: kid.sex === 'male' ? 74 : 55,
    ratePerDay: 0.0037 * kid.merit * ([1.07, 1, 0.93][kid.rearingType - 1] ?? 0.93),
    ageDays: on - kid.bornOn,
  });

function weigh(w: BookWriter, kids: readonly DemoAnimal[], end: Day, isThisYear: boolean): void {
  const middle = addDays(end, -KIDDING_BEFORE_END + 12);
  const rounds = [...[56, 92].map((d) => addDays(middle, d)), ...[-44, -30, -16].map((d) => addDays(end, d))];
  for (const kid of kids) for (const on of rounds) w.weigh(kid, on, kidKg(kid, on));
  // Somebody typed the digits the wrong way round.
  const slip = kids.find((k) => k.goneOn === undefined);
  if (isThisYear && slip) w.write(slip, addDays(end, -9), { type: 'weight', kg: 94.2, method: 'scale' });
  for (const grown of w.present('goat', end).filter((a) => end - a.bornOn > 500))
    for (const d of [-190, -25]) w.weigh(grown, addDays(end, d), (grown.sex === 'male' ? 78 : 53) * grown.merit, 0.5);
}

function choose(w: BookWriter, kids: readonly DemoAnimal[], end: Day): void {
  const on = addDays(end, -30);
  const does = kids.filter((k) => k.sex === 'female' && k.goneOn === undefined).sort((a, b) => b.merit - a.merit);
  does.forEach((kid, i) => {
    w.choose(kid, on, {
      decision: i < 2 ? 'keep' : 'sell',
      suggested: i < 2 ? 'keep' : 'sell',
      among: `doe kids of ${yearOf(kid.bornOn)}`,
      place: i + 1,
      of: does.length,
    });
    if (i < 2) w.move(kid, addDays(on, 1), DOES);
    else w.leave(kid, addDays(on, 12), 'sold');
  });
  for (const kid of kids.filter((k) => k.sex === 'male')) w.leave(kid, addDays(end, -60), 'slaughtered');
  const milking = w
    .present('goat', end)
    .filter((a) => a.sex === 'female' && end - a.bornOn > 600)
    .sort((a, b) => a.bornOn - b.bornOn);
  for (const doe of milking.slice(0, Math.max(0, milking.length - 12)))
    w.leave(doe, addDays(end, -20), 'sold', 'cast for age');
}

/** A weighing that rain broke off yesterday: some kids are through, the others not seen yet. */
function tellUnfinishedJob(w: BookWriter, kids: readonly DemoAnimal[]): void {
  const on = addDays(w.today, -1);
  const here = kids.filter((k) => k.goneOn === undefined);
  const iso = isoOf(on);
  const jobId = w.job({
    name: 'Kids, after weaning',
    on: iso,
    startedAt: `${iso}T08:10:00.000Z`,
    startedBy: 'Kerem',
    stations: ['weigh'],
    gates: [],
    animalIds: here.map((k) => k.id),
    finishedAt: null,
  });
  for (const kid of here.slice(3, 9)) {
    w.write(kid, on, { type: 'passage' }, jobId);
    w.write(
      kid,
      on,
      { type: 'weight', kg: Number((kidKg(kid, on) * w.random.normal(1, 0.012)).toFixed(1)), method: 'scale' },
      jobId,
    );
  }
}
