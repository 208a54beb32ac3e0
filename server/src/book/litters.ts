import {
  birthsOf,
  bySpecies,
  littersByDam,
  rearedPerYear,
  rearingTally,
  rearingType,
  youngSurvival,
  type AnimalFacts,
  type Birth,
  type Born,
  type Day,
  type Litter,
  type Reared,
  type RearedPerYear,
  type RearingTally,
  type Species,
  type SpeciesSettings,
  type YoungSeenFor,
} from '@yaylak/core';
import type { EntryType } from '@yaylak/contract';
import { Derived, Whole, type Stamped } from './derived';

/** What litters need of the book. */
interface Book extends Stamped {
  readonly animals: ReadonlyMap<string, AnimalFacts>;
  readonly youngByParent: ReadonlyMap<string, ReadonlySet<string>>;
  settings(species: Species): SpeciesSettings;
  ofSpecies(species: Species): readonly AnimalFacts[];
  versionsOf(kinds: readonly EntryType[]): number[];
  readonly settingsVersion: number;
}

/** A birth and whose it was. */
export interface OneBirth {
  readonly facts: AnimalFacts;
  readonly birth: Birth;
}

/** How many of a species' young live to each age up to weaning. */
interface Survival {
  /** Another whenever it was worked anew. */
  readonly nth: number;
  readonly at: readonly number[];
}

const NONE: readonly string[] = [];

/** Who was born by whom, and reared by whom; worked out when it is asked for. */
export class Litters {
  /** Young that were ever put under another dam or reared by hand, by every dam they have to do with. */
  private readonly fostered = new Map<string, Set<string>>();
  private readonly damsOfFostered = new Map<string, readonly string[]>();
  private readonly litters: Derived<readonly Litter[]>;
  private readonly births: Derived<readonly Birth[]>;
  private readonly about: Derived<readonly Reared[]>;

  private readonly allBirths: Readonly<Record<Species, Whole<readonly OneBirth[]>>>;
  private readonly perYear: Derived<RearedPerYear | undefined, Day>;
  private readonly survival: Readonly<Record<Species, Whole<Survival>>>;
  private survivals = 0;
  private survivalOn = 0 as Day;

  constructor(private readonly book: Book) {
    this.survival = bySpecies(
      (species) =>
        new Whole(
          () => [...book.versionsOf(['arrival', 'departure']), book.settingsVersion, this.survivalOn],
          () => ({ nth: ++this.survivals, at: this.readSurvival(species, this.survivalOn) }),
        ),
    );
    this.allBirths = bySpecies(
      (species) =>
        new Whole(
          () => book.versionsOf(['arrival', 'birth']),
          () =>
            book
              .ofSpecies(species)
              .flatMap((facts) =>
                facts.record.sex === 'female' ? this.birthsOf(facts.record.id).map((birth) => ({ facts, birth })) : [],
              )
              .sort((a, b) => a.birth.on - b.birth.on),
        ),
    );
    this.litters = new Derived(
      () => book,
      (facts) => this.read(facts.record.id),
    );
    this.about = new Derived(
      () => book,
      ({ record: { id } }) => this.idsAbout(id).flatMap((young) => this.reared(young) ?? []),
    );
    this.perYear = new Derived(
      () => book,
      (facts, asOf) => this.readPerYear(facts, asOf),
      // The young of others tell what hers not weaned yet are worth.
      ({ record: { species } }, asOf) => `${asOf} ${this.survivalOf(species, asOf).nth}`,
    );
    this.births = new Derived(
      () => book,
      (facts) => birthsOf(this.litters.of(facts), facts.births),
    );
  }

  /** Litters a female has had by the young on record, oldest first. */
  of(damId: string): readonly Litter[] {
    const facts = this.book.animals.get(damId);
    return facts ? this.litters.of(facts) : [];
  }

  /** Her births, written down or known by their young, in order. */
  birthsOf(damId: string): readonly Birth[] {
    const facts = this.book.animals.get(damId);
    return facts ? this.births.of(facts) : [];
  }

  /** Births of a species since a day, in order. */
  birthsSince(species: Species, since: Day): OneBirth[] {
    const all = this.allBirths[species].get();
    // Those asked for are the last of many years'.
    let from = all.length;
    while ((all[from - 1]?.birth.on ?? -Infinity) >= since) from--;
    return all.slice(from);
  }

  /** What became of the young of one birth. */
  tally({ record: { id, species } }: AnimalFacts, birth: Birth, asOf: Day): RearingTally {
    return rearingTally(id, birth, this.youngAbout(id), {
      weaningAge: this.book.settings(species).weaningDays.bestFrom,
      asOf,
      died: (young) => this.book.animals.get(young)?.departures[0]?.how === 'died',
    });
  }

  /** Young a female rears a year, by all her births up to a day; undefined without one. */
  rearedPerYear(facts: AnimalFacts, asOf: Day): RearedPerYear | undefined {
    return this.perYear.of(facts, asOf);
  }

  private readPerYear(facts: AnimalFacts, asOf: Day): RearedPerYear | undefined {
    const births = this.birthsOf(facts.record.id).filter((b) => b.on <= asOf);
    if (births.length === 0) return undefined;
    const { species } = facts.record;
    const until = Math.min(asOf, facts.departures[0]?.on ?? asOf) as Day;
    const told = births.map((birth) => ({ on: birth.on, tally: this.tally(facts, birth, asOf) }));
    return rearedPerYear(told, { until, survival: this.survivalOf(species, asOf).at }, this.book.settings(species));
  }

