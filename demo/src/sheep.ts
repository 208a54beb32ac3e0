import { addDays, isoOf, seededRandom, yearOf, type Day, type Random, type TagColour } from '@yaylak/core';
import { CROSS_SHEEP, HILL_SHEEP, type BookWriter, type DemoAnimal } from './bookWriter';
import { trueWeight } from './growthCurve';

/** Days from the start of lambing to the end of the story's year. */
const LAMBING_BEFORE_END = 238;
const EWES_AT_START = 28;
const KEPT_EWE_LAMBS = 7;
const COLOURS: readonly TagColour[] = ['yellow', 'green', 'blue', 'orange', 'pink'];

export const EWES = 'Upland flock';
export const RAMS = 'Rams';
export const EWE_LAMBS = 'Ewe lambs';
export const RAM_LAMBS = 'Ram lambs';

const yearColour = (on: Day): TagColour => COLOURS[yearOf(on) % COLOURS.length] as TagColour;

/** Five years of the flock. @param years whole years back from the end */
export function writeSheep(w: BookWriter, years: number): void {
  const start = addDays(w.today, -365 * years - 90);
  const founders = [0, 1].map((i) => founder(w, start, 'male', `R0${i + 1}`));
  const own = seededRandom(RAMS_SEED);
  let rams: readonly DemoAnimal[] = founders;
  for (let i = 0; i < EWES_AT_START; i++) founder(w, start, 'female');
  for (let ago = years - 1; ago >= 0; ago--) {
    const end = addDays(w.today, -365 * ago);
    const pair = rams;
    const lambs = lambing(w, addDays(end, -LAMBING_BEFORE_END), (ewe) => ramFor(ewe, pair, own));
    weighLambs(w, lambs, end, ago === 0);
    weighEwes(w, end, ago === 0);
    if (ago > 0) chooseLambs(w, lambs, end);
    const bought = BOUGHT[ago];
    if (bought) rams = changedRams(w, rams, addDays(end, -60), bought);
  }
  tellLostTags(w);
  keepForBuyers(w);
  tellOfTheOld(w);
}

function founder(w: BookWriter, start: Day, sex: 'female' | 'male', ram?: string): DemoAnimal {
  const bornOn = addDays(start, -365 * w.random.whole(1, 3) - w.random.whole(0, 40) + 20);
  const year = String(yearOf(bornOn)).slice(2);
  return w.add({
    species: 'sheep',
    sex,
    bornOn,
    arrivedOn: start,
    how: 'bought',
    merit: w.random.normal(1, 0.08),
    number: ram ? `${year}-${ram}` : w.nextNumber(`${year}-`, 4),
    colour: ram ? 'orange' : yearColour(bornOn),
    group: ram ? RAMS : EWES,
    withElectronic: true,
  });
}

/** The rams' story has numbers of its own: it must not stir the rest. */
const RAMS_SEED = 41;
/** Paid for a ram, hundredths. */
const RAM_MINOR = 32_000;
/** New rams in the autumn so many years ago, and how good they are: their daughters are not put to them. */
const BOUGHT: Readonly<Record<number, readonly (readonly [number: string, merit: number])[]>> = {
  3: [
    ['R03', 1.02],
    ['R04', 0.98],
  ],
  1: [
    ['R05', 1.07],
    ['R06', 0.98],
  ],
};

/** A new pair comes before the rams go in, and the old one goes. */
function changedRams(
  w: BookWriter,
  old: readonly DemoAnimal[],
  on: Day,
  bought: readonly (readonly [number: string, merit: number])[],
): DemoAnimal[] {
  for (const ram of old) w.leave(ram, addDays(on, 20), 'sold', 'his daughters are in the flock');
  return bought.map(([number, merit]) => {
    const bornOn = addDays(on, -540);
    return w.add({
      species: 'sheep',
      sex: 'male',
      bornOn,
      arrivedOn: on,
      how: 'bought',
      boughtMinor: RAM_MINOR,
      merit,
      number: `${String(yearOf(bornOn)).slice(2)}-${number}`,
      colour: 'orange',
      group: RAMS,
      withElectronic: true,
    });
  });
}

/** The better of the pair serves most, but never his own daughters. */
function ramFor(ewe: DemoAnimal, pair: readonly DemoAnimal[], own: Random): DemoAnimal {
  const able = pair.filter((ram) => ram !== ewe.sire);
  const isFirst = own.chance(0.6);
  return (isFirst ? able[0] : able.at(-1)) as DemoAnimal;
}

