import type { KeepDrill, PlanFacts, ResourcesSetting } from '@yaylak/contract';
import {
  addDays,
  aimFor,
  DRILL_CASES,
  isoOf,
  mobFor,
  SPECIES_TABLE,
  SPECIES_WORDS,
  yearOf,
  type ConditionStage,
  type Day,
  type Species,
} from '@yaylak/core';
import type { BookWriter, DemoAnimal } from './bookWriter';
import { COWS } from './cattle';
import { DOES } from './goats';
import { EWES } from './sheep';

/** Kerem's hand feels more on a back than Aylin's does. */
const KEREM_HIGHER = 0.35;
/** Rounds of a year, days before its end, and what they are for. */
const ROUNDS: readonly (readonly [daysBefore: number, stage: ConditionStage])[] = [
  [280, 'birth'],
  [126, 'weaning'],
  [62, 'mating'],
];
const YEARS = 3;
const BOTH_HANDS_YEARS_AGO = 1;
const COW_DAYS = 700;

/** Three years of scoring: the ewes' rounds, two hands that differ, and the ewe that stays thin. */
export function writeCondition(w: BookWriter): void {
  const thin = stayingThin(w);
  for (let ago = YEARS - 1; ago >= 0; ago--)
    for (const [daysBefore, stage] of ROUNDS) {
      const on = addDays(w.today, -365 * ago - daysBefore);
      scoreRound(w, 'sheep', on, stage, {
        thin,
        hands:
          ago === BOTH_HANDS_YEARS_AGO && stage === 'mating' ? ['Aylin', 'Kerem'] : [ago === 2 ? 'Kerem' : 'Aylin'],
        withMobs: ago === 0 && stage !== 'birth',
      });
    }
  for (const daysBefore of [400, 190, 66])
    scoreRound(w, 'goat', addDays(w.today, -daysBefore), 'mating', { hands: ['Aylin'], withMobs: daysBefore < 100 });
  for (const daysBefore of [330, 150])
    scoreRound(w, 'cattle', addDays(w.today, -daysBefore), 'carrying', { hands: ['Kerem'] });
  for (const daysBefore of [120, 75, 30])
    scoreRound(w, 'rabbit', addDays(w.today, -daysBefore), 'mating', { hands: ['Aylin'] });
  if (thin) {
    const on = addDays(w.today, -58);
    w.write(thin, on, { type: 'check', what: 'worms', isFound: false, words: 'dung sample clear' });
    w.write(thin, on, { type: 'check', what: 'feet', isFound: false });
  }
  const milker = w.present('goat', w.today).find((a) => a.sex === 'female' && w.today - a.bornOn > 1200);
  if (milker) w.write(milker, addDays(w.today, -150), { type: 'check', what: 'milk', isFound: true });
}

/** The old ewe that weighs too little this year. */
const stayingThin = (w: BookWriter): DemoAnimal | undefined =>
  w.present('sheep', w.today).find((e) => e.sex === 'female' && w.today - e.bornOn > 500 && e.young >= 6);

interface Round {
  readonly thin?: DemoAnimal | undefined;
  readonly hands: readonly string[];
  readonly withMobs?: boolean;
}

function scoreRound(w: BookWriter, species: Species, on: Day, stage: ConditionStage, round: Round): void {
  const settings = SPECIES_TABLE[species];
  const females = w
    .present(species, on)
    .filter((a) => a.sex === 'female' && a.arrivedOn <= on && on - a.bornOn >= settings.femaleFirstMatingDays);
  // One in fourteen is missed: behind the hut, or at the vet.
  for (const animal of females.filter((_, i) => i % 14 !== 9)) {
    const season = { weaning: -0.45, mating: 0.2, carrying: 0.1, birth: -0.05 }[stage];
    // A female is what she is from year to year: the same number gives her the same back.
    const own = ((Number(animal.number.replace(/\D/g, '')) * 37) % 100) / 100 - 0.5;
    const isThin = animal === round.thin && w.today - on < 300;
    const back = isThin ? 1.55 : 2.95 + season + own * 0.9;
    const felt = round.hands.map((hand) => {
      const score = back + (hand === 'Kerem' ? KEREM_HIGHER : 0) + w.random.normal(0, isThin ? 0.03 : 0.17);
      return Math.min(5, Math.max(1, Math.round(score * 2) / 2));
    });
    felt.forEach((score, i) =>
      w.write(animal, on, { type: 'score', score, scoredBy: round.hands[i] ?? 'Aylin' }, undefined, round.hands[i]),
    );
    if (!round.withMobs) continue;
    const mean = felt.reduce((s, n) => s + n, 0) / felt.length;
    const mob = mobFor(mean, aimFor(settings.condition, stage), settings.condition);
    w.write(animal, on, { type: 'mob', mob, suggested: mob });
    if (mob === 'thin') w.mark(animal, on, { colour: 'red', place: 'shoulder', purpose: 'thin mob' }, addDays(on, 60));
  }
}

