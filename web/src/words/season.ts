import {
  stepName,
  type PlanFacts,
  type ResourcesSetting,
  say,
  SPECIES_WORDS,
  fixedText,
  uncapital,
} from '@yaylak/contract';
import { isoOf, type Clash, type FlushingSchool, type RematingSchool } from '@yaylak/core';
import { fullDate, shortDate } from './dates';
import { countText } from './format';

export const FLUSHING_WORDS: Readonly<Record<FlushingSchool, string>> = {
  'six-weeks': say('six weeks: thin ones gain a score'),
  'three-weeks': say('three weeks: a push for those that are fit'),
  none: say('none'),
};
export const REMATING_WORDS: Readonly<Record<RematingSchool, string>> = {
  intensive: say('intensive: 11 days after kindling'),
  middle: say('middle: 28 days after kindling'),
  easy: say('easy: 42 days, when the litter is weaned'),
};

/** What does not fit, in words with its figures and what to do. */
export function clashText(clash: Clash, facts: PlanFacts, nameOf: (planId: string) => string): string {
  const { grown, birth } = SPECIES_WORDS[facts.species];
  const step = stepOf(clash.step, facts);
  const other = (key: string): string => uncapital(stepOf(key, facts));
  switch (clash.code) {
    case 'off-wish': {
      const days = Math.abs(clash.isOn - clash.wantedOn);
      const side = clash.isOn > clash.wantedOn ? 'after' : 'before';
      return say(
        '{value} on {date}, {days} {days, plural, one {day} other {days}} {side} the {date2} wanted: gestation cannot be shortened. Move the {value2} to change the wish.',
        {
          value: clash.what === 'births' ? say('First {birth}', { birth }) : say('Sale'),
          date: fullDate(isoOf(clash.isOn)),
          days,
          side,
          date2: shortDate(isoOf(clash.wantedOn)),
          value2: clash.what === 'births' ? birth : say('sale'),
        },
      );
    }
    case 'not-rested':
      return say('{count} will not be rested from the last birth; the last is on {date}.', {
        count: countText(clash.count, grown.female[0], grown.female[1]),
        date: fullDate(isoOf(clash.readyOn)),
      });
    case 'too-young':
      return say('{count} will be too young; the last is old enough on {date}.', {
        count: countText(clash.count, grown.female[0], grown.female[1]),
        date: fullDate(isoOf(clash.readyOn)),
      });
    case 'few-males':
      return say(
        '{females} {value}, and the {value2} here are enough for {enoughFor}. Find another, or split the group.',
        { females: clash.females, value: grown.female[1], value2: grown.male[1], enoughFor: clash.enoughFor },
      );
    case 'out-of-place':
      return clash.side === 'too-late'
        ? say('{step} comes {days} {days, plural, one {day} other {days}} too late for {other}.', {
            step,
            days: clash.days,
            other: other(clash.other),
          })
        : say('{step} comes {days} {days, plural, one {day} other {days}} too early after {other} to tell anything.', {
            step,
            days: clash.days,
            other: other(clash.other),
          });
    case 'away':
      return say('{step} falls on days nobody is here: {date} to {date2}, {why}.', {
        step,
        date: shortDate(isoOf(clash.from)),
        date2: shortDate(isoOf(clash.to)),
        why: clash.why,
      });
    case 'lean':
      return say('{step} needs feed while it is short: {date} to {date2}, {why}.', {
        step,
        date: shortDate(isoOf(clash.from)),
        date2: shortDate(isoOf(clash.to)),
        why: clash.why,
      });
    case 'pens':
      return say(
        'Up to {wanted} births expected in three days, and there are {pens} pens. Fewer females, another cycle apart, or more pens.',
        { wanted: clash.wanted, pens: clash.pens },
      );
    case 'two-births':
      return say('The busiest week is that of “{name}” too, from {date}. Two species give birth at once.', {
        name: nameOf(clash.otherPlanId),
        date: shortDate(isoOf(clash.weekFrom)),
      });
    case 'too-much-work':
      return say('The week of {date} asks for {n} days of work, and there are {has}. {step} is the most of it.', {
        date: shortDate(isoOf(clash.weekFrom)),
        n: fixedText(clash.days, 1),
        has: clash.has,
        step,
      });
  }
}

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
