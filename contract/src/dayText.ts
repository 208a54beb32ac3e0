const words = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });

/** A day in a sentence: `22 Dec 2026`; what is none as it was given. */
export function dayText(iso: string): string {
  const day = new Date(`${iso.slice(0, 10)}T00:00:00Z`);
  return Number.isNaN(day.getTime()) ? iso : words.format(day);
}

/** A moment in a sentence: `07:30 on 22 Dec 2026`. */
export const momentText = (iso: string): string => `${iso.slice(11, 16)} on ${dayText(iso)}`;
