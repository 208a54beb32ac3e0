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
} from '@yaylak/core';
import { readingsOf } from '../../shared/remedies/planTreatment';
import type { Passage } from './raceLog';

export interface JobPoint {
  readonly animalId: string;
  readonly kg: number;
  readonly gain: KnownGain | undefined;
}

export interface JobFigures {
  readonly points: readonly JobPoint[];
  readonly meanKg: number | undefined;
  /** Kilograms a day, with how wide the guess is; of one animal alone its own. */
  readonly meanGain: Pick<KnownGain, 'kgPerDay' | 'halfWidth'> | undefined;
  /** Half the median gain of the job so far; of the last weighings until five are through. */
  readonly lineKgPerDay: number | undefined;
  readonly gates: ReadonlyMap<string, number>;
}

const ENOUGH = 5;

/** Gains of those on the list at their last weighings, kilograms a day; read once a job. */
export const gainsBefore = (
  listed: readonly RosterAnimal[],
  settingsOf: (animal: RosterAnimal) => SpeciesSettings,
): number[] =>
  listed.flatMap((a) => {
    const gain = lastGain(dailyReadings(readingsOf(a)), settingsOf(a));
    return gain.kind === 'gain' ? [gain.kgPerDay] : [];
  });

/** The tally of a job so far. */
export function jobFigures(
  passages: readonly Passage[],
  earlierGains: readonly number[],
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
      kg,
      gain: animal && gainAtJob(animal, { on: dayOf(p.on), kg, method: 'scale' }, settingsOf(animal)),
    });
  }
  const gains = points.flatMap((p) => (p.gain ? [p.gain.kgPerDay] : []));
  const middle = median(gains.length >= ENOUGH ? gains : earlierGains);
  return {
    points,
    meanKg: mean(points.map((p) => p.kg)),
    meanGain: meanGain(points),
    lineKgPerDay: middle === undefined ? undefined : notGrowingLine(middle),
    gates,
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

function meanGain(points: readonly JobPoint[]): JobFigures['meanGain'] {
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
