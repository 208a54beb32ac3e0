import type { RosterAnimal, SamplePurpose } from '@yaylak/contract';
import type { Passage } from './raceLog';
import { say } from '@yaylak/contract';

export interface TubeRow {
  readonly tube: string;
  readonly purpose: SamplePurpose;
  readonly number: string;
  readonly electronic: string;
  readonly species: string;
  readonly sex: string;
  /** Her last service before the sample; empty where none is known. */
  readonly servedOn: string;
}

/** The tubes of a job in the order they were filled, each with whose it is. */
export const tubeRows = (passages: readonly Passage[], animals: ReadonlyMap<string, RosterAnimal>): TubeRow[] =>
  passages.flatMap(({ animalId, entries }) => {
    const animal = animals.get(animalId);
    return entries.flatMap((entry): TubeRow[] =>
      entry.type === 'sample'
        ? [
            {
              tube: entry.tube,
              purpose: entry.purpose,
              number: animal?.tag.text ?? say('not known'),
              electronic: animal?.worn.find(([, , kind]) => kind === 'electronic')?.[0] ?? '',
              species: animal?.species ?? '',
              sex: animal?.sex ?? '',
              servedOn: animal?.served?.at(-1)?.to ?? '',
            },
          ]
        : [],
    );
  });
