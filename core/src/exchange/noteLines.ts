import { isoOf, parseDay } from '../calendar';

/** A note as a cell of a file carries it: with its day, where one is known. */
export interface NoteLine {
  readonly on?: string | undefined;
  readonly text: string;
}

const BETWEEN = ' | ';
const DAY_BEFORE = /^(\d{4}-\d{2}-\d{2}): (.+)$/su;

/** Notes in one cell: `2026-11-02: limps | 2026-11-05: better`. */
export const notesText = (notes: readonly NoteLine[]): string =>
  notes.map(({ on, text }) => (on === undefined ? text : `${on}: ${text.replaceAll(BETWEEN, ' / ')}`)).join(BETWEEN);

/** Notes of a cell as `notesText` writes them; what has no day before it is a note all the same. */
export const readNotes = (cell: string): NoteLine[] =>
  cell
    .split(BETWEEN)
    .map((part) => part.trim())
    .filter((part) => part !== '')
    .map((part) => {
      const [, iso = '', text = ''] = DAY_BEFORE.exec(part) ?? [];
      const day = parseDay(iso);
      return day === undefined ? { text: part } : { on: isoOf(day), text };
    });
