import { v7 } from 'uuid';

/** A new id, rising with time. */
export const newId = (): string => v7();
