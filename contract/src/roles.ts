import type { EntryType } from './entries';

/** What somebody of the household is to the book, who may the most first. */
export const ROLES = ['owner', 'keeper', 'helper', 'viewer'] as const;
export type Role = (typeof ROLES)[number];

/**
 * Who may do what: the one place where that is said. `trade` is to see what is sold where and for how much; `settings` are
 * those of the holding and everything that is set up once and used on (groups, labels, templates, plans); `own` is
 * one’s own password, PIN and keys.
 */
export const MAY = {
  own: ['owner', 'keeper', 'helper', 'viewer'],
  read: ['owner', 'keeper', 'helper', 'viewer'],
  trade: ['owner', 'keeper', 'helper'],
  write: ['owner', 'keeper', 'helper'],
  'strike-others': ['owner', 'keeper'],
  decide: ['owner', 'keeper'],
  sell: ['owner', 'keeper'],
  settings: ['owner', 'keeper'],
  'take-out': ['owner', 'keeper'],
  house: ['owner'],
} as const satisfies Readonly<Record<string, readonly Role[]>>;
export type Deed = keyof typeof MAY;
export const DEEDS = Object.keys(MAY) as Deed[];

/** Whether a role may do something; nobody in particular, where the household has no accounts, may everything. */
export const mayRole = (role: Role | undefined, deed: Deed): boolean =>
  role === undefined || (MAY[deed] as readonly Role[]).includes(role);

/** What is done with the book by writing an entry, its strike aside. */
export function deedOf(entry: { readonly type: EntryType; readonly how?: unknown }): Deed {
  if (entry.type === 'choice') return 'decide';
  if (entry.type === 'reservation' || (entry.type === 'departure' && entry.how === 'sold')) return 'sell';
  return 'write';
}
