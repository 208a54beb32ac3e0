import { randomInt, timingSafeEqual } from 'node:crypto';
import { CODE_LETTERS, CODE_MINUTES } from '@yaylak/contract';

/** Letters of a code: 31 ^ 8 of them are too many to try in ten minutes. */
const LETTERS = 8;
/** Wrong ones before the code is void: a slip of the finger is forgiven, guessing is not. */
const WRONG_ONES = 5;

/** A code on the computer's screen that lets one device in. */
export class JoinCode {
  readonly code = Array.from({ length: LETTERS }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join('');
  private readonly until: number;
  private wrong = 0;

  /** @param id it was asked by */
  constructor(
    readonly id: string,
    private readonly now: () => number = Date.now,
  ) {
    this.until = now() + CODE_MINUTES * 60_000;
  }

  /** How many seconds it is still good for; none once it is void. */
  get seconds(): number {
    return this.wrong >= WRONG_ONES ? 0 : Math.max(0, Math.ceil((this.until - this.now()) / 1000));
  }

  /** Whether what was typed is it. Each wrong one counts. */
  isMet(typed: string): boolean {
    if (this.seconds === 0) return false;
    const given = Buffer.from(typed.toUpperCase().replace(/[^A-Z\d]/g, ''));
    const isIt = given.length === LETTERS && timingSafeEqual(given, Buffer.from(this.code));
    if (!isIt) this.wrong++;
    return isIt;
  }
}