function lambing(w: BookWriter, from: Day, ramOf: (ewe: DemoAnimal) => DemoAnimal): DemoAnimal[] {
  const lambs: DemoAnimal[] = [];
  for (const ewe of w.present('sheep', from)) {
    const ageDays = from - ewe.bornOn;
    if (ewe.sex !== 'female' || ageDays < 330 || w.random.chance(0.07)) continue;
    const bornOn = addDays(from, Math.max(0, Math.min(34, Math.round(w.random.normal(13, 7)))));
    const roll = w.random.next() + (ageDays < 800 ? -0.25 : 0);
    const born = roll < 0.32 ? 1 : roll < 0.88 ? 2 : 3;
    const lost = born > 1 && w.random.chance(0.1) ? 1 : 0;
    const sire = ramOf(ewe);
    const strain = w.animals.indexOf(sire) % 2 === 0 ? HILL_SHEEP : CROSS_SHEEP;
    for (let i = 0; i < born; i++) {
      const sex = w.random.chance(0.5) ? 'female' : 'male';
      const merit = (ewe.merit + sire.merit) / 2 + w.random.normal(0, 0.085);
      const lamb = w.add({
        species: 'sheep',
        sex,
        bornOn,
        dam: ewe,
        sire,
        birthType: born,
        rearingType: born - lost,
        merit,
        strain,
        colour: yearColour(bornOn),
        group: sex === 'female' ? EWE_LAMBS : RAM_LAMBS,
        withElectronic: true,
      });
      w.weigh(lamb, bornOn, birthKg(lamb));
      if (i < lost) w.leave(lamb, addDays(bornOn, w.random.whole(1, 9)), 'died', undefined, 'weak');
      else lambs.push(lamb);
    }
  }
  return lambs;
}

const birthKg = (lamb: DemoAnimal): number =>
  (([4.7, 4, 3.3][lamb.birthType - 1] ?? 3.3) + (lamb.sex === 'male' ? 0.25 : 0)) * lamb.merit;

/** What a lamb truly weighs, with the effects a like-for-like comparison has to see through. */
function lambKg(lamb: DemoAnimal, on: Day): number {
  const damYears = lamb.dam ? Math.floor((lamb.bornOn - lamb.dam.bornOn) / 365) : 4;
  const dam = damYears <= 1 ? 0.9 : damYears === 2 ? 0.96 : damYears >= 7 ? 0.97 : 1;
  const type = ([1.16, 1, 0.9][lamb.rearingType - 1] ?? 0.9) * (lamb.birthType > lamb.rearingType ? 0.98 : 1);
  const rate = 0.0046 * lamb.merit * dam * type;
  return trueWeight({
    birthKg: birthKg(lamb),
    matureKg: lamb.sex === 'male' ? 84 : 64,
    ratePerDay: rate,
    ageDays: on - lamb.bornOn,
  });
}

function weighLambs(w: BookWriter, lambs: readonly DemoAnimal[], end: Day, isThisYear: boolean): void {
  const middle = addDays(end, -LAMBING_BEFORE_END + 13);
  const rounds = [56, 112, 147].map((d) => addDays(middle, d));
  const ewes = [...rounds, ...[-56, -42, -28, -14].map((d) => addDays(end, d))];
  // The ram lambs went over the scale twice within four days, before the dealer came.
  const males = [...rounds, ...[-48, -34, -6, -2].map((d) => addDays(end, d))];
  const standing = isThisYear ? stopsGrowing(lambs) : undefined;
  for (const lamb of lambs) {
    for (const on of lamb.sex === 'female' ? ewes : males) {
      const stoodStillOn = addDays(end, -62);
      if (lamb === standing && on > stoodStillOn)
        w.weigh(lamb, on, lambKg(lamb, stoodStillOn) - 0.02 * (on - stoodStillOn), 0.1, 0.004);
      else w.weigh(lamb, on, lambKg(lamb, on));
    }
  }
}

/** The lamb that looks good and does not grow: the heaviest single ewe lamb of the summer. */
function stopsGrowing(lambs: readonly DemoAnimal[]): DemoAnimal | undefined {
  const singles = lambs.filter((l) => l.sex === 'female' && l.rearingType === 1);
  return singles.sort((a, b) => lambKg(b, addDays(b.bornOn, 112)) - lambKg(a, addDays(a.bornOn, 112)))[1];
}

/** At weaning and before mating. The ewe that stays thin never comes back to her old weight. */
function weighEwes(w: BookWriter, end: Day, isThisYear: boolean): void {
  const ewes = w.present('sheep', end).filter((a) => a.sex === 'female' && end - a.bornOn > 500);
  const thin = ewes.find((e) => e.young >= 6);
  for (const ewe of ewes) {
    const full = 61 * ewe.merit * Math.min(1, 0.72 + (end - ewe.bornOn) / 3650);
    const back = isThisYear && ewe === thin ? 0.86 : 1;
    w.weigh(ewe, addDays(end, -122), full * 0.93 * back, 0.5);
    w.weigh(ewe, addDays(end, -16), full * back, 0.5);
    if (isThisYear) measure(w, ewe, addDays(end, -16));
  }
  for (const ram of w.present('sheep', end).filter((a) => a.sex === 'male' && end - a.bornOn > 500)) {
    w.weigh(ram, addDays(end, -16), 88 * ram.merit, 0.5);
    if (isThisYear) measure(w, ram, addDays(end, -16), 78);
  }
}

