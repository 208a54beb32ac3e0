import type { BareKind } from './kind';

/** Words of its own: nothing is worked out from them. */
export const note: BareKind = { list: null, isOfGone: true };
