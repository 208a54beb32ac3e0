import { herdBands, mean, projectHerd, type HerdBand, type HerdQuestion, type HerdYear } from '@yaylak/core';

export interface HerdAhead {
  /** Young to keep a year, so that the number wanted is held. */
  readonly needed: number;
  readonly years: readonly HerdYear[];
  readonly bands: readonly HerdBand[];
}

export interface HerdWorker {
  ahead(question: HerdQuestion): HerdAhead;
}

/** Looks at the steady herd first, then draws the fate of each female a thousand times with so many kept. */
export const createHerdWorker = (): HerdWorker => ({
  ahead(question) {
    const steady = projectHerd({ ...question, kept: undefined });
    const needed = Math.round(mean(steady.map((y) => y.needed)) ?? 0);
    const asked = { ...question, kept: question.kept ?? needed };
    return { needed, years: projectHerd(asked), bands: herdBands(asked) };
  },
});
