import { ENTRY_CLASSES, type Entry, type EntryType, type FieldFault, say } from '@yaylak/contract';
import { keptText } from '@yaylak/core';
import { plainToInstance } from 'class-transformer';
import { isUUID, validateSync } from 'class-validator';
import { fieldFaults } from '../common/problems';
import { boundFault } from '../common/bounds';
import { quickCheck } from './quickCheck';

export type Shaped =
  | { readonly kind: 'entry'; readonly entry: Entry }
  | { readonly kind: 'faulty'; readonly id: string; readonly faults: readonly FieldFault[] };

const QUICK = Object.fromEntries(
  Object.entries(ENTRY_CLASSES).map(([type, of]) => [type, quickCheck(of as new () => Entry)]),
) as Record<string, (raw: unknown) => Entry | undefined> as Readonly<
  Record<EntryType, (raw: unknown) => Entry | undefined>
>;

/** One form of a number is stored, however a stick or a hand sent it. */
function asKept(entry: Entry): Entry {
  if (entry.type === 'identifier') entry.text = keptText(entry.kind, entry.text);
  return entry;
}

/** Reads one entry of a batch against its class; a faulty one is an answer of its own and does not spoil the batch. */
export function shapeEntry(raw: unknown): Shaped {
  const { id, type } = (raw ?? {}) as { id?: unknown; type?: unknown };
  const known = typeof id === 'string' && isUUID(id) ? id : '';
  const unbounded = boundFault(raw);
  if (unbounded) return { kind: 'faulty', id: known, faults: [unbounded] };
  if (typeof type !== 'string' || !Object.hasOwn(ENTRY_CLASSES, type)) {
    const given = typeof type === 'string' ? `“${type.slice(0, 40)}”` : say('That');
    const message = say('{given} is not a kind of entry. Use one of {list}.', {
      given,
      list: Object.keys(ENTRY_CLASSES).join(', '),
    });
    return { kind: 'faulty', id: known, faults: [{ field: 'type', message }] };
  }
  const quick = QUICK[type as EntryType](raw);
  if (quick) return { kind: 'entry', entry: asKept(quick) };
  const entry: Entry = plainToInstance(ENTRY_CLASSES[type as EntryType] as new () => Entry, raw);
  const errors = validateSync(entry, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  if (errors.length > 0) return { kind: 'faulty', id: known, faults: fieldFaults(errors) };
  return { kind: 'entry', entry: asKept(entry) };
}
