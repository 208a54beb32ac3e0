import {
  chanceText,
  type Entry,
  type OutletFacts,
  type OutletView,
  type SaleCell,
  type SaleRow,
  type SellingView,
} from '@yaylak/contract';
import {
  addDays,
  dayOf,
  FAT_PLACES,
  fatName,
  feltFat,
  fromKg,
  isoOf,
  isPaidDead,
  shapeName,
  stepAt,
  type BoxFactor,
  type BoxToday,
  type FatPlace,
  type HangsOn,
  type NoDayReason,
  type PayWay,
  type UnfitCheck,
  type WeightUnit,
} from '@yaylak/core';
import { countText, figureText, moneyText, shortDate, weightText } from './format';
import type { Told } from './lines';

/** Where fat is felt. */
export const FAT_PLACE_WORDS: Readonly<Record<FatPlace, string>> = {
  tail: 'tail-head',
  loin: 'loin',
  ribs: 'ribs',
  brisket: 'brisket',
};

/** How finished one was found, in a line: `Shape R+, fat 3 (tail-head 3, ribs 3-)`. */
export function finishText({
  shape,
  fat = {},
}: {
  readonly shape?: number | undefined;
  readonly fat?: Readonly<Partial<Record<FatPlace, number>>> | undefined;
}): string {
  const felt = feltFat(fat);
  const places = FAT_PLACES.flatMap((p) => (fat[p] === undefined ? [] : [`${FAT_PLACE_WORDS[p]} ${fatName(fat[p])}`]));
  const parts = [
    ...(shape === undefined ? [] : [`shape ${shapeName(shape)}`]),
    ...(felt === undefined ? [] : [`fat ${fatName(stepAt(felt))} (${places.join(', ')})`]),
  ].join(', ');
  return `${parts.charAt(0).toUpperCase()}${parts.slice(1)}`;
}

/** What came back of one that was killed: `Killed: carcass 20.4 kg, R+ 3, 112.60 EUR paid, 2.40 EUR taken off`. */
export function carcassText(
  {
    carcassKg,
    shape,
    fat,
    priceMinor,
    deductedMinor,
  }: Pick<Extract<Entry, { type: 'carcass' }>, 'carcassKg' | 'shape' | 'fat' | 'priceMinor' | 'deductedMinor'>,
  { unit, species, currency }: Pick<Told, 'unit' | 'species' | 'currency'>,
): string {
  const classes = [
    ...(shape === undefined ? [] : [shapeName(shape)]),
    ...(fat === undefined ? [] : [fatName(fat)]),
  ].join(' ');
  return [
    `Killed: carcass ${weightText(carcassKg, unit, species)}`,
    ...(classes === '' ? [] : [classes]),
    ...(priceMinor === undefined ? [] : [`${moneyText(priceMinor, currency)} paid`]),
    ...(deductedMinor === undefined ? [] : [`${moneyText(deductedMinor, currency)} taken off`]),
  ].join(', ');
}

/** What keeps one out of a box, by what fails and to which side. */
export const MISS_WORDS: Readonly<Record<BoxFactor, Readonly<Record<'under' | 'over', string>>>> = {
  weight: { under: 'too light', over: 'too heavy' },
  shape: { under: 'too plain', over: 'better shaped than wanted' },
  fat: { under: 'too lean', over: 'too fat' },
};

/** Whether an animal at hand is ready for an outlet, and why not. */
export function boxTodayText(box: BoxToday | undefined): string {
  if (!box) return 'not known: feel it, or it is not of the age they take';
  if (box.isReady)
    return box.isNarrow
      ? `ready by what is expected (they want it narrower than an eye is sure: ${chanceText(box.isNarrow.bestChance)} at best)`
      : `ready, ${chanceText(box.chance)}`;
  return `not ready: ${MISS_WORDS[box.worst.factor][box.worst.side]} (${chanceText(box.chance)})`;
}

/** How an outlet pays. */
export const PAY_WORDS: Readonly<Record<PayWay, string>> = {
  'live-kg': 'alive, by weight',
  'live-head': 'alive, per head',
  grid: 'dead, by class and weight',
  'carcass-kg': 'dead, a flat price by weight',
  'carcass-head': 'dressed, per head',
};

