import type { PastedAnimal, PastedFault, Sex, Species, TagColour } from '@yaylak/core';
import type { EntryDraft } from '../../outbox/useRecord';
import { newId } from '../../words/ids';
import { say } from '@yaylak/contract';

/** What all animals of a list have in common. */
export interface InCommon {
  readonly species: Species;
  /** Of those whose line does not say. */
  readonly sex: Sex;
  readonly colour: TagColour;
  readonly groupId: string | undefined;
  /** The day they are written into the book. */
  readonly on: string;
}

/** The entries that put a list of animals into the book, an animal after the other. */
export function pastedDrafts(animals: readonly PastedAnimal[], common: InCommon): EntryDraft[] {
  const { species, colour, groupId, on } = common;
  return animals.flatMap((one): EntryDraft[] => {
    const animalId = newId();
    const worn = { type: 'identifier', animalId, on } as const;
    return [
      {
        type: 'arrival',
        animalId,
        on,
        how: 'bought',
        species,
        sex: one.sex ?? common.sex,
        ...(one.bornOn === undefined ? {} : { bornOn: one.bornOn }),
        ...(one.birthKnownTo === undefined ? {} : { birthKnownTo: one.birthKnownTo }),
      },
      ...(one.number === undefined ? [] : [{ ...worn, kind: 'visual', text: one.number, colour } as const]),
      ...(one.electronic === undefined ? [] : [{ ...worn, kind: 'electronic', text: one.electronic } as const]),
      ...(one.name === undefined ? [] : [{ ...worn, kind: 'name', text: one.name } as const]),
      ...(groupId === undefined ? [] : [{ type: 'move', animalId, on, groupId } as const]),
    ];
  });
}

const REASONS: Readonly<Record<PastedFault['reason'], string>> = {
  'not-read': say('is not a sex, a birth or a name. Correct the line, or take that out of it.'),
  'stands-twice': say('stands there twice. Take one of the lines out.'),
  'born-later': say('is in the future. Give the day it was born, or leave it out.'),
};

/** Why a line cannot be taken, and what to do. */
export const pastedFaultText = ({ line, text, reason }: PastedFault): string =>
  say('Line {line}: “{text}” {reasons}', { line, text, reasons: REASONS[reason] });
