import type { ServiceEntry } from '@yaylak/contract';
import { addDays, isoOf, SPECIES_TABLE, type Day, type HeatSign, type Species } from '@yaylak/core';
import type { BookWriter, DemoAnimal } from './bookWriter';
import { COWS } from './cattle';
import { DOES } from './goats';
import { EWES } from './sheep';

/** Share of litters before whose service an earlier one had not held. */
const RETURNED = 0.16;
/** Share of rabbit litters soon after which the doe was served and nothing came. */
const SERVED_IN_VAIN = 0.3;
const RADDLE = ['red', 'blue', 'green'] as const;
/** A made-up disorder of kids. */
const GENE = 'wry jaw';

/** Heats, services and males of five years, and a season of each species that is under way. */
export function writeMating(w: BookWriter): void {
  const buck = youngBuck(w);
  for (const species of ['sheep', 'goat', 'rabbit', 'cattle'] as const) pastServices(w, species);
  flock(w);
  goats(w);
  if (buck) rabbits(w, buck);
  cattle(w);
}

const local = (on: Day, hour: number, minute = 0): string =>
  `${isoOf(on)}T${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`;

/** A service of every litter on record, some that were returned of, some that came to nothing. */
function pastServices(w: BookWriter, species: Species): void {
  const { gestationDays: g, heatCycleDays: c } = SPECIES_TABLE[species];
  const litters = new Map<string, DemoAnimal>();
  for (const young of w.animals)
    if (young.species === species && young.dam && young.sire) litters.set(`${young.dam.id} ${young.bornOn}`, young);
  for (const { dam, sire, bornOn } of [...litters.values()].sort((a, b) => a.bornOn - b.bornOn)) {
    if (!dam || !sire) continue;
    const on = addDays(bornOn, -g.mean + Math.round(w.random.normal(0, (g.to - g.from) / 6)));
    const cycle = c.mean > 0 ? c.mean + w.random.whole(-1, 1) : 14;
    if (w.random.chance(RETURNED)) serve(w, dam, [sire], addDays(on, -cycle));
    serve(w, dam, [sire], on);
    const isLongAgo = bornOn < addDays(w.today, -120);
    if (c.mean === 0 && isLongAgo && w.random.chance(SERVED_IN_VAIN)) serve(w, dam, [sire], addDays(bornOn, 24));
  }
}

/** A service, by the way that is usual for the species. */
export function serve(
  w: BookWriter,
  female: DemoAnimal,
  males: readonly DemoAnimal[],
  on: Day,
  change: Partial<Pick<ServiceEntry, 'way' | 'colour' | 'at' | 'reason' | 'isWitnessed' | 'straw' | 'technician'>> = {},
): void {
  const wayOf: Readonly<Record<Species, ServiceEntry['way']>> = {
    sheep: 'raddle',
    goat: 'hand',
    rabbit: 'hand',
    cattle: 'ran-with',
  };
  const way = change.way ?? wayOf[female.species];
  w.write(female, on, {
    type: 'service',
    way,
    maleIds: males.map((m) => m.id),
    ...(way === 'hand' ? { isWitnessed: true } : {}),
    ...(way === 'raddle' ? { colour: RADDLE[Math.floor(w.random.next() * 2)] ?? 'red' } : {}),
    ...change,
  });
}

const look = (w: BookWriter, female: DemoAnimal, on: Day, hour: number, ...signs: HeatSign[]): void =>
  void w.write(female, on, { type: 'heat', at: local(on, hour, 30), signs });

const females = (w: BookWriter, species: Species, olderThan: number): DemoAnimal[] =>
  w.present(species, w.today).filter((a) => a.sex === 'female' && w.today - a.bornOn > olderThan);
const males = (w: BookWriter, species: Species, olderThan: number): DemoAnimal[] =>
  w.present(species, w.today).filter((a) => a.sex === 'male' && w.today - a.bornOn > olderThan);

