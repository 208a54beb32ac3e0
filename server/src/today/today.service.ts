import { Inject, Injectable } from '@nestjs/common';
import type { DueWeighing, LookAt, NotGrowingView, TodayView, YearBandView } from '@yaylak/contract';
import {
  addDays,
  doubtReading,
  fieldWord,
  groupOn,
  isoOf,
  nextWeighing,
  sharedWindow,
  SPECIES,
  SPECIES_WORDS,
  windowStage,
  yearBandBlocks,
  yearOf,
  type AnimalFacts,
  type Born,
  type Day,
  type Window,
} from '@yaylak/core';
import { AnimalPageService } from '../animals/animalPage.service';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { gainView, tagView, windowView } from '../common/views';
import { GrowthService } from '../growth/growth.service';
import { JobsService } from '../jobs/jobs.service';
import { RemediesService } from '../remedies/remedies.service';

/** Weighings that open within so many days are shown. */
const AHEAD_DAYS = 7;
/** A doubtful reading older than this was looked at or will not be. */
const DOUBT_DAYS = 60;
const ROWS = 40;

/** What waits today. */
@Injectable()
export class TodayService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(GrowthService) private readonly growth: GrowthService,
    @Inject(AnimalPageService) private readonly pages: AnimalPageService,
    @Inject(JobsService) private readonly jobs: JobsService,
    @Inject(RemediesService) private readonly remedies: RemediesService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async view(): Promise<TodayView> {
    const today = this.clock.today();
    const present = this.book.state.present(today);
    return {
      on: isoOf(today),
      due: this.due(present, today),
      notGrowing: this.notGrowing(today),
      withheld: this.remedies.withheld().slice(0, ROWS),
      doses: this.remedies.due().slice(0, ROWS),
      openJobs: await this.jobs.open(),
      lookAt: this.lookAt(present, today),
      head: SPECIES.map((species) => {
        const own = present.filter((f) => f.record.species === species);
        const { grownFromDays } = SPECIES_WORDS[species];
        const grown = own.filter(
          (f) => f.record.sex === 'female' && f.record.bornOn !== undefined && today - f.record.bornOn >= grownFromDays,
        );
        return { species, present: own.length, grownFemales: grown.length };
      }),
    };
  }

  /** The year's lanes, from births and the rearing after them. */
  yearBand(): YearBandView {
    const today = this.clock.today();
    const year = yearOf(today);
    const lanes = SPECIES.map((species) => {
      const born: Born[] = [];
      for (const { record } of this.book.state.animals.values())
        if (
          record.species === species &&
          record.bornOn !== undefined &&
          record.damId !== undefined &&
          yearOf(record.bornOn) >= year - 1
        )
          born.push({ id: record.id, species, bornOn: record.bornOn, damId: record.damId });
      const blocks = yearBandBlocks(born, this.book.state.settings(species))
        .filter((b) => yearOf(b.to) >= year && yearOf(b.from) <= year)
        .map((b) => ({
          ...b,
          from: isoOf(b.from),
          to: isoOf(b.to),
          batchFrom: isoOf(b.batchFrom),
          batchTo: isoOf(b.batchTo),
        }));
      return { species, blocks };
    });
    return { year, today: isoOf(today), lanes };
  }

  /** Weighings open now or within the week, one row for a group's animals that are due by the same step. */
  due(present: readonly AnimalFacts[], today: Day): DueWeighing[] {
    const batches = new Map<string, { step: string; facts: AnimalFacts[]; windows: Window[] }>();
    for (const facts of present) {
      const { bornOn, species, sex } = facts.record;
      if (bornOn === undefined) continue;
      const due = nextWeighing(bornOn, this.book.state.daily(facts), this.book.state.settings(species).weighing, today);
      if (!due || due.window.opens > today + AHEAD_DAYS) continue;
      const key = `${species} ${sex} ${groupOn(facts, today) ?? '-'} ${due.step}`;
      const batch = batches.get(key) ?? { step: due.step, facts: [], windows: [] };
      batches.set(key, batch);
      batch.facts.push(facts);
      batch.windows.push(due.window);
    }
    const rows = [...batches].flatMap(([key, { step, facts, windows }]): (DueWeighing & { readonly closes: Day })[] => {
      const window = sharedWindow(windows);
      const first = facts[0];
      if (!window || !first) return [];
      const groupId = groupOn(first, today);
      const group = groupId === undefined ? undefined : this.book.state.groups.get(groupId);
      const age = today - (first.record.bornOn ?? today);
      return [
        {
          key,
          step,
          group: group ? { id: group.id, name: group.name } : null,
          species: first.record.species,
          who: `${facts.length} ${fieldWord(first.record, age, facts.length > 1)}`,
          animalIds: facts.map((f) => f.record.id),
          window: windowView(window),
          isOpen: windowStage(window, today) !== 'early',
          closes: window.closes,
        },
      ];
    });
    return rows
      .sort((a, b) => a.closes - b.closes || (a.key < b.key ? -1 : 1))
      .slice(0, ROWS)
      .map(({ closes: _, ...row }) => row);
  }

  private notGrowing(today: Day): NotGrowingView[] {
    return this.growth
      .snapshot()
      .notGrowing.slice(0, ROWS)
      .flatMap((n) => {
        const facts = this.book.state.animals.get(n.animalId);
        if (!facts) return [];
        const groupId = groupOn(facts, today);
        return [
          {
            tag: tagView(facts, today),
            gain: gainView(n.gain, n.lineKgPerDay, 'below'),
            groupMedianKgPerDay: n.groupMedianKgPerDay,
            groupSize: n.groupSize,
            isSmallGroup: n.isSmallGroup,
            groupName: (groupId && this.book.state.groups.get(groupId)?.name) ?? null,
          },
        ];
      });
  }

  private lookAt(present: readonly AnimalFacts[], today: Day): LookAt[] {
    const list: LookAt[] = [];
    for (const facts of present) {
      const { record } = facts;
      const settings = this.book.state.settings(record.species);
      const daily = this.book.state.daily(facts);
      if (record.sex === 'unknown' && record.bornOn === undefined)
        list.push({ kind: 'unknown-animal', tag: tagView(facts, today), on: isoOf(facts.arrivedOn ?? today) });
      facts.weights.forEach((w) => {
        if (today - w.on > DOUBT_DAYS) return;
        const doubt = doubtReading(
          daily.findLast((r) => r.on < w.on),
          w,
          settings,
        );
        if (doubt)
          list.push({
            kind: 'doubtful-weight',
            entryId: w.entryId,
            tag: tagView(facts, today),
            on: isoOf(w.on),
            kg: w.kg,
            doubt,
          });
      });
      const message = record.sex === 'female' ? this.pages.alarm(facts, addDays(today, -DOUBT_DAYS)) : null;
      if (message !== null) list.push({ kind: 'adult-alarm', tag: tagView(facts, today), message });
    }
    return list.slice(0, ROWS);
  }
}
