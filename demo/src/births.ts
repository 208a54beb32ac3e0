import type { BirthEntry } from '@yaylak/contract';
import { addDays, isoOf, type Day, type Sex } from '@yaylak/core';
import type { BookWriter, DemoAnimal } from './bookWriter';
import { trueWeight } from './growthCurve';
import { serve } from './mating';

type Told = Omit<BirthEntry, 'id' | 'type' | 'animalId' | 'on' | 'writtenAt' | 'writtenBy' | 'source'>;

const BOUGHT_EWES = 'Ewes bought in lamb';
const NEW_DOES = 'New rabbit does';
/** Births are written down since so long; before it only the young stand in the book. */
const WRITTEN_DAYS = 400;
/** Litters the two pellets were tried on. */
const TRIED = 10;
const STRAYS = [0.08, -0.12, 0.15, -0.05, -0.1, 0.11, 0.02, -0.07];

/** Births of the last year as they were written down, and those of these days. */
export function writeBirths(w: BookWriter): void {
  pastBirths(w);
  boughtEwes(w);
  newDoes(w);
  feedTrial(w);
}

const local = (on: Day, hour: number, minute: number): string =>
  `${isoOf(on)}T${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`;

const born = (w: BookWriter, dam: DemoAnimal, on: Day, told: Told): void =>
  void w.write(dam, on, { type: 'birth', ...told });

/** Every litter of the last year: most by themselves, one in seven with help, few with a dead one. */
function pastBirths(w: BookWriter): void {
  const litters = new Map<string, { dam: DemoAnimal; bornOn: Day; young: DemoAnimal[] }>();
  for (const one of w.animals) {
    const { dam, bornOn } = one;
    if (!dam || bornOn < addDays(w.today, -WRITTEN_DAYS)) continue;
    const key = `${dam.id} ${bornOn}`;
    const litter = litters.get(key) ?? { dam, bornOn, young: [] };
    litters.set(key, litter);
    litter.young.push(one);
  }
  const all = [...litters.values()];
  // One kept of a litter of which nothing else is told is no birth of its own.
  const isTold = ({ dam, bornOn, young }: (typeof all)[number]): boolean =>
    !all.some((o) => o.dam === dam && o.young.length > young.length && Math.abs(o.bornOn - bornOn) <= 3);
  all.filter(isTold).forEach(({ dam, bornOn, young }, i) => {
    const alive = young.length;
    const isHard = i % 21 === 9;
    const isHelped = i % 7 === 3;
    // Only where all have left: those that are compared today stay what they were born as.
    const dead = i % 9 === 5 && dam.species !== 'cattle' && young.every((y) => y.goneOn !== undefined) ? 1 : 0;
    if (dead > 0) for (const one of young) w.bornAs(one, alive + dead);
    born(w, dam, bornOn, {
      at: local(bornOn, (i * 5) % 24, (i * 13) % 60),
      alive,
      dead,
      ease: isHard ? 'pulled-hard' : isHelped ? 'eased' : 'alone',
      ...(isHard ? { presentation: 'leg-back' as const, help: 'pushed back between pains, then the leg' } : {}),
      mothering: i % 19 === 4 ? 'slow' : 'good',
      afterbirth: 'passed',
      ...(dead > 0
        ? { reason: 'long in the passage' }
        : alive > scannedOf(w, dam, bornOn)
          ? { reason: 'one lay behind the other at the scan' }
          : {}),
    });
  });
}

/** Young seen at the last scan before a birth; any number without one. */
const scannedOf = (w: BookWriter, dam: DemoAnimal, bornOn: Day): number =>
  w
    .told(dam)
    .flatMap((e) =>
      e.type === 'pregnancy-test' &&
      e.young !== undefined &&
      e.on <= isoOf(bornOn) &&
      e.on >= isoOf(addDays(bornOn, -150))
        ? [e.young]
        : [],
    )
    .at(-1) ?? Infinity;

