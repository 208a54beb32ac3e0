import type { Fact, FactLists } from './facts';
import { KINDS, type KindName } from './kinds';
import type { BareKind, FactKind, Touch } from './kinds/kind';

/** A kind as it is seen by whoever works on entries of all kinds. */
export type AnyKind = FactKind<keyof FactLists, object, Fact> | BareKind;

export const kindOf = (name: KindName): AnyKind => KINDS[name] as unknown as AnyKind;

/** The kinds whose entries touch something. */
export const kindsTouching = (touch: Touch): KindName[] =>
  (Object.keys(KINDS) as KindName[]).filter((name) => kindOf(name).touches?.includes(touch));
