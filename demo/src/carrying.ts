import type { PregnancyTestEntry } from '@yaylak/contract';
import { addDays, isoOf, SPECIES_TABLE, type Day } from '@yaylak/core';
import type { BookWriter, DemoAnimal } from './bookWriter';
import { serve } from './mating';

const SCANNER = 'Selin';
const LEARNER = 'Kerem';
const LABORATORY = 'Upland laboratory';
/** The scanner comes so many days before the first lambs. */
const SCAN_BEFORE_BIRTHS = 70;
/** What the learner reads too much, days, and how far he strays. */
const LEARNER_BIAS = 4;
const LEARNER_SD = 4;

type Told = Omit<PregnancyTestEntry, 'id' | 'type' | 'animalId' | 'on' | 'writtenAt' | 'writtenBy' | 'source'>;

/** Scans, blood tests and what came of them: two seasons of the flock, and the season of each species that is under way. */
export function writeCarrying(w: BookWriter): void {
  for (const ago of [1, 0]) flockScanned(w, addDays(w.today, -365 * ago - 238));
  goats(w);
  rabbits(w);
  cattle(w);
}

const tell = (w: BookWriter, female: DemoAnimal, on: Day, told: Told): string =>
  w.write(female, on, { type: 'pregnancy-test', ...told });

interface DemoLitter {
  readonly dam: DemoAnimal;
  readonly sire: DemoAnimal | undefined;
  readonly bornOn: Day;
  readonly size: number;
}

/** Litters of a species by dam and day. */
function litters(w: BookWriter, species: DemoAnimal['species']): DemoLitter[] {
  const all = new Map<string, DemoLitter>();
  for (const young of w.animals)
    if (young.species === species && young.dam)
      all.set(`${young.dam.id} ${young.bornOn}`, {
        dam: young.dam,
        sire: young.sire,
        bornOn: young.bornOn,
        size: young.birthType,
      });
  return [...all.values()].sort((a, b) => a.bornOn - b.bornOn);
}

const isCarrier = (w: BookWriter, animal: DemoAnimal): boolean =>
  w.told(animal).some((e) => e.type === 'gene-test' && e.result === 'carrier');

const servedSince = (w: BookWriter, female: DemoAnimal, since: Day): boolean =>
  w.told(female).some((e) => e.type === 'service' && e.on >= isoOf(since));

/** All ewes on one day, counted and aged, with somebody who learns to; one told in young never lambed. */
function flockScanned(w: BookWriter, firstBirth: Day): void {
  const { mean: gestation } = SPECIES_TABLE.sheep.gestationDays;
  const on = addDays(firstBirth, -SCAN_BEFORE_BIRTHS);
  const matingOn = addDays(firstBirth, -gestation);
  const own = litters(w, 'sheep').filter((l) => l.bornOn >= firstBirth && l.bornOn <= addDays(firstBirth, 60));
  const sire = own[0]?.sire;
  const byDam = new Map(own.map((l) => [l.dam, l]));
  const ewes = w.present('sheep', on).filter((a) => a.sex === 'female' && on - a.bornOn > 330);
  const without = ewes.filter((e) => !byDam.has(e));
  ewes.forEach((ewe, i) => {
    const litter = byDam.get(ewe);
    if (litter) {
      const truth = on - addDays(litter.bornOn, -gestation);
      const age = (bias: number, sd: number): number => Math.max(20, Math.round(truth + bias + w.random.normal(0, sd)));
      tell(w, ewe, on, {
        way: 'scan',
        result: 'carrying',
        // A third behind the other two is easily missed.
        young: litter.size === 3 && i % 3 === 0 ? 2 : litter.size,
        ageDays: age(0, 2.5),
        testedBy: SCANNER,
        ...(i % 2 === 0 ? { learner: LEARNER, learnerAgeDays: age(LEARNER_BIAS, LEARNER_SD) } : {}),
      });
      return;
    }
    if (sire) for (const day of [6, 23]) serve(w, ewe, [sire], addDays(matingOn, day));
    const place = without.indexOf(ewe);
    if (place === 0) tell(w, ewe, on, { way: 'scan', result: 'carrying', young: 1, ageDays: 52, testedBy: SCANNER });
    else tell(w, ewe, on, { way: 'scan', result: 'empty', testedBy: SCANNER });
    if (place === 1)
      w.write(ewe, addDays(on, 2), {
        type: 'way-on',
        decision: 'keep',
        suggested: 'sell',
        chance: 0.04,
        evidence: 'sell 4.40, keep 220.00',
        reason: 'a good ewe, her first empty year',
      });
  });
}