/** Last autumns' choosing: by weight like for like, as the keeper did it with a pocket calculator. */
function chooseLambs(w: BookWriter, lambs: readonly DemoAnimal[], end: Day): void {
  const on = addDays(end, -9);
  const among = `ewe lambs of ${yearOf(lambs[0]?.bornOn ?? end)}`;
  const ewes = lambs.filter((l) => l.sex === 'female' && l.goneOn === undefined);
  const ranked = [...ewes].sort(
    (a, b) =>
      lambKg(b, addDays(b.bornOn, 147)) * (b.rearingType === 1 ? 0.93 : 1) -
      lambKg(a, addDays(a.bornOn, 147)) * (a.rearingType === 1 ? 0.93 : 1),
  );
  ranked.forEach((lamb, i) => {
    const suggested = i < KEPT_EWE_LAMBS ? 'keep' : i < KEPT_EWE_LAMBS + 5 ? 'second' : 'sell';
    const isOverruled = i === KEPT_EWE_LAMBS;
    w.choose(lamb, on, {
      decision: isOverruled ? 'sell' : suggested,
      suggested,
      among,
      place: i + 1,
      of: ranked.length,
      ...(isOverruled ? { reason: 'bad mouth' } : {}),
    });
    if (suggested === 'keep') w.move(lamb, addDays(on, 2), EWES);
    else w.leave(lamb, addDays(on, suggested === 'second' ? 20 : 7), 'sold');
  });
  for (const lamb of lambs.filter((l) => l.sex === 'male')) w.leave(lamb, addDays(end, -1), 'sold');
  // Old ewes and a few others make room.
  const old = w.present('sheep', end).filter((a) => a.sex === 'female' && end - a.bornOn > 600);
  for (const ewe of old)
    if (end - ewe.bornOn > 365 * 7.5 || w.random.chance(0.1))
      w.leave(ewe, addDays(end, -3), 'sold', 'cast for age or teeth');
}

function tellLostTags(w: BookWriter): void {
  const ewes = w.present('sheep', w.today).filter((a) => a.sex === 'female' && w.today - a.bornOn > 900);
  const [replaced, bare] = [ewes[4], ewes[9]];
  if (replaced) w.endVisual(replaced, addDays(w.today, -400), 'caught in the fence', addDays(w.today, -396));
  if (bare) w.endVisual(bare, addDays(w.today, -70), 'not found');
}

/**
 * A neighbour has looked at the ram lambs and picked a few; they are kept for him, and marked, until he comes for them.
 * One that another asked for was not fetched in time.
 */
function keepForBuyers(w: BookWriter): void {
  const lambs = w.present('sheep', w.today).filter((a) => a.sex === 'male' && w.today - a.bornOn < 300);
  const asked = addDays(w.today, -2);
  const until = addDays(w.today, 12);
  for (const lamb of lambs.filter((_, i) => i % 7 === 2)) {
    w.write(lamb, asked, {
      type: 'reservation',
      buyer: 'Kerem of the mill',
      until: isoOf(until),
      priceMinor: 14_000,
      depositMinor: 3_000,
    });
    w.mark(lamb, asked, { colour: 'red', place: 'shoulder', purpose: 'reserved for Kerem of the mill' }, until);
  }
  const late = lambs.filter((_, i) => i % 7 === 4)[0];
  if (late)
    w.write(late, addDays(w.today, -16), {
      type: 'reservation',
      buyer: 'Sevgi',
      until: isoOf(addDays(w.today, -2)),
      priceMinor: 13_000,
    });
}

/**
 * What speaks against some of the grown: one that came at her keeper, one that prolapsed, one lame twice, and the old
 * favourite who stays all the same.
 */
function tellOfTheOld(w: BookWriter): void {
  const ewes = w.present('sheep', w.today).filter((a) => a.sex === 'female' && w.today - a.bornOn > 900);
  const [wild, torn, lame] = ewes.filter((e) => w.today - e.bornOn < 5 * 365).slice(2);
  const favourite = ewes.filter((e) => w.today - e.bornOn > 7.1 * 365).sort((a, b) => b.young - a.young)[0];
  if (wild)
    w.write(wild, addDays(w.today, -28), {
      type: 'check',
      what: 'temper',
      isFound: true,
      words: 'came at Kerem in the crush',
    });
  if (torn)
    w.write(torn, addDays(torn.bornOn, 731), {
      type: 'check',
      what: 'prolapse',
      isFound: true,
      words: 'put back, lambed by herself',
    });
  if (lame)
    for (const ago of [210, 58]) w.write(lame, addDays(w.today, -ago), { type: 'check', what: 'feet', isFound: true });
  if (favourite)
    w.choose(favourite, addDays(w.today, -9), {
      decision: 'keep',
      suggested: 'cull',
      among: 'grown sheep',
      reason: 'Mother of half the flock; soft feed, apart',
    });
}

/** Height, length and girth once a sheep, while the flock stood in the race: some are long in the leg for their weight. */
function measure(w: BookWriter, sheep: DemoAnimal, on: Day, usualCm = 69): void {
  const own = ((Number(sheep.number.replace(/\D/g, '')) * 29) % 12) - 5;
  const heightCm = usualCm + own / 2;
  w.write(sheep, on, { type: 'measure', heightCm, lengthCm: heightCm + 6, girthCm: Math.round(heightCm * 1.28) });
}
