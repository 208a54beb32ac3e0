import type { Birth } from '../births';
import type { Day, Moment } from '../calendar';
import type { FemaleReason, MaleReason, PairRefusal } from '../mating';
import type { TestedFemale } from '../pregnancy';
import type { ProductLabel } from '../remedies';
import type { Species, SpeciesSettings } from '../species';
import type { AnimalFacts } from './facts';
import type { AnimalId, GroupId } from '../units';

/** What the young of a pair would be, and why it is not to be. */
export interface PairJudged {
  readonly inbreeding: number;
  readonly refusal: PairRefusal | undefined;
}

/** What the rules of entries may ask of the book. */
export interface BookView {
  readonly today: Day;
  readonly now: Moment;
  animal(id: string): AnimalFacts | undefined;
  settings(species: Species): SpeciesSettings;
  hasGroup(id: string): boolean;
  /** What the label of a product says; undefined where it is not on the list. */
  label(productId: string): ProductLabel | undefined;
  hasJob(id: string): boolean;
  /** Who has the tube of this number already, on that day or in the same job. */
  tubeOf(tube: string, on: Day): string | undefined;
  /** Animals that wear or wore an identifier of this normalised text. */
  wearersOf(plainText: string): Iterable<AnimalFacts>;
  /** What the young of two would be, and whether they may be put together. */
  pair(femaleId: AnimalId, maleId: AnimalId): PairJudged;
  /** Why a female is not to be mated on a day, cautions left out. */
  heldBack(femaleId: AnimalId, on: Day): readonly FemaleReason[];
  /** Why a male is not to be used on a day, cautions left out. */
  maleHeldBack(maleId: AnimalId, on: Day): readonly MaleReason[];
  /** Females in a group on a day. */
  femalesIn(groupId: GroupId, on: Day): readonly AnimalFacts[];
  /** Her last service since her last birth, and that birth, up to a day. */
  tested(femaleId: AnimalId, on: Day): TestedFemale | undefined;
  /** A female's births, written down or known by their young. */
  birthsOf(damId: AnimalId): readonly Birth[];
  /** Whether a female may have met a male that sires in a stretch of days. */
  wasNearMale(femaleId: AnimalId, stretch: { readonly from: Day; readonly to: Day }): boolean;
}