  /** Share of a species' young alive at each age up to weaning. */
  private survivalOf(species: Species, asOf: Day): Survival {
    this.survivalOn = asOf;
    return this.survival[species].get();
  }

  private readSurvival(species: Species, asOf: Day): readonly number[] {
    const weaningAge = this.book.settings(species).weaningDays.bestFrom;
    const seen: YoungSeenFor[] = [];
    for (const { record, departures, arrivedOn } of this.book.ofSpecies(species)) {
      const { bornOn, damId } = record;
      // One that came in was seen from then on only, and those that died before are not in the book.
      if (bornOn === undefined || damId === undefined || (arrivedOn ?? bornOn) > bornOn || bornOn > asOf) continue;
      const gone = departures[0];
      const isGone = gone !== undefined && gone.on <= asOf;
      seen.push({ days: (isGone ? gone.on : asOf) - bornOn, died: isGone && gone.how === 'died' });
    }
    return youngSurvival(seen, weaningAge);
  }

  /** A young as its rearing is reckoned with; undefined without a birth date. */
  reared(id: string): Reared | undefined {
    const facts = this.book.animals.get(id);
    if (facts?.record.bornOn === undefined) return undefined;
    return {
      id,
      bornOn: facts.record.bornOn,
      birthDamId: facts.record.damId,
      fosterings: facts.fosterings,
      weanedOn: facts.weanings.find((w) => w.isDone)?.on,
      goneOn: facts.departures[0]?.on,
    };
  }

  /** All young that may ever have been with a dam: her own, and those put under her. */
  youngAbout(damId: string): readonly Reared[] {
    const facts = this.book.animals.get(damId);
    return facts ? this.about.of(facts) : [];
  }

  /**
   * Whose figures may hang on an animal: it itself, its parents and those it was put under, and the young of all these
   * dams; hers too.
   */
  kinOf({ record: { id, damId, sireId, sex } }: AnimalFacts): Set<string> {
    const kin = new Set([id]);
    // Loops and no lists: this is asked for each of a hundred thousand weights of a file.
    const withYoung = (dam: string): void => {
      kin.add(dam);
      for (const young of this.book.youngByParent.get(dam) ?? NONE) kin.add(young);
      for (const young of this.fostered.get(dam) ?? NONE) kin.add(young);
    };
    if (sireId !== undefined) kin.add(sireId);
    if (damId !== undefined) withYoung(damId);
    for (const dam of this.damsOfFostered.get(id) ?? NONE) withYoung(dam);
    // A sire's young hang on nothing of his; a hundred of them are left alone.
    if (sex !== 'male') withYoung(id);
    return kin;
  }

  /** Reads anew under whom a young was put; after each change of its fosterings or its dam. */
  noteFosterings(id: string): void {
    for (const damId of this.damsOfFostered.get(id) ?? []) this.fostered.get(damId)?.delete(id);
    const facts = this.book.animals.get(id);
    if (!facts || facts.fosterings.length === 0) {
      this.damsOfFostered.delete(id);
      return;
    }
    const dams = [...new Set([facts.record.damId, ...facts.fosterings.map((f) => f.damId)])].flatMap((d) => d ?? []);
    this.damsOfFostered.set(id, dams);
    for (const damId of dams) {
      const set = this.fostered.get(damId);
      if (set) set.add(id);
      else this.fostered.set(damId, new Set([id]));
    }
  }

  /**
   * Reared as one of so many: what was typed where nothing is known of fosterings about it, else what follows from
   * them.
   */
  rearingType(facts: AnimalFacts, asOf: Day): number | undefined {
    const { id, rearingType: typed, damId, species } = facts.record;
    const dams = [damId, facts.fosterings.at(-1)?.damId].flatMap((d) => d ?? []);
    const isFostered = dams.some((d) => (this.fostered.get(d)?.size ?? 0) > 0) || facts.fosterings.length > 0;
    const isWritten = damId !== undefined && (this.book.animals.get(damId)?.births.length ?? 0) > 0;
    if (!isFostered && (typed !== undefined || !isWritten)) return typed;
    const young = this.reared(id);
    if (!young) return typed;
    const herd = dams.flatMap((d) => this.youngAbout(d));
    const each = [...new Map(herd.map((y) => [y.id, y])).values()];
    return rearingType(young, each, this.book.settings(species).weaningDays.bestFrom, asOf);
  }

  private read(damId: string): readonly Litter[] {
    const young = [...(this.book.youngByParent.get(damId) ?? [])].flatMap((id): Born[] => {
      const record = this.book.animals.get(id)?.record;
      return record?.bornOn === undefined || record.damId !== damId
        ? []
        : [{ id, species: record.species, bornOn: record.bornOn, damId }];
    });
    return littersByDam(young).get(damId) ?? [];
  }

  /** A sire's young are about their dams. */
  private idsAbout(damId: string): readonly string[] {
    const own = [...(this.book.youngByParent.get(damId) ?? NONE)];
    const fostered = this.fostered.get(damId);
    const hers = own.filter((id) => this.book.animals.get(id)?.record.damId === damId && fostered?.has(id) !== true);
    return fostered ? [...hers, ...fostered] : hers;
  }
}
