import { BooleanType, JsonType, UnderscoreNamingStrategy } from '@mikro-orm/core';
import { ENTRY_TYPES, type EntryType } from '@yaylak/contract';
import { ENTRY_ENTITIES } from '../records/entry.entities';

/** A kind's own table as it is read and written: what each field of the entry on the wire is there. */
export interface EntryTable {
  readonly name: string;
  /** Column by the field's name on the wire. */
  readonly columns: Readonly<Record<string, string>>;
  /** How a plain select's value is read, where it is not the value itself. */
  readonly read: Readonly<Record<string, (value: string | number) => unknown>>;
}

/** What the library keeps of an entity's field before it is started. */
interface Property {
  readonly kind?: string;
  readonly type?: unknown;
  readonly nullable?: boolean;
}

const naming = new UnderscoreNamingStrategy();
const flag = (value: string | number): true | null => (value ? true : null);
const json = (value: string | number): unknown => JSON.parse(String(value));

/** A field that names another record ends in `Id` on the wire; the entry a strike takes out is its `entryId`. */
const onWire = (property: string): string => (property === 'struckEntry' ? 'entryId' : `${property}Id`);

function tableOf(type: EntryType): EntryTable {
  const { tableName, properties } = ENTRY_ENTITIES[type].meta;
  const columns: Record<string, string> = {};
  const read: Record<string, (value: string | number) => unknown> = {};
  for (const [name, { kind, type: of, nullable }] of Object.entries(properties as Record<string, Property>)) {
    if (name === 'entry') continue;
    if (kind === undefined) columns[name] = naming.propertyToColumnName(name);
    else columns[onWire(name)] = naming.joinKeyColumnName(name, 'id');
    if (of === JsonType) read[name] = json;
    if (of === BooleanType) read[name] = nullable ? flag : Boolean;
  }
  return { name: tableName, columns, read };
}

/** Where each kind of entry lies. */
export const ENTRY_TABLES = Object.fromEntries(ENTRY_TYPES.map((type) => [type, tableOf(type)])) as Readonly<
  Record<EntryType, EntryTable>
>;

/** Columns of each kind that hold a list or a set of grades: no schema can hold these to a shape. */
export const LISTS = Object.fromEntries(
  Object.entries(ENTRY_TABLES).map(([type, { read }]) => [
    type,
    Object.keys(read).filter((name) => read[name] === json),
  ]),
) as unknown as Readonly<Record<EntryType, readonly string[]>>;
