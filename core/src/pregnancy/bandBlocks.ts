import { addDays, type Day } from '../calendar';

/** A season of mating with what came of it, or is awaited. */
export interface SeasonTold {
  readonly from: Day;
  readonly to: Day;
  /** Females served. */
  readonly females: number;
  /** Days of the births it brought. */
  readonly births: readonly Day[];
  /** From the first to the last birth that is awaited; undefined where none is. */
  readonly awaited: { readonly from: Day; readonly to: Day } | undefined;
}

/** A stretch of the year band from services and tests; births that are awaited are no fact yet. */
export interface CarryingBlock {
  readonly kind: 'mating' | 'carrying' | 'births';
  readonly from: Day;
  readonly to: Day;
  readonly females: number;
  readonly isExpected: boolean;
}

/** The mating of a season, the carrying from its end to the first birth, and the births still awaited. */
export function carryingBlocks({ from, to, females, births, awaited }: SeasonTold): CarryingBlock[] {
  const block = (kind: CarryingBlock['kind'], first: Day, last: Day, isExpected = false): CarryingBlock[] =>
    first <= last ? [{ kind, from: first, to: last, females, isExpected }] : [];
  const birthDays = [...births, ...(awaited ? [awaited.from] : [])];
  const firstBirth = birthDays.length > 0 ? (Math.min(...birthDays) as Day) : undefined;
  return [
    ...block('mating', from, to),
    ...(firstBirth === undefined ? [] : block('carrying', addDays(to, 1), addDays(firstBirth, -1))),
    ...(awaited ? block('births', awaited.from, awaited.to, true) : []),
  ];
}
