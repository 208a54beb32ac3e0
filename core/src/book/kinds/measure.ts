import { BODY_MEASURES, type BodyMeasures } from '../../growth';
import type { Fact } from '../facts';
import type { FactKind } from './kind';

/** Stick and tape on a standing animal, centimetres. */
export interface MeasureFact extends Fact, BodyMeasures {
  readonly by: string;
}

export const measure: FactKind<'measures', BodyMeasures, MeasureFact> = {
  list: 'measures',
  fact: ({ heightCm, lengthCm, girthCm, writtenBy }, base) => ({
    ...(heightCm === undefined ? {} : { heightCm }),
    ...(lengthCm === undefined ? {} : { lengthCm }),
    ...(girthCm === undefined ? {} : { girthCm }),
    by: writtenBy,
    ...base,
  }),
  check(entry, { record: { species } }, book) {
    const { longestCm } = book.settings(species);
    const taken = BODY_MEASURES.filter((m) => entry[m] !== undefined);
    if (taken.length === 0) return { code: 'nothing-measured', field: 'heightCm', value: '' };
    const slip = taken.find((m) => !((entry[m] as number) > 0 && (entry[m] as number) <= longestCm));
    return slip && { code: 'measure-not-believed', field: slip, value: String(entry[slip]), longestCm, species };
  },
};
