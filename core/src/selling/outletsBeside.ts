/** One head at one outlet today. */
export interface HeadThere {
  /** Lies in what the outlet wants, likely enough. */
  readonly isReady: boolean;
  /** Chance that it does; undefined where nothing can be said. */
  readonly chance: number | undefined;
  /** What it brings, hundredths; undefined where that cannot be told. */
  readonly minor: number | undefined;
}

/** It lies in what the outlet wants today, and has a price there. */
export const fitsToday = ({ isReady, minor }: Pick<HeadThere, 'isReady' | 'minor'>): boolean =>
  isReady && minor !== undefined;

/** What a pen is to one outlet, before it is split. */
export interface OutletBeside {
  /** Heads that fit today. */
  readonly fits: number;
  /** What they bring together, the trip paid once; 0 of none. */
  readonly minor: number;
  /** Of those that fit, how many should lie outside what is wanted all the same, and give or take how many (SD). */
  readonly misses: number;
  readonly missesSd: number;
}

/** Heads are taken as independent of each other. */
export function outletBeside(heads: readonly HeadThere[], tripMinor: number): OutletBeside {
  const fit = heads.filter(fitsToday);
  const sum = (of: (head: HeadThere) => number): number => fit.reduce((total, h) => total + of(h), 0);
  const chance = ({ chance: p = 1 }: HeadThere): number => p;
  return {
    fits: fit.length,
    minor: fit.length === 0 ? 0 : sum((h) => h.minor ?? 0) - tripMinor,
    misses: sum((h) => 1 - chance(h)),
    missesSd: Math.sqrt(sum((h) => chance(h) * (1 - chance(h)))),
  };
}
