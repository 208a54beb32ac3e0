import { Inject, Injectable } from '@nestjs/common';
import type { HeatToServe, MatingQuery, MatingRecordView, MatingView, PartingDue, PartingView } from '@yaylak/contract';
import {
  addDays,
  bySpecies,
  conceptionShare,
  dayOf,
  groupOn,
  isFemaleOfAge,
  isoMoment,
  isoOf,
  pairRecords,
  quarterRecords,
  sireRecords,
  SPECIES,
  type AnimalFacts,
  type PairRecord,
  type SireRecord,
  type Species,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { Whole } from '../book/derived';
import { breathe } from '../common/breathe';
import { Clock } from '../common/clock';
import { shareView, tagView } from '../common/views';
import { HoldingService } from '../holding/holding.service';
import { FemalesToMateService } from './females.service';
import { MatingHistoryService } from './history.service';
import { MalesService } from './males.service';

const LOOKS = 2;
const PAIRS = 60;

/** What came of the litters with both parents on record: of each male, and of the latest pairs. */
interface Sired {
  readonly bySire: ReadonlyMap<string, SireRecord>;
  readonly pairs: readonly PairRecord[];
}

/** Who is on heat, who may be mated, and what came of the matings. */
@Injectable()
export class MatingService {
  private readonly sired: Readonly<Record<Species, Whole<Sired>>>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
    @Inject(FemalesToMateService) private readonly females: FemalesToMateService,
    @Inject(MalesService) private readonly males: MalesService,
    @Inject(HoldingService) private readonly holding: HoldingService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.sired = bySpecies((species) =>
      book.ofKinds(['arrival'], () => {
        const litters = this.history.littersOf(species);
        return {
          bySire: new Map(sireRecords(litters).map((r) => [r.sireId, r])),
          pairs: pairRecords(litters).slice(0, PAIRS),
        };
      }),
    );
  }

  async view({ species, groupId }: MatingQuery): Promise<MatingView> {
    const today = this.clock.today();
    const settings = this.book.state.settings(species);
    const all = this.comingUp(species);
    const now = isoMoment(this.clock.moment());
    const members = all.filter((f) => groupId === undefined || groupOn(f, today) === groupId);
    const females = members.map((f) => this.females.view(f));
    // Hundreds of females, then each of them with each male: others are let on between.
    await breathe();
    const males = this.males.list(species);
    return {
      on: isoOf(today),
      now,
      species,
      groups: this.groups(all),
      school:
        settings.serviceHours.closes === 0
          ? 'none'
          : settings.mating.heatSchool === 'morning-evening'
            ? 'morning-evening'
            : 'hours',
      signsNeeded: settings.mating.signsNeeded,
      heats: members
        .flatMap((f) => this.females.heat(f) ?? [])
        .sort((a, b) => {
          // Those that can still be served stand first, the soonest over on top; the others follow, the latest first.
          const [endA, endB] = [a.window?.closes ?? a.seenAt, b.window?.closes ?? b.seenAt];
          const isOver = Number(endA < now) - Number(endB < now);
          return isOver || (endA < now ? -1 : 1) * (endA < endB ? -1 : 1);
        }),
      females,
      males,
      otherMales: this.males.ofAge(species).length - this.males.inUse(species).length,
      partings: this.males.partings(species),
      looks: this.looks(all),
      takingShare: this.history.takingShare(species),
    };
  }

  /** Heats of all species that can still be served and are not served twice, the soonest over first; none of one held back. */
  toServe(): HeatToServe[] {
    const now = isoMoment(this.clock.moment());
    return SPECIES.flatMap((species) =>
      this.comingUp(species).flatMap((f): HeatToServe[] => {
        const heat = this.females.heat(f);
        const isOpen = heat?.window !== null && heat !== undefined && heat.window.closes >= now;
        return isOpen && !this.females.isHeldBack(f) && heat.services.length < 2 ? [{ species, heat }] : [];
      }),
    ).sort((a, b) => ((a.heat.window?.closes ?? '') < (b.heat.window?.closes ?? '') ? -1 : 1));
  }

  /** Young males to be parted from females now, a row a group. */
  partingsDue(): PartingDue[] {
    return SPECIES.flatMap((species) => {
      const groups = new Map<string, PartingView[]>();
      for (const p of this.males.partings(species))
        if (p.isOpen && p.groupName !== null) groups.set(p.groupName, [...(groups.get(p.groupName) ?? []), p]);
      return [...groups].flatMap(([groupName, rows]): PartingDue[] => {
        const [first] = rows;
        return first ? [{ species, head: rows.length, groupName, window: first.window }] : [];
      });
    });
  }

  async record({ species }: MatingQuery): Promise<MatingRecordView> {
    const today = this.clock.today();
    const spells = this.history.spellsOf(species);
    const byMale = this.history.byMale(species);
    const { bySire, pairs } = this.sired[species].get();
    const hot = (await this.holding.settings()).resources?.hot ?? [];
    const ids = new Set([...byMale.keys(), ...bySire.keys()]);
    const tag = (id: string) => {
      const facts = this.book.state.animals.get(id);
      return facts ? [tagView(facts, today)] : [];
    };
    return {
      species,
      males: [...ids]
        .flatMap((id) =>
          tag(id).map((t) => {
            const sire = bySire.get(id);
            const his = byMale.get(id) ?? [];
            const share = conceptionShare(his, id);
            return {
              tag: t,
              share: share ? shareView(share) : null,
              spells: his.length,
              litters: sire?.litters ?? 0,
              meanSize: sire?.meanSize ?? null,
              againstOthers: sire?.againstOthers ?? null,
            };
          }),
        )
        .sort((a, b) => b.litters + b.spells - (a.litters + a.spells)),
      pairs: pairs.flatMap((p) =>
        tag(p.damId).flatMap((female) =>
          tag(p.sireId).map((male) => ({
            female,
            male,
            litters: p.litters,
            meanSize: p.meanSize,
            otherwise: p.otherwise ?? null,
            lastOn: isoOf(p.lastOn),
          })),
        ),
      ),
      quarters: quarterRecords(
        spells,
        hot.map((h) => ({ from: dayOf(h.from), to: dayOf(h.to) })),
      ).map((q) => ({
        year: q.year,
        quarter: q.quarter,
        spells: q.spells,
        share: q.share ? shareView(q.share) : null,
        meanSize: q.meanSize ?? null,
        afterHeat: q.afterHeat,
      })),
      hot,
    };
  }

  /** Females of age, and those that will be within two months. */
  private comingUp(species: Species): AnimalFacts[] {
    const today = this.clock.today();
    const settings = this.book.state.settings(species);
    const soon = addDays(today, 60);
    return this.book.state
      .present(today)
      .filter(
        ({ record: r }) => r.species === species && r.sex === 'female' && isFemaleOfAge(r.bornOn, settings, soon),
      );
  }

  private groups(females: readonly AnimalFacts[]): MatingView['groups'] {
    const today = this.clock.today();
    const counts = new Map<string, number>();
    for (const f of females) {
      const id = groupOn(f, today);
      if (id !== undefined) counts.set(id, (counts.get(id) ?? 0) + 1);
    }
    return [...counts].flatMap(([id, count]) => {
      const group = this.book.state.groups.get(id);
      return group ? [{ id, name: group.name, females: count }] : [];
    });
  }

  private looks(females: readonly AnimalFacts[]): string[] {
    const times = [...new Set(females.flatMap((f) => f.heats.slice(-LOOKS).map((l) => l.at)))];
    return times
      .sort((a, b) => b - a)
      .slice(0, LOOKS)
      .map(isoMoment);
  }
}
