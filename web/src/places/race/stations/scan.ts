import {
  ageFit,
  dayOf,
  isoOf,
  readTypedScan,
  SCAN_FINDINGS,
  toldTooSoon,
  tooSoon,
  type AgeFit,
  type ScanFinding,
  type TestWay,
  type TooSoonTold,
  type TypedScan,
} from '@yaylak/core';
import { FINDING_WORDS, tooSoonText, say, capital } from '@yaylak/contract';
import { fullDate } from '../../../words/dates';
import type { Draft } from '../draft';
import { fieldText, type AtHand, type Fact, type Problem, type StationRules } from './atHand';

const REASONS: Readonly<Record<Extract<TypedScan, { kind: 'refused' }>['reason'], string>> = {
  empty: say('Type how many young: 0 for empty, ? for doubtful; after a blank their age in days.'),
  'not-a-scan': say('is not a scan. Type how many young, then a blank and their age in days: 2 62.'),
  'too-many': say('is more young than any litter has. Check the figure.'),
  'age-of-empty': say('says empty with an age. An empty one has no young to tell the age of.'),
};

export const scanTyped = (draft: Draft): TypedScan => readTypedScan(draft.fields.scan ?? '');

const findingKey = (finding: ScanFinding): string => `finding ${finding}`;
export const findingsOf = (draft: Draft): ScanFinding[] =>
  SCAN_FINDINGS.filter((f) => draft.marks.includes(findingKey(f)));

/** Services of the animal at hand with the days since; of a stretch, since its last day. */
export const servicesAt = ({ animal, job }: Pick<AtHand, 'animal' | 'job'>) =>
  (animal?.served ?? []).map((s) => ({ ...s, days: dayOf(job.on) - dayOf(s.to) }));

/** What a typed age says of her services; undefined without an age or a service. */
export function fitAt(draft: Draft, at: AtHand): AgeFit | undefined {
  const typed = scanTyped(draft);
  const served = at.animal?.served ?? [];
  if (typed.kind !== 'scan' || typed.ageDays === undefined || served.length === 0) return undefined;
  return ageFit(
    { on: dayOf(at.job.on), ageDays: typed.ageDays },
    served.map((s) => ({ from: dayOf(s.from), to: dayOf(s.to), maleIds: s.males })),
  );
}

/** Why a way of testing could not tell of the animal at hand yet. */
export function tooSoonAt(at: AtHand, way: TestWay): TooSoonTold | undefined {
  const { animal } = at;
  const rules = at.settings.tests[way];
  if (!animal || !rules) return undefined;
  const servedOn = animal.served?.at(-1)?.to;
  const female = {
    servedOn: servedOn === undefined ? undefined : dayOf(servedOn),
    lastBirthOn: animal.lastBirthOn === undefined ? undefined : dayOf(animal.lastBirthOn),
  };
  const found = tooSoon(rules, female, dayOf(at.job.on));
  return found && toldTooSoon(found, way);
}

/** A reason for a test that comes too soon: nothing stands against it once one is typed. */
export function soonProblems(draft: Draft, at: AtHand, way: TestWay): Problem[] {
  const soon = tooSoonAt(at, way);
  if (soon === undefined || (draft.fields.reason ?? '').trim() !== '') return [];
  return [
    {
      kind: 'refuse',
      field: 'reason',
      message: say('{tooSoon} Leave it out, or give a reason; it then counts as doubtful.', {
        tooSoon: tooSoonText(soon),
      }),
    },
  ];
}
export const reasonAt = (draft: Draft, at: AtHand, way: TestWay): { reason?: string } => {
  const reason = (draft.fields.reason ?? '').trim();
  return reason !== '' && tooSoonAt(at, way) !== undefined ? { reason } : {};
};

const wayAt = (at: AtHand): 'scan' | 'palpation' => at.job.settings.scan?.way ?? 'scan';
const learnerAge = (draft: Draft): number | undefined | 'wrong' => {
  const text = fieldText(draft, 'learnerAge').trim();
  return text === '' ? undefined : /^[1-9]\d{0,2}$/.test(text) ? Number(text) : 'wrong';
};

/** Scanned or felt: how many, how old, what else; a count and an age typed in one. */
export const scan: StationRules = {
  problems(draft, at): Problem[] {
    const told = at.job.settings?.scan?.way === 'palpation' ? say('felt for young') : say('scanned');
    if (at.sex !== 'female')
      return [{ kind: 'ask', key: 'no-female', message: say('No female: not {told}. Enter again goes on.', { told }) }];
    const typed = scanTyped(draft);
    if (typed.kind === 'refused') {
      if (typed.reason !== 'empty')
        return [{ kind: 'refuse', field: 'scan', message: `“${draft.fields.scan ?? ''}” ${REASONS[typed.reason]}` }];
      return at.job.stations.length === 1
        ? [{ kind: 'refuse', field: 'scan', message: REASONS.empty }]
        : [{ kind: 'ask', key: 'no-scan', message: say('Not {told}. Enter again goes on without it.', { told }) }];
    }
    if (learnerAge(draft) === 'wrong')
      return [{ kind: 'refuse', field: 'learnerAge', message: say('The learner’s age is in days, such as 62.') }];
    const fit = fitAt(draft, at);
    return [
      ...soonProblems(draft, at, wayAt(at)),
      ...(fit?.kind === 'none-fits'
        ? [
            {
              kind: 'ask' as const,
              key: `none-fits ${typed.ageDays ?? ''}`,
              message: say(
                '{n} days would be a service of about {date}, and none is on record near it. Look again at number and age. Enter again keeps it.',
                { n: typed.ageDays ?? '', date: fullDate(isoOf(fit.conceivedOn)) },
              ),
            },
          ]
        : []),
    ];
  },
  facts(draft, at): Fact[] {
    const typed = scanTyped(draft);
    if (typed.kind === 'refused' || at.sex !== 'female') return [];
    const { way = 'scan', testedBy, learner } = at.job.settings.scan ?? {};
    const findings = findingsOf(draft);
    const isLost = findings.includes('lost-early');
    const age = learnerAge(draft);
    const { young, ageDays } = isLost ? { young: undefined, ageDays: undefined } : typed;
    return [
      {
        type: 'pregnancy-test',
        way,
        result: isLost ? 'empty' : typed.result,
        ...(young === undefined ? {} : { young }),
        ...(ageDays === undefined ? {} : { ageDays }),
        ...(findings.length === 0 ? {} : { findings }),
        testedBy: testedBy ?? at.weighedBy,
        ...(learner !== undefined && typeof age === 'number' ? { learner, learnerAgeDays: age } : {}),
        ...reasonAt(draft, at, way),
      },
      ...(isLost ? [{ type: 'loss' as const, how: 'absorbed' as const }] : []),
    ];
  },
  toggles: (at) =>
    at.sex === 'female' && wayAt(at) === 'scan'
      ? SCAN_FINDINGS.map((f) => ({ key: findingKey(f), words: capital(FINDING_WORDS[f]) }))
      : [],
};
