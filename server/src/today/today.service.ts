import { Inject, Injectable } from '@nestjs/common';
import type {
  BirthDue,
  LongList,
  LookAt,
  NotGrowingView,
  TagView,
  TodayQuery,
  TodayView,
  YearBandView,
} from '@yaylak/contract';
import {
  addDays,
  bandLane,
  doubtOf,
  lapsedOn,
  groupOn,
  isoMoment,
  isoOf,
  SPECIES,
  SPECIES_WORDS,
  yearOf,
  type AnimalFacts,
  type Day,
  type NotGrowing,
} from '@yaylak/core';
import { AnimalPageService } from '../animals/animalPage.service';
import { ExpectedService } from '../births/expected.service';
import { GivenService } from '../births/given.service';
import { BookService } from '../book/book.service';
import { CarryingService } from '../carrying/carrying.service';
import { GoingService } from '../choosing/going.service';
import { afterBreath } from '../common/breathe';
import { Clock } from '../common/clock';
import { gainView, tagView } from '../common/views';
import { CopiesService } from '../copies/copies.service';
import { DueService } from '../due/due.service';
import { GrowthService } from '../growth/growth.service';
import { JobsService } from '../jobs/jobs.service';
import { MatingHistoryService } from '../mating/history.service';
import { MatingService } from '../mating/mating.service';
import { RemediesService } from '../remedies/remedies.service';
import { SeasonService } from '../season/season.service';
import { LoadsService } from '../selling/loads.service';

/** A doubtful reading older than this was looked at or will not be. */
const DOUBT_DAYS = 60;
/** So many rows of a list that can be as long as the herd are sent at first. */
const ROWS = 40;

