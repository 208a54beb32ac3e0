import { otherSireText } from '@yaylak/contract';
import type { Entry } from '@yaylak/contract';
import { HEAT_SIGNS, type MalePart, type PartGrade, type ServiceTiming, type ServiceWay } from '@yaylak/core';

type MatingEntry = Extract<
  Entry,
  { type: 'heat' | 'service' | 'stay' | 'stay-end' | 'harness' | 'male-check' | 'gene-test' }
>;

/** The hour of a local time: "07:30". */
export const hourText = (at: string): string => at.slice(11, 16);

/** An entry of mating in a line of words. */
export function matingWords(
  entry: MatingEntry,
  {
    groupName,
    nameOf,
  }: {
    readonly groupName?: string | undefined;
    readonly nameOf?: ((animalId: string) => string | undefined) | undefined;
  },
): string {
  switch (entry.type) {
    case 'heat':
      return entry.signs.length === 0
        ? `Looked at ${hourText(entry.at)}: no sign of heat`
        : `Heat, ${hourText(entry.at)}: ${entry.signs.map((s) => HEAT_SIGNS[s].words).join(', ')}`;
    case 'service': {
      const sires = entry.maleIds.map((id) => nameOf?.(id) ?? 'a male');
      const who = servedBy(sires, otherSireText(entry));
      const colour = entry.colour === undefined ? '' : `, ${entry.colour} mark`;
      const why = entry.reason === undefined ? '' : ` (${entry.reason})`;
      return `${entry.isCheck ? 'Offered again, served' : WAY_WORDS[entry.way]}${entry.at ? ` ${hourText(entry.at)}` : ''}: ${who}${colour}${why}`;
    }
    case 'stay':
      return `${entry.isTeaser ? 'Teaser put' : 'Put'} with ${groupName ?? 'a group'}${entry.colour ? `, ${entry.colour} raddle` : ''}`;
    case 'stay-end':
      return 'Taken out of the group';
    case 'harness':
      return `Raddle changed to ${entry.colour}`;
    case 'male-check': {
      const bad = Object.entries(entry.grades).filter(([, grade]) => grade !== 'good');
      const girth = entry.girthCm === undefined ? '' : `, ${entry.girthCm} cm`;
      return bad.length === 0
        ? `Checked before mating: good${girth}`
        : `Checked before mating: ${bad.map(([part, grade]) => `${PART_WORDS[part as MalePart].toLowerCase()} ${GRADE_WORDS[grade]}`).join(', ')}${girth}`;
    }
    case 'gene-test':
      return `Gene test, ${entry.gene}: ${entry.result}`;
  }
}

/** Who served her: males of the holding, a straw, a male from elsewhere. */
export const servedBy = (males: readonly string[], otherSire: string | null | undefined): string =>
  [...males, ...(otherSire == null ? [] : [otherSire])].join(' or ');

export const WAY_WORDS: Readonly<Record<ServiceWay, string>> = {
  hand: 'Served',
  insemination: 'Inseminated',
  raddle: 'Mark read',
  'ran-with': 'Ran with',
};
export const PART_WORDS: Readonly<Record<MalePart, string>> = {
  feet: 'Feet and legs',
  teeth: 'Teeth',
  testicles: 'Testicles',
  condition: 'Condition',
  temper: 'Temper',
};
export const GRADE_WORDS: Readonly<Record<PartGrade, string>> = { good: 'good', watch: 'to watch', fail: 'not fit' };
export const TIMING_WORDS: Readonly<Record<ServiceTiming, string>> = {
  'too-early': 'too early',
  'perhaps-early': 'perhaps too early',
  early: 'early',
  best: 'at the best time',
  late: 'late',
  'too-late': 'too late',
};

/** What was done to tell young before the birth. */
export const TOLD_WORDS = { scan: 'Scanned', palpation: 'Felt' } as const;
