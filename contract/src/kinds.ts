// Kinds by name, apart from the classes that check them: the interface takes the names alone along.
import { DECISIONS } from '@yaylak/core';

export const ENTRY_SOURCES = ['hand', 'race', 'import', 'demo'] as const;
export const IDENTIFIER_ENDS = ['lost', 'removed'] as const;
export const MARK_COLOURS = ['red', 'blue', 'green', 'orange', 'black'] as const;
export const MARK_PLACES = ['shoulder', 'back', 'rump', 'head'] as const;
/** `pregnancy` is blood as well, asked one thing only. */
export const SAMPLE_PURPOSES = ['pregnancy', 'blood', 'gene', 'dung', 'milk', 'swab'] as const;
export type MarkColour = (typeof MARK_COLOURS)[number];
export type EntrySource = (typeof ENTRY_SOURCES)[number];
export type SamplePurpose = (typeof SAMPLE_PURPOSES)[number];

/** What can be done with an animal on its way past, in the order it is usually done. */
export const STATIONS = [
  'identify',
  'weigh',
  'litter',
  'score',
  'measure',
  'finish',
  'raddle',
  'scan',
  'look',
  'treat',
  'sample',
  'mark',
  'care',
  'move',
  'note',
  'sort',
] as const;
export type Station = (typeof STATIONS)[number];

/** Who is written down: each animal, the young of each dam scanned, or a dam's litter as one. */
export const JOB_SUBJECTS = ['each', 'young', 'litter'] as const;
export type JobSubject = (typeof JOB_SUBJECTS)[number];

export const JOB_WEIGHING = ['scale', 'crate', 'tape', 'estimate'] as const;

/** Bytes of a whole book's file at most without its pictures: 200,000 entries have some 60 million. */
export const MOST_FACT_BYTES = 96_000_000;
/** And with them: each has up to 200,000 characters. */
export const MOST_BOOK_BYTES = 1_000_000_000;

/** What a person says of one animal while choosing; undecided is written of nobody. */
export const DRAFT_DECISIONS = [...DECISIONS, 'undecided'] as const;
export type DraftDecision = (typeof DRAFT_DECISIONS)[number];
