import { listed, type AnimalView, say, lower } from '@yaylak/contract';
import { dayOf, isoOf, type Day } from '@yaylak/core';
import { TEST_RESULT_WORDS } from '../../words/carrying';
import { scoreText } from '../../words/condition';
import { fullDate, monthYear } from '../../words/dates';
import { entryWords } from '../../words/entryWords';
import { DECISION_WORDS } from '../../words/reasons';

/** A mark on a lane: at one day, or over a stretch of days. */
export interface LifeMark {
  readonly key: string;
  readonly from: number;
  /** The same as `from` for a mark of one day. */
  readonly to: number;
  /** Short, for the mark itself. */
  readonly label: string;
  /** The whole of it, for those who point at it or cannot see it. */
  readonly words: string;
  readonly tone: 'births' | 'group' | 'good' | 'look' | 'over' | 'plain';
}

export interface LifeLane {
  readonly name: string;
  readonly marks: readonly LifeMark[];
}

export interface Life {
  /** Days of the calendar the axis goes from and to. */
  readonly from: Day;
  readonly to: Day;
  readonly lanes: readonly LifeLane[];
}

/** Young born within so many days of the one before stand in one mark: a male has them by the season. */
const SEASON_DAYS = 45;
const MOST_TICKS = 8;

/** An animal's life as lanes over one axis, from its birth (or its first entry) to today (or the day it left). */
export function lifeLanes(view: AnimalView, today: string): Life {
  const entries = view.timeline.flatMap((t) => (t.struck ? [] : [t])).toReversed();
  const first = entries[0]?.entry.on ?? today;
  const bornOn = view.row.bornOn ?? first;
  const from = dayOf(bornOn < first ? bornOn : first);
  const to = Math.max(from + 1, dayOf(view.departed?.on ?? today)) as Day;
  const lanes: LifeLane[] = [
    { name: say('Young'), marks: youngMarks(view) },
    { name: say('Mating'), marks: matingMarks(entries, to) },
    { name: say('Group'), marks: groupMarks(entries, to) },
    { name: say('Tags'), marks: tagMarks(view) },
    { name: say('Scores'), marks: scoreMarks(entries) },
    { name: say('Remedies'), marks: remedyMarks(entries) },
    { name: say('Marked'), marks: sprayMarks(entries, to) },
    { name: say('Chosen'), marks: choiceMarks(entries) },
    { name: say('Notes'), marks: noteMarks(entries) },
  ];
  return { from, to, lanes: lanes.filter((l) => l.marks.length > 0) };
}

type Entries = AnimalView['timeline'];

function youngMarks(view: AnimalView): LifeMark[] {
  const days = view.young.flatMap((y) => (y.bornOn === null ? [] : [dayOf(y.bornOn)])).sort((a, b) => a - b);
  const seasons: number[][] = [];
  for (const day of days) {
    const season = seasons.at(-1);
    if (season && day - (season.at(-1) as number) <= SEASON_DAYS) season.push(day);
    else seasons.push([day]);
  }
  const isoByDay = new Map(
    view.young.flatMap((y) => (y.bornOn === null ? [] : [[dayOf(y.bornOn), y.bornOn] as const])),
  );
  return seasons.map((season) => {
    const from = season[0] as (typeof days)[number];
    const to = season.at(-1) as (typeof days)[number];
    const firstIso = isoByDay.get(from) ?? '';
    const until = from === to ? '' : ` ${say('to {date}', { date: fullDate(isoByDay.get(to) ?? '') })}`;
    return {
      key: `young ${from}`,
      from,
      to,
      label: `${season.length} · ${firstIso.slice(0, 4)}`,
      words: say('{n} born, {date}{until}', { n: season.length, date: fullDate(firstIso), until }),
      tone: 'births',
    };
  });
}

