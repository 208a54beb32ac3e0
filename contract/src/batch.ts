/** Entries sent at once; apart from what checks them, as a device that only keeps them needs no more of it. */
export const MAX_BATCH = 2000;
