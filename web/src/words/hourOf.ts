/** A day at the hour of a clock: `2026-11-24T07:30`. @param now the server's clock, as this device carries it on */
export const hourOf = (on: string, now: string): string => `${on}T${now.slice(11, 16)}`;
