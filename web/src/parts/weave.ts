// The weaves of the year: mating slanted, births dotted. Beside the colour, so that a stretch is told without it.

/** Slanted threads of two colours, so many pixels each. */
export const slanted = (thread: string, between: string, threadPx = 5, betweenPx = 4): string =>
  `repeating-linear-gradient(115deg, ${thread} 0 ${threadPx}px, ${between} ${threadPx}px ${threadPx + betweenPx}px)`;

/** Dots on a ground, one to a tile of so many pixels. */
export const dotted = (dot: string, ground: string, widePx = 9, highPx = widePx): string =>
  `radial-gradient(circle, ${dot} 1.6px, transparent 2px) 0 0 / ${widePx}px ${highPx}px ${ground}`;
