import {
  chanceText,
  type Entry,
  type OutletFacts,
  type OutletView,
  type SaleCell,
  type SaleRow,
  type SellingView,
  say,
  capital,
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
import { shortDate } from './dates';
import { figureText, moneyText, weightText } from './format';
import type { Told } from './lines';

/** Where fat is felt. */
export const FAT_PLACE_WORDS: Readonly<Record<FatPlace, string>> = {
  tail: say('tail-head'),
  loin: say('loin'),
  ribs: say('ribs'),
  brisket: say('brisket'),
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
    ...(shape === undefined ? [] : [say('shape {shapeName}', { shapeName: shapeName(shape) })]),
    ...(felt === undefined
      ? []
      : [say('fat {fatName} ({list})', { fatName: fatName(stepAt(felt)), list: places.join(', ') })]),
  ].join(', ');
  return `${capital(parts)}`;
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
    say('Killed: carcass {weight}', { weight: weightText(carcassKg, unit, species) }),
    ...(classes === '' ? [] : [classes]),
    ...(priceMinor === undefined ? [] : [say('{money} paid', { money: moneyText(priceMinor, currency) })]),
    ...(deductedMinor === undefined ? [] : [say('{money} taken off', { money: moneyText(deductedMinor, currency) })]),
  ].join(', ');
}

/** What keeps one out of a box, by what fails and to which side. */
export const MISS_WORDS: Readonly<Record<BoxFactor, Readonly<Record<'under' | 'over', string>>>> = {
  weight: { under: say('too light'), over: say('too heavy') },
  shape: { under: say('too plain'), over: say('better shaped than wanted') },
  fat: { under: say('too lean'), over: say('too fat') },
};

/** Whether an animal at hand is ready for an outlet, and why not. */
export function boxTodayText(box: BoxToday | undefined): string {
  if (!box) return say('not known: feel it, or it is not of the age they take');
  if (box.isReady)
    return box.isNarrow
      ? say('ready by what is expected (they want it narrower than an eye is sure: {chance} at best)', {
          chance: chanceText(box.isNarrow.bestChance),
        })
      : say('ready, {chance}', { chance: chanceText(box.chance) });
  return say('not ready: {value} ({chance})', {
    value: MISS_WORDS[box.worst.factor][box.worst.side],
    chance: chanceText(box.chance),
  });
}

/** How an outlet pays. */
export const PAY_WORDS: Readonly<Record<PayWay, string>> = {
  'live-kg': say('alive, by weight'),
  'live-head': say('alive, per head'),
  grid: say('dead, by class and weight'),
  'carcass-kg': say('dead, a flat price by weight'),
  'carcass-head': say('dressed, per head'),
};

/** Monday first. */
export const WEEKDAYS = [say('Mon'), say('Tue'), say('Wed'), say('Thu'), say('Fri'), say('Sat'), say('Sun')] as const;

/** What to say of one that may be sold, before all else. */
export function saleStateText(
  { state, held, inDays, cells, closesAtId }: SaleRow,
  { on, outlets }: Pick<SellingView, 'on' | 'outlets'>,
): string {
  switch (state) {
    case 'ready':
      return say('ready');
    case 'closing':
      return [
        say('ready to {date}', { date: shortDate(isoOf(addDays(dayOf(on), inDays ?? 0))) }),
        ...endOf(
          cells,
          outlets.find((o) => o.id === closesAtId),
        ),
      ].join(', ');
    case 'plateau':
      return say('plateau: days cost more than they bring');
    case 'in-days':
      return say('ready in {n} {n, plural, one {day} other {days}}', { n: inDays ?? 0 });
    case 'not-felt':
      return say('fat not felt: take it through the finish station');
    case 'never': {
      const never = cells.find((c) => c.readiness.kind === 'never')?.readiness;
      return never?.kind === 'never'
        ? say('never on this feed: {value}', { value: MISS_WORDS[never.factor][never.side] })
        : say('never on this feed');
    }
    case 'not-known':
      return say('weight not known: weigh it');
    case 'held':
      if (held?.of === 'withdrawal')
        return say('meat clear {value}', { value: held.clearOn ? shortDate(held.clearOn) : say('later') });
      if (held?.of === 'reserved') return say('kept for {n}', { n: held.buyer ?? say('a buyer') });
      return held?.unfit ? unfitText(held.unfit) : say('too young to leave');
  }
}

