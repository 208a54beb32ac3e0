import { Inject, Injectable } from '@nestjs/common';
import type { AdjustedView, ContemporaryVerdict, GainView } from '@yaylak/contract';
import {
  addDays,
  adjustedWeight,
  breakdownAgainst,
  completedMonths,
  factorRecord,
  FACTOR_GROUPS,
  fitFactors,
  gainOverPeriod,
  groupOn,
  Herds,
  isoOf,
  isPresent,
  judgeGain,
  lastGain,
  likeForLikeRatios,
  meanSteps,
  notGrowing,
  readingNear,
  type AdjustedWeight,
  type AnimalFacts,
  type FactorsInUse,
  type Gain,
  type GrowingAnimal,
  type GrowthGroup,
  type NotGrowing,
  type Species,
  type WithGain,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Whole, type Changes, type Derived } from '../book/derived';
import { Clock } from '../common/clock';
import { gainView } from '../common/views';

/** Gains older than this are history and no call to act. */
const FRESH_DAYS = 45;
const FRESH_YOUNG_DAYS = 400;
/** Stretch of readings a gain is judged over. */
const PERIOD_DAYS = 60;

interface GroupStandard {
  readonly standardDays: number | undefined;
  readonly factors: FactorsInUse | undefined;
  readonly ratioOf: ReturnType<typeof likeForLikeRatios>;
  readonly means: ReturnType<typeof meanSteps> | undefined;
}

/** The factors of a species at a standard age, fitted to its own records, and everybody's weight by them. */
interface Fit {
  readonly factors: Whole<FactorsInUse>;
  readonly weights: Derived<AdjustedWeight | undefined>;
}

