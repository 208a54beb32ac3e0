import { otherSireText } from '@yaylak/contract';
import { HEAT_SIGNS, type MalePart, type PartGrade, type ServiceTiming, type ServiceWay } from '@yaylak/core';
import type { Lines } from './lines';

/** The hour of a local time: "07:30". */
export const hourText = (at: string): string => at.slice(11, 16);

/** Entries of mating. */
export const MATING_LINES: Lines<'heat' | 'service' | 'stay' | 'stay-end' | 'harness' | 'male-check' | 'gene-test'> = {
  heat: (entry) =>
    entry.signs.length === 0
      ? `Looked at ${hourText(entry.at)}: no sign of heat`
      : `Heat, ${hourText(entry.at)}: ${entry.signs.map((s) => HEAT_SIGNS[s].words).join(', ')}`,
  service(entry, told) {
    const sires = entry.maleIds.map((id) => told.nameOf?.(id) ?? 'a male');
    const who = servedBy(sires, otherSireText(entry));
    const colour = entry.colour === undefined ? '' : `, ${entry.colour} mark`;
    const why = entry.reason === undefined ? '' : ` (${entry.reason})`;
    return `${entry.isCheck ? 'Offered again, served' : WAY_WORDS[entry.way]}${entry.at ? ` ${hourText(entry.at)}` : ''}: ${who}${colour}${why}`;
  },
  stay: (entry, told) =>
    `${entry.isTeaser ? 'Teaser put' : 'Put'} with ${told.groupName ?? 'a group'}${entry.colour ? `, ${entry.colour} raddle` : ''}`,
  'stay-end': () => 'Taken out of the group',
  harness: (entry) => `Raddle changed to ${entry.colour}`,
  'male-check'(entry) {
    const bad = Object.entries(entry.grades).filter(([, grade]) => grade !== 'good');
    const girth = entry.girthCm === undefined ? '' : `, ${entry.girthCm} cm`;
    return bad.length === 0
      ? `Checked before mating: good${girth}`
      : `Checked before mating: ${bad.map(([part, grade]) => `${PART_WORDS[part as MalePart].toLowerCase()} ${GRADE_WORDS[grade]}`).join(', ')}${girth}`;
  },
  'gene-test': (entry) => `Gene test, ${entry.gene}: ${entry.result}`,
};

/** Who served her: males of the holding, a straw, a male from elsewhere. */
export const servedBy = (males: readonly string[], otherSire: string | null | undefined): string =>
  [...males, ...(otherSire == null ? [] : [otherSire])].join(' or ');

export const WAY_WORDS: Readonly<Record<ServiceWay, string>> = {
  hand: 'Served',
  insemination: 'Inseminated',
  raddle: 'Raddle mark seen',
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
