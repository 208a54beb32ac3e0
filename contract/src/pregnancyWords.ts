import type { EvidenceWay, LossWay, ScanFinding, TooSoonTold, WayOn } from '@yaylak/core';
import { dayText } from './dayText';
import { capital } from './say/letters';
import { say } from './say/say';
import { told } from './say/told';

export const EVIDENCE_WAY_WORDS: Readonly<Record<EvidenceWay, string>> = told({
  blood: 'blood test',
  scan: 'scan',
  palpation: 'palpation',
  sight: 'udder and belly',
});

export const FINDING_WORDS: Readonly<Record<ScanFinding, string>> = told({
  'lost-early': 'lost early',
  dead: 'a dead one',
  fluid: 'hydrometra (fluid, no young)',
  pus: 'pus in the womb',
  unequal: 'unequal in size',
});

export const LOSS_WORDS: Readonly<Record<LossWay, string>> = told({
  slipped: 'aborted (slipped)',
  absorbed: 'reabsorbed',
  other: 'lost them',
});

export const WAY_ON_WORDS: Readonly<Record<WayOn, string>> = told({
  'serve-again': 'Serve again',
  'test-again': 'Test again first',
  sell: 'Sell now',
  keep: 'Keep, do nothing',
});

/** From when on a test can tell: "can tell from day 30, 3 Dec 2026". */
export const canTellText = ({ daysNeeded, after, validFrom }: TooSoonTold): string =>
  say('can tell from day {daysNeeded} after the {after}, {date}', { daysNeeded, after, date: dayText(validFrom) });

/** Why a test would say nothing yet, and from when on it does: "Blood test on day 20 after the service of …". */
export function tooSoonText({ way, after, since, days, daysNeeded, validFrom }: TooSoonTold): string {
  return say('{way} on day {days} after the {after} of {date}; it can tell from day {daysNeeded}, {date2}.', {
    way: capital(EVIDENCE_WAY_WORDS[way]),
    days,
    after,
    date: dayText(since),
    daysNeeded,
    date2: dayText(validFrom),
  });
}
