import type { BirthQuestion } from '../births';
import type { ElectronicRefusal } from '../identity';
import type { FemaleReason, MaleReason, PairRefusal } from '../mating';
import type { ParentageFault, ParentRole } from '../pedigree';
import type { DoseUnit, TooSmall } from '../remedies';
import type { Species } from '../species';
import type { TooSoonTold } from './testTooSoon';
import type { AnimalId, GroupId, Kilograms, Days } from '../units';

/** Refusals that need no more said than the field and its value. */
type PlainCode =
  | 'unknown-animal'
  | 'animal-known'
  | 'unknown-group'
  | 'unknown-identifier'
  | 'identifier-ended'
  | 'in-future'
  | 'later-than-now'
  | 'empty'
  | 'unknown-product'
  | 'unknown-job'
  | 'amount-not-positive'
  | 'withdrawal-needed'
  | 'nothing-looked-at'
  | 'nothing-measured'
  | 'nothing-felt'
  | 'not-sold'
  | 'deducted-over-price'
  | 'not-a-class'
  | 'not-a-dam'
  | 'not-a-score'
  | 'weight-not-positive'
  | 'not-a-female'
  | 'not-a-male'
  | 'no-sire'
  | 'unknown-stay'
  | 'stay-ended'
  | 'unknown-male'
  | 'male-of-other-species'
  | 'does-not-carry'
  | 'young-of-empty'
  | 'unknown-sample'
  | 'tube-answered'
  | 'gives-no-birth'
  | 'nobody-born'
  | 'more-dead-than-told'
  | 'no-birth-before'
  | 'no-age'
  | 'own-mother'
  | 'ends-before-it-begins'
  | 'already-weaned'
  | 'dam-gone'
  | 'unknown-reservation'
  | 'reservation-ended'
  | 'deposit-over-price';

/** Why an entry is refused, with the field, the value and what it takes to say the remedy. */
export type Refusal = { readonly field: string; readonly value: string } & (
  | { readonly code: PlainCode }
  /** Undefined of one that is still here. */
  | { readonly code: 'not-killed'; readonly left: { readonly how: 'died' | 'lost'; readonly on: string } | undefined }
  | { readonly code: 'before-birth'; readonly bornOn: string }
  | { readonly code: 'born-after-arrival'; readonly on: string }
  /** Older than any of its species. */
  | { readonly code: 'born-too-long-ago'; readonly oldestYears: number; readonly species: Species }
  | { readonly code: 'gone'; readonly goneOn: string }
  /** Its result is in the book already. */
  | { readonly code: 'carcass-known'; readonly on: string }
  /** Before it left, or so long after that it must be another year's. */
  | { readonly code: 'result-of-another-time'; readonly goneOn: string }
  | { readonly code: 'carcass-over-live'; readonly liveKg: Kilograms }
  /** It may not go for slaughter yet. */
  | { readonly code: 'meat-withheld'; readonly until: string; readonly clearOn: string }
  /** Sold while meat or milk is withheld, and the buyer not told to the right day. */
  | { readonly code: 'buyer-not-told'; readonly until: string }
  /** The label is not for one so young or so light. */
  | { readonly code: 'under-label'; readonly small: TooSmall }
  /** Far from the label's dose, and no reason given. */
  | { readonly code: 'far-from-label'; readonly times: number; readonly exact: number; readonly unit: DoseUnit }
  /** It is kept for a buyer already. */
  | { readonly code: 'reserved'; readonly until: string | undefined }
  /** It is a castrate since then already. */
  | { readonly code: 'castrated'; readonly on: string }
  | { readonly code: 'tube-taken'; readonly animalId: AnimalId }
  | { readonly code: 'weight-too-high'; readonly heaviestKg: Kilograms; readonly species: Species }
  | { readonly code: 'measure-not-believed'; readonly longestCm: number; readonly species: Species }
  | { readonly code: 'number-worn'; readonly wearerId: string; readonly colour: string | undefined }
  | { readonly code: 'electronic'; readonly reason: ElectronicRefusal; readonly length: number | undefined }
  | { readonly code: 'reared-more-than-born'; readonly born: number }
  | { readonly code: 'parentage'; readonly role: ParentRole; readonly fault: ParentageFault }
  | { readonly code: 'time-of-other-day'; readonly on: string }
  | { readonly code: 'male-gone'; readonly goneOn: string }
  /** A pair that is not put together, and no reason given why it was all the same. */
  | {
      readonly code: 'pair';
      readonly refusal: PairRefusal;
      readonly inbreeding: number;
      readonly species: Species;
    }
  /** One that is not to be mated now, and no reason given. */
  | { readonly code: 'held-back'; readonly reasons: readonly FemaleReason[] }
  | { readonly code: 'male-held-back'; readonly reasons: readonly MaleReason[] }
  /** Put in with females that are too young, or too near kin to him, and no reason given. */
  | { readonly code: 'not-with-these'; readonly femaleIds: readonly AnimalId[]; readonly groupId: GroupId }
  | { readonly code: 'no-such-test'; readonly species: Species }
  | { readonly code: 'age-too-high'; readonly mostDays: Days }
  /** Before the test can tell, and no reason given why it was made all the same. */
  | { readonly code: 'test-too-soon'; readonly test: TooSoonTold }
  | { readonly code: 'birth-known'; readonly on: string }
  | { readonly code: 'too-old-for-colostrum'; readonly ageDays: Days }
  /** Something speaks against it, and no reason was given why it is so all the same. */
  | { readonly code: 'birth-questioned'; readonly questions: readonly BirthQuestion[] }
);
