import { Inject, Injectable } from '@nestjs/common';
import type { MarkColour } from '@yaylak/contract';
import {
  carryingOf,
  femaleHistory,
  groupOn,
  isPresent,
  malesWith,
  shareTaken,
  takingShare,
  unansweredOf,
  addDays,
  type AnimalFacts,
  type CarryingContext,
  type CarryingNow,
  type Day,
  type Exposure,
  type FemaleHistory,
  type SiredLitter,
  type Species,
  type Spell,
  type Unanswered,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';

interface Kept {
  readonly version: number;
  readonly today: Day;
  readonly histories: Map<string, FemaleHistory>;
  readonly chances: Map<string, CarryingNow | undefined>;
  readonly shares: Map<Species, number>;
}

const NO_HISTORY: FemaleHistory = {
  heats: [],
  spells: [],
  lastBirthOn: undefined,
  hasGivenBirth: false,
  unmarked: undefined,
};

/** Heats, services and what came of them, of all females; worked out once a version of the book. */
@Injectable()
export class MatingHistoryService {
  private kept: Kept | undefined;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  of(facts: AnimalFacts): FemaleHistory {
    if (facts.record.sex !== 'female') return NO_HISTORY;
    const { histories } = this.read();
    const known = histories.get(facts.record.id);
    if (known) return known;
    const found = this.history(facts);
    histories.set(facts.record.id, found);
    return found;
  }

  /** Every stay of a male with a group, teasers too. */
  get exposures(): readonly Exposure[] {
    return this.book.state.exposures;
  }

  /** Males that may sire, with a female now: by the group she is in. */
  runningWith(facts: AnimalFacts, on: Day): string[] {
    const groupId = groupOn(facts, on);
    return groupId === undefined ? [] : malesWith(this.exposures, groupId, on);
  }

  /** The colour a male wears in a group on a day. */
  raddleOf(maleId: string, groupId: string | undefined, on: Day): MarkColour | null {
    const facts = this.book.state.animals.get(maleId);
    const stay = facts?.stays.findLast((s) => s.groupId === groupId && s.on <= on);
    if (!facts || !stay) return null;
    const change = facts.harnesses.findLast((h) => h.stayId === stay.entryId && h.on <= on);
    return ((change?.colour ?? stay.colour) as MarkColour | undefined) ?? null;
  }

  /** Spells of all females of a species that are or were here. */
  spellsOf(species: Species): Spell[] {
    return this.females(species).flatMap((f) => [...this.of(f).spells]);
  }

  /** Litters with both parents on record. */
  littersOf(species: Species): SiredLitter[] {
    return this.females(species).flatMap((f) =>
      this.book.state.litters.of(f.record.id).flatMap((l): SiredLitter[] => {
        const sireId = this.book.state.animals.get(l.youngIds[0] ?? '')?.record.sireId;
        return sireId === undefined ? [] : [{ damId: l.damId, sireId, bornOn: l.bornOn, size: l.youngIds.length }];
      }),
    );
  }

  /** Share of services that take: the species' figure drawn toward the holding's own. */
  takingShare(species: Species): number {
    const { shares } = this.read();
    const known = shares.get(species);
    if (known !== undefined) return known;
    const own = shareTaken(this.spellsOf(species));
    const of = own?.of ?? 0;
    const share = takingShare(
      this.book.state.settings(species).season.conceptionShare,
      Math.round((own?.share ?? 0) * of),
      of,
    );
    shares.set(species, share);
    return share;
  }

  /** What she may be carrying, see `carryingOf`. */
  chance(facts: AnimalFacts): CarryingNow | undefined {
    const { chances } = this.read();
    const { id } = facts.record;
    if (!chances.has(id)) chances.set(id, carryingOf(facts, this.context(facts)));
    return chances.get(id);
  }

  /** A pregnancy of hers nobody said the end of, see `unansweredOf`. */
  unanswered(facts: AnimalFacts): Unanswered | undefined {
    return isPresent(facts, this.clock.today()) ? unansweredOf(facts, this.context(facts)) : undefined;
  }

  /** What is known of a female beside her own entries. */
  context(facts: AnimalFacts): CarryingContext {
    const { species } = facts.record;
    const { spells: all, lastBirthOn } = this.of(facts);
    return {
      spells: all,
      lastBirthOn,
      prior: this.takingShare(species),
      settings: this.book.state.settings(species),
      today: this.clock.today(),
    };
  }

  /** All females of a species that are or were here. */
  females(species: Species): AnimalFacts[] {
    return [...this.book.state.animals.values()].filter(
      ({ record }) => record.species === species && record.sex === 'female',
    );
  }

  private history(facts: AnimalFacts): FemaleHistory {
    return femaleHistory(facts, {
      exposures: this.exposures,
      births: this.book.state.litters.birthsOf(facts.record.id),
      settings: this.book.state.settings(facts.record.species),
      today: this.clock.today(),
    });
  }

  private read(): Kept {
    const { version } = this.book.state;
    const today = this.clock.today();
    if (this.kept?.version === version && this.kept.today === today) return this.kept;
    return (this.kept = { version, today, histories: new Map(), chances: new Map(), shares: new Map() });
  }
}

/** Whether a stay goes on today. */
export const isOpenStay = (facts: AnimalFacts, stayId: string, today: Day): boolean =>
  isPresent(facts, today) && !facts.stayEnds.some((e) => e.stayId === stayId);

/** Days from which on services by hand count as this season's. */
export const seasonFrom = (today: Day): Day => addDays(today, -90);
