import { Inject, Injectable } from '@nestjs/common';
import { CAUSE_WORDS, type LossCluster, type LossView, type RearingView, type SeasonTallyView } from '@yaylak/contract';
import {
  addDays,
  birthSeasons,
  countedAt,
  isByLitter,
  isoOf,
  lossClusters,
  LOSSES_TOLD_DAYS,
  lostYoung,
  proportion,
  seasonTally,
  type AnimalFacts,
  type Birth,
  type Day,
  type FemaleOfSeason,
  type LostYoung,
  type RearingTally,
  type Species,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { OneBirth } from '../book/litters';
import { Clock } from '../common/clock';
import { tagView } from '../common/views';
import { MatingHistoryService } from '../mating/history.service';
import { LittersService } from './litters.service';

const LOSSES = 60;
const SEASONS = 4;

/** The place of rearing. */
@Injectable()
export class RearingService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(LittersService) private readonly litters: LittersService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  view(species: Species): RearingView {
    const today = this.clock.today();
    const losses = lostYoung(this.book.state.ofSpecies(species), this.book.state.settings(species), today);
    const settled = this.births(species, addDays(today, -LOSSES_TOLD_DAYS)).flatMap(({ facts, birth }) => {
      const tally = this.tally(facts, birth);
      return tally.withHer === 0 ? [tally] : [];
    });
    const lost = settled.reduce((s, t) => s + t.lost, 0);
    const reared = settled.reduce((s, t) => s + t.reared, 0);
    const survival = proportion(reared, reared + lost);
    return {
      on: isoOf(today),
      species,
      way: this.book.state.settings(species).rearing.weaningWay,
      isByLitter: isByLitter(this.book.state.settings(species)),
      malesApartDays: this.book.state.settings(species).mating.malesApartDays,
      groups: [...this.book.state.groups.values()]
        .filter((g) => !g.isClosed && (g.species === null || g.species === species))
        .map(({ id, name }) => ({ id, name })),
      litters: this.litters.withDams(species).map((l) => this.litters.view(l)),
      losses: losses.slice(0, LOSSES).map((loss) => this.lossView(loss)),
      clusters: lossClusters(losses).map((c) => this.cluster(c)),
      survival: survival ? { reared, of: reared + lost } : null,
      seasons: this.seasons(species),
    };
  }

  /** What became of the young of one birth. */
  tally(facts: AnimalFacts, birth: Birth): RearingTally {
    return this.book.state.litters.tally(facts, birth, this.clock.today());
  }

  /** Births of a species since a day, in order. */
  births(species: Species, since: Day): readonly OneBirth[] {
    const today = this.clock.today();
    return this.book.state.litters.birthsSince(species, since).filter(({ birth }) => birth.on <= today);
  }

  private lossView({ facts, on, ageDays, damId, cause }: LostYoung): LossView {
    const today = this.clock.today();
    const dam = this.book.state.animals.get(damId ?? '');
    return {
      tag: tagView(facts, today),
      dam: dam ? tagView(dam, today) : null,
      on: isoOf(on),
      ageDays,
      cause: cause ? CAUSE_WORDS[cause] : null,
    };
  }

  /** Outbreaks among the losses, with the dams they were at. */
  private cluster(losses: readonly LostYoung[]): LossCluster {
    const views = losses.map((loss) => this.lossView(loss));
    const dams = new Map(views.flatMap(({ dam }) => (dam ? [[dam.animalId, dam] as const] : [])));
    return {
      cause: views[0]?.cause ?? '',
      count: views.length,
      from: views[0]?.on ?? '',
      to: views.at(-1)?.on ?? '',
      dams: [...dams.values()],
    };
  }

  /** Seasons of births, the latest first: what was scanned, born and reared of the females that were put to the male. */
  private seasons(species: Species): SeasonTallyView[] {
    const today = this.clock.today();
    const seasons = birthSeasons(this.births(species, addDays(today, -SEASONS * 365)));
    return seasons
      .slice(-SEASONS)
      .reverse()
      .map(({ from, to, births }) => {
        const tallies = births.map(({ facts, birth }) => this.ofSeason(facts, birth));
        const barren = this.barren(species, from, to, new Set(births.map((b) => b.facts.record.id)));
        const found = seasonTally([...tallies, ...barren]);
        return {
          from: isoOf(from),
          to: isoOf(to),
          isOpen: found.withHer > 0,
          ...found,
          scannedPercent: found.scannedPercent ?? null,
          bornPercent: found.bornPercent ?? null,
          rearedPercent: found.rearedPercent ?? null,
          bornALitter: found.bornALitter ?? null,
          rearedALitter: found.rearedALitter ?? null,
        };
      });
  }

  private ofSeason(facts: AnimalFacts, birth: Birth): FemaleOfSeason {
    const tally = this.tally(facts, birth);
    return {
      femaleId: facts.record.id,
      scanned: scannedBefore(facts, birth.on, this.book.state.settings(facts.record.species).gestationDays.to),
      bornAlive: birth.alive,
      bornDead: birth.dead,
      gaveBirth: true,
      reared: tally.reared,
      withHer: tally.withHer,
    };
  }

  /** Females that were served for a season's births and had none. */
  private barren(species: Species, from: Day, to: Day, gaveBirth: ReadonlySet<string>): FemaleOfSeason[] {
    const { gestationDays: g } = this.book.state.settings(species);
    const served = this.history
      .ripeSpellsOf(species)
      .filter(
        ({ facts, spell: { lastOn } }) =>
          lastOn >= from - g.to && lastOn <= to - g.from && !gaveBirth.has(facts.record.id),
      );
    return [...new Set(served.map(({ facts }) => facts))].map((facts) => ({
      femaleId: facts.record.id,
      scanned: scannedBefore(facts, to, g.to),
      bornAlive: 0,
      bornDead: 0,
      gaveBirth: false,
      reared: 0,
      withHer: 0,
    }));
  }
}

/** Young counted at the last test before a birth that counted any, or told her empty. */
function scannedBefore(facts: AnimalFacts, on: Day, gestation: number): number | undefined {
  const counts = facts.pregnancyTests.map((t) => (t.on < on && t.on > on - gestation ? countedAt(t) : undefined));
  return counts.findLast((count) => count !== undefined);
}
