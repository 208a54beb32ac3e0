import { FAT_PLACES, STEPS, type FatPlace } from '../../selling';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

/** Shape by eye and fat by hand, in thirds of a class: 1 is P- and 1-, 15 is E+ and 5+. */
export interface FinishWritten {
  readonly shape?: number | undefined;
  readonly fat?: Readonly<Partial<Record<FatPlace, number>>> | undefined;
}

/** How finished it was found. */
export interface FinishFact extends Fact {
  readonly shape: number | undefined;
  readonly fat: Readonly<Partial<Record<FatPlace, number>>>;
  readonly by: string;
}

const isStep = (value: number): boolean => Number.isInteger(value) && value >= 1 && value <= STEPS;

export const finish: FactKind<'finishes', FinishWritten, FinishFact> = {
  list: 'finishes',
  fact: ({ shape, fat = {}, writtenBy }, base) => ({ shape, fat, by: writtenBy, ...base }),
  check({ shape, fat = {} }) {
    const felt = FAT_PLACES.flatMap((p) => fat[p] ?? []);
    if (shape === undefined && felt.length === 0) return { code: 'nothing-felt', field: 'fat', value: '' };
    if (shape !== undefined && !isStep(shape)) return { code: 'not-a-class', field: 'shape', value: String(shape) };
    const slip = felt.find((f) => !isStep(f));
    return slip === undefined ? undefined : { code: 'not-a-class', field: 'fat', value: String(slip) };
  },
};
