/** What speaks against a piece of work, as `SendForm` wants it: nothing where it was done. */
export const against = (work: Promise<unknown>): Promise<readonly string[]> =>
  work.then(
    () => [],
    (error: Error) => [error.message],
  );
