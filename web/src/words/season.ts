import { stepName, type PlanFacts, type ResourcesSetting } from '@yaylak/contract';
import { isoOf, SPECIES_WORDS, type Clash, type FlushingSchool, type RematingSchool } from '@yaylak/core';
import { countText, fullDate, shortDate } from './format';

export const FLUSHING_WORDS: Readonly<Record<FlushingSchool, string>> = {
  'six-weeks': 'six weeks: thin ones gain a score',
  'three-weeks': 'three weeks: a push for those that are fit',
  none: 'none',
};
export const REMATING_WORDS: Readonly<Record<RematingSchool, string>> = {
  intensive: 'intensive: 11 days after kindling',
  middle: 'middle: 28 days after kindling',
  easy: 'easy: 42 days, when the litter is weaned',
};

/** What does not fit, in words with its figures and what to do. */
export function clashText(clash: Clash, facts: PlanFacts, nameOf: (planId: string) => string): string {
  const { grown, birth } = SPECIES_WORDS[facts.species];
  const step = stepOf(clash.step, facts);
  const other = (key: string): string => lower(stepOf(key, facts));
  switch (clash.code) {
    case 'off-wish': {
      const days = Math.abs(clash.isOn - clash.wantedOn);
      const side = clash.isOn > clash.wantedOn ? 'after' : 'before';
      return `${clash.what === 'births' ? `First ${birth}` : 'Sale'} on ${fullDate(isoOf(clash.isOn))}, ${countText(days, 'day', 'days')} ${side} the ${shortDate(isoOf(clash.wantedOn))} wanted: gestation cannot be shortened. Move the ${clash.what === 'births' ? birth : 'sale'} to change the wish.`;
    }
    case 'not-rested':
      return `${countText(clash.count, grown.female[0], grown.female[1])} will not be rested from the last birth; the last is on ${fullDate(isoOf(clash.readyOn))}.`;
    case 'too-young':
      return `${countText(clash.count, grown.female[0], grown.female[1])} will be too young; the last is old enough on ${fullDate(isoOf(clash.readyOn))}.`;
    case 'few-males':
      return `${clash.females} ${grown.female[1]}, and the ${grown.male[1]} here are enough for ${clash.enoughFor}. Find another, or split the group.`;
    case 'out-of-place':
      return clash.side === 'too-late'
        ? `${step} comes ${countText(clash.days, 'day', 'days')} too late for ${other(clash.other)}.`
        : `${step} comes ${countText(clash.days, 'day', 'days')} too early after ${other(clash.other)} to tell anything.`;
    case 'away':
      return `${step} falls on days nobody is here: ${shortDate(isoOf(clash.from))} to ${shortDate(isoOf(clash.to))}, ${clash.why}.`;
    case 'lean':
      return `${step} needs feed while it is short: ${shortDate(isoOf(clash.from))} to ${shortDate(isoOf(clash.to))}, ${clash.why}.`;
    case 'pens':
      return `Up to ${clash.wanted} births expected in three days, and there are ${clash.pens} pens. Fewer females, another cycle apart, or more pens.`;
    case 'two-births':
      return `The busiest week is that of “${nameOf(clash.otherPlanId)}” too, from ${shortDate(isoOf(clash.weekFrom))}. Two species give birth at once.`;
    case 'too-much-work':
      return `The week of ${shortDate(isoOf(clash.weekFrom))} asks for ${clash.days.toFixed(1)} days of work, and there are ${clash.has}. ${step} is the most of it.`;
  }
}

const lower = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);

/** A step of a plan by its key alone. */
function stepOf(key: string, facts: PlanFacts): string {
  const [, litter, kind = key] = /^(\d+) (.+)$/.exec(key) ?? [];
  const [name = kind, detail] = kind.split(' ');
  const words = stepName(
    {
      key: kind,
      kind: name as Parameters<typeof stepName>[0]['kind'],
      ...(name === 'scoring' && detail ? { stage: detail as 'mating' } : {}),
      ...(name === 'dose' ? { dose: Number(detail) } : {}),
    },
    facts,
  );
  return litter === undefined ? words : `${words} (${litter})`;
}

export const NO_RESOURCES: ResourcesSetting = { birthPens: [], away: [], lean: [] };
