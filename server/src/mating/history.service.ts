import { Inject, Injectable } from '@nestjs/common';
import type { EntryType, MarkColour } from '@yaylak/contract';
import {
  carryingOf,
  femaleHistory,
  groupOn,
  isPresent,
  malesWith,
  raddleOn,
  shareTaken,
  spellsByMale,
  takingShare,
  unansweredOf,
  addDays,
  bySpecies,
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
import type { Derived, Whole } from '../book/derived';
import { Clock } from '../common/clock';

const NO_HISTORY: FemaleHistory = {
  heats: [],
  spells: [],
  lastBirthOn: undefined,
  hasGivenBirth: false,
  unmarked: undefined,
};

/** Kinds of entry a female's history is read from: her own, and whom males ran with. */
export const HISTORY_KINDS: readonly EntryType[] = [
  'arrival',
  'departure',
  'move',
  'heat',
  'service',
  'stay',
  'stay-end',
  'harness',
  'pregnancy-test',
  'loss',
  'birth',
];

/** Heats, services and what came of them, of all females. */
/** A spell and whose it is. */
export interface SpellOf {
  readonly facts: AnimalFacts;
  readonly spell: Spell;
}

@Injectable()
export class MatingHistoryService {
  private readonly histories: Derived<FemaleHistory>;
  private readonly chances: Derived<CarryingNow | undefined>;
  private readonly siredLitters: Readonly<Record<Species, Whole<readonly SiredLitter[]>>>;
  private readonly shares: Readonly<Record<Species, Whole<number>>>;
  private readonly femalesBySpecies: Readonly<Record<Species, Whole<readonly AnimalFacts[]>>>;
  private readonly spellsBySpecies: Readonly<Record<Species, Whole<readonly Spell[]>>>;
  private readonly ripeSpells: Readonly<Record<Species, Whole<readonly SpellOf[]>>>;
  private readonly spellsByMale: Readonly<Record<Species, Whole<ReadonlyMap<string, readonly Spell[]>>>>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.histories = book.derived((facts) => this.history(facts));
    this.chances = book.derived(
      (facts) => carryingOf(facts, this.context(facts)),
      (facts) => this.takingShare(facts.record.species),
    );
    this.femalesBySpecies = bySpecies((species) =>
      book.ofKinds(['arrival'], () => this.book.state.ofSpecies(species).filter((f) => f.record.sex === 'female')),
    );
    this.spellsBySpecies = bySpecies((species) =>
      book.ofKinds(HISTORY_KINDS, () => this.females(species).flatMap((f) => this.of(f).spells)),
    );
    this.ripeSpells = bySpecies((species) =>
      book.ofKinds(HISTORY_KINDS, () =>
        this.females(species).flatMap((facts) =>
          this.of(facts).spells.flatMap((spell) => (spell.isRipe ? [{ facts, spell }] : [])),
        ),
      ),
    );
    this.spellsByMale = bySpecies((species) => book.ofKinds(HISTORY_KINDS, () => spellsByMale(this.spellsOf(species))));
    this.siredLitters = bySpecies((species) => book.ofKinds(['arrival'], () => this.readSired(species)));
    this.shares = bySpecies((species) => book.ofKinds(HISTORY_KINDS, () => this.readShare(species)));
  }

  of(facts: AnimalFacts): FemaleHistory {
    return facts.record.sex === 'female' ? this.histories.of(facts) : NO_HISTORY;
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
    const raddle = facts && stay && raddleOn(facts, stay, on);
    return (raddle?.colour as MarkColour | undefined) ?? null;
  }

  /** Spells of all females of a species that are or were here. */
  spellsOf(species: Species): readonly Spell[] {
    return this.spellsBySpecies[species].get();
  }

  /** Those of them whose time to give birth is over, each with its female. */
  ripeSpellsOf(species: Species): readonly SpellOf[] {
    return this.ripeSpells[species].get();
  }

  /** Spells by each male of a species that may have sired in them. */
  byMale(species: Species): ReadonlyMap<string, readonly Spell[]> {
    return this.spellsByMale[species].get();
  }

  /** Spells a male may have sired in. */
  spellsBy({ record: { id, species } }: AnimalFacts): readonly Spell[] {
    return this.byMale(species).get(id) ?? [];
  }

  /** Litters with both parents on record. */
  littersOf(species: Species): readonly SiredLitter[] {
    return this.siredLitters[species].get();
  }

  private readSired(species: Species): SiredLitter[] {
    return this.females(species).flatMap((f) =>
      this.book.state.litters.of(f.record.id).flatMap((l): SiredLitter[] => {
        const sireId = this.book.state.animals.get(l.youngIds[0] ?? '')?.record.sireId;
        return sireId === undefined ? [] : [{ damId: l.damId, sireId, bornOn: l.bornOn, size: l.youngIds.length }];
      }),
    );
  }

  /** Share of services that take: the species' figure drawn toward the holding's own. */
  takingShare(species: Species): number {
    return this.shares[species].get();
  }

  private readShare(species: Species): number {
    const own = shareTaken(this.spellsOf(species));
    const of = own?.of ?? 0;
    return takingShare(
      this.book.state.settings(species).season.conceptionShare,
      Math.round((own?.share ?? 0) * of),
      of,
    );
  }

  /** What she may be carrying, see `carryingOf`. */
  chance(facts: AnimalFacts): CarryingNow | undefined {
    return this.chances.of(facts);
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
  females(species: Species): readonly AnimalFacts[] {
    return this.femalesBySpecies[species].get();
  }

  private history(facts: AnimalFacts): FemaleHistory {
    return femaleHistory(facts, {
      exposures: this.exposures,
      births: this.book.state.litters.birthsOf(facts.record.id),
      settings: this.book.state.settings(facts.record.species),
      today: this.clock.today(),
    });
  }
}

/** Days from which on services by hand count as this season's. */
export const seasonFrom = (today: Day): Day => addDays(today, -90);
