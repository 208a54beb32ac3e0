import { MAX_BATCH, say } from '@yaylak/contract';
import { badFields } from '../common/problems';

/**
 * The entries of a request's body, each still to be looked at: nothing walks into the batch as a whole, so that one
 * entry that cannot even be read is refused alone.
 * @throws ProblemException when it is no batch
 */
export function batchOf(body: unknown): readonly unknown[] {
  const { entries, ...more } = (typeof body === 'object' && body !== null ? body : {}) as { entries?: unknown };
  const fault = (message: string) => badFields([{ field: 'entries', message }]);
  if (!Array.isArray(entries)) throw fault(say('The entries must come as a list named “entries”.'));
  if (entries.length < 1 || entries.length > MAX_BATCH)
    throw fault(say('A batch holds 1 to {most} entries; this one has {n}.', { most: MAX_BATCH, n: entries.length }));
  const [other] = Object.keys(more);
  if (other !== undefined)
    throw badFields([{ field: other.slice(0, 60), message: say('A batch has “entries” and nothing else.') }]);
  return entries;
}
