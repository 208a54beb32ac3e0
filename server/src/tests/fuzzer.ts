/* Requests made from the API's own document: most of them nearly right, each with something no field may be. */

export interface Schema {
  readonly $ref?: string;
  readonly type?: string;
  readonly format?: string;
  readonly enum?: readonly unknown[];
  readonly minimum?: number;
  readonly maximum?: number;
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly items?: Schema;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly oneOf?: readonly Schema[];
  readonly anyOf?: readonly Schema[];
  readonly additionalProperties?: Schema | boolean;
}
interface Operation {
  readonly parameters?: readonly { readonly name: string; readonly in: string; readonly schema: Schema }[];
  readonly requestBody?: { readonly content: Readonly<Record<string, { readonly schema: Schema }>> };
}
export interface ApiDocument {
  readonly paths: Readonly<Record<string, Readonly<Record<string, Operation>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, Schema>> };
}

export interface FuzzRequest {
  readonly method: string;
  readonly path: string;
  readonly body?: unknown;
}

export type Random = () => number;

/** Numbers that look random and are the same for a seed (mulberry32). */
export function seeded(seed: number): Random {
  let a = seed;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

let deep: unknown = 1;
for (let i = 0; i < 60; i++) deep = [deep];

/** What a field may be sent as by a faulty device or a hostile hand. */
export const POISON: readonly unknown[] = [
  null,
  [],
  [[]],
  {},
  '',
  '\u0000',
  '\ud800',
  1e308,
  -0,
  -1,
  0.1,
  true,
  'x'.repeat(10_000),
  '__proto__',
  'constructor',
  '2026-02-30',
  '0000-01-01',
  '9999-12-31',
  'NaN',
  [null],
  [{}],
  { toString: 1 },
  deep,
];

const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;

function uuid(random: Random): string {
  const hex = (n: number): string => Array.from({ length: n }, () => Math.floor(random() * 16).toString(16)).join('');
  return `${hex(8)}-${hex(4)}-7${hex(3)}-8${hex(3)}-${hex(12)}`;
}

function dateOf(random: Random): string {
  // Mostly of the last weeks, as facts are; some long before, a few still to come.
  const back = random() < 0.8 ? random() * 60 : random() * 700 - 30;
  const day = new Date(Date.UTC(2026, 10, 23) - Math.floor(back) * 86_400_000);
  return day.toISOString().slice(0, 10);
}

/** Ids by what they are of: an animal's, a group's, an entry's by its type. */
export type KnownIds = Readonly<Record<string, readonly string[] | undefined>>;

/** What an id is of, by the name of its field or by what stands before it in a path. */
const ID_OF: Readonly<Record<string, string>> = {
  animalId: 'animals',
  animalIds: 'animals',
  damId: 'animals',
  donorId: 'animals',
  sireId: 'animals',
  maleIds: 'animals',
  groupId: 'groups',
  jobId: 'jobs',
  productId: 'products',
  identifierId: 'identifier',
  stayId: 'stay',
  reservationId: 'reservation',
  sampleId: 'sample',
  entryId: 'weight',
};

/** The ids in a book file, by kind. */
export function idsOf(book: { readonly entries?: readonly object[] }): Record<string, string[]> {
  const ids: Record<string, string[]> = {};
  const entries = (book.entries ?? []) as readonly { readonly type: string; readonly animalId: string }[];
  const gone = new Set(entries.flatMap((e) => (e.type === 'departure' ? [e.animalId] : [])));
  for (const [part, list] of Object.entries(book))
    for (const { id, type } of Array.isArray(list) ? (list as { id: string; type?: string }[]) : [])
      if (!gone.has(id)) (ids[type ?? part] ??= []).push(id);
  return ids;
}

/** Makes requests; `known` are ids that are in the book, so that many of them are taken. */
export function createFuzzer(document: ApiDocument, random: Random, known: () => KnownIds) {
  const operations = Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, operation]) => ({ path, method, operation })),
  );
  const anId = (of: string): string => {
    const ids = known()[of] ?? Object.values(known()).flatMap((list) => list ?? []);
    return ids.length > 0 && random() < 0.9 ? pick(random, ids) : uuid(random);
  };

  const text = (name: string, schema: Schema): string => {
    if (schema.format === 'uuid') return name === 'id' ? uuid(random) : anId(ID_OF[name] ?? name);
    if (/(^on|On|since|until|^from|^to|At)$/.test(name))
      return name.endsWith('At') ? `${dateOf(random)}T08:00:00.000Z` : dateOf(random);
    if (name === 'at') return `${dateOf(random)}T07:30`;
    if (name === 'currency') return 'EUR';
    return pick(random, ['a', 'Ewe 12', 'K-001', 'gut', '26-0001']);
  };

  function valueOf(name: string, schema: Schema, depth = 0): unknown {
    if (schema.$ref !== undefined && schema.type === undefined) {
      const named = document.components.schemas[schema.$ref.split('/').at(-1) as string];
      return named && depth < 8 ? valueOf(name, named, depth + 1) : {};
    }
    const choices = schema.oneOf ?? schema.anyOf;
    if (choices) return valueOf(name, pick(random, choices), depth + 1);
    if (schema.type === 'null') return null;
    if (schema.enum) return pick(random, schema.enum);
    if (schema.type === 'string') return text(name, schema);
    if (schema.type === 'boolean') return random() < 0.5;
    if (schema.type === 'array')
      return Array.from(
        { length: Math.max(schema.minItems ?? 0, Math.floor(random() * (name === 'entries' ? 9 : 3))) },
        () => valueOf(name, schema.items ?? {}, depth + 1),
      );
    if (schema.type === 'integer' || schema.type === 'number') {
      if (name === 'version') return random() < 0.8 ? 1 + Math.floor(random() * 3) : 7;
      const from = schema.minimum ?? 0;
      const value = from + random() * (Math.min(schema.maximum ?? 60, from + 60) - from);
      return schema.type === 'integer' ? Math.round(value) : Math.round(value * 10) / 10;
    }
    const value: Record<string, unknown> = Object.fromEntries(
      Object.entries(schema.properties ?? {})
        .filter(([key]) => (schema.required ?? []).includes(key) || random() < 0.4)
        .map(([key, of]) => [key, valueOf(key, of, depth + 1)]),
    );
    if (typeof schema.additionalProperties === 'object')
      for (const key of ['mouth', 'feet'])
        if (random() < 0.7) value[key] = valueOf(key, schema.additionalProperties, depth + 1);
    // An hour is one of its day.
    if ('on' in value && 'at' in value) value.at = `${String(value.on)}T07:30`;
    return value;
  }

  /** Puts something that may not be somewhere into a value. */
  function poisoned(value: unknown): unknown {
    if (typeof value !== 'object' || value === null || random() < 0.25) return pick(random, POISON);
    const keys = Object.keys(value);
    if (keys.length === 0 || random() < 0.1)
      return { ...value, [pick(random, ['more', '__proto__', 'id', 'a\u0000'])]: pick(random, POISON) };
    const key = pick(random, keys);
    const inner = (value as Record<string, unknown>)[key];
    if (Array.isArray(value)) return value.map((v: unknown, i) => (String(i) === key ? poisoned(v) : v));
    return { ...value, [key]: poisoned(inner) };
  }

  return {
    /** A value of a named schema that fits it, as far as a schema can say. */
    valueOf: (schema: string): unknown => valueOf('', { $ref: schema }),
    /** The next request of the seed. */
    next(): FuzzRequest {
      const writes = operations.filter((o) => o.method !== 'get');
      const entries = writes.filter((o) => o.path === '/api/entries');
      const { path, method, operation } = pick(
        random,
        random() < 0.35 ? entries : random() < 0.7 ? writes : operations,
      );
      const params = operation.parameters ?? [];
      const poison = (v: unknown): string => {
        const value = random() < 0.3 ? pick(random, POISON) : v;
        return typeof value === 'string' ? value.slice(0, 2_000) : JSON.stringify(value);
      };
      let url = path.replaceAll(/(\w+)\/\{(\w+)\}/g, (_, of: string, name: string) => {
        const value = poison(name === 'species' ? 'sheep' : anId(of));
        return `${of}/${encodeURIComponent(toWhole(value))}`;
      });
      const query = params.filter((p) => p.in === 'query' && random() < 0.6);
      if (query.length > 0)
        url += `?${query.map((p) => `${p.name}=${encodeURIComponent(toWhole(poison(valueOf(p.name, p.schema))))}`).join('&')}`;
      const schema = operation.requestBody?.content['application/json']?.schema;
      if (method === 'get' || method === 'delete') return { method, path: url };
      const body = schema ? valueOf('', schema) : { format: 'yaylak-book', formatVersion: 1 };
      return { method, path: url, body: random() < 0.6 ? poisoned(body) : body };
    },
  };
}

