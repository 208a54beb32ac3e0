import {
  EVIDENCE_WAY_WORDS,
  FINDING_WORDS,
  percentText,
  type CarryingFemaleView,
  type CarryingState,
  type CarryingView,
} from '@yaylak/contract';
import { SPECIES_WORDS, VERY_LIKELY, type Species } from '@yaylak/core';
import { TEST_RESULT_WORDS } from '../../words/carrying';
import { countText, shortDate } from '../../words/format';

export const STATE_WORDS: Readonly<Record<CarryingState, string>> = {
  'in-young': 'in young',
  likely: 'likely in young',
  'too-soon': 'too soon to say',
  doubtful: 'doubtful',
  empty: 'empty',
  lost: 'lost hers',
  'not-served': 'not served',
  'not-marked': 'not marked',
  'over-time': 'overdue',
  unanswered: 'what came of her?',
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
  if (f.state === 'unanswered') return f.birth ? `was due ${shortDate(f.birth.bestFrom)}` : 'was due';
  if (f.state === 'not-marked') return 'ran with a raddled male, no mark seen';
  if (!chance) return 'not served';
  const [one, many] = SPECIES_WORDS[species].young.unknown;
  const signs = chance.story.flatMap((s): string[] => {
    if (s.kind === 'no-return') return ['no return'];
    if (s.kind === 'returned') return [`back on heat ${shortDate(s.on)}`];
    if (s.kind === 'refused') return [`refused the male ${shortDate(s.on)}`];
    if (s.kind === 'no-birth') return ['no birth yet'];
    if (s.kind === 'lost') return [`lost ${shortDate(s.on)}`];
    return [];
  });
  const tested = tests.map((t) => {
    const found = [
      t.young === null ? TEST_RESULT_WORDS[t.result] : countText(t.young, one, many),
      ...(t.ageDays === null ? [] : [countText(t.ageDays, 'day', 'days')]),
      ...t.findings.map((x) => FINDING_WORDS[x]),
    ];
    return `${EVIDENCE_WAY_WORDS[t.way]} ${shortDate(t.on)}: ${found.join(', ')}`;
  });
  const out = f.tubeOut ? [`blood taken ${shortDate(f.tubeOut.on)}, tube ${f.tubeOut.tube} not answered yet`] : [];
  return [...signs, ...tested, ...out].join('; ') || 'nothing yet';
}

/** The answer to the page's question. */
export function answerText({ females, species, curve, isCurrent }: CarryingView): string {
  const words = SPECIES_WORDS[species].grown.female;
  if (!isCurrent || females.length === 0) {
    if (!curve) return `No ${words[0]} was served yet.`;
    const share = percentText(curve.known.at(-1) ?? 0);
    return `Nobody is served now. Of the season from ${shortDate(curve.from)} ${curve.from.slice(0, 4)}, ${share} of ${countText(curve.base, words[0], words[1])} took.`;
  }
  const isSure = (f: CarryingFemaleView): boolean => (f.chance?.probability ?? 0) >= VERY_LIKELY;
  const sure = females.filter(isSure).length;
  const n = (...states: CarryingState[]): number =>
    females.filter((f) => states.includes(f.state) && !isSure(f)).length;
  const unserved = females.filter((f) => f.state === 'not-served').length;
  const likely = n('likely', 'in-young');
  const parts = [
    `${sure} of ${countText(females.length, words[0], words[1])} very likely in young`,
    ...(likely > 0 ? [`${likely} likely`] : []),
    ...(n('over-time') > 0 ? [`${n('over-time')} overdue`] : []),
    ...(n('unanswered') > 0 ? [`${n('unanswered')} with no outcome on record`] : []),
    ...(n('too-soon') > 0 ? [`${n('too-soon')} too soon to say`] : []),
    ...(n('doubtful') > 0 ? [`${n('doubtful')} doubtful`] : []),
    ...(n('empty', 'lost') > 0 ? [`${n('empty', 'lost')} empty`] : []),
    ...(n('not-marked') > 0 ? [`${n('not-marked')} ran with him and not marked`] : []),
    ...(unserved > 0 ? [`${unserved} not served`] : []),
  ];
  const until = females.flatMap((f) => f.whatNow?.serveUntil ?? []).sort()[0];
  return `${parts.join(', ')}.${until ? ` Who is empty can be served again until ${shortDate(until)}.` : ''}`;
}
