import { groupOn, type AnimalFacts, type StayFact } from '../../book';
import { addDays, type Day } from '../../calendar';
import { markReading, raddleChange } from '../../mating';
import type { Species, SpeciesSettings } from '../../species';
import { raddleOn } from '../raddleOn';
import { DUE_AHEAD_DAYS, opened, type DueRow } from './dueRow';

/** What marks are asked of. */
export interface MarksContext {
  readonly today: Day;
  readonly settings: (species: Species) => SpeciesSettings;
  /** Stays of a male that go on. */
  readonly openStays: (male: AnimalFacts) => readonly StayFact[];
  /** Marks are read in that job. */
  readonly isMarkJob: (jobId: string) => boolean;
}

interface Running {
  readonly male: AnimalFacts;
  readonly stay: StayFact;
  readonly females: readonly AnimalFacts[];
}

/** What is due of males that run with females and tell by marks: reading them, and another colour each cycle. */
export function dueOfMarks(present: readonly AnimalFacts[], context: MarksContext): DueRow[] {
  const { today } = context;
  const running = present.flatMap((male) =>
    context.openStays(male).flatMap((stay) => (stay.on <= today ? [{ male, stay }] : [])),
  );
  if (running.length === 0) return [];
  const byGroup = new Map<string, AnimalFacts[]>();
  for (const facts of present) {
    const groupId = facts.record.sex === 'female' ? groupOn(facts, today) : undefined;
    if (groupId === undefined) continue;
    const own = byGroup.get(groupId);
    if (own) own.push(facts);
    else byGroup.set(groupId, [facts]);
  }
  return running.flatMap(({ male, stay }) => {
    const { species } = male.record;
    const females = (byGroup.get(stay.groupId) ?? []).filter((f) => f.record.species === species);
    const all = { male, stay, females };
    return females.length === 0 ? [] : [...reading(all, context), ...change(all, context)];
  });
}

function reading({ male, stay, females }: Running, context: MarksContext): DueRow[] {
  const { today, settings } = context;
  const { record } = male;
  const isTeaser = stay.isTeaser || record.sex === 'castrate';
  if (!raddleOn(male, stay, today) && !isTeaser) return [];
  const readOn = lastRead(females, stay.on, context);
  const window = markReading({ isTeaser, since: readOn ?? stay.on }, settings(record.species));
  // Read day by day, it is no news before its day.
  if (!window || window.opens > today) return [];
  return [
    {
      key: `read marks ${stay.entryId}`,
      task: { kind: 'read-marks', male, isTeaser, readOn },
      animals: females,
      species: record.species,
      groupId: stay.groupId,
      // Done day by day in the field: what is done once or twice a year does not wait for it, nor go along each time.
      joins: 'nothing',
      ...opened(window, today),
    },
  ];
}

function change({ male, stay }: Running, { today, settings }: MarksContext): DueRow[] {
  const raddle = raddleOn(male, stay, today);
  const { species } = male.record;
  const window = raddle && raddleChange(raddle.since, settings(species));
  if (!raddle || !window || window.opens > addDays(today, DUE_AHEAD_DAYS)) return [];
  return [
    {
      key: `raddle ${stay.entryId}`,
      task: { kind: 'change-raddle', ...raddle },
      animals: [male],
      species,
      groupId: stay.groupId,
      joins: 'nothing',
      ...opened(window, today),
    },
  ];
}

/** When their marks were last read at the race, or one was written down by hand. */
function lastRead(females: readonly AnimalFacts[], from: Day, { isMarkJob }: MarksContext): Day | undefined {
  let last: Day | undefined;
  for (const { passages, services } of females) {
    const passed = passages.findLast(({ jobId }) => jobId !== undefined && isMarkJob(jobId))?.on;
    const marked = services.findLast((s) => s.way === 'raddle')?.on;
    for (const on of [passed, marked]) if (on !== undefined && on >= from && on > (last ?? 0)) last = on;
  }
  return last;
}
