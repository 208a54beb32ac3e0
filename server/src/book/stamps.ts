/** Takes a change back again. */
export type Undo = () => void;

/**
 * In which state each animal was last touched: a number that never comes again for another state, so that whatever was
 * worked out under it holds whenever it is there again, as after a change that was tried and taken back.
 */
export class Stamps {
  private every: number;
  private version_: number;
  private readonly byId = new Map<string, number>();
  /** Who was touched at which number, in order, as far back as `forgotten`. */
  private journal: { readonly stamp: number; readonly ids: readonly string[] }[] = [];
  private journalled = 0;
  private forgotten: number;

  /** @param last the highest number given before, by a book read anew */
  constructor(private last = 0) {
    this.every = this.version_ = this.forgotten = ++this.last;
  }

  /** The state of all together. */
  get version(): number {
    return this.version_;
  }

  /** The highest number given so far. */
  get newest(): number {
    return this.last;
  }

  of(id: string): number {
    return Math.max(this.every, this.byId.get(id) ?? 0);
  }

  /** Marks some animals as changed, and so the whole. */
  touch(ids: Iterable<string>): Undo {
    const before = this.version_;
    const touched: string[] = [];
    const stamps: (number | undefined)[] = [];
    const mine = (this.version_ = ++this.last);
    for (const id of ids) {
      touched.push(id);
      stamps.push(this.byId.get(id));
      this.byId.set(id, mine);
    }
    this.note(mine, touched);
    return () => {
      // What somebody else touched meanwhile may have been worked out with this change in it.
      this.version_ = this.version_ === mine ? before : ++this.last;
      touched.forEach((id, i) => {
        const stamp = stamps[i];
        if (this.byId.get(id) !== mine) {
          this.byId.set(id, ++this.last);
          this.note(this.last, [id]);
        } else if (stamp === undefined) this.byId.delete(id);
        else this.byId.set(id, stamp);
      });
      // Who asked with the change in it and asks again after a later one has to hear of those taken back as well.
      this.note(++this.last, touched);
    };
  }

  /** Marks all animals as changed, for good. */
  touchAll(): void {
    this.every = this.version_ = this.forgotten = ++this.last;
    this.journal = [];
    this.journalled = 0;
  }

  /**
   * Who may be another than in an earlier state of all; some that are the same again are among them.
   * @returns undefined where that is too long ago to tell
   */
  touchedSince(version: number): ReadonlySet<string> | undefined {
    if (version === this.version_) return NOBODY;
    const from = Math.min(version, this.version_);
    if (from < this.forgotten) return undefined;
    const ids = new Set<string>();
    for (let i = this.journal.length - 1; i >= 0; i--) {
      const { stamp, ids: own } = this.journal[i] as (typeof this.journal)[number];
      if (stamp <= from) break;
      for (const id of own) ids.add(id);
    }
    return ids;
  }

  private note(stamp: number, ids: readonly string[]): void {
    this.journal.push({ stamp, ids });
    this.journalled += ids.length;
    if (this.journalled <= MOST_JOURNALLED) return;
    // The older half goes: who asked so long ago looks at everything anew, and that is no slower.
    const gone = this.journal.splice(0, Math.ceil(this.journal.length / 2));
    for (const { ids: own } of gone) this.journalled -= own.length;
    this.forgotten = gone.at(-1)?.stamp ?? this.forgotten;
  }
}

const NOBODY: ReadonlySet<string> = new Set();
/** Touches remembered one by one. */
const MOST_JOURNALLED = 5_000;
