import type { ProductView, RosterAnimal, RosterView, StartJob, StationSettings, TagView } from '@yaylak/contract';
import type { Sex, Species, SpeciesSettings, Standard, TagColour, WeightUnit } from '@yaylak/core';
import type { EntryDraft } from '../../../outbox/useRecord';
import type { Draft, FieldName } from '../draft';

/** All a station may know of the animal at hand. */
export interface AtHand {
  readonly job: Pick<StartJob, 'stations' | 'gates' | 'on'> & { readonly settings: StationSettings };
  /** Undefined for a stranger, and for a young one not in the book yet. */
  readonly animal: RosterAnimal | undefined;
  readonly species: Species;
  readonly sex: Sex;
  /** Undefined where the birth is not known. */
  readonly ageDays: number | undefined;
  readonly settings: SpeciesSettings;
  readonly unit: WeightUnit;
  readonly standards: readonly Standard[];
  /** The hour of the job's day, by the clock of the device. */
  readonly now: string;
  /** Who holds the tape. */
  readonly weighedBy: string;
  readonly roster: Pick<RosterView, 'products' | 'lastTubes' | 'biases' | 'outlets' | 'habits' | 'killingOut'>;
  /** The next free numbers for the animal, of a colour where one is named. */
  nextNumbers(asked: { readonly count: number; readonly colour: TagColour | undefined }): readonly string[];
  /** Numbers fitted in this job that the roster does not know of yet. */
  readonly fitted: readonly string[];
  /** Another one here who wears a number, in any colour. */
  wearerOf(text: string): TagView | undefined;
  /** Another who wore a number and lost it, or is gone: how it is called. */
  formerWearerOf(text: string): { readonly name: string; readonly isGone: boolean } | undefined;
  /** A pour-on was given in this job: that the backs are dry was asked. */
  readonly isPouredOn: boolean;
  /** Tubes of this job by their plain text, with whose they are; the last one taken stands last. */
  readonly tubes: ReadonlyMap<string, { readonly tube: string; readonly animalId: string; readonly name: string }>;
}

/** What stands against going on: a refusal, or something to be asked once. */
export type Problem =
  | { readonly kind: 'refuse'; readonly message: string; readonly field?: FieldName }
  | { readonly kind: 'ask'; readonly key: string; readonly message: string };

/** A thing of the job that a letter puts off or on, or grades. */
export interface Toggle {
  readonly key: string;
  readonly words: string;
  /** The letter it has in every job, unless that means something else there. */
  readonly always?: string;
}

/** An entry still without its animal. */
export type Of<T> = T extends { readonly animalId: string } ? Omit<T, 'animalId' | 'on'> : never;
export type Fact = Of<EntryDraft>;

/** The rules of a station: what it asks, what speaks against it, what it writes. */
export interface StationRules {
  readonly problems?: (draft: Draft, at: AtHand) => Problem[];
  readonly facts: (draft: Draft, at: AtHand) => Fact[];
  readonly toggles?: (at: AtHand) => Toggle[];
  /** What stands in a field before anybody typed. */
  readonly proposed?: (at: AtHand) => Partial<Record<FieldName, string>>;
}

/** What a field holds: typed, or else proposed. */
export const fieldText = (
  draft: Pick<Draft, 'fields'>,
  name: FieldName,
  proposed: Partial<Record<FieldName, string>> = {},
): string => draft.fields[name] ?? proposed[name] ?? '';

/** Why the animal at hand passes without what the job is for; nothing where that is not said. */
export const whyAt = (draft: Pick<Draft, 'fields'>): string => (draft.fields.why ?? '').trim();

export const productOf = (at: AtHand, id: string): ProductView | undefined =>
  at.roster.products.find((p) => p.id === id);
