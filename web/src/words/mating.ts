import { otherSireText, say, lower } from '@yaylak/contract';
import { HEAT_SIGNS, type MalePart, type PartGrade, type ServiceTiming, type ServiceWay } from '@yaylak/core';
import type { Lines } from './lines';

/** The hour of a local time: "07:30". */
export const hourText = (at: string): string => at.slice(11, 16);

/** Entries of mating. */
export const MATING_LINES: Lines<'heat' | 'service' | 'stay' | 'stay-end' | 'harness' | 'male-check' | 'gene-test'> = {
  heat: (entry) =>
    entry.signs.length === 0
      ? say('Looked at {hour}: no sign of heat', { hour: hourText(entry.at) })
      : say('Heat, {hour}: {list}', {
          hour: hourText(entry.at),
          list: entry.signs.map((s) => say(HEAT_SIGNS[s].words)).join(', '),
        }),
  service(entry, told) {
    const sires = entry.maleIds.map((id) => told.nameOf?.(id) ?? say('a male'));
    const who = servedBy(sires, otherSireText(entry));
    const colour = entry.colour === undefined ? '' : say(', {colour} mark', { colour: say(entry.colour) });
    const why = entry.reason === undefined ? '' : ` (${entry.reason})`;
    return `${entry.isCheck ? say('Offered again, served') : WAY_WORDS[entry.way]}${entry.at ? ` ${hourText(entry.at)}` : ''}: ${who}${colour}${why}`;
  },
  stay: (entry, told) =>
    say('{value} with {n}{value2}', {
      value: entry.isTeaser ? say('Teaser put') : say('Put'),
      n: told.groupName ?? say('a group'),
      value2: entry.colour ? say(', {colour} raddle', { colour: say(entry.colour) }) : '',
    }),
  'stay-end': () => say('Taken out of the group'),
  harness: (entry) => say('Raddle changed to {colour}', { colour: say(entry.colour) }),
  'male-check'(entry) {
    const bad = Object.entries(entry.grades).filter(([, grade]) => grade !== 'good');
    const girth = entry.girthCm === undefined ? '' : say(', {girthCm} cm', { girthCm: entry.girthCm });
    return bad.length === 0
      ? say('Checked before mating: good{girth}', { girth })
      : say('Checked before mating: {list}{girth}', {
          list: bad.map(([part, grade]) => `${lower(PART_WORDS[part as MalePart])} ${GRADE_WORDS[grade]}`).join(', '),
          girth,
        });
  },
  'gene-test': (entry) => say('Gene test, {gene}: {result}', { gene: entry.gene, result: entry.result }),
};

/** Who served her: males of the holding, a straw, a male from elsewhere. */
export const servedBy = (males: readonly string[], otherSire: string | null | undefined): string =>
  [...males, ...(otherSire == null ? [] : [otherSire])].join(` ${say('or')} `);

export const WAY_WORDS: Readonly<Record<ServiceWay, string>> = {
  hand: say('Served'),
  insemination: say('Inseminated'),
  raddle: say('Raddle mark seen'),
  'ran-with': say('Ran with'),
};
export const PART_WORDS: Readonly<Record<MalePart, string>> = {
  feet: say('Feet and legs'),
  teeth: say('Teeth'),
  testicles: say('Testicles'),
  condition: say('Condition'),
  temper: say('Temper'),
};
export const GRADE_WORDS: Readonly<Record<PartGrade, string>> = {
  good: say('good'),
  watch: say('to watch'),
  fail: say('not fit'),
};
export const TIMING_WORDS: Readonly<Record<ServiceTiming, string>> = {
  'too-early': say('too early'),
  'perhaps-early': say('perhaps too early'),
  early: say('early'),
  best: say('at the best time'),
  late: say('late'),
  'too-late': say('too late'),
};

/** What was done to tell young before the birth. */
export const TOLD_WORDS = { scan: say('Scanned'), palpation: say('Felt') } as const;
