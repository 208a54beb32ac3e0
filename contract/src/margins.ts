import { SPECIES, type HeadCosts, type MarginParts, type Species } from '@yaylak/core';
import { IsIn } from 'class-validator';

/** What sales are told apart by. */
export const MARGINS_BY = ['outlet', 'group', 'month', 'breed'] as const;
export type MarginsBy = (typeof MARGINS_BY)[number];

export class MarginsQuery {
  @IsIn(SPECIES)
  species: Species;
  @IsIn(MARGINS_BY)
  by: MarginsBy;
}

/** The mean of heads sold in a year, hundredths of money that add up. */
export interface YearMarginView {
  readonly year: number;
  readonly heads: number;
  readonly parts: MarginParts;
  readonly leftMinor: number;
  /** Heads of which it was noted at all. */
  readonly noted: Readonly<Record<keyof HeadCosts, number>>;
}

/** Those of one outlet, group, month or breed. */
export interface MarginRowView {
  /** Of a month its number, `01` to `12`; of a sale outside all outlets, groups or breeds empty. */
  readonly key: string;
  readonly name: string;
  /** The newest first. */
  readonly years: readonly YearMarginView[];
}

/** What sales left in the hand. */
export interface MarginsView {
  readonly species: Species;
  readonly by: MarginsBy;
  /** Years with sales, the newest first. */
  readonly years: readonly number[];
  readonly rows: readonly MarginRowView[];
  readonly all: readonly YearMarginView[];
  /** Sold without anybody having said for how much: left out. */
  readonly unpaid: readonly { readonly year: number; readonly heads: number }[];
}
