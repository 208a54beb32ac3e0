/** Makes the demo holding in an empty data folder; undefined when there is a book already. */
export function makeDemo(dataDir: string): Promise<{ animals: number; entries: number } | undefined>;
