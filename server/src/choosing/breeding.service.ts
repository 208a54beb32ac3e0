import { Inject, Injectable, type OnModuleDestroy } from '@nestjs/common';
import {
  bornRecord,
  BREEDING_TRAITS,
  BREEDING_TRAIT_TABLE,
  byEye,
  countedOn,
  eyeRecord,
  geneticParents,
  grownRecord,
  groupOn,
  growthRecords,
  standardsFor,
  toCalendarDate,
  weanedRecord,
  dayOf,
  type AnimalFacts,
  type AnimalId,
  type BreedingAnswer,
  type BreedingTraitName,
  type Day,
  type GrownSoFar,
  type LitterTold,
  type Species,
  type Standard,
  type TraitRecord,
  type WithParents,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { Derived } from '../book/derived';
import { breathe } from '../common/breathe';
import { Clock } from '../common/clock';
import { Quiet } from '../common/quiet';
import { GrowthService } from '../growth/growth.service';
import { HoldingService } from '../holding/holding.service';
import { CompareService } from '../rearing/compare.service';
import { Solver } from './solver';

export type TraitAnswers = ReadonlyMap<BreedingTraitName, BreedingAnswer>;

/** Animals read in one go, before other requests are let on. */
const AT_ONCE = 200;
/** Work that nobody waits for begins so much later. */
const SOON_MS = 250;
/** It stands back for others, but not for ever. */
const LONGEST_PAUSE_MS = 250;

interface Kept {
  readonly of: string;
  readonly answers: TraitAnswers;
}

interface Working {
  readonly of: string;
  done: number;
  isAwaited: boolean;
  readonly answers: Promise<TraitAnswers>;
}

/** Breeding values of each species: gathers the records, has them worked beside, keeps the answers for a state of the book. */
@Injectable()
export class BreedingService implements OnModuleDestroy {
  private readonly solver = new Solver();
  private readonly kept = new Map<Species, Kept>();
  private readonly working = new Map<Species, Working>();
  private readonly soon = new Map<Species, NodeJS.Timeout>();
  /** What was asked last, trait by trait: the same question has the same answer. */
  private readonly asked = new Map<string, { readonly text: string; readonly answer: BreedingAnswer }>();
  private readonly litters: Derived<readonly LitterTold[]>;
  private readonly grown: Derived<TraitRecord | undefined>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(CompareService) private readonly compare: CompareService,
    @Inject(GrowthService) private readonly growth: GrowthService,
    @Inject(HoldingService) private readonly holding: HoldingService,
    @Inject(Quiet) private readonly quiet: Quiet,
  ) {
    this.litters = book.derived((facts) => this.readLitters(facts));
    this.grown = book.derived((facts) => this.readGrown(facts));
  }

  async onModuleDestroy(): Promise<void> {
    for (const timer of this.soon.values()) clearTimeout(timer);
    await this.solver.close();
  }

  /**
   * Values of a species in the book as it is; asked again while they are worked, the same work is waited for.
   * @param isAwaited somebody waits for them; else all others are answered first
   */
  values(species: Species, isAwaited = true): Promise<TraitAnswers> {
    const of = this.stateOf();
    const kept = this.kept.get(species);
    if (kept?.of === of) return Promise.resolve(kept.answers);
    const running = this.working.get(species);
    if (running?.of === of) {
      running.isAwaited ||= isAwaited;
      return running.answers;
    }
    const work: Working = { of, done: 0, isAwaited, answers: Promise.resolve(new Map()) };
    const answers = this.work(species, work);
    const started = Object.assign(work, { answers });
    this.working.set(species, started);
    return answers
      .then((found) => {
        this.kept.set(species, { of, answers: found });
        return found;
      })
      .finally(() => {
        if (this.working.get(species) === started) this.working.delete(species);
      });
  }

  /**
   * Values at once where there are any: those of the book as it is, or those it had when they were last worked, while
   * the new ones are worked beside.
   */
  async recent(species: Species): Promise<{ readonly answers: TraitAnswers; readonly isBehind: boolean }> {
    const kept = this.kept.get(species);
    if (!kept) return { answers: await this.values(species), isBehind: false };
    const isBehind = kept.of !== this.stateOf();
    // Who asks again hears of a failure.
    if (isBehind) this.workSoon(species);
    return { answers: kept.answers, isBehind };
  }

  /** Works the values after whoever asked has an answer, once for a run of changes. */
  private workSoon(species: Species): void {
    if (this.soon.has(species)) return;
    const timer = setTimeout(() => {
      this.soon.delete(species);
      this.values(species, false).catch(() => undefined);
    }, SOON_MS);
    this.soon.set(species, timer.unref());
  }

  /** Values as they were last worked, be it of an earlier state; undefined before the first time. */
  lastKnown(species: Species): TraitAnswers | undefined {
    return this.kept.get(species)?.answers;
  }

  /** How far the work for a species is; undefined where nothing is being worked. */
  progress(species: Species): { readonly done: number; readonly of: number } | undefined {
    const running = this.working.get(species);
    return running && { done: running.done, of: BREEDING_TRAITS.length };
  }

  private stateOf(): string {
    return `${this.book.state.version} ${this.clock.today()}`;
  }

  private async work(species: Species, work: Working): Promise<TraitAnswers> {
    const pause = (): Promise<void> => (work.isAwaited ? breathe() : this.quiet.pause(LONGEST_PAUSE_MS));
    const { animals, base, records } = await this.gather(species, pause);
    const answers = new Map<BreedingTraitName, BreedingAnswer>();
    for (const trait of BREEDING_TRAITS) {
      await pause();
      const text = JSON.stringify([this.book.state.familyVersion, base.size, records[trait]]);
      const key = `${species} ${trait}`;
      const known = this.asked.get(key);
      const answer =
        known?.text === text
          ? known.answer
          : // Handing it over copies it, which takes as long as putting it into text did.
            await pause().then(() =>
              this.solver.ask({ animals, records: records[trait], shares: BREEDING_TRAIT_TABLE[trait], base }),
            );
      this.asked.set(key, { text, answer });
      answers.set(trait, answer);
      work.done++;
    }
    return answers;
  }

  private async gather(
    species: Species,
    pause: () => Promise<void>,
  ): Promise<{
    readonly animals: readonly WithParents[];
    readonly base: ReadonlySet<AnimalId>;
    readonly records: Readonly<Record<BreedingTraitName, readonly TraitRecord[]>>;
  }> {
    const all = this.book.state.ofSpecies(species);
    const settings = this.book.state.settings(species);
    const standards = await this.holding.standards();
    const baseFrom = yearsBefore(this.clock.today(), settings.choosing.baseYears);
    const standardDays = this.growth.bestStandardAge(all, settings.standardAgesDays);
    const grown: GrownSoFar[] = [];
    const records = { 'young-born': [], 'litter-weaned': [], 'grown-weight': [], 'eye-points': [] } as Record<
      Exclude<BreedingTraitName, 'growth'>,
      TraitRecord[]
    >;
    for (const [i, facts] of all.entries()) {
      if (i % AT_ONCE === AT_ONCE - 1) await pause();
      const { id, sex, bornOn } = facts.record;
      const weight = standardDays === undefined ? undefined : this.growth.adjusted(facts, standardDays);
      if (weight && bornOn !== undefined)
        grown.push({
          animalId: id,
          species,
          bornOn,
          damId: facts.record.damId,
          kg: weight.kg,
          groupId: groupOn(facts, weight.reading.on),
        });
      for (const litter of sex === 'female' ? this.litters.of(facts) : []) {
        records['young-born'].push(bornRecord(id, litter));
        records['litter-weaned'].push(...weanedRecord(id, litter));
      }
      const adult = this.grown.of(facts);
      if (adult) records['grown-weight'].push(adult);
      records['eye-points'].push(...lookRecord(facts, standards));
    }
    await pause();
    return {
      animals: all.map((f) => geneticParents(f.record)),
      base: new Set(all.filter((f) => (f.record.bornOn ?? -Infinity) >= baseFrom).map((f) => f.record.id)),
      records: { ...records, growth: growthRecords(grown) },
    };
  }

  private readGrown(facts: AnimalFacts): TraitRecord | undefined {
    const { state } = this.book;
    const { id, sex, bornOn, species } = facts.record;
    if (bornOn === undefined) return undefined;
    return grownRecord(
      { id, sex, bornOn, daily: state.daily(facts), scores: state.scores(facts) },
      state.settings(species),
    );
  }

  /** Her litters, those that are with her still without what they will weigh. */
  private readLitters(facts: AnimalFacts): readonly LitterTold[] {
    const { litters } = this.book.state;
    return litters.birthsOf(facts.record.id).map((birth, i): LitterTold => {
      const tally = litters.tally(facts, birth, this.clock.today());
      const isDone = tally.withHer === 0 && tally.reared > 0;
      return {
        on: birth.on,
        parity: i + 1,
        bornAlive: birth.alive,
        weanedKg: isDone ? this.compare.weanedKg(facts, birth) : undefined,
        rearedIfFostered: tally.fosteredAway + tally.fosteredTo > 0 ? tally.reared : undefined,
      };
    });
  }
}

/** The point standards at the last look that has any, at whatever age it was. */
function lookRecord({ record, looks }: AnimalFacts, standards: readonly Standard[]): TraitRecord[] {
  const last = looks.findLast(({ grades }) => Object.values(grades).some((grade) => typeof grade === 'number'));
  if (!last) return [];
  const { points } = byEye(standardsFor(standards, record), [last], countedOn(record.bornOn, last.on));
  return points === undefined ? [] : [eyeRecord(record.id, points.mean, last.on)];
}

/** The same day so many years before; 28 February of a year without the 29th. */
function yearsBefore(day: Day, years: number): Day {
  return dayOf(toCalendarDate(day).subtract({ years }).toString());
}
