import type { EvidenceWay, LossWay, ScanFinding, TooSoonTold, WayOn } from '@yaylak/core';
import { dayText } from './dayText';

export const EVIDENCE_WAY_WORDS: Readonly<Record<EvidenceWay, string>> = {
  blood: 'blood test',
  scan: 'scan',
  palpation: 'palpation',
  sight: 'udder and belly',
};

export const FINDING_WORDS: Readonly<Record<ScanFinding, string>> = {
  'lost-early': 'lost early',
  dead: 'a dead one',
  fluid: 'hydrometra (fluid, no young)',
  pus: 'pus in the womb',
  unequal: 'unequal in size',
};

export const LOSS_WORDS: Readonly<Record<LossWay, string>> = {
  slipped: 'aborted (slipped)',
  absorbed: 'reabsorbed',
  other: 'lost them',
};

export const WAY_ON_WORDS: Readonly<Record<WayOn, string>> = {
  'serve-again': 'Serve again',
  'test-again': 'Test again first',
  sell: 'Sell now',
  keep: 'Keep, do nothing',
};

/** From when on a test can tell: "can tell from day 30, 3 Dec 2026". */
export const canTellText = ({ daysNeeded, after, validFrom }: TooSoonTold): string =>
  `can tell from day ${daysNeeded} after the ${after}, ${dayText(validFrom)}`;

/** Why a test would say nothing yet, and from when on it does: "Blood test on day 20 after the service of …". */
export function tooSoonText({ way, after, since, days, daysNeeded, validFrom }: TooSoonTold): string {
  const words = EVIDENCE_WAY_WORDS[way];
  return `${words.charAt(0).toUpperCase()}${words.slice(1)} on day ${days} after the ${after} of ${dayText(since)}; it can tell from day ${daysNeeded}, ${dayText(validFrom)}.`;
}
