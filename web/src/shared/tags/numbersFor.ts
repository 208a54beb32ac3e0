import { useQuery } from '@tanstack/react-query';
import type { HoldingView } from '@yaylak/contract';
import {
  numbersToFit,
  readTemplate,
  SEX_LETTERS,
  type NumbersToFit,
  type Sex,
  type Species,
  type TagColour,
} from '@yaylak/core';
import { useMemo } from 'react';
import { holdingQuery, identifiersQuery } from '../../api/queries';

/** Whom a new number is for. */
export interface ToFit {
  readonly species: Species;
  readonly sex: Sex;
  /** Its birth year fills the year of the number; the year it is fitted where that is not known. */
  readonly bornOn?: string | null | undefined;
  readonly count?: number;
  /** Only tags of this colour; of any bag where none is named. */
  readonly colour?: TagColour | undefined;
}

type Settings = Pick<HoldingView, 'species' | 'blankTags' | 'today'>;
export type NumbersFor = (asked: ToFit) => NumbersToFit;

const NONE: NumbersToFit = { numbers: [], colour: undefined };

/** Gives the next free numbers by the holding's template and the bags in its drawer. @param used every number ever worn */
export function numbersForOf({ species: all, blankTags, today }: Settings, used: readonly string[]): NumbersFor {
  const known = new Map<string, NumbersToFit>();
  return ({ species, sex, bornOn, count = 1, colour }) => {
    const year = (bornOn ?? today).slice(0, 4);
    const key = `${species} ${sex} ${year} ${count} ${colour ?? ''}`;
    const before = known.get(key);
    if (before) return before;
    const template = readTemplate(all[species].numberTemplate);
    const numbers =
      template.kind === 'refused'
        ? NONE
        : numbersToFit({
            parts: template.parts,
            context: {
              year: Number(year),
              speciesLetter: species.charAt(0).toUpperCase(),
              sexLetter: SEX_LETTERS[sex],
            },
            used,
            count,
            bags: blankTags.filter((b) => b.species === species),
            colour,
          });
    known.set(key, numbers);
    return numbers;
  };
}

/** The next free numbers, with or without the server; undefined until the numbers that are worn have been read. */
export function useNumbersFor(): NumbersFor | undefined {
  const { data: holding } = useQuery(holdingQuery);
  const { data: identifiers } = useQuery(identifiersQuery);
  return useMemo(
    () =>
      holding &&
      identifiers &&
      numbersForOf(
        holding,
        identifiers.flatMap((i) => (i.kind === 'visual' ? [i.text] : [])),
      ),
    [holding, identifiers],
  );
}