/** Six more does since autumn: scanned with twins and a single, told empty by blood, served twice, tubes that are out. */
function goats(w: BookWriter): void {
  const { today } = w;
  const day = (ago: number): Day => addDays(today, -ago);
  const [older, younger] = w.present('goat', today).filter((a) => a.sex === 'male' && today - a.bornOn > 800);
  const does = w.present('goat', today).filter((a) => a.sex === 'female' && today - a.bornOn > 500);
  if (!older || !younger) return;
  const isKin = (a: DemoAnimal, b: DemoAnimal): boolean => a.sire === b || (a.sire !== undefined && a.sire === b.sire);
  const since = isoOf(day(90));
  // Not served this season, not held back, not standing on heat now, and no carrier.
  const free = does.filter((d) =>
    w
      .told(d)
      .every(
        (e) =>
          !(e.type === 'service' && e.on >= since) &&
          !(e.type === 'check' && e.what === 'womb') &&
          !(e.type === 'gene-test' && e.result === 'carrier') &&
          !(e.type === 'heat' && e.on >= since && e.signs.includes('stands')),
      ),
  );
  const buckFor = (doe: DemoAnimal): DemoAnimal => (isKin(doe, older) ? younger : older);
  const at = (ago: number): string => `${isoOf(day(ago))}T09:15`;
  const stand = (doe: DemoAnimal, ago: number): void =>
    void w.write(doe, day(ago), { type: 'heat', at: `${isoOf(day(ago))}T07:30`, signs: ['stands', 'tail-wags'] });
  const mate = (doe: DemoAnimal, ago: number, buck = buckFor(doe)): void => {
    stand(doe, ago + 1);
    // Daughters of a carrier, and kin of the other buck: the keeper said why.
    const isRisked = buck === younger && doe.dam !== undefined && isCarrier(w, doe.dam);
    serve(w, doe, [buck], day(ago), {
      at: at(ago),
      ...(isRisked ? { reason: 'the other buck is her sire; the kids are tested' } : {}),
    });
  };
  const [twins, single, empty, twice, out, waits] = free;
  const scanAgo = 12;
  const scan = (doe: DemoAnimal, told: Pick<Told, 'young' | 'ageDays'>): void =>
    void tell(w, doe, day(scanAgo), { way: 'scan', result: 'carrying', testedBy: SCANNER, ...told });
  if (twins) {
    mate(twins, 61);
    scan(twins, { young: 2, ageDays: 49 });
  }
  if (single) {
    mate(single, 57);
    scan(single, { young: 1, ageDays: 46 });
  }
  if (empty) {
    mate(empty, 54);
    const sampleId = w.write(empty, day(19), { type: 'sample', tube: 'B-021', purpose: 'pregnancy' });
    tell(w, empty, day(19), { way: 'blood', result: 'empty', sampleId, laboratory: LABORATORY });
  }
  if (twice) {
    // She was in young when she stood again: the scan fits the first service.
    mate(twice, 48);
    mate(twice, 27, older);
    scan(twice, { young: 2, ageDays: 37 });
  }
  if (out) {
    mate(out, 38);
    w.write(out, day(3), { type: 'sample', tube: 'B-022', purpose: 'pregnancy' });
  }
  // Nothing was done to her yet: blood can tell by now.
  if (waits) mate(waits, 35);
  const holds = does.find((d) => servedSince(w, d, day(32)) && !servedSince(w, d, day(31)));
  if (holds) w.write(holds, day(1), { type: 'sample', tube: 'B-023', purpose: 'pregnancy' });
  const kid = w.present('goat', today).find((a) => a.sex === 'female' && today - a.bornOn < 400);
  if (kid) w.write(kid, day(3), { type: 'sample', tube: 'G-041', purpose: 'gene' });
}

/** Felt on day 12 of each litter of the last year; now and then the hand is wrong. */
function rabbits(w: BookWriter): void {
  const { mean: gestation } = SPECIES_TABLE.rabbit.gestationDays;
  for (const { dam, bornOn } of litters(w, 'rabbit')) {
    const on = addDays(bornOn, -gestation + 12);
    if (on < addDays(w.today, -365)) continue;
    const result = w.random.chance(0.08) ? 'doubtful' : 'carrying';
    tell(w, dam, on, { way: 'palpation', result, testedBy: 'Aylin' });
  }
}

/** All four were told in young in late summer; one has come on heat since. */
function cattle(w: BookWriter): void {
  const cows = w.present('cattle', w.today).filter((a) => a.sex === 'female' && w.today - a.bornOn > 1000);
  const on = addDays(w.today, -100);
  cows.forEach((cow, i) => {
    const age = 62 - 6 * i;
    if (servedSince(w, cow, addDays(w.today, -170)) && age >= 30)
      tell(w, cow, on, { way: 'scan', result: 'carrying', young: 1, ageDays: age, testedBy: SCANNER });
  });
}
