import { SPECIES } from '@yaylak/core';
import type {
  CarryingSign,
  FemaleReason,
  GeneResult,
  HeatSign,
  MalePart,
  MaleReason,
  PairRefusal,
  PartGrade,
  Quarter,
  ServiceTiming,
  ServiceWay,
  Species,
  TestReading,
} from '@yaylak/core';
import { Type } from 'class-transformer';
import { IsIn, IsInt, IsUUID, Max, Min } from 'class-validator';
import { MayBeMissing } from './nested';
import type { TagView, WindowView } from './animals';

/** Whose mating is looked at. */
export class MatingQuery {
  @IsIn(SPECIES)
  species: Species;
  @MayBeMissing()
  @IsUUID()
  groupId?: string;
}
export class PedigreeQuery {
  @MayBeMissing()
  @Type(() => Number)
  @IsInt()
  @Min(2)
  @Max(5)
  generations?: number;
}

/** Why an animal is not mated, or not yet, in words. */
export interface ReasonView {
  readonly code: FemaleReason['code'] | MaleReason['code'];
  /** More than a caution: who goes on gives a reason. */
  readonly holds: boolean;
  readonly words: string;
  readonly until: string | null;
}

/** A share with its 80 % interval. */
export interface ShareView {
  readonly share: number;
  readonly low: number;
  readonly high: number;
  readonly of: number;
}

/** A window of hours, each `YYYY-MM-DDTHH:mm`. */
export type HourWindowView = WindowView;

export interface ServedView {
  readonly entryId: string;
  readonly at: string | null;
  readonly on: string;
  readonly way: ServiceWay;
  readonly males: readonly TagView[];
  /** A straw, or a male that is not in the book, in words. */
  readonly otherSire: string | null;
  readonly timing: ServiceTiming | null;
}

/** A female on heat, or over it so lately that it still matters. */
export interface HeatView {
  readonly tag: TagView;
  readonly seenAt: string;
  /** The last look at which she was not. */
  readonly notYetAt: string | null;
  readonly isStanding: boolean;
  readonly signs: readonly HeatSign[];
  /** Null for species without hours. */
  readonly window: HourWindowView | null;
  /** When it may have opened at the earliest: standing began between two looks. Null where nobody looked before. */
  readonly opensEarliest: string | null;
  readonly services: readonly ServedView[];
  /** Days after the service it says did not hold. */
  readonly returnAfterDays: number | null;
}

/** One thing known of whether she carries. */
export interface SignView extends Omit<CarryingSign, 'on' | 'test'> {
  readonly on: string;
  readonly test?: Omit<TestReading, 'on'> & { readonly on: string };
}

export interface ChanceView {
  readonly servedOn: string;
  readonly males: readonly TagView[];
  /** A straw, or a male that is not in the book, in words. */
  readonly otherSire: string | null;
  /** Null of one over her time: there is no chance of hers, she is overdue. */
  readonly probability: number | null;
  readonly story: readonly SignView[];
  /** Signs of the story that cannot both be right. */
  readonly contradictions: readonly { readonly earlier: SignView; readonly later: SignView }[];
  /** When she would come back on heat. */
  readonly returns: WindowView | null;
  readonly returnedOn: string | null;
  readonly birthFrom: string;
  readonly birthTo: string;
}

export interface FemaleToMateView {
  readonly tag: TagView;
  readonly groupName: string | null;
  readonly isReady: boolean;
  readonly readyOn: string | null;
  readonly reasons: readonly ReasonView[];
  readonly lastHeatOn: string | null;
  /** The next heat, foretold from the last; null where none was seen. */
  readonly nextHeat: WindowView | null;
  readonly chance: ChanceView | null;
  /** Males that run with her now. */
  readonly runsWith: readonly TagView[];
}

export interface StayView {
  readonly stayId: string;
  readonly groupId: string;
  readonly groupName: string;
  readonly from: string;
  readonly colour: string | null;
  readonly colourFrom: string | null;
  readonly isTeaser: boolean;
  /** Females with him. */
  readonly females: number;
}

export interface MaleToMateView {
  readonly tag: TagView;
  readonly groupName: string | null;
  readonly ageYears: number | null;
  readonly isReady: boolean;
  readonly readyOn: string | null;
  readonly reasons: readonly ReasonView[];
  readonly check: {
    readonly on: string;
    readonly grades: Partial<Record<MalePart, PartGrade>>;
    readonly girthCm: number | null;
  } | null;
  readonly capacity: number;
  /** Females he has this season: with him now, and served by hand of late. */
  readonly load: number;
  readonly share: ShareView | null;
  readonly stays: readonly StayView[];
  /** Females he must not meet, of those of age. */
  readonly notWith: number;
  readonly females: number;
}

export interface PartingView {
  readonly tag: TagView;
  readonly groupId: string | null;
  readonly groupName: string | null;
  readonly window: WindowView;
  readonly isOpen: boolean;
  readonly isLate: boolean;
}

