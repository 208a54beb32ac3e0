import type { TestApp } from './testApp';

/** Servers that no test has at the moment; they end with the file, or with the pack of files it is read in. */
export const pool: TestApp[] = [];
afterAll(() => Promise.all(pool.splice(0).map((one) => one.end())));
