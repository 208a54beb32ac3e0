import type { RosterAnimal } from '@yaylak/contract';
import {
  correctedKg,
  dailyReadings,
  dayOf,
  gainBetween,
  gainSinceFirst,
  judgeGain,
  lastGain,
  mean,
  meanWithRange,
  median,
  notGrowingLine,
  readingBefore,
  type GainVerdict,
  type KnownGain,
  type Reading,
  type SpeciesSettings,
  type UsedBias,
  SPECIES,
  type Species,
} from '@yaylak/core';
import { readingsOf } from '../../shared/remedies/planTreatment';
import type { Passage } from './raceLog';

export interface JobPoint {
  readonly animalId: string;
  readonly species: Species;
  readonly kg: number;
  readonly gain: KnownGain | undefined;
}

/** Figures of one species of a job: a ewe and a doe rabbit have no mean. */
export interface KindFigures {
  readonly species: Species;
  readonly meanKg: number | undefined;
  /** Kilograms a day, with how wide the guess is; of one animal alone its own. */
  readonly meanGain: Pick<KnownGain, 'kgPerDay' | 'halfWidth'> | undefined;
  /** Half the median gain of the job so far; of the last weighings until five are through. */
  readonly lineKgPerDay: number | undefined;
}

export interface JobFigures {
  readonly points: readonly JobPoint[];
  /** A species each, of those expected and those through, in the order of the species. */
  readonly kinds: readonly KindFigures[];
  readonly gates: ReadonlyMap<string, number>;
}

export const kindOf = (figures: JobFigures, species: Species | undefined): KindFigures | undefined =>
  figures.kinds.find((k) => k.species === species);

const ENOUGH = 5;

export type GainsBefore = Readonly<Partial<Record<Species, readonly number[]>>>;

/** Gains of those on the list at their last weighings, kilograms a day, by species; read once a job. */
export function gainsBefore(
  listed: readonly RosterAnimal[],
  settingsOf: (animal: RosterAnimal) => SpeciesSettings,
): GainsBefore {
  const gains: Partial<Record<Species, number[]>> = {};
  for (const a of listed) {
    const gain = lastGain(dailyReadings(readingsOf(a)), settingsOf(a));
    const own = (gains[a.species] ??= []);
    if (gain.kind === 'gain') own.push(gain.kgPerDay);
  }
  return gains;
}

/** The tally of a job so far. */
export function jobFigures(
  passages: readonly Passage[],
  earlierGains: GainsBefore,
  animals: ReadonlyMap<string, RosterAnimal>,
  settingsOf: (animal: RosterAnimal) => SpeciesSettings,
  biases: ReadonlyMap<string, UsedBias> = new Map(),
): JobFigures {
  const last = new Map<string, Passage>();
  for (const p of passages) last.set(p.animalId, p);
  const points: JobPoint[] = [];
  const gates = new Map<string, number>();
  for (const p of last.values()) {
    if (p.gate !== undefined) gates.set(p.gate, (gates.get(p.gate) ?? 0) + 1);
    const animal = animals.get(p.animalId);
    const kg = kgOf(p, animal, biases);
    if (kg === undefined) continue;
    points.push({
      animalId: p.animalId,
      species: animal?.species ?? 'sheep',
      kg,
      gain: animal && gainAtJob(animal, { on: dayOf(p.on), kg, method: 'scale' }, settingsOf(animal)),
    });
  }
  const species = SPECIES.filter((one) => one in earlierGains || points.some((p) => p.species === one));
  return { points, kinds: species.map((one) => figuresOf(one, points, earlierGains[one] ?? [])), gates };
}

function figuresOf(species: Species, all: readonly JobPoint[], earlierGains: readonly number[]): KindFigures {
  const points = all.filter((p) => p.species === species);
  const gains = points.flatMap((p) => (p.gain ? [p.gain.kgPerDay] : []));
  const middle = median(gains.length >= ENOUGH ? gains : earlierGains);
  return {
    species,
    meanKg: mean(points.map((p) => p.kg)),
    meanGain: meanGain(points),
    lineKgPerDay: middle === undefined ? undefined : notGrowingLine(middle),
  };
}

/** What an animal weighs by a passage: a tape's or an eye's reading set right by its hand's bias. */
function kgOf(
  { entries, kg }: Passage,
  animal: RosterAnimal | undefined,
  biases: ReadonlyMap<string, UsedBias>,
): number | undefined {
  const written = entries.find((e) => e.type === 'weight');
  if (kg === undefined || !animal || !written) return kg;
  const { method, writtenBy: by } = written;
  return correctedKg({ kg, method, by, species: animal.species }, biases) ?? kg;
}

function meanGain(points: readonly JobPoint[]): KindFigures['meanGain'] {
  const gains = points.flatMap((p) => p.gain ?? []);
  const all = meanWithRange(gains.map((g) => g.kgPerDay));
  return all ? { kgPerDay: all.mean, halfWidth: all.halfWidth } : gains[0];
}

/** Gains already worked out: an animal that is through keeps its gain while thousands come after it. */
const gainsKnown = new WeakMap<RosterAnimal, { readonly key: string; readonly gain: KnownGain | undefined }>();

function gainAtJob(animal: RosterAnimal, now: Reading, settings: SpeciesSettings): KnownGain | undefined {
  const key = `${now.on} ${now.kg} ${settings.readingSdShare}`;
  const known = gainsKnown.get(animal);
  if (known?.key === key) return known.gain;
  const gain = gainTo(animal, now, settings);
  gainsKnown.set(animal, { key, gain });
  return gain;
}

/** The gain from the last weighing before this day. */
export function gainTo(animal: RosterAnimal, now: Reading, settings: SpeciesSettings): KnownGain | undefined {
  const before = readingBefore(readingsOf(animal), now.on);
  const gain = before ? gainBetween(before, now, settings) : undefined;
  return gain?.kind === 'gain' ? gain : undefined;
}

/** The gain from the first weight on record. */
export function gainFromBirth(animal: RosterAnimal, settings: SpeciesSettings): KnownGain | undefined {
  const gain = gainSinceFirst(dailyReadings(readingsOf(animal)), settings);
  return gain.kind === 'gain' ? gain : undefined;
}

export const judged = (gain: KnownGain, line: number | undefined): GainVerdict | undefined =>
  line === undefined ? undefined : judgeGain(gain, line);