/** Monday first. */
export const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** What to say of one that may be sold, before all else. */
export function saleStateText(
  { state, held, inDays, cells, closesAtId }: SaleRow,
  { on, outlets }: Pick<SellingView, 'on' | 'outlets'>,
): string {
  switch (state) {
    case 'ready':
      return 'ready';
    case 'closing':
      return [
        `ready to ${shortDate(isoOf(addDays(dayOf(on), inDays ?? 0)))}`,
        ...endOf(
          cells,
          outlets.find((o) => o.id === closesAtId),
        ),
      ].join(', ');
    case 'plateau':
      return 'plateau: days cost more than they bring';
    case 'in-days':
      return `ready in ${countText(inDays ?? 0, 'day', 'days')}`;
    case 'not-felt':
      return 'fat not felt: take it through the finish station';
    case 'never': {
      const never = cells.find((c) => c.readiness.kind === 'never')?.readiness;
      return never?.kind === 'never'
        ? `never on this feed: ${MISS_WORDS[never.factor][never.side]}`
        : 'never on this feed';
    }
    case 'not-known':
      return 'weight not known: weigh it';
    case 'held':
      if (held?.of === 'withdrawal') return `meat clear ${held.clearOn ? shortDate(held.clearOn) : 'later'}`;
      if (held?.of === 'reserved') return `kept for ${held.buyer ?? 'a buyer'}`;
      return held?.unfit ? unfitText(held.unfit) : 'too young to leave';
  }
}

const unfitText = (unfit: UnfitCheck): string =>
  unfit.code === 'lame'
    ? `look first: feet or legs failed ${shortDate(unfit.on)}`
    : 'near birth: not fit to travel; vet and local rules decide';

/** `then too fat for River works`: what ends that one is ready. */
function endOf(cells: readonly SaleCell[], outlet: OutletView | undefined): string[] {
  const readiness = cells.find((c) => c.outletId === outlet?.id)?.readiness;
  if (!outlet || readiness?.kind !== 'ready' || !readiness.closes) return [];
  const { by } = readiness.closes;
  if (by.of === 'feed-limit') return ['then its days on feed are over'];
  return [`then ${by.of === 'age' ? 'too old' : MISS_WORDS[by.of][by.side]} for ${outlet.facts.name}`];
}

/** Why there is no figure for an outlet. */
export function missText({ held }: SaleRow, cell: SaleCell): string {
  if (held) return 'held';
  return cell.readiness.kind === 'not-felt' ? 'not felt' : 'no price';
}

/** What an outlet wants, in a line. */
export function wantsText({ wants, payBy, leastChance }: OutletFacts, unit: WeightUnit): string {
  const figure = (kg: number): string => figureText(fromKg(kg, unit), 1).replace(/\.0$/, '');
  const between = (what: string, from: string | undefined, to: string | undefined): string[] => {
    if (from === undefined && to === undefined) return [];
    if (from === undefined) return [`${what} up to ${to ?? ''}`];
    return [to === undefined ? `${what} from ${from}` : `${what} ${from} to ${to}`];
  };
  const kg = (n: number | undefined): string | undefined => (n === undefined ? undefined : figure(n));
  const name = (n: number | undefined, of: (step: number) => string): string | undefined =>
    n === undefined ? undefined : of(n);
  const parts = [
    ...between(isPaidDead(payBy) ? `carcass, ${unit},` : `alive, ${unit},`, kg(wants.fromKg), kg(wants.toKg)),
    ...between('shape', name(wants.fromShape, shapeName), name(wants.toShape, shapeName)),
    ...between('fat', name(wants.fromFat, fatName), name(wants.toFat, fatName)),
    ...between('days old', name(wants.fromDays, String), name(wants.toDays, String)),
  ];
  return parts.length === 0 ? 'takes any' : `${parts.join('; ')}; ready from ${Math.round(100 * leastChance)} % sure`;
}

/** Why there is no day to sell one on. */
export const NO_DAY_WORDS: Readonly<Record<NoDayReason, string>> = {
  withheld: 'something of it is withheld for longer than it may be fed',
  'too-young': 'it is not old enough before its days on feed are over',
  'feed-limit': 'its days on feed are over',
  'no-price': 'no price, or it was not felt',
};

/** What the answer hangs on, moved. */
export const hangText = (what: HangsOn, way: 'less' | 'more'): string =>
  ({
    gain: { less: 'its gain is at the low end of its range', more: 'its gain is at the high end of its range' },
    keep: { less: 'its keep costs a fifth less', more: 'its keep costs a fifth more' },
    price: { less: 'prices fall by 5 %', more: 'prices rise by 5 %' },
  })[what][way];
