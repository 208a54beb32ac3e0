import {
  birthsOf,
  littersByDam,
  rearingType,
  type AnimalFacts,
  type Birth,
  type Born,
  type Day,
  type Litter,
  type Reared,
  type Species,
  type SpeciesSettings,
} from '@yaylak/core';

/** What litters need of the book. */
interface Book {
  readonly animals: ReadonlyMap<string, AnimalFacts>;
  readonly youngByParent: ReadonlyMap<string, ReadonlySet<string>>;
  /** Grows with every change. */
  readonly version: number;
  settings(species: Species): SpeciesSettings;
}

interface Kept {
  readonly version: number;
  readonly litters: Map<string, readonly Litter[]>;
  readonly births: Map<string, readonly Birth[]>;
  /** All young that were ever put under another dam or reared by hand, by every dam they have to do with. */
  fostered: ReadonlyMap<string, readonly string[]> | undefined;
}

/** Who was born by whom, and reared by whom; worked out when it is asked for, once a version of the book. */
export class Litters {
  private kept: Kept | undefined;

  constructor(private readonly book: Book) {}

  /** Litters a female has had by the young on record, oldest first. */
  of(damId: string): readonly Litter[] {
    const { litters } = this.read();
    const known = litters.get(damId);
    if (known) return known;
    const young = [...(this.book.youngByParent.get(damId) ?? [])].flatMap((id): Born[] => {
      const record = this.book.animals.get(id)?.record;
      return record?.bornOn === undefined || record.damId !== damId
        ? []
        : [{ id, species: record.species, bornOn: record.bornOn, damId }];
    });
    const found = littersByDam(young).get(damId) ?? [];
    litters.set(damId, found);
    return found;
  }

  /** Her births, written down or known by their young, in order. */
  birthsOf(damId: string): readonly Birth[] {
    const { births } = this.read();
    const known = births.get(damId);
    if (known) return known;
    const found = birthsOf(this.of(damId), this.book.animals.get(damId)?.births ?? []);
    births.set(damId, found);
    return found;
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
  youngAbout(damId: string): Reared[] {
    const ids = new Set([...(this.book.youngByParent.get(damId) ?? []), ...(this.fostered().get(damId) ?? [])]);
    return [...ids].flatMap((id) => this.reared(id) ?? []);
  }

  /**
   * Reared as one of so many: what was typed where nothing is known of fosterings about it, else what follows from
   * them.
   */
  rearingType(facts: AnimalFacts, asOf: Day): number | undefined {
    const { id, rearingType: typed, damId, species } = facts.record;
    const dams = [damId, facts.fosterings.at(-1)?.damId].flatMap((d) => d ?? []);
    const isFostered = dams.some((d) => this.fostered().has(d)) || facts.fosterings.length > 0;
    const isWritten = damId !== undefined && (this.book.animals.get(damId)?.births.length ?? 0) > 0;
    if (!isFostered && (typed !== undefined || !isWritten)) return typed;
    const young = this.reared(id);
    if (!young) return typed;
    const herd = dams.flatMap((d) => this.youngAbout(d));
    const each = [...new Map(herd.map((y) => [y.id, y])).values()];
    return rearingType(young, each, this.book.settings(species).weaningDays.bestFrom, asOf);
  }

  private fostered(): ReadonlyMap<string, readonly string[]> {
    const kept = this.read();
    if (kept.fostered) return kept.fostered;
    const by = new Map<string, string[]>();
    for (const { record, fosterings } of this.book.animals.values()) {
      if (fosterings.length === 0) continue;
      for (const damId of new Set([record.damId, ...fosterings.map((f) => f.damId)]))
        if (damId !== undefined) by.set(damId, [...(by.get(damId) ?? []), record.id]);
    }
    return (kept.fostered = by);
  }

  private read(): Kept {
    const { version } = this.book;
    if (this.kept?.version !== version)
      this.kept = { version, litters: new Map(), births: new Map(), fostered: undefined };
    return this.kept;
  }
}