/** Heats, services and, of a male, where he ran; looks that saw nothing are left out. */
function matingMarks(entries: Entries, end: number): LifeMark[] {
  const outOn = new Map(entries.flatMap(({ entry }) => (entry.type === 'stay-end' ? [[entry.stayId, entry.on]] : [])));
  return entries.flatMap(({ entry, groupName, names }): LifeMark[] => {
    const told = { ...TOLD, groupName, nameOf: (id: string) => names?.[id] };
    if (entry.type === 'heat' && entry.signs.length > 0)
      return [dayMark(entry, 'heat', 'look', entryWords(entry, told))];
    if (entry.type === 'service') return [dayMark(entry, 'served', 'good', entryWords(entry, told))];
    if (entry.type === 'pregnancy-test')
      return [dayMark(entry, TEST_RESULT_WORDS[entry.result], 'plain', entryWords(entry, told))];
    if (entry.type === 'loss') return [dayMark(entry, 'lost', 'over', entryWords(entry, told))];
    if (entry.type !== 'stay') return [];
    const out = outOn.get(entry.id);
    const words = say('{entry}, from {date}{value}', {
      entry: entryWords(entry, told),
      date: fullDate(entry.on),
      value: out ? ` ${say('to {date}', { date: fullDate(out) })}` : '',
    });
    const to = out === undefined ? end : dayOf(out);
    return [
      { key: entry.id, from: dayOf(entry.on), to, label: groupName ?? say('with females'), words, tone: 'group' },
    ];
  });
}

/** A lane speaks of no weights, no money and no standards. */
const TOLD = { species: undefined, unit: 'kg', currency: '', standards: [] } as const;

const dayMark = (
  entry: { readonly id: string; readonly on: string },
  label: string,
  tone: LifeMark['tone'],
  words: string,
): LifeMark => ({
  key: entry.id,
  from: dayOf(entry.on),
  to: dayOf(entry.on),
  label,
  words: `${words}, ${fullDate(entry.on)}`,
  tone,
});

function groupMarks(entries: Entries, end: number): LifeMark[] {
  const moves = entries.flatMap((t) =>
    t.entry.type === 'move' ? [{ ...t.entry, name: t.groupName ?? say('a group') }] : [],
  );
  return moves.map((move, i) => {
    const next = moves[i + 1];
    return {
      key: move.id,
      from: dayOf(move.on),
      to: next ? dayOf(next.on) : end,
      label: move.name,
      words: say('{name}, from {date}{value}', {
        name: move.name,
        date: fullDate(move.on),
        value: next ? ` ${say('to {date}', { date: fullDate(next.on) })}` : '',
      }),
      tone: 'group',
    };
  });
}

function tagMarks(view: AnimalView): LifeMark[] {
  const fitted = new Map<string, string[]>();
  for (const i of view.identifiers) fitted.set(i.fittedOn, [...(fitted.get(i.fittedOn) ?? []), i.text]);
  return [
    ...[...fitted].map(([on, texts]): LifeMark => ({
      key: `fitted ${on}`,
      from: dayOf(on),
      to: dayOf(on),
      label: say('fitted'),
      words: say('{listed} fitted on {date}', { listed: listed(texts), date: fullDate(on) }),
      tone: 'good',
    })),
    ...view.identifiers.flatMap((i): LifeMark[] =>
      i.ended
        ? [
            {
              key: `ended ${i.entryId}`,
              from: dayOf(i.ended.on),
              to: dayOf(i.ended.on),
              label: i.ended.how,
              words: say('{text} {how} on {date}', { text: i.text, how: say(i.ended.how), date: fullDate(i.ended.on) }),
              tone: 'look',
            },
          ]
        : [],
    ),
  ].sort((a, b) => a.from - b.from);
}

function remedyMarks(entries: Entries): LifeMark[] {
  return entries.flatMap(({ entry, productName = say('a remedy') }): LifeMark[] =>
    entry.type === 'treatment'
      ? [
          {
            key: entry.id,
            from: dayOf(entry.on),
            to: dayOf(entry.on) + (entry.meatDays ?? 0),
            label: productName,
            words: `${productName}, ${fullDate(entry.on)}${entry.meatDays ? say(', meat withheld {meatDays} days', { meatDays: entry.meatDays }) : ''}`,
            tone: 'over',
          },
        ]
      : [],
  );
}

