import { ENTRY_CLASSES, type EntryType } from './entries';
import { ID } from './exampleId';

export { ID };

/** What every entry carries. */
export const COMMON = {
  id: ID,
  on: '2026-11-01',
  writtenAt: '2026-11-01T08:00:00.000Z',
  writtenBy: 'Aylin',
  source: 'hand',
  jobId: ID,
};

/** An entry of each type with every field it can have. */
export const EXAMPLES = Object.fromEntries(
  Object.entries(ENTRY_CLASSES).map(([type, { example }]) => [type, example]),
) as Readonly<Record<EntryType, object>>;
