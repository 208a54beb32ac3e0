const words = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });

/** A day in a sentence: `22 Dec 2026`. */
export const dayText = (iso: string): string => words.format(new Date(`${iso.slice(0, 10)}T00:00:00Z`));