/** Last year's ram went in with raddle; this year's are looked at now, and one is near the end. */
function flock(w: BookWriter): void {
  const rams = males(w, 'sheep', 800);
  const [first, second] = rams;
  if (!first) return;
  const inOn = addDays(w.today, -238 - 150);
  const stayId = w.write(first, inOn, { type: 'stay', groupId: w.group(EWES, 'sheep'), colour: 'red' });
  w.write(first, addDays(inOn, 17), { type: 'harness', stayId, colour: 'blue' });
  w.write(first, addDays(inOn, 51), { type: 'stay-end', stayId });
  w.write(first, addDays(w.today, -6), {
    type: 'male-check',
    grades: { feet: 'watch', teeth: 'watch', testicles: 'good', condition: 'good', temper: 'good' },
    girthCm: 33.5,
  });
  if (second)
    w.write(second, addDays(w.today, -6), {
      type: 'male-check',
      grades: { feet: 'good', teeth: 'good', testicles: 'good', condition: 'good', temper: 'watch' },
      girthCm: 35,
    });
  // Three ewes were seen on heat; the flock waits for January.
  for (const ewe of females(w, 'sheep', 900).slice(4, 7)) look(w, ewe, addDays(w.today, -4), 7, 'seeks', 'tail-wags');
}

/** Five does go early, for winter milk: one on heat now, one returned, one that holds; and two that carry a disorder. */
function goats(w: BookWriter): void {
  const [older, younger] = males(w, 'goat', 800);
  const does = females(w, 'goat', 900);
  if (!older || !younger || does.length < 6) return;
  const { today } = w;
  const day = (ago: number): Day => addDays(today, -ago);
  const kin = (a: DemoAnimal, b: DemoAnimal): boolean => a.sire === b || (a.sire !== undefined && a.sire === b.sire);
  // Who is no kin of the buck goes to him.
  const [holds, returned, onHeat, over, fresh, partner] = does.filter((d) => !kin(d, younger));
  if (!holds || !returned || !onHeat || !over || !fresh) return;
  for (const doe of [holds, returned, onHeat, over, fresh]) {
    look(w, doe, day(2), 7);
    look(w, doe, day(2), 17);
  }
  look(w, holds, day(33), 7, 'stands', 'tail-wags');
  serve(w, holds, [younger], day(32), { at: local(day(32), 8, 15) });
  look(w, returned, day(24), 17, 'stands');
  serve(w, returned, [younger], day(23), { at: local(day(23), 12) });
  look(w, returned, day(3), 7, 'stands', 'calls');
  serve(w, returned, [younger], day(3), { at: local(day(3), 17, 30) });
  look(w, over, day(4), 7, 'stands', 'tail-wags', 'swollen');
  // She was noticed late, and served when it was over.
  serve(w, over, [younger], day(2), { at: local(day(2), 18) });
  look(w, fresh, day(11), 17, 'stands', 'mounts');
  serve(w, fresh, [younger], day(10), { at: local(day(10), 10) });
  look(w, onHeat, day(1), 7, 'tail-wags');
  look(w, onHeat, day(1), 17, 'stands', 'tail-wags', 'clear-slime');
  for (const kid of w
    .present('goat', today)
    .filter((a) => a.sex === 'female' && today - a.bornOn < 400)
    .slice(0, 3))
    look(w, kid, day(12), 7, 'tail-wags', 'calls');
  w.write(older, day(20), {
    type: 'male-check',
    grades: { feet: 'watch', teeth: 'good', testicles: 'good', condition: 'good', temper: 'good' },
    girthCm: 26,
  });
  w.write(younger, day(20), {
    type: 'male-check',
    grades: { feet: 'good', teeth: 'good', testicles: 'good', condition: 'good', temper: 'good' },
    girthCm: 28.5,
  });
  const tested = [older, younger, ...(partner ? [partner] : []), onHeat];
  tested.forEach((animal, i) => {
    const isCarrier = animal === younger || animal === partner;
    w.write(animal, day(300 - i), { type: 'gene-test', gene: GENE, result: isCarrier ? 'carrier' : 'free' });
  });
  const womb = does.find((d) => ![holds, returned, onHeat, over, fresh].includes(d));
  if (womb) w.write(womb, day(30), { type: 'check', what: 'womb', isFound: true, words: 'slime since the kidding' });
  // The milkers look in at the buck's pen every morning.
  const stayId = w.write(older, day(40), { type: 'stay', groupId: w.group(DOES, 'goat'), isTeaser: true });
  w.write(older, day(34), { type: 'stay-end', stayId });
}

