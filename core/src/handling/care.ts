import type { Species } from '../species';
import type { Days } from '../units';

export const CARE_KINDS = ['feet', 'shear', 'clip', 'navel', 'dock', 'castrate', 'disbud'] as const;
export type CareKind = (typeof CARE_KINDS)[number];

/** Ways each is done; the first is offered. Where there is none nothing is asked. */
export const CARE_METHODS: Readonly<Record<CareKind, readonly string[]>> = {
  feet: ['trimmed', 'looked at', 'bathed'],
  shear: ['whole', 'belly and tail'],
  clip: ['tail', 'udder', 'whole'],
  navel: ['iodine', 'other dip'],
  dock: ['ring', 'hot iron'],
  castrate: ['ring', 'clamp', 'cut by the vet'],
  disbud: ['hot iron', 'by the vet'],
};

/**
 * Age in days after which a painful work is commonly not allowed without a vet and pain relief, or at all. Rules of
 * thumb: the law differs from place to place, and so the page says.
 */
const LIMIT_DAYS: Partial<Record<CareKind, Partial<Record<Species, number>>>> = {
  dock: { sheep: 7 },
  castrate: { sheep: 7, goat: 7, cattle: 56 },
  disbud: { goat: 10, cattle: 56 },
};

/** Works that hurt, and are lawful only under conditions. */
export const PAINFUL_CARE: readonly CareKind[] = ['dock', 'castrate', 'disbud'];

export type CareCaution =
  | { readonly kind: 'over-age'; readonly limitDays: Days; readonly ageDays: Days }
  /** Not done to this species. */
  | { readonly kind: 'not-usual' }
  | { readonly kind: 'wrong-sex' };

/** The age in days up to which it is commonly done by the keeper, see `LIMIT_DAYS`; undefined where there is none. */
export const careLimitDays = (kind: CareKind, species: Species): Days | undefined => LIMIT_DAYS[kind]?.[species];

/** What speaks against a work on an animal. @param ageDays undefined where the birth is not known */
export function careCaution(
  kind: CareKind,
  animal: { readonly species: Species; readonly sex: string; readonly ageDays: Days | undefined },
): CareCaution | undefined {
  if (!PAINFUL_CARE.includes(kind)) return undefined;
  if (kind === 'castrate' && (animal.sex === 'female' || animal.sex === 'castrate')) return { kind: 'wrong-sex' };
  const limitDays = careLimitDays(kind, animal.species);
  if (limitDays === undefined) return { kind: 'not-usual' };
  const { ageDays } = animal;
  return ageDays !== undefined && ageDays > limitDays ? { kind: 'over-age', limitDays, ageDays } : undefined;
}
