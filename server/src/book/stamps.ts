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

  /** @param last the highest number given before, by a book read anew */
  constructor(private last = 0) {
    this.every = this.version_ = ++this.last;
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
    const own: [id: string, stamp: number | undefined][] = [];
    const mine = (this.version_ = ++this.last);
    for (const id of ids) {
      own.push([id, this.byId.get(id)]);
      this.byId.set(id, mine);
    }
    return () => {
      // What somebody else touched meanwhile may have been worked out with this change in it.
      this.version_ = this.version_ === mine ? before : ++this.last;
      for (const [id, stamp] of own)
        if (this.byId.get(id) !== mine) this.byId.set(id, ++this.last);
        else if (stamp === undefined) this.byId.delete(id);
        else this.byId.set(id, stamp);
    };
  }

  /** Marks all animals as changed, for good. */
  touchAll(): void {
    this.every = this.version_ = ++this.last;
  }
}
