/** Lets other requests have their turn in the middle of long work. */
export const breathe = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/** A part of long work, after others had their turn. */
export async function afterBreath<T>(work: () => T): Promise<T> {
  await breathe();
  return work();
}

/** What is begun before it is awaited: should something else fail first, its own failure is nobody's surprise. */
export function ahead<T>(begun: Promise<T>): Promise<T> {
  begun.catch(() => undefined);
  return begun;
}
