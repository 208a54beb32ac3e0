import type { AnimalFacts } from '@yaylak/core';

/** What derived values need of the book. */
export interface Stamped {
  /** In which state an animal, or another its figures hang on, was last touched. */
  stampOf(animalId: string): number;
}

/**
 * One value an animal, worked out when it is asked for and kept until the animal, or one it hangs on, is touched. It
 * goes with the animal's facts: those of a book read anew are others.
 */
export class Derived<T, Asked = void> {
  private readonly kept = new WeakMap<
    AnimalFacts,
    { readonly stamp: number; readonly also: string | number | undefined; readonly value: T }
  >();

  /** @param also what beside its kin a value hangs on: the day, a figure of all animals, what is asked with it */
  constructor(
    private readonly book: () => Stamped,
    private readonly compute: (facts: AnimalFacts, asked: Asked) => T,
    private readonly also?: (facts: AnimalFacts, asked: Asked) => string | number,
  ) {}

  of(facts: AnimalFacts, asked: Asked): T {
    const stamp = this.book().stampOf(facts.record.id);
    const also = this.also?.(facts, asked);
    const known = this.kept.get(facts);
    if (known?.stamp === stamp && known.also === also) return known.value;
    const value = this.compute(facts, asked);
    this.kept.set(facts, { stamp, also, value });
    return value;
  }
}

/** One value of the whole book, kept until something it hangs on is another. */
export class Whole<T> {
  private kept: { readonly hangsOn: readonly unknown[]; readonly value: T } | undefined;

  /**
   * @param hangsOn versions, the day: whatever makes a value another
   * @param compute asked for where one of these has changed
   */
  constructor(
    private readonly hangsOn: () => readonly unknown[],
    private readonly compute: () => T,
  ) {}

  get(): T {
    const hangsOn = this.hangsOn();
    if (this.kept && this.kept.hangsOn.every((v, i) => v === hangsOn[i])) return this.kept.value;
    const value = this.compute();
    this.kept = { hangsOn, value };
    return value;
  }
}

/** What something kept up to date asks of the book. */
export interface Changing {
  readonly version: number;
  touchedSince(version: number): ReadonlySet<string> | undefined;
}

/** Hears each time which animals may be another since it asked before. */
export class Changes {
  private last: { readonly book: Changing; readonly version: number; readonly today: number } | undefined;

  constructor(
    private readonly book: () => Changing,
    private readonly today: () => number,
  ) {}

  /** @returns undefined where all may be another: the first time, on another day, of a book read anew */
  since(): ReadonlySet<string> | undefined {
    const book = this.book();
    const { version } = book;
    const today = this.today();
    const { last } = this;
    this.last = { book, version, today };
    return last?.book === book && last.today === today ? book.touchedSince(last.version) : undefined;
  }
}

/** The values of all animals that have one, together: each change looks only at the animals it touched. */
export class Collected<T> {
  private readonly values = new Map<string, T>();
  private list: readonly T[] | undefined;
  private stamp = 0;

  constructor(
    private readonly book: () => { readonly animals: ReadonlyMap<string, AnimalFacts> },
    private readonly changes: Changes,
    private readonly compute: (facts: AnimalFacts) => T | undefined,
  ) {}

  all(): readonly T[] {
    this.bring();
    return (this.list ??= [...this.values.values()]);
  }

  /** Another whenever one of the values is. */
  version(): number {
    this.bring();
    return this.stamp;
  }

  private bring(): void {
    const { animals } = this.book();
    const changed = this.changes.since();
    if (!changed) {
      this.values.clear();
      this.stamp++;
      this.list = undefined;
    }
    for (const id of changed ?? animals.keys()) {
      const facts = animals.get(id);
      const value = facts && this.compute(facts);
      if (changed && isSame(value, this.values.get(id))) continue;
      if (value === undefined) this.values.delete(id);
      else this.values.set(id, value);
      this.stamp++;
      this.list = undefined;
    }
  }
}

const isSame = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);
