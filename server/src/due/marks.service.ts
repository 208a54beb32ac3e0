import { Inject, Injectable } from '@nestjs/common';
import type { DueWork } from '@yaylak/contract';
import {
  addDays,
  groupOn,
  markReading,
  raddleChange,
  raddleOn,
  windowStage,
  type AnimalFacts,
  type Day,
  type StayFact,
  type Window,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { calledAs, windowView } from '../common/views';
import { isOpenStay } from '../mating/history.service';
import { AHEAD_DAYS, counted } from './batches';

/** What is due of males that run with females and tell by marks: reading them, and another colour each cycle. */
@Injectable()
export class MarksDueService {
  constructor(@Inject(BookService) private readonly book: BookService) {}

  list(present: readonly AnimalFacts[], today: Day): DueWork[] {
    const running = present.flatMap((male) =>
      male.stays.flatMap((stay) => (isOpenStay(male, stay.entryId, today) && stay.on <= today ? [{ male, stay }] : [])),
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
      return females.length === 0 ? [] : [...this.reading(all, today), ...this.change(all, today)];
    });
  }

  private reading({ male, stay, females }: Running, today: Day): DueWork[] {
    const { record } = male;
    const raddle = raddleOn(male, stay, today);
    const isTeaser = stay.isTeaser || record.sex === 'castrate';
    const first = females[0];
    if ((!raddle && !isTeaser) || !first) return [];
    const readOn = this.readOn(females, stay.on);
    const since = readOn ?? stay.on;
    const window = markReading({ isTeaser, since }, this.book.state.settings(record.species));
    // Read day by day, it is no news before its day.
    if (!window || window.opens > today) return [];
    const group = this.groupOf(stay);
    return [
      {
        ...this.base(`read marks ${stay.entryId}`, male, stay, window, today),
        does: ['Read the marks of'],
        who: counted(first, females.length, today),
        why: [
          `${calledAs(male, today)}${isTeaser ? ', a teaser,' : ''} runs with them${readOn === undefined ? '' : `; read ${daysAgo(today - readOn)}`}`,
        ],
        animalIds: females.map((f) => f.record.id),
        job: {
          name: group ? `${group.name}, marks read` : 'Marks read',
          stations: ['raddle'],
          settings: {},
          gates: [],
        },
      },
    ];
  }

  private change({ male, stay }: Running, today: Day): DueWork[] {
    const raddle = raddleOn(male, stay, today);
    const { species } = male.record;
    const window = raddle && raddleChange(raddle.since, this.book.state.settings(species));
    if (!raddle || !window || window.opens > addDays(today, AHEAD_DAYS)) return [];
    return [
      {
        ...this.base(`raddle ${stay.entryId}`, male, stay, window, today),
        does: ['Change the raddle of'],
        who: { called: calledAs(male, today) },
        why: [`${raddle.colour} for ${today - raddle.since} days: who comes back shows both colours`],
        animalIds: [male.record.id],
        job: null,
        at: { path: `/mating/males?species=${species}`, words: 'Change' },
      },
    ];
  }

  /** When their marks were last read at the race, or one was written down by hand. */
  private readOn(females: readonly AnimalFacts[], from: Day): Day | undefined {
    let last: Day | undefined;
    for (const { passages, services } of females) {
      const passed = passages.findLast(
        ({ jobId }) => jobId !== undefined && this.book.state.jobs.get(jobId)?.includes('raddle'),
      )?.on;
      const marked = services.findLast((s) => s.way === 'raddle')?.on;
      for (const on of [passed, marked]) if (on !== undefined && on >= from && on > (last ?? 0)) last = on;
    }
    return last;
  }

  private groupOf({ groupId }: StayFact): DueWork['group'] {
    const group = this.book.state.groups.get(groupId);
    return group ? { id: group.id, name: group.name } : null;
  }

  private base(key: string, { record }: AnimalFacts, stay: StayFact, window: Window, today: Day) {
    return {
      key,
      group: this.groupOf(stay),
      species: record.species,
      window: windowView(window),
      isOpen: windowStage(window, today) !== 'early',
      steps: [],
    };
  }
}

interface Running {
  readonly male: AnimalFacts;
  readonly stay: StayFact;
  readonly females: readonly AnimalFacts[];
}

const daysAgo = (days: number): string => (days === 1 ? 'yesterday' : `${days} days ago`);
