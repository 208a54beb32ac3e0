import type { Entry, EntryType } from '@yaylak/contract';
import type { Species, Standard, WeightUnit } from '@yaylak/core';

/** What an entry's line needs to know beside the entry. */
export interface Told {
  readonly species: Species | undefined;
  readonly unit: WeightUnit;
  /** The holding's money. */
  readonly currency: string;
  readonly standards: readonly Standard[];
  readonly groupName?: string | undefined;
  readonly productName?: string | undefined;
  /** Of a sample, the day its result came; null where it is awaited. */
  readonly answeredOn?: string | null | undefined;
  /** How another animal is called. */
  readonly nameOf?: ((animalId: string) => string | undefined) | undefined;
}

/** How each kind of entry is told in a line. */
export type Lines<Type extends EntryType = EntryType> = {
  readonly [T in Type]: (entry: Extract<Entry, { readonly type: T }>, told: Told) => string;
};