/** An address holds no half pairs. */
const toWhole = (text: string): string => (text as string & { toWellFormed(): string }).toWellFormed();

/** The same request with fewer fields, as long as it still breaks. */
export async function minimised(
  request: FuzzRequest,
  breaks: (request: FuzzRequest) => Promise<boolean>,
): Promise<FuzzRequest> {
  let body = request.body;
  const paths = (value: unknown, under: readonly string[] = []): string[][] =>
    typeof value === 'object' && value !== null && under.length < 6
      ? Object.entries(value).flatMap(([key, v]) => [[...under, key], ...paths(v, [...under, key])])
      : [];
  for (const path of paths(body)) {
    const less = without(body, path);
    if (less !== undefined && (await breaks({ ...request, body: less }))) body = less;
  }
  return { ...request, body };
}

function without(value: unknown, [key, ...rest]: readonly string[]): unknown {
  if (typeof value !== 'object' || value === null || key === undefined || !Object.hasOwn(value, key)) return undefined;
  if (rest.length === 0)
    return Array.isArray(value)
      ? value.filter((_, i) => String(i) !== key)
      : Object.fromEntries(Object.entries(value).filter(([k]) => k !== key));
  const inner = without((value as Record<string, unknown>)[key], rest);
  if (inner === undefined) return undefined;
  return Array.isArray(value)
    ? value.map((v: unknown, i) => (String(i) === key ? inner : v))
    : { ...value, [key]: inner };
}
