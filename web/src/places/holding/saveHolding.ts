import type { ChangeHolding } from '@yaylak/contract';

/** Saves a change of the settings. @returns what went wrong, in words */
export type SaveHolding = (change: Omit<ChangeHolding, 'version'>) => Promise<string | undefined>;