/** What waits today. */
@Injectable()
export class TodayService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(GrowthService) private readonly growth: GrowthService,
    @Inject(AnimalPageService) private readonly pages: AnimalPageService,
    @Inject(JobsService) private readonly jobs: JobsService,
    @Inject(MatingService) private readonly mating: MatingService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(CarryingService) private readonly carrying: CarryingService,
    @Inject(GivenService) private readonly given: GivenService,
    @Inject(ExpectedService) private readonly expected: ExpectedService,
    @Inject(DueService) private readonly work: DueService,
    @Inject(SeasonService) private readonly season: SeasonService,
    @Inject(RemediesService) private readonly remedies: RemediesService,
    @Inject(GoingService) private readonly going: GoingService,
    @Inject(LoadsService) private readonly loads: LoadsService,
    @Inject(CopiesService) private readonly copies: CopiesService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async view({ all }: TodayQuery = {}): Promise<TodayView> {
    const today = this.clock.today();
    const present = this.book.state.present(today);
    const lists = {
      notGrowing: await afterBreath(() => this.growth.notGrowing()),
      withheld: this.remedies.withheld(),
      lookAt: await afterBreath(() => this.lookAt(present, today)),
    };
    const births = await afterBreath(() => this.birthsDue());
    const due = await afterBreath(() => this.work.list());
    const first = <T>(of: LongList, rows: readonly T[]): readonly T[] => (of === all ? rows : rows.slice(0, ROWS));
    const more = (of: LongList): number => lists[of].length - first<unknown>(of, lists[of]).length;
    return {
      on: isoOf(today),
      now: isoMoment(this.clock.moment()),
      heats: this.mating.toServe(),
      partings: this.mating.partingsDue(),
      births,
      due,
      notGrowing: this.notGrowing(first('notGrowing', lists.notGrowing), today),
      withheld: first('withheld', lists.withheld),
      openJobs: await this.jobs.open(),
      lookAt: first('lookAt', lists.lookAt),
      copies: this.copies.trouble(),
      shouldGo: await this.going.waiting(),
      more: { notGrowing: more('notGrowing'), withheld: more('withheld'), lookAt: more('lookAt') },
      head: SPECIES.map((species) => {
        const own = present.filter((f) => f.record.species === species);
        const { grownFromDays } = SPECIES_WORDS[species];
        const grown = own.filter(
          // Whose birth is not known is called by the word of the grown, here as everywhere.
          ({ record: { sex, bornOn } }) =>
            sex === 'female' && (bornOn === undefined || today - bornOn >= grownFromDays),
        );
        return { species, present: own.length, grownFemales: grown.length };
      }),
    };
  }

  private birthsDue(): BirthDue[] {
    const expected = this.expected.list(SPECIES);
    return this.expected.tonight(expected).flatMap(({ animalId, chance }) => {
      const row = expected.find((e) => e.tag.animalId === animalId);
      if (!row) return [];
      const { tag, species, daysOver, birth } = row;
      return [{ tag, species, chance, daysOver, birth }];
    });
  }

  /** The year's lanes; see `bandLane`. */
  async yearBand(): Promise<YearBandView> {
    const loads = await this.loads.ahead();
    const today = this.clock.today();
    const year = yearOf(today);
    const { state } = this.book;
    const lanes = SPECIES.map((species) => {
      const plans = this.season.laid().filter(({ plan }) => plan.species === species);
      const lane = bandLane(
        {
          species,
          all: state.ofSpecies(species),
          carrying: this.carrying.band(species),
          plans: plans.map(({ record, steps }) => ({ id: record.id, steps })),
        },
        state.settings(species),
        year,
      );
      return {
        species,
        blocks: lane.blocks.map((b) => ({
          ...b,
          ...fromTo(b),
          batchFrom: isoOf(b.batchFrom),
          batchTo: isoOf(b.batchTo),
        })),
        planned: lane.planned.map((p) => ({ ...p, ...fromTo(p), name: state.plans.get(p.planId)?.facts.name ?? '' })),
        carrying: lane.carrying.map((b) => ({ ...b, ...fromTo(b), season: isoOf(b.season) })),
        loads: loads.filter((l) => l.species === species && l.on.startsWith(`${year}-`)),
      };
    });
    return { year, today: isoOf(today), lanes };
  }

  private notGrowing(rows: readonly NotGrowing[], today: Day): NotGrowingView[] {
    return rows.flatMap((n) => {
      const facts = this.book.state.animals.get(n.animalId);
      if (!facts) return [];
      const groupId = groupOn(facts, today);
      return [
        {
          tag: tagView(facts, today),
          species: facts.record.species,
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
    const list: LookAt[] = this.given.orphaned(SPECIES).map(({ facts, orphans }) => ({
      kind: 'orphans',
      tag: tagView(facts, today),
      species: facts.record.species,
      count: orphans,
    }));
    for (const facts of present) {
      const { record } = facts;
      const settings = this.book.state.settings(record.species);
      if (record.sex === 'unknown' && record.bornOn === undefined)
        list.push({ kind: 'unknown-animal', tag: tagView(facts, today), on: isoOf(facts.arrivedOn ?? today) });
      const daily = this.book.state.daily(facts);
      facts.weights.forEach((w) => {
        if (today - w.on > DOUBT_DAYS) return;
        const doubt = doubtOf(facts, w, { biases: () => this.book.state.tapeBiases, settings, daily });
        if (doubt)
          list.push({
            kind: 'doubtful-weight',
            entryId: w.entryId,
            tag: tagView(facts, today),
            species: record.species,
            on: isoOf(w.on),
            kg: w.kg,
            doubt,
          });
      });
      const unanswered = record.sex === 'female' ? this.history.unanswered(facts) : undefined;
      if (unanswered)
        list.push({
          kind: 'unanswered',
          tag: tagView(facts, today),
          species: record.species,
          testedOn: isoOf(unanswered.testedOn),
          dueOn: isoOf(unanswered.window.bestFrom),
        });
      const message = record.sex === 'female' ? this.pages.alarm(facts, addDays(today, -DOUBT_DAYS)) : null;
      if (message !== null) list.push({ kind: 'adult-alarm', tag: tagView(facts, today), message });
    }
    return [...list, ...lapsedReservations(present, today)];
  }
}

const fromTo = ({ from, to }: { readonly from: Day; readonly to: Day }) => ({ from: isoOf(from), to: isoOf(to) });

/** What was kept for buyers whose day is over, each with all that was kept for him to that day. */
function lapsedReservations(present: readonly AnimalFacts[], today: Day): LookAt[] {
  const buyers = new Map<string, { buyer: string; until: string; tags: TagView[] }>();
  for (const facts of present) {
    const lapsed = facts.reservations.length === 0 ? undefined : lapsedOn(facts, today);
    if (lapsed?.until === undefined) continue;
    const until = isoOf(lapsed.until);
    const key = `${until} ${lapsed.buyer}`;
    const group = buyers.get(key) ?? { buyer: lapsed.buyer, until, tags: [] };
    buyers.set(key, group);
    group.tags.push(tagView(facts, today));
  }
  return [...buyers.values()].map((group) => ({ kind: 'reservation-over', ...group }));
}
