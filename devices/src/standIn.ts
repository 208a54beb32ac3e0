import { createCrate } from './crate';

/** One of the flock the stand-in can send through. */
export interface StandInAnimal {
  readonly number: string;
  /** Undefined for one that wears no electronic tag: the stick stays silent. */
  readonly electronic: string | undefined;
  readonly kg: number;
}

/** What can be asked of the stand-in; the same words on its page and over HTTP. */
export const COMMANDS = ['come', 'missed', 'double', 'wrong', 'unknown', 'garbled', 'leave', 'disconnect'] as const;
export type Command = (typeof COMMANDS)[number];

export interface StandIn {
  readonly flock: readonly StandInAnimal[];
  setFlock(flock: readonly StandInAnimal[]): void;
  /** Does one thing. @returns what it did, for the page */
  run(command: Command, options?: { readonly digits?: string; readonly kg?: number }): string;
  /** Lines of the moment: what the stick said since, and what the crate shows. */
  lines(atMs: number): string[];
  /** Whether nothing is sent: the cable is out. */
  isSilent(atMs: number): boolean;
  next(): StandInAnimal | undefined;
}

const DOUBLE_AFTER_MS = 300;
const SILENT_MS = 5_000;
/** A number of a test tag: 999 and never an animal's. */
const UNKNOWN_BASE = 999_000_000_100_000n;

/** A stick reader and a weigh crate without either. @param random between 0 and 1 */
export function createStandIn(clock: () => number, random: () => number, haste = 1): StandIn {
  const crate = createCrate(random, haste);
  let flock: readonly StandInAnimal[] = [];
  let at = 0;
  let unknown = 0n;
  let silentUntil = -Infinity;
  let spoken: { readonly atMs: number; readonly line: string }[] = [];
  const speak = (digits: string, afterMs = 0): void => {
    spoken.push({ atMs: clock() + afterMs, line: digits });
  };
  const next = (): StandInAnimal | undefined => flock[at % Math.max(1, flock.length)];
  /** The next of the flock walks in, or one that was named. */
  const enter = (options: { readonly digits?: string; readonly kg?: number }): StandInAnimal => {
    const named = options.digits === undefined ? undefined : flock.find((a) => a.electronic === options.digits);
    const animal = named ?? next() ?? { number: 'nobody', electronic: options.digits, kg: 40 };
    at = (named ? flock.indexOf(named) : at) + 1;
    const kg = options.kg ?? animal.kg * (1 + 0.03 * (2 * random() - 1));
    crate.enter(kg, clock());
    return { ...animal, electronic: options.digits ?? animal.electronic, kg };
  };
  const told = (animal: StandInAnimal): string => `${animal.number}, ${animal.kg.toFixed(1)} kg`;
  return {
    get flock() {
      return flock;
    },
    setFlock(animals) {
      flock = animals;
      at = 0;
    },
    run(command, options = {}) {
      switch (command) {
        case 'come': {
          const animal = enter(options);
          if (animal.electronic) speak(animal.electronic);
          return `${told(animal)} comes${animal.electronic ? '' : '; it wears no electronic tag'}`;
        }
        case 'missed':
          return `${told(enter(options))} comes; the stick missed it`;
        case 'double': {
          const animal = enter(options);
          for (const after of [0, DOUBLE_AFTER_MS, 2 * DOUBLE_AFTER_MS])
            if (animal.electronic) speak(animal.electronic, after);
          return `${told(animal)} comes and is read three times`;
        }
        case 'wrong': {
          const animal = enter(options);
          const behind = next();
          if (behind?.electronic) speak(behind.electronic);
          return `${told(animal)} stands in the crate; the stick read ${behind?.number ?? 'nobody'} behind it`;
        }
        case 'unknown': {
          const digits = String(UNKNOWN_BASE + unknown++);
          crate.enter(options.kg ?? 38, clock());
          speak(options.digits ?? digits);
          return `${options.digits ?? digits}, which nobody wears, comes`;
        }
        case 'garbled':
          speak((next()?.electronic ?? '792000000126031').slice(0, 14));
          return 'a number with a digit missing was sent';
        case 'leave':
          crate.leave(clock());
          return 'the crate is left';
        case 'disconnect':
          silentUntil = clock() + SILENT_MS;
          return `the cable is out for ${SILENT_MS / 1000} s`;
      }
    },
    lines(atMs) {
      const due = spoken.filter((s) => s.atMs <= atMs);
      spoken = spoken.filter((s) => s.atMs > atMs);
      return [...due.map((s) => s.line), `ST,GS, ${crate.read(atMs).toFixed(1)} kg`];
    },
    isSilent: (atMs) => atMs < silentUntil,
    next,
  };
}