export interface MatingView {
  readonly on: string;
  /** By the server's clock. */
  readonly now: string;
  readonly species: Species;
  readonly groups: readonly { readonly id: string; readonly name: string; readonly females: number }[];
  readonly school: 'hours' | 'morning-evening' | 'none';
  readonly signsNeeded: number;
  readonly heats: readonly HeatView[];
  readonly females: readonly FemaleToMateView[];
  readonly males: readonly MaleToMateView[];
  /** Males of age that are not bred from. */
  readonly otherMales: number;
  readonly partings: readonly PartingView[];
  /** The last two looks for heat at anybody of the species. */
  readonly looks: readonly string[];
  /** Share of services that take, with the holding's own. */
  readonly takingShare: number;
}

/** Females by males: what each pair's young would be. */
export interface PairingView {
  readonly on: string;
  readonly species: Species;
  readonly females: readonly {
    readonly tag: TagView;
    /** Why she stays out of a plan for today; empty where she is in it. */
    readonly waits: readonly string[];
    readonly generations: number;
    readonly inbreeding: number;
  }[];
  readonly males: readonly {
    readonly tag: TagView;
    readonly isReady: boolean;
    readonly capacity: number;
    readonly generations: number;
    readonly inbreeding: number;
    /** What his young grew over the others of their group, as a share; drawn to 0 while they are few. */
    readonly merit: number;
    readonly meritYoung: number;
  }[];
  /** Row by row, a row a female. */
  readonly inbreeding: readonly number[];
  readonly refusals: readonly (PairRefusal | null)[];
  /** For each female the places of the males she is with now. */
  readonly present: readonly (readonly number[])[];
  readonly most: number;
  /** Tests that cannot all be true: of one animal, or by the parentage between them. */
  readonly contradictions: readonly {
    readonly gene: string;
    readonly kind: 'own' | 'parentage';
    readonly tags: readonly TagView[];
  }[];
  /** Genes whose figures are close and not exact. */
  readonly approximate: readonly string[];
}

/** One pair looked into. */
export interface PairView {
  readonly inbreeding: number;
  readonly refusal: PairRefusal | null;
  readonly words: string | null;
  readonly ancestors: readonly { readonly tag: TagView; readonly inbreeding: number }[];
  readonly isShallow: boolean;
}
export class PairQuery {
  @IsUUID()
  femaleId: string;
  @IsUUID()
  maleId: string;
}

/** An animal in a pedigree; `key` is its place: "" the animal itself, then s and d. */
export interface PedigreeNode {
  readonly key: string;
  readonly tag: TagView;
  readonly inbreeding: number;
  /** Stands in more than one place of the tree. */
  readonly isRepeated: boolean;
  readonly genes: readonly {
    readonly gene: string;
    readonly tested: GeneResult | null;
    readonly carries: number;
    /** Between what the chance to carry lies, where it is not exact. */
    readonly about: readonly [low: number, high: number] | null;
    /** Where its tests, or its parentage, contradict: what it counts as until that is mended. */
    readonly countsAs: 'carrier' | 'affected' | null;
  }[];
}
export interface PedigreeView {
  /** Genes the species was tested for: one is chosen, not typed anew. */
  readonly genes: readonly string[];
  readonly nodes: readonly PedigreeNode[];
  readonly inbreeding: number;
  readonly generations: number;
  readonly isShallow: boolean;
  /** What its inbreeding comes of. */
  readonly ancestors: readonly { readonly tag: TagView; readonly inbreeding: number }[];
  /** Of a male: whom he may serve; of a female: by whom she may be served. */
  readonly partners: readonly {
    readonly tag: TagView;
    readonly groupName: string | null;
    readonly isReady: boolean;
    readonly inbreeding: number;
    readonly refusal: string | null;
  }[];
}

export interface MatingRecordView {
  readonly species: Species;
  readonly males: readonly {
    readonly tag: TagView;
    readonly share: ShareView | null;
    readonly spells: number;
    readonly litters: number;
    readonly meanSize: number | null;
    readonly againstOthers: { readonly mean: number; readonly halfWidth: number; readonly females: number } | null;
  }[];
  readonly pairs: readonly {
    readonly female: TagView;
    readonly male: TagView;
    readonly litters: number;
    readonly meanSize: number;
    readonly otherwise: { readonly meanSize: number; readonly litters: number } | null;
    readonly lastOn: string;
  }[];
  readonly quarters: readonly {
    /** Of a winter that of its January. */
    readonly year: number;
    readonly quarter: Quarter;
    readonly spells: number;
    readonly share: ShareView | null;
    readonly meanSize: number | null;
    readonly afterHeat: number;
  }[];
  readonly hot: readonly { readonly from: string; readonly to: string; readonly why: string }[];
}
