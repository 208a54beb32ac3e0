import { perCent, shortFigure } from './say/figures';
import { say } from './say/say';

/** A share as per cent, to the tenth below ten. */
export const percentText = (share: number): string => {
  const percent = 100 * share;
  return perCent(shortFigure(percent, percent < 10 ? 1 : 0));
};

/** A chance in words that never claims to be certain: `over 99 %`, `under 1 %`, else the per cent. */
export const chanceText = (chance: number | null): string =>
  chance === null
    ? say('overdue')
    : chance > 0.99
      ? say('over 99\u00a0%')
      : chance < 0.01 && chance > 0
        ? say('under 1\u00a0%')
        : percentText(chance);