/** Selin learns: three drills, each nearer to the key than the one before. */
export const demoDrills = (today: Day): Omit<KeepDrill, 'id'>[] =>
  [
    { daysAgo: 70, off: [1, 0.5, -1, 1, 0.5, 0] },
    { daysAgo: 41, off: [0.5, 0.5, -0.5, 1, 0, 0] },
    { daysAgo: 12, off: [0.5, 0, -0.5, 0.5, 0, 0] },
  ].map(({ daysAgo, off }) => ({
    on: isoOf(addDays(today, -daysAgo)),
    by: 'Selin',
    answers: DRILL_CASES.filter((c) => c.species.includes('sheep'))
      .slice(0, off.length)
      .map((c, i) => ({ caseId: c.id, score: Math.min(5, Math.max(1, c.score + (off[i] ?? 0))) })),
  }));

/** What the holding has of hands, pens and feed. */
export const demoResources = (today: Day): ResourcesSetting => ({
  workDaysPerWeek: 8,
  birthPens: [
    { species: 'sheep', pens: 8 },
    { species: 'goat', pens: 4 },
  ],
  away: [{ from: isoOf(addDays(today, 100)), to: isoOf(addDays(today, 102)), why: 'a wedding down in the valley' }],
  lean: [{ from: '07-20', to: '09-05', why: 'burnt pasture' }],
});

/** The plans of the year: last lambing as it was planned, the next ones, and two births in one week that clash. */
export function demoPlans(w: BookWriter, groups: Readonly<Record<string, string>>, vaccineId: string): PlanFacts[] {
  const { today } = w;
  const count = (species: Species): number =>
    w.present(species, today).filter((a) => {
      const isOldEnough = today - a.bornOn >= (species === 'cattle' ? COW_DAYS : SPECIES_WORDS[species].grownFromDays);
      return a.sex === 'female' && isOldEnough;
    }).length;
  const season = (
    name: string,
    species: Exclude<Species, 'rabbit'>,
    firstBirth: Day,
    more: Partial<PlanFacts> = {},
  ): PlanFacts => ({
    kind: 'season',
    name: `${name} ${yearOf(firstBirth)}`,
    species,
    females: count(species),
    matingOn: isoOf(addDays(firstBirth, -SPECIES_TABLE[species].gestationDays.mean)),
    wanted: { what: 'births', on: isoOf(firstBirth) },
    flushing: 'six-weeks',
    cycles: 2,
    doses: [],
    shifts: {},
    done: {},
    ...more,
  });
  const inGroup = (name: string): Partial<PlanFacts> => (groups[name] === undefined ? {} : { groupId: groups[name] });
  const flock = inGroup(EWES);
  const doses = [{ name: 'Two-step vaccine', productId: vaccineId, daysBeforeBirth: 28 }];
  const lambs = addDays(today, 196);
  return [
    season('Lambing', 'sheep', addDays(today, -238), {
      ...flock,
      doses,
      done: {
        'male-check': isoOf(addDays(today, -238 - 147 - 50)),
        mating: isoOf(addDays(today, -238 - 147)),
        weaning: isoOf(addDays(today, -122)),
      },
    }),
    season('Lambing', 'sheep', lambs, { ...flock, doses, done: { weaned: isoOf(addDays(today, -30)) } }),
    // Wanted in the very week the flock lambs.
    season('Kidding', 'goat', addDays(lambs, 2), {
      ...inGroup(DOES),
      flushing: 'three-weeks',
      done: { weaned: isoOf(addDays(today, -60)) },
    }),
    season('Calving', 'cattle', addDays(today, 118), {
      ...inGroup(COWS),
      flushing: 'none',
      cycles: 3,
      done: Object.fromEntries(
        [
          ['male-check', 230],
          ['minerals', 200],
          ['mating', 165],
          ['test', 60],
          ['count', 45],
          ['scoring mating', 228],
          ['scoring carrying', 24],
        ].map(([key, ago]) => [key, isoOf(addDays(today, -Number(ago)))]),
      ),
    }),
    {
      kind: 'rolling',
      name: 'Rabbit litters',
      species: 'rabbit',
      females: count('rabbit'),
      matingOn: isoOf(addDays(today, -12)),
      school: 'middle',
      litters: 5,
      shifts: {},
      done: { '1 mating': isoOf(addDays(today, -12)) },
    },
  ];
}
