import {
  EVIDENCE_WAY_WORDS,
  FINDING_WORDS,
  percentText,
  type CarryingFemaleView,
  type CarryingState,
  type CarryingView,
  say,
  SPECIES_WORDS,
} from '@yaylak/contract';
import { VERY_LIKELY, type Species } from '@yaylak/core';
import { TEST_RESULT_WORDS } from '../../words/carrying';
import { shortDate } from '../../words/dates';
import { countText } from '../../words/format';

export const STATE_WORDS: Readonly<Record<CarryingState, string>> = {
  'in-young': say('in young'),
  likely: say('likely in young'),
  'too-soon': say('too soon to say'),
  doubtful: say('doubtful'),
  empty: say('empty'),
  lost: say('lost hers'),
  'not-served': say('not served'),
  'not-marked': say('not marked'),
  'over-time': say('overdue'),
  unanswered: say('what came of her?'),
};

/** Exceptions first: who wants a decision, then who is not known, then who is. */
const ORDER: readonly CarryingState[] = [
  'unanswered',
  'over-time',
  'lost',
  'empty',
  'doubtful',
  'too-soon',
  'likely',
  'in-young',
  'not-marked',
  'not-served',
];
export const inOrder = (females: readonly CarryingFemaleView[]): CarryingFemaleView[] =>
  [...females].sort(
    (a, b) =>
      ORDER.indexOf(a.state) - ORDER.indexOf(b.state) ||
      ((a.chance?.servedOn ?? '') < (b.chance?.servedOn ?? '') ? -1 : 1),
  );

/** What is known of one, in a line: "no return, scan 14 Nov: 2 kids, 49 days". */
export function knownText(f: CarryingFemaleView, species: Species): string {
  const { chance, tests } = f;
  if (f.state === 'unanswered')
    return f.birth ? say('was due {date}', { date: shortDate(f.birth.bestFrom) }) : say('was due');
  if (f.state === 'not-marked') return say('ran with a raddled male, no mark seen');
  if (!chance) return say('not served');
  const [one, many] = SPECIES_WORDS[species].young.unknown;
  const signs = chance.story.flatMap((s): string[] => {
    if (s.kind === 'no-return') return [say('no return')];
    if (s.kind === 'returned') return [say('back on heat {date}', { date: shortDate(s.on) })];
    if (s.kind === 'refused') return [say('refused the male {date}', { date: shortDate(s.on) })];
    if (s.kind === 'no-birth') return [say('no birth yet')];
    if (s.kind === 'lost') return [say('lost {date}', { date: shortDate(s.on) })];
    return [];
  });
  const tested = tests.map((t) => {
    const found = [
      t.young === null ? TEST_RESULT_WORDS[t.result] : countText(t.young, one, many),
      ...(t.ageDays === null
        ? []
        : [say('{ageDays} {ageDays, plural, one {day} other {days}}', { ageDays: t.ageDays })]),
      ...t.findings.map((x) => FINDING_WORDS[x]),
    ];
    return `${EVIDENCE_WAY_WORDS[t.way]} ${shortDate(t.on)}: ${found.join(', ')}`;
  });
  const out = f.tubeOut
    ? [say('blood taken {date}, tube {tube} not answered yet', { date: shortDate(f.tubeOut.on), tube: f.tubeOut.tube })]
    : [];
  return [...signs, ...tested, ...out].join('; ') || say('nothing yet');
}

/** The answer to the page's question. */
export function answerText({ females, species, curve, isCurrent }: CarryingView): string {
  const words = SPECIES_WORDS[species].grown.female;
  if (!isCurrent || females.length === 0) {
    if (!curve) return say('No {value} was served yet.', { value: words[0] });
    const share = percentText(curve.known.at(-1) ?? 0);
    return say('Nobody is served now. Of the season from {date} {part}, {share} of {count} took.', {
      date: shortDate(curve.from),
      part: curve.from.slice(0, 4),
      share,
      count: countText(curve.base, words[0], words[1]),
    });
  }
  const isSure = (f: CarryingFemaleView): boolean => (f.chance?.probability ?? 0) >= VERY_LIKELY;
  const sure = females.filter(isSure).length;
  const n = (...states: CarryingState[]): number =>
    females.filter((f) => states.includes(f.state) && !isSure(f)).length;
  const unserved = females.filter((f) => f.state === 'not-served').length;
  const likely = n('likely', 'in-young');
  const parts = [
    say('{sure} of {count} very likely in young', { sure, count: countText(females.length, words[0], words[1]) }),
    ...(likely > 0 ? [say('{likely} likely', { likely })] : []),
    ...(n('over-time') > 0 ? [say('{n} overdue', { n: n('over-time') })] : []),
    ...(n('unanswered') > 0 ? [say('{n} with no outcome on record', { n: n('unanswered') })] : []),
    ...(n('too-soon') > 0 ? [say('{n} too soon to say', { n: n('too-soon') })] : []),
    ...(n('doubtful') > 0 ? [say('{n} doubtful', { n: n('doubtful') })] : []),
    ...(n('empty', 'lost') > 0 ? [say('{n} empty', { n: n('empty', 'lost') })] : []),
    ...(n('not-marked') > 0 ? [say('{n} ran with him and not marked', { n: n('not-marked') })] : []),
    ...(unserved > 0 ? [say('{unserved} not served', { unserved })] : []),
  ];
  const until = females.flatMap((f) => f.whatNow?.serveUntil ?? []).sort()[0];
  return `${parts.join(', ')}.${until ? ` ${say('Those empty can be served again until {date}.', { date: shortDate(until) })}` : ''}`;
}
