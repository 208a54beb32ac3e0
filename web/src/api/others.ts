/** Somebody else may be at the same thing, as a choice or a load: it is looked at again so often while it is open. */
export const OTHERS_EVERY_MS = 5_000;
