import { Inject, Injectable } from '@nestjs/common';
import {
  addDays,
  adultAlarm,
  barrenCounted,
  bySpecies,
  conceptionShare,
  CONDITION_CHECKS,
  cullEvents,
  litterTrend,
  mean,
  noResponse,
  SPECIES_WORDS,
  standardsFor,
  type AnimalFacts,
  type ConditionCheck,
  type CullEvents,
  type CullFacts,
  type Day,
  type Species,
  type Standard,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Whole, type Derived } from '../book/derived';
import { Clock } from '../common/clock';
import { MatingHistoryService } from '../mating/history.service';
import { SetsService } from './sets.service';

const YEAR_DAYS = 365;

type OfKin = Omit<CullFacts, 'reared' | 'conception' | 'today'> & {
  readonly lastBirthOn: Day | undefined;
};

/** What the rules count of each grown animal, gathered from the figures other places show. */
@Injectable()
export class GrownService {
  private readonly herdMeans: Readonly<Record<Species, Whole<number | undefined>>>;
  /** What hangs on an animal and its kin alone. */
  private readonly ofKin: Derived<OfKin>;
  private standards: readonly Standard[] = [];
  private standardsOf = 0;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(SetsService) private readonly sets: SetsService,
  ) {
    this.herdMeans = bySpecies((species) => book.whole(() => this.readHerdMean(species)));
    this.ofKin = book.derived(
      (facts) => this.read(facts),
      () => this.standardsOf,
    );
  }

  /** Grown animals that are here: those past the age of young, and younger ones that have given birth. */
  here(species: Species): readonly AnimalFacts[] {
    const { litters } = this.book.state;
    return this.sets
      .all()
      .filter((set) => set.species === species)
      .flatMap(({ crop, members }) =>
        crop ? members.filter((f) => f.record.sex === 'female' && litters.birthsOf(f.record.id).length > 0) : members,
      );
  }

  /** Young that the females of a species rear a year, on average. */
  herdMean(species: Species): number | undefined {
    return this.herdMeans[species].get();
  }

  /** What happened to an animal, by the kind of rule that counts it. @param standardsOf another where they changed */
  events(facts: AnimalFacts, standards: readonly Standard[], standardsOf: number): CullEvents {
    this.standards = standards;
    this.standardsOf = standardsOf;
    const { lastBirthOn, ...known } = this.ofKin.of(facts);
    const { species, sex } = facts.record;
    const herd = this.herdMean(species);
    const today = this.clock.today();
    const own = this.book.state.litters.rearedPerYear(facts, today);
    return cullEvents({
      ...known,
      reared: lastBirthOn !== undefined && own && herd !== undefined ? { on: lastBirthOn, own, herd } : undefined,
      conception: sex === 'male' ? this.conception(facts, today) : undefined,
      today,
    });
  }

  private read(facts: AnimalFacts): OfKin {
    const { state } = this.book;
    const { record, births, checks } = facts;
    const settings = state.settings(record.species);
    const told = state.litters.birthsOf(record.id);
    const lastBirth = told.at(-1);
    return {
      standards: standardsFor(this.standards, record),
      looks: facts.looks,
      checks,
      births,
      treatments: facts.treatments,
      geneTests: facts.geneTests,
      maleChecks: facts.maleChecks,
      barrenOn: record.sex === 'female' ? barrenCounted(this.history.of(facts).spells, settings, lastBirth?.on) : [],
      noResponse: noResponse(
        state.scores(facts),
        facts.mobs,
        checks.flatMap((c) =>
          CONDITION_CHECKS.some((what) => what === c.what) ? [{ ...c, what: c.what as ConditionCheck }] : [],
        ),
      ),
      litterTrend: lastBirth && {
        on: lastBirth.on,
        trend: litterTrend(
          told.map((b) => b.alive + b.dead),
          { usual: settings.rearing.youngByBirth, spreadSd: settings.rearing.youngSd },
        ),
      },
      lastBirthOn: lastBirth?.on,
      alarm: this.alarm(facts),
    };
  }

  /** Since when each of its last weights gives the alarm. */
  private alarm(facts: AnimalFacts): CullFacts['alarm'] {
    const { id, bornOn, species } = facts.record;
    if (bornOn === undefined) return undefined;
    const grown = this.book.state.daily(facts).filter((r) => r.on - bornOn >= SPECIES_WORDS[species].grownFromDays);
    const births = this.book.state.litters.of(id).map((l) => l.bornOn);
    let found: CullFacts['alarm'];
    for (let n = grown.length; n > 0; n--) {
      const alarm = adultAlarm(grown.slice(0, n), births);
      if (!alarm) break;
      found = { since: (grown[n - 1] as { readonly on: Day }).on, share: found?.share ?? alarm.share };
    }
    return found;
  }

  /** Females he served in the last year whose result is known. */
  private conception(facts: AnimalFacts, today: Day): CullFacts['conception'] {
    const spells = this.history.spellsBy(facts).filter((s) => s.isRipe && s.on >= addDays(today, -YEAR_DAYS));
    const share = conceptionShare(spells, facts.record.id);
    const last = spells.at(-1);
    const least = this.book.state.settings(facts.record.species).mating.maleShareLeast;
    return share && last ? { on: last.lastOn, share, least } : undefined;
  }

  private readHerdMean(species: Species): number | undefined {
    const today = this.clock.today();
    return mean(
      this.book.state
        .present(today)
        .filter(({ record }) => record.species === species && record.sex === 'female')
        .flatMap((facts) => this.book.state.litters.rearedPerYear(facts, today)?.perYear ?? []),
    );
  }
}