/** A buck of the house, from the oldest doe and the oldest buck. */
function youngBuck(w: BookWriter): DemoAnimal | undefined {
  const [dam] = females(w, 'rabbit', 400);
  const [sire] = males(w, 'rabbit', 800);
  if (!dam || !sire) return undefined;
  const buck = w.add({
    species: 'rabbit',
    sex: 'male',
    bornOn: addDays(w.today, -212),
    dam,
    sire,
    birthType: 7,
    rearingType: 7,
    number: 'K-B3',
    colour: 'white',
    group: 'Rabbitry bucks',
  });
  for (const [age, kg] of [
    [42, 1.1],
    [70, 2.1],
    [110, 3.1],
    [150, 3.7],
    [200, 4.0],
  ] as const)
    w.weigh(buck, addDays(buck.bornOn, age), kg, 0.01, 0.008);
  return buck;
}

/** The young buck has every doe of this round, more than he should, his own dam among them. */
function rabbits(w: BookWriter, buck: DemoAnimal): void {
  w.write(buck, addDays(w.today, -20), {
    type: 'male-check',
    grades: { feet: 'good', teeth: 'good', testicles: 'good', condition: 'good' },
  });
  for (const doe of females(w, 'rabbit', 300)) {
    look(w, doe, addDays(w.today, -12), 8, 'red');
    serve(w, doe, [buck], addDays(w.today, -12), {
      at: local(addDays(w.today, -12), 9),
      ...(doe === buck.dam ? { reason: 'the older bucks were in moult' } : {}),
    });
    // Two took the buck again at the check mating, as no doe in young would.
    if (doe.number.endsWith('2') || doe.number.endsWith('4')) {
      look(w, doe, addDays(w.today, -5), 8, 'lifts');
      w.write(doe, addDays(w.today, -5), {
        type: 'service',
        way: 'hand',
        at: local(addDays(w.today, -5), 8, 40),
        maleIds: [buck.id],
        isWitnessed: true,
        isCheck: true,
      });
    } else look(w, doe, addDays(w.today, -5), 8, 'refuses');
  }
}

/** The bull ran with the cows in summer; one has come on heat again and was inseminated. */
function cattle(w: BookWriter): void {
  const [bull] = males(w, 'cattle', 900);
  const cows = females(w, 'cattle', 1000);
  if (!bull) return;
  const inOn = addDays(w.today, -165);
  const stayId = w.write(bull, inOn, { type: 'stay', groupId: w.group(COWS, 'cattle') });
  w.write(bull, addDays(inOn, 63), { type: 'stay-end', stayId });
  w.write(bull, addDays(inOn, -20), {
    type: 'male-check',
    grades: { feet: 'good', teeth: 'good', testicles: 'good', condition: 'good', temper: 'watch' },
    girthCm: 38,
  });
  cows.forEach((cow, i) => serve(w, cow, [bull], addDays(inOn, 3 + 6 * i)));
  const again = cows.at(-1);
  if (!again) return;
  const on = addDays(w.today, -2);
  look(w, again, addDays(on, -1), 18);
  look(w, again, on, 6, 'paint-rubbed');
  look(w, again, on, 18, 'paint-rubbed', 'patch-worn');
  w.write(again, addDays(on, 1), {
    type: 'service',
    way: 'insemination',
    at: local(addDays(on, 1), 10),
    maleIds: [],
    straw: 'ARD-114',
    batch: 'S26',
    technician: 'Selin',
  });
}

/** Two heat waves of the last summers. */
export const demoHeatWaves = (today: Day): { from: string; to: string; why: string }[] =>
  [
    [126, 117],
    [488, 481],
  ].map(([from = 0, to = 0]) => ({
    from: isoOf(addDays(today, -from)),
    to: isoOf(addDays(today, -to)),
    why: 'over 35 degrees in the shade',
  }));
