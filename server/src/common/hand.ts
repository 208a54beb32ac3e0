import { AsyncLocalStorage } from 'node:async_hooks';
import { deedOf, mayRole, say, type Entry, type Role } from '@yaylak/contract';

/** Who is logged in while something is written. */
export interface Hand {
  readonly name: string;
  readonly role: Role;
  /** Others who have logged in on the same device, by name: what they wrote there without the server may come now. */
  readonly alsoHere: ReadonlyMap<string, Role>;
}

const atWork = new AsyncLocalStorage<Hand | undefined>();

/** Has everything that is written in the course of a piece of work be that person’s. */
export const workAs = <T>(hand: Hand | undefined, work: () => T): T => atWork.run(hand, work);

/** Who works; nobody in particular where the household has no accounts. */
export const handAtWork = (): Hand | undefined => atWork.getStore();

/** The name that stands under what is written: of who is logged in, or of who wrote it on the same device before. */
export function authorOf(written: string): string {
  const hand = handAtWork();
  return hand === undefined || hand.alsoHere.has(written) ? written : hand.name;
}

/**
 * What stands against an entry’s being written by who is logged in, in words.
 * @param entry with its author
 * @param struck the entry that it strikes out
 */
export function forbidden(entry: Entry, struck: Entry | undefined): string | undefined {
  const hand = handAtWork();
  if (hand === undefined) return undefined;
  if (isAbove(hand.alsoHere.get(entry.writtenBy), hand.role))
    return say('{name} wrote this on this device. It goes to the book when {name} logs in here and sends it again.', {
      name: entry.writtenBy,
    });
  if (entry.type === 'strike') {
    if (mayRole(hand.role, 'strike-others')) return undefined;
    if (!mayRole(hand.role, 'write')) return mayNot.write();
    return struck === undefined || struck.writtenBy === entry.writtenBy ? undefined : mayNot.strike(struck.writtenBy);
  }
  const deed = deedOf(entry);
  if (mayRole(hand.role, deed)) return undefined;
  return deed === 'sell' ? mayNot.sell() : deed === 'decide' ? mayNot.decide() : mayNot.write();
}

const mayNot = {
  write: () => say('You are a viewer of this book, and do not write in it. An owner can change that.'),
  sell: () => say('Selling is for owners and keepers. Note it on the animal, and tell one of them.'),
  decide: () => say('Who stays and who goes is for owners and keepers. Note it on the animal, and tell one of them.'),
  strike: (name: string) =>
    say('{name} wrote this. You strike out what you wrote yourself; ask {name}, an owner or a keeper.', { name }),
};

/** Whether a role may something that another may not. */
function isAbove(role: Role | undefined, other: Role): boolean {
  if (role === undefined) return false;
  return RANK[role] < RANK[other];
}
const RANK: Readonly<Record<Role, number>> = { owner: 0, keeper: 1, helper: 2, viewer: 3 };
