/** Lets other requests have their turn in the middle of long work. */
export const breathe = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));
