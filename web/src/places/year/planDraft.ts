import type { PlanFacts } from '@yaylak/contract';
import {
  flushingSchoolOf,
  isoOf,
  matingFor,
  parseDay,
  planKindOf,
  type Day,
  type FlushingSchool,
  type RematingSchool,
  type Species,
  type SpeciesSettings,
} from '@yaylak/core';
import { say, SPECIES_WORDS, capital } from '@yaylak/contract';

/** A plan while it is typed: all figures as text. */
export interface PlanTyped {
  readonly name: string;
  readonly species: Species;
  readonly groupId: string;
  readonly females: string;
  readonly what: 'births' | 'sale';
  readonly on: string;
  readonly saleAge: string;
  /** Empty for what the holding does with the species. */
  readonly flushing: FlushingSchool | '';
  readonly cycles: string;
  readonly doses: readonly { readonly name: string; readonly productId: string; readonly days: string }[];
  readonly matingOn: string;
  readonly school: RematingSchool;
  readonly litters: string;
}

export const planTyped = (facts: PlanFacts | undefined, today: string): PlanTyped => ({
  name: facts?.name ?? '',
  species: facts?.species ?? 'sheep',
  groupId: facts?.groupId ?? '',
  females: facts ? String(facts.females) : '',
  what: facts?.wanted?.what ?? 'births',
  on: facts?.wanted?.on ?? '',
  saleAge: facts?.wanted?.saleAgeDays === undefined ? '150' : String(facts.wanted.saleAgeDays),
  flushing: facts?.flushing ?? '',
  cycles: facts?.cycles === undefined ? '' : String(facts.cycles),
  doses: (facts?.doses ?? []).map((d) => ({
    name: d.name,
    productId: d.productId ?? '',
    days: String(d.daysBeforeBirth),
  })),
  matingOn: facts?.matingOn ?? today,
  school: facts?.school ?? 'middle',
  litters: facts?.litters === undefined ? '5' : String(facts.litters),
});

interface Around {
  readonly settings: SpeciesSettings;
  /** Females there are for it, where none are typed. */
  readonly inBook: number;
  /** The plan that is changed. */
  readonly before: PlanFacts | undefined;
}

/** The day the males go in for what is wanted; undefined as long as no day is typed. */
export function malesInOf(typed: PlanTyped, settings: SpeciesSettings): Day | undefined {
  const on = parseDay(typed.on);
  return on === undefined ? undefined : matingFor({ ...wantedOf(typed), on }, settings);
}

const wantedOf = ({ what, saleAge }: PlanTyped) => ({
  what,
  ...(what === 'sale' ? { saleAgeDays: Number(saleAge) } : {}),
});

/** How the females are fed up: as typed, or as the holding does with the species. */
export const flushingOf = ({ flushing }: PlanTyped, { season }: SpeciesSettings): FlushingSchool =>
  flushing === '' ? flushingSchoolOf(season.flushingBefore) : flushing;

/** The plan that is typed; or what stands against keeping it, in words. */
export function planFacts(typed: PlanTyped, { settings, inBook, before }: Around): PlanFacts | string {
  const { species } = typed;
  const females = typed.females === '' ? inBook : Number(typed.females);
  const flushing = flushingOf(typed, settings);
  const cycles = typed.cycles === '' ? settings.season.cycles : Number(typed.cycles);
  const malesIn = malesInOf(typed, settings);
  const name =
    typed.name.trim() || `${capital(SPECIES_WORDS[species].birth)}${typed.on ? ` ${typed.on.slice(0, 4)}` : ''}`;
  if (!(Number.isInteger(females) && females > 0)) return say('Females: type how many are to be mated.');
  const base = {
    name,
    species,
    ...(typed.groupId === '' ? {} : { groupId: typed.groupId }),
    females,
    shifts: before?.shifts ?? {},
    done: before?.done ?? {},
  };
  if (planKindOf(settings) === 'rolling') {
    if (parseDay(typed.matingOn) === undefined) return say('First mating: type its date.');
    const litters = Number(typed.litters);
    if (!(Number.isInteger(litters) && litters >= 1 && litters <= 12)) return say('Litters: type 1 to 12.');
    return { kind: 'rolling', ...base, matingOn: typed.matingOn, school: typed.school, litters };
  }
  if (malesIn === undefined) return say('Type the date that is wanted.');
  if (typed.what === 'sale' && !(Number(typed.saleAge) > 0)) return say('Sale: type how old they are to be, in days.');
  if (!(Number.isInteger(cycles) && cycles >= 1 && cycles <= 12)) return say('Heat cycles: type 1 to 12.');
  const bad = typed.doses.find((d) => d.name.trim() === '' || !(Number(d.days) >= 0) || d.days === '');
  if (bad) return say('Given before birth: each needs a name and its days.');
  // A plan whose wish is not touched keeps the day the males go in, which may have been moved.
  const isSameWish = before?.wanted?.on === typed.on && before.wanted.what === typed.what;
  return {
    kind: 'season',
    ...base,
    matingOn: isSameWish ? before.matingOn : isoOf(malesIn),
    wanted: { ...wantedOf(typed), on: typed.on },
    flushing,
    cycles,
    doses: typed.doses.map((d) => ({
      name: d.name.trim(),
      ...(d.productId === '' ? {} : { productId: d.productId }),
      daysBeforeBirth: Math.round(Number(d.days)),
    })),
  };
}