/** Five ewes bought in lamb: a hard birth, triplets of which one was fostered, one due, one over her time. */
function boughtEwes(w: BookWriter): void {
  const ewe = (number: string): DemoAnimal =>
    w.add({
      species: 'sheep',
      sex: 'female',
      bornOn: addDays(w.today, -1500),
      arrivedOn: addDays(w.today, -170),
      how: 'bought',
      number,
      colour: 'orange',
      group: BOUGHT_EWES,
      withElectronic: true,
    });
  const day = (ago: number): Day => addDays(w.today, -ago);
  const carrying = (dam: DemoAnimal, servedAgo: number, young: number): void => {
    serve(w, dam, [], day(servedAgo), { way: 'insemination', straw: 'ARD-90' });
    w.write(dam, day(servedAgo - 70), { type: 'pregnancy-test', way: 'scan', result: 'carrying', young, ageDays: 70 });
    w.weigh(dam, day(60), 68);
    w.write(dam, day(60), { type: 'score', score: 3, scoredBy: 'Aylin' });
    w.write(dam, day(40), { type: 'carrying-step', step: 'More feed, more for those with twins' });
    w.write(dam, day(9), { type: 'carrying-step', step: 'Lay out gloves, iodine, towels, bottle and tube' });
  };
  const lamb = (dam: DemoAnimal, n: number, sex: Sex, ago: number, kg: number, of: number): DemoAnimal => {
    const young = w.add({
      species: 'sheep',
      sex,
      bornOn: day(ago),
      dam,
      birthType: of,
      isRearingTold: true,
      isUnmarked: true,
      number: `${dam.number} lamb ${n}`,
      colour: 'orange',
      group: BOUGHT_EWES,
    });
    w.write(young, day(ago), { type: 'weight', kg, method: 'scale' });
    w.write(young, day(ago), { type: 'colostrum', at: local(day(ago), 7, 30 + n), how: n === 3 ? 'tube' : 'sucked' });
    return young;
  };
  const [hard, triplets, single, due, over] = ['A-07', 'A-08', 'A-09', 'A-10', 'A-11'].map(ewe);
  if (!hard || !triplets || !single || !due || !over) return;
  carrying(hard, 148, 2);
  born(w, hard, day(2), {
    at: local(day(2), 5, 40),
    alive: 1,
    dead: 1,
    deadYoung: [{ sex: 'male', kg: 4.9 }],
    ease: 'pulled-hard',
    presentation: 'head-back',
    help: 'head brought round, an hour',
    mothering: 'good',
    afterbirth: 'waiting',
    reason: 'lay too long with the head back',
  });
  w.write(hard, day(1), { type: 'afterbirth', state: 'retained' });
  lamb(hard, 1, 'female', 2, 4.3, 2);
  carrying(triplets, 150, 3);
  born(w, triplets, day(3), {
    at: local(day(3), 6, 50),
    alive: 3,
    dead: 0,
    ease: 'eased',
    mothering: 'good',
    afterbirth: 'passed',
  });
  const [, , third] = [1, 2, 3].map((n) => lamb(triplets, n, n === 2 ? 'male' : 'female', 3, 3.7 - n * 0.2, 3));
  carrying(single, 149, 1);
  born(w, single, day(3), {
    at: local(day(3), 7, 10),
    alive: 1,
    dead: 0,
    ease: 'alone',
    mothering: 'good',
    afterbirth: 'passed',
  });
  lamb(single, 1, 'male', 3, 5.1, 1);
  if (third) w.write(third, day(2), { type: 'fostering', damId: single.id, reason: 'the smallest of three' });
  for (const dam of [triplets, single]) w.write(dam, day(1), { type: 'pen-stage', stage: 'mixing' });
  carrying(due, 146, 2);
  carrying(over, 154, 1);
  w.write(over, day(8), { type: 'carrying-step', step: 'Into the lambing shed' });
}

/** Litters of last year's does ate of a dear and of a plain pellet in turn, from three weeks to weaning. */
function feedTrial(w: BookWriter): void {
  const litters = new Map<string, { dam: DemoAnimal; bornOn: Day; young: DemoAnimal[] }>();
  for (const one of w.animals) {
    const ago = w.today - one.bornOn;
    if (one.species !== 'rabbit' || !one.dam || ago < 80 || ago > 260) continue;
    const key = `${one.dam.id} ${one.bornOn}`;
    const litter = litters.get(key) ?? { dam: one.dam, bornOn: one.bornOn, young: [] };
    litters.set(key, litter);
    litter.young.push(one);
  }
  [...litters.values()].slice(0, TRIED).forEach(({ dam, bornOn, young }, i) => {
    const [since, on] = [addDays(bornOn, 21), addDays(bornOn, 42)];
    const gains = young
      .filter((y) => y.goneOn === undefined || y.goneOn > on)
      .map((y) => (w.lastKg(y, on) ?? 0) - (w.lastKg(y, since) ?? 0));
    const isDear = i % 2 === 0;
    // What they ate for a kilogram gained strays from litter to litter; plain pellet takes more of it.
    const ratio = (isDear ? 2.75 : 3.2) + (STRAYS[i % STRAYS.length] ?? 0);
    const kg = Number((gains.reduce((s, g) => s + g, 0) * ratio).toFixed(1));
    if (kg > 0)
      w.write(dam, on, {
        type: 'feed',
        since: isoOf(since),
        feed: isDear ? 'Green pellet' : 'Plain pellet',
        kg,
        priceMinor: isDear ? 66 : 52,
      });
  });
}

