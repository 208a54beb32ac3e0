import type { IdentifierKind, Sex, Species, TagColour, TagNeed } from '@yaylak/core';
import type { TagView } from './animals';

/** An identifier in short. */
export interface TagInShort {
  readonly kind: IdentifierKind;
  readonly text: string;
  readonly colour: TagColour | null;
}

/** A tag that is gone: since when, and how. */
export interface LostTag extends TagInShort {
  readonly on: string;
  readonly how: string;
}

/** One that wants a tag, with what it wears and what it lost. */
export interface TagNeedView {
  readonly tag: TagView;
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn: string | null;
  /** What its dam is called: with it young without a number are told apart. */
  readonly dam: string | null;
  readonly groupName: string | null;
  readonly need: TagNeed;
  readonly advised: number;
  readonly worn: readonly TagInShort[];
  readonly lost: readonly LostTag[];
}

/** Young of one dam and day that are too young to be tagged, and from when they are. */
export interface TagLaterView {
  readonly dam: TagView | null;
  readonly species: Species;
  readonly bornOn: string;
  readonly count: number;
  readonly from: string;
}

export interface SharedNumberView extends TagInShort {
  readonly isNow: boolean;
  readonly wearers: readonly { readonly tag: TagView; readonly from: string; readonly until: string | null }[];
}

/** A spray mark that stands in the field, with who wears it. */
export interface MarkInField {
  readonly colour: string;
  readonly place: string;
  readonly purpose: string;
  /** The last day of the first to end; null where none does. */
  readonly until: string | null;
  /** All end on that day. */
  readonly isUntilForAll: boolean;
  readonly tags: readonly TagView[];
  readonly groups: readonly { readonly name: string; readonly count: number }[];
}

export interface TagsView {
  readonly marks: readonly MarkInField[];
  /** The most pressing first, up to a limit. */
  readonly needs: readonly TagNeedView[];
  readonly counts: Readonly<Record<TagNeed, number>>;
  /** Litters and lambs that wait for their day, the next first, up to a limit. */
  readonly later: readonly TagLaterView[];
  readonly present: number;
  readonly shared: readonly SharedNumberView[];
}