const unfitText = (unfit: UnfitCheck): string =>
  unfit.code === 'lame'
    ? say('look first: feet or legs failed {date}', { date: shortDate(unfit.on) })
    : say('near birth: not fit to travel; vet and local rules decide');

/** `then too fat for River works`: what ends that one is ready. */
function endOf(cells: readonly SaleCell[], outlet: OutletView | undefined): string[] {
  const readiness = cells.find((c) => c.outletId === outlet?.id)?.readiness;
  if (!outlet || readiness?.kind !== 'ready' || !readiness.closes) return [];
  const { by } = readiness.closes;
  if (by.of === 'feed-limit') return [say('then its days on feed are over')];
  return [
    say('then {value} for {name}', {
      value: by.of === 'age' ? say('too old') : MISS_WORDS[by.of][by.side],
      name: outlet.facts.name,
    }),
  ];
}

/** Why there is no figure for an outlet. */
export function missText({ held }: SaleRow, cell: SaleCell): string {
  if (held) return say('held');
  return cell.readiness.kind === 'not-felt' ? say('not felt') : say('no price');
}

/** What an outlet wants, in a line. */
export function wantsText({ wants, payBy, leastChance }: OutletFacts, unit: WeightUnit): string {
  const figure = (kg: number): string => figureText(fromKg(kg, unit), 1).replace(/\.0$/, '');
  const between = (what: string, from: string | undefined, to: string | undefined): string[] => {
    if (from === undefined && to === undefined) return [];
    if (from === undefined) return [say('{what} up to {n}', { what, n: to ?? '' })];
    return [
      to === undefined ? say('{what} from {from}', { what, from }) : say('{what} {from} to {to}', { what, from, to }),
    ];
  };
  const kg = (n: number | undefined): string | undefined => (n === undefined ? undefined : figure(n));
  const name = (n: number | undefined, of: (step: number) => string): string | undefined =>
    n === undefined ? undefined : of(n);
  const parts = [
    ...between(
      isPaidDead(payBy) ? say('carcass, {unit},', { unit }) : say('alive, {unit},', { unit }),
      kg(wants.fromKg),
      kg(wants.toKg),
    ),
    ...between(say('shape'), name(wants.fromShape, shapeName), name(wants.toShape, shapeName)),
    ...between(say('fat'), name(wants.fromFat, fatName), name(wants.toFat, fatName)),
    ...between(say('days old'), name(wants.fromDays, String), name(wants.toDays, String)),
  ];
  return parts.length === 0
    ? say('takes any')
    : say('{list}; ready from {n} % sure', { list: parts.join('; '), n: Math.round(100 * leastChance) });
}

/** Why there is no day to sell one on. */
export const NO_DAY_WORDS: Readonly<Record<NoDayReason, string>> = {
  withheld: say('something of it is withheld for longer than it may be fed'),
  'too-young': say('it is not old enough before its days on feed are over'),
  'feed-limit': say('its days on feed are over'),
  'no-price': say('no price, or it was not felt'),
};

/** What the answer hangs on, moved. */
export const hangText = (what: HangsOn, way: 'less' | 'more'): string =>
  ({
    gain: {
      less: say('its gain is at the low end of its range'),
      more: say('its gain is at the high end of its range'),
    },
    keep: { less: say('its keep costs a fifth less'), more: say('its keep costs a fifth more') },
    price: { less: say('prices fall by 5 %'), more: say('prices rise by 5 %') },
  })[what][way];
