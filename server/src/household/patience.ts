/** Wrong ones before somebody has to wait: a slip of the finger is forgiven. */
const FORGIVEN = 3;
const FIRST_WAIT_MS = 2_000;
const LONGEST_WAIT_MS = 15 * 60_000;
/** So many are remembered; who fills it up with names of nobody makes the oldest forgotten. */
const REMEMBERED = 1_000;

interface Tries {
  readonly wrong: number;
  /** Until then nothing is tried. */
  readonly until: number;
}

/** Slows down who guesses: after three wrong ones each next wait is twice as long. */
export class Patience {
  private readonly tries = new Map<string, Tries>();

  constructor(private readonly now: () => number = () => Date.now()) {}

  /** How many seconds there are still to wait; none where it may be tried. */
  seconds(who: string): number {
    return Math.max(0, Math.ceil(((this.tries.get(who)?.until ?? 0) - this.now()) / 1000));
  }

  /** @returns how many have been wrong in a row */
  wrong(who: string): number {
    const wrong = (this.tries.get(who)?.wrong ?? 0) + 1;
    const over = wrong - FORGIVEN;
    const wait = over < 0 ? 0 : Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** over);
    this.tries.delete(who);
    this.tries.set(who, { wrong, until: this.now() + wait });
    const [oldest] = this.tries.keys();
    if (this.tries.size > REMEMBERED && oldest !== undefined) this.tries.delete(oldest);
    return wrong;
  }

  right(who: string): void {
    this.tries.delete(who);
  }
}