/** Growth of the animals in the book: loads, lets core compute, keeps the answers. */
@Injectable()
export class GrowthService {
  private readonly worst: Whole<readonly NotGrowing[]>;
  private herds = new Herds();
  private readonly changes: Changes;
  private readonly lastGains: Derived<Gain>;
  /** Of one young enough to be compared, its gain of late. */
  private readonly lateGains: Derived<WithGain | undefined>;
  private readonly growers: Derived<GrowingAnimal | undefined>;
  private readonly fits = new Map<string, Fit>();
  /** By a group as it is: one of whose animals anything changed is another. */
  private readonly standards = new WeakMap<GrowthGroup, GroupStandard>();

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.changes = book.changes();
    this.worst = book.whole(() => notGrowing(this.upToDate().groups(), addDays(this.clock.today(), -FRESH_DAYS)));
    this.lastGains = book.derived((facts) =>
      lastGain(this.book.state.daily(facts), this.book.state.settings(facts.record.species)),
    );
    this.lateGains = book.derived((facts) => this.lateGain(facts));
    this.growers = book.derived((facts) => this.readGrowing(facts));
  }

  /** Those whose gain is under half of their contemporaries', the worst first. */
  notGrowing(): readonly NotGrowing[] {
    return this.worst.get();
  }

  /** An animal's contemporaries, itself among them, with the line their gains are held against. */
  groupOf(animalId: string): GrowthGroup | undefined {
    return this.upToDate().groupOf(animalId);
  }

  /** The last gain of one that is here. */
  lastGain(facts: AnimalFacts): Gain | undefined {
    return isPresent(facts, this.clock.today()) ? this.lastGains.of(facts) : undefined;
  }

  private upToDate(): Herds {
    const today = this.clock.today();
    const { animals } = this.book.state;
    const changed = this.changes.since();
    if (!changed) this.herds = new Herds();
    for (const id of changed ?? animals.keys()) {
      const facts = animals.get(id);
      this.herds.set(id, facts && isPresent(facts, today) ? this.lateGains.of(facts) : undefined);
    }
    return this.herds;
  }

  private lateGain(facts: AnimalFacts): WithGain | undefined {
    const today = this.clock.today();
    const { id, species, sex, bornOn } = facts.record;
    const daily = this.book.state.daily(facts);
    const last = daily.at(-1);
    if (bornOn === undefined || !last || today - bornOn > FRESH_YOUNG_DAYS) return undefined;
    // Over the readings of two months: two weighings alone are too often too soon to tell.
    const period = { from: addDays(last.on, -PERIOD_DAYS), to: last.on };
    const gain = gainOverPeriod(daily, period, this.book.state.settings(species));
    return { id, species, sex, bornOn, groupId: groupOn(facts, today), gain };
  }

  /** The last gain with its verdict against the contemporaries' line. */
  gainOf(animalId: string): GainView | null {
    const facts = this.book.state.animals.get(animalId);
    return this.judged(animalId, facts && this.lastGain(facts));
  }

  /** Any gain of an animal, judged by the line of its contemporaries. */
  judged(animalId: string, gain: Gain | undefined): GainView | null {
    if (!gain || gain.kind !== 'gain') return null;
    const line = this.groupOf(animalId)?.lineKgPerDay;
    return line === undefined ? gainView(gain, null, 'no-group') : gainView(gain, line, judgeGain(gain, line));
  }

  /** An animal as the growth functions want it. @returns undefined without a birth date */
  growing(facts: AnimalFacts): GrowingAnimal | undefined {
    return this.growers.of(facts);
  }

  private readGrowing(facts: AnimalFacts): GrowingAnimal | undefined {
    const { id, sex, bornOn, birthType, damId } = facts.record;
    if (bornOn === undefined) return undefined;
    const damBorn = damId === undefined ? undefined : this.book.state.animals.get(damId)?.record.bornOn;
    const damAgeYears = damBorn === undefined ? undefined : Math.floor(completedMonths(damBorn, bornOn) / 12);
    const rearingType = this.book.state.litters.rearingType(facts, this.clock.today());
    return { id, sex, bornOn, birthType, rearingType, damAgeYears, daily: this.book.state.daily(facts) };
  }

  /** Factors in use for a species at a standard age: the table, and the holding's own where it has records enough. */
  factors(species: Species, standardDays: number): FactorsInUse {
    return this.fit(species, standardDays).factors.get();
  }

  private fit(species: Species, standardDays: number): Fit {
    const key = `${species} ${standardDays}`;
    const known = this.fits.get(key);
    if (known) return known;
    const records = this.book.collected((facts) => {
      const animal = facts.record.species === species ? this.growing(facts) : undefined;
      return animal && factorRecord(animal, standardDays, this.book.state.settings(species));
    });
    const factors = new Whole(
      () => [records.version(), this.book.state.settingsVersion],
      () => fitFactors(records.all(), this.book.state.settings(species).growthFactors),
    );
    const weights = this.book.derived(
      (facts) => this.readAdjusted(facts, standardDays),
      () => records.version(),
    );
    const fit = { factors, weights };
    this.fits.set(key, fit);
    return fit;
  }

  /** An animal's weight set to an age. @returns undefined without a reading near it */
  adjusted(facts: AnimalFacts, standardDays: number): AdjustedWeight | undefined {
    return this.fit(facts.record.species, standardDays).weights.of(facts);
  }

  private readAdjusted(facts: AnimalFacts, standardDays: number): AdjustedWeight | undefined {
    const animal = this.growing(facts);
    if (!animal) return undefined;
    const { species } = facts.record;
    const answer = adjustedWeight(
      animal,
      standardDays,
      this.book.state.settings(species),
      this.factors(species, standardDays),
    );
    return answer.kind === 'adjusted' ? answer : undefined;
  }

  /** The standard age that most of a set have a reading near; the older one on a tie. */
  bestStandardAge(set: readonly AnimalFacts[], ages: readonly number[]): number | undefined {
    let best: { age: number; count: number } | undefined;
    for (const age of [...ages].sort((a, b) => b - a)) {
      const count = set.filter((facts) => {
        const animal = this.growing(facts);
        return animal !== undefined && readingNear(animal, age) !== undefined;
      }).length;
      if (count > 0 && (!best || count > best.count)) best = { age, count };
    }
    return best?.age;
  }

  adjustedView(w: AdjustedWeight, species: Species): AdjustedView {
    const inUse = this.factors(species, w.standardDays);
    const source = (group: (typeof FACTOR_GROUPS)[number]) => {
      const key = w.classes[group];
      const use = key === undefined ? undefined : inUse[group][key];
      return {
        class: key ?? null,
        source: use?.source ?? 'table',
        records: use?.records ?? 0,
        ownWeight: use?.ownWeight ?? 0,
      };
    };
    return {
      standardDays: w.standardDays,
      readKg: w.reading.kg,
      readOn: isoOf(w.reading.on),
      ageDays: w.ageDays,
      birthKg: w.birthKg,
      birthWeight: w.birthWeight,
      steps: w.steps,
      factors: w.factors,
      factorSources: { birthType: source('birthType'), sex: source('sex'), damAge: source('damAge') },
      kg: w.kg,
      standardError: w.standardError,
    };
  }

  /** An animal's adjusted weight among its contemporaries. */
  verdict(facts: AnimalFacts): ContemporaryVerdict | null {
    const group = this.groupOf(facts.record.id);
    if (!group) return null;
    const { standardDays, ratioOf, means } = this.standardOf(group, facts.record.species);
    const own = standardDays === undefined ? undefined : this.adjusted(facts, standardDays);
    const ratio = own && ratioOf?.(own.kg);
    if (!own || !ratio || !means) return null;
    return {
      adjusted: this.adjustedView(own, facts.record.species),
      ...ratio,
      breakdown: breakdownAgainst(own, means),
    };
  }

  /** What the contemporaries of a group weigh, set to the age that most have a reading near. */
  private standardOf(group: GrowthGroup, species: Species): GroupStandard {
    const ages = this.book.state.settings(species).standardAgesDays;
    const known = this.standards.get(group);
    if (known && (known.standardDays === undefined || known.factors === this.factors(species, known.standardDays)))
      return known;
    const members = group.members.flatMap(({ id }) => this.book.state.animals.get(id) ?? []);
    const standardDays = this.bestStandardAge(members, ages);
    const weights = members.flatMap((m) => (standardDays === undefined ? [] : (this.adjusted(m, standardDays) ?? [])));
    const standard: GroupStandard = {
      standardDays,
      factors: standardDays === undefined ? undefined : this.factors(species, standardDays),
      ratioOf: likeForLikeRatios(weights.map((w) => w.kg)),
      means: weights.length > 0 ? meanSteps(weights) : undefined,
    };
    this.standards.set(group, standard);
    return standard;
  }
}
