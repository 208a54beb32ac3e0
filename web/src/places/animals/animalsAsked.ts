import type { AnimalQuery, AnimalSort } from '@yaylak/contract';
import type { Decision, Sex, Species } from '@yaylak/core';
import { COLUMNS, type ColumnId } from './columns';

const DEFAULT_COLUMNS: readonly ColumnId[] = ['number', 'kind', 'group', 'age', 'dam', 'lastKg', 'gain'];
export const COLUMNS_KEY = 'yaylak-animal-columns';

/** The columns chosen on this device, in their order. */
export const rememberedColumns = (): readonly ColumnId[] => {
  const kept = (localStorage.getItem(COLUMNS_KEY) ?? '').split(',').filter((c): c is ColumnId => c in COLUMNS);
  return kept.length > 0 ? kept : DEFAULT_COLUMNS;
};

/** Those of them that a phone has room for: the number, and the last weight or what else was chosen first. */
export function columnsOnPhone(columns: readonly ColumnId[]): readonly ColumnId[] {
  const others = columns.filter((c) => c !== 'number');
  return ['number', ...(others.includes('lastKg') ? (['lastKg'] as const) : others.slice(0, 1))];
}

/** What is asked of the list, as the address has it. */
export function queryOf(params: URLSearchParams): AnimalQuery {
  const get = (key: string): string | undefined => params.get(key) ?? undefined;
  const bornIn = get('bornIn');
  return {
    ...(get('words') ? { words: get('words') } : {}),
    ...(get('species') ? { species: get('species') as Species } : {}),
    ...(get('sex') ? { sex: get('sex') as Sex } : {}),
    ...(get('groupId') ? { groupId: get('groupId') } : {}),
    ...(get('presence') ? { presence: get('presence') as 'gone' | 'all' } : {}),
    ...(bornIn ? { bornIn: Number(bornIn) } : {}),
    ...(get('mark') ? { mark: get('mark') } : {}),
    ...(get('withheld') ? { withheld: get('withheld') as 'any' } : {}),
    ...(get('strain') ? { strain: get('strain') } : {}),
    ...(get('chosen') ? { chosen: get('chosen') as Decision } : {}),
    ...(get('sort') ? { sort: get('sort') as AnimalSort } : {}),
    ...(get('direction') ? { direction: get('direction') as 'up' | 'down' } : {}),
  } as AnimalQuery;
}