/** Four young does: one due now, one with kits of four days, one that lost some of hers, one whose kits are to be weaned. */
function newDoes(w: BookWriter): void {
  const [, buck] = w.present('rabbit', w.today).filter((a) => a.sex === 'male' && w.today - a.bornOn > 300);
  if (!buck) return;
  const day = (ago: number): Day => addDays(w.today, -ago);
  const doe = (number: string, merit: number): DemoAnimal => {
    const made = w.add({
      species: 'rabbit',
      sex: 'female',
      bornOn: day(260),
      arrivedOn: day(120),
      how: 'bought',
      number,
      colour: 'white',
      group: NEW_DOES,
      merit,
    });
    w.weigh(made, day(100), 3.9, 0.01, 0.008);
    w.weigh(made, day(45), 4.2, 0.01, 0.008);
    w.weigh(made, day(15), 4.3, 0.01, 0.008);
    w.write(made, day(33), { type: 'score', score: 3, scoredBy: 'Aylin' });
    return made;
  };
  const kindled = (dam: DemoAnimal, ago: number, alive: number, dead: number, litterKg: number): DemoAnimal[] => {
    serve(w, dam, [buck], day(ago + 31));
    born(w, dam, day(ago), {
      alive,
      dead,
      ease: 'alone',
      mothering: 'good',
      afterbirth: 'passed',
      litterKg,
      ...(dead > 0 ? { reason: 'born outside the nest' } : {}),
    });
    return Array.from({ length: alive }, (_, i) =>
      w.add({
        species: 'rabbit',
        // Looked at when they are weaned.
        sex: 'unknown',
        bornOn: day(ago),
        dam,
        sire: buck,
        birthType: alive + dead,
        isRearingTold: true,
        isUnmarked: true,
        number: `${dam.number} kit ${ago} ${i + 1}`,
        merit: dam.merit * (i === alive - 1 ? 0.86 : 1 + 0.02 * (i % 3)),
        colour: 'white',
        group: NEW_DOES,
      }),
    );
  };
  const kitKg = (kit: DemoAnimal, age: number): number =>
    trueWeight({ birthKg: 0.058, matureKg: 4.4, ratePerDay: 0.0092 * kit.merit, ageDays: age });
  /** The whole litter every day to two weeks, each kit to four, then weekly. */
  const weighed = (dam: DemoAnimal, kits: readonly DemoAnimal[], ago: number): void => {
    for (let age = 1; age <= ago; age++) {
      const on = day(ago - age);
      const there = kits.filter((k) => k.goneOn === undefined || k.goneOn > on);
      if (age <= 14) {
        const totalKg = there.reduce((s, k) => s + kitKg(k, age), 0);
        w.write(dam, on, { type: 'litter-weight', totalKg: Number(totalKg.toFixed(3)), count: there.length });
      } else if (age <= 28 || age % 7 === 0) for (const kit of there) w.weigh(kit, on, kitKg(kit, age), 0.001, 0.006);
    }
  };
  const [due, fresh, losing, weaning] = ['K-D21', 'K-D22', 'K-D23', 'K-D24'].map((n, i) => doe(n, 1 + i * 0.015));
  if (!due || !fresh || !losing || !weaning) return;
  serve(w, due, [buck], day(31));
  w.write(due, day(19), { type: 'pregnancy-test', way: 'palpation', result: 'carrying', testedBy: 'Aylin' });
  weighed(fresh, kindled(fresh, 4, 10, 1, 0.56), 4);
  const scoured = kindled(losing, 19, 8, 0, 0.46);
  scoured.slice(0, 3).forEach((kit, i) => w.leave(kit, day(4 - i), 'died', 'wet under the tail', 'scour'));
  weighed(losing, scoured, 19);
  const big = kindled(weaning, 42, 7, 0, 0.41);
  weighed(weaning, big, 42);
  big.forEach((kit) => w.weigh(kit, w.today, kitKg(kit, 42), 0.001, 0.006));
}