function scoreMarks(entries: Entries): LifeMark[] {
  return entries.flatMap(({ entry }): LifeMark[] =>
    entry.type === 'score'
      ? [
          dayMark(
            entry,
            scoreText(entry.score),
            'plain',
            say('Scored {score} by {scoredBy}', { score: scoreText(entry.score), scoredBy: entry.scoredBy }),
          ),
        ]
      : [],
  );
}

function sprayMarks(entries: Entries, end: number): LifeMark[] {
  return entries.flatMap(({ entry }): LifeMark[] =>
    entry.type === 'mark'
      ? [
          {
            key: entry.id,
            from: dayOf(entry.on),
            to: Math.min(end, entry.until === undefined ? end : dayOf(entry.until)),
            label: entry.purpose,
            words: say('{colour} on the {place}: {purpose}, from {date}{value}', {
              colour: say(entry.colour),
              place: say(entry.place),
              purpose: entry.purpose,
              date: fullDate(entry.on),
              value: entry.until === undefined ? '' : ` ${say('to {date}', { date: fullDate(entry.until) })}`,
            }),
            tone: 'plain',
          },
        ]
      : [],
  );
}

const CHOICE_TONES = { keep: 'good', second: 'look', sell: 'over', cull: 'over' } as const;

function choiceMarks(entries: Entries): LifeMark[] {
  return entries.flatMap(({ entry }): LifeMark[] =>
    entry.type === 'choice'
      ? [
          dayMark(
            entry,
            lower(DECISION_WORDS[entry.decision]),
            CHOICE_TONES[entry.decision],
            say('{decision} among {among}', { decision: DECISION_WORDS[entry.decision], among: entry.among }),
          ),
        ]
      : [],
  );
}

function noteMarks(entries: Entries): LifeMark[] {
  return entries.flatMap(({ entry }): LifeMark[] =>
    entry.type === 'note' ? [dayMark(entry, entry.text, 'plain', entry.text)] : [],
  );
}

export interface Placed extends LifeMark {
  /** Shares of the lane's length, 0 to 1. */
  readonly left: number;
  readonly width: number;
  /** Room for words until the next mark begins, as a share. */
  readonly room: number;
}

/** Where the marks of a lane stand on the axis. */
export function placed(marks: readonly LifeMark[], { from, to }: Pick<Life, 'from' | 'to'>): Placed[] {
  const at = (day: number): number => Math.min(1, Math.max(0, (day - from) / (to - from)));
  return marks.map((mark, i) => {
    const left = at(mark.from);
    const next = marks[i + 1];
    return { ...mark, left, width: at(mark.to) - left, room: (next ? at(next.from) : 1) - left };
  });
}

/** First days of years, or of months for a life of under two years, as the axis names them. */
export function axisTicks({ from, to }: Pick<Life, 'from' | 'to'>): { readonly day: number; readonly name: string }[] {
  const isLong = to - from > 2 * 365;
  const months = Math.max(1, Math.ceil((to - from) / 30.4 / MOST_TICKS));
  const everyMonths = isLong ? 12 * Math.ceil(months / 12) : months;
  const start = isoOf(from);
  const ticks: { day: number; name: string }[] = [];
  // Months counted through from year 0: the next January, or the next month.
  let month = 12 * Number(start.slice(0, 4)) + (isLong ? 12 : Number(start.slice(5, 7)));
  for (; ; month += everyMonths) {
    const iso = `${Math.floor(month / 12)}-${String((month % 12) + 1).padStart(2, '0')}-01`;
    const day = dayOf(iso);
    if (day > to) return ticks;
    ticks.push({ day, name: isLong ? iso.slice(0, 4) : monthYear(iso) });
  }
}
