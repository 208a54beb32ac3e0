import { dateWords } from './say/figures';
import { say } from './say/say';

const words = dateWords({ day: 'numeric', month: 'short', year: 'numeric' });

/** A day in a sentence: `22 Dec 2026`; what is none as it was given. */
export function dayText(iso: string): string {
  const day = new Date(`${iso.slice(0, 10)}T00:00:00Z`);
  return Number.isNaN(day.getTime()) ? iso : words(day);
}

/** A moment in a sentence: `07:30 on 22 Dec 2026`. */
export const momentText = (iso: string): string =>
  say('{part} on {date}', { part: iso.slice(11, 16), date: dayText(iso) });
