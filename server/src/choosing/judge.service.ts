import { Inject, Injectable } from '@nestjs/common';
import type { AsSire, DraftFacts, GradeView, SetAnimal } from '@yaylak/contract';
import {
  addDays,
  byEye,
  conceptionShare,
  growthCurve,
  isPresent,
  countedOn,
  genesOf,
  gainOverPeriod,
  groupOn,
  isoOf,
  standardsFor,
  wornIdentifiers,
  type AdjustedWeight,
  type AnimalFacts,
  type ByEye,
  type Graded,
  type KnownGain,
  type RearedPerYear,
  type Standard,
  type TraitValues,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { Derived } from '../book/derived';
import { breathe } from '../common/breathe';
import { Clock } from '../common/clock';
import { shareView, tagView } from '../common/views';
import { GrowthService } from '../growth/growth.service';
import { HoldingService } from '../holding/holding.service';
import { MatingHistoryService } from '../mating/history.service';

/** The last gain is read over so many days, so that two weighings close together do not decide. */
const LAST_GAIN_DAYS = 60;
/** Animals read in one go, before other requests are let on. */
const AT_ONCE = 400;

/** All that an animal is judged by beside its breeding values. */
export interface Measured {
  readonly facts: AnimalFacts;
  readonly ageDays: number | undefined;
  /** Age at the latest reading. */
  readonly weighedAtDays: number | undefined;
  readonly adjusted: AdjustedWeight | undefined;
  readonly recent: KnownGain | undefined;
  readonly dam: RearedPerYear | undefined;
  readonly own: RearedPerYear | undefined;
  readonly eye: ByEye;
}

/** What is known of each animal of a set: by eye, and its own records. */
@Injectable()
export class JudgeService {
  private readonly recentGains: Derived<KnownGain | undefined>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(GrowthService) private readonly growth: GrowthService,
    @Inject(HoldingService) private readonly holding: HoldingService,
    @Inject(MatingHistoryService) private readonly history: MatingHistoryService,
  ) {
    this.recentGains = book.derived((facts) => this.recentGain(facts));
  }

  async measure(set: readonly AnimalFacts[], standardDays: number | undefined): Promise<Measured[]> {
    const standards = await this.holding.standards();
    const measured: Measured[] = [];
    for (const [i, facts] of set.entries()) {
      if (i % AT_ONCE === AT_ONCE - 1) await breathe();
      measured.push(this.one(facts, standardDays, standards));
    }
    return measured;
  }

  private one(facts: AnimalFacts, standardDays: number | undefined, standards: readonly Standard[]): Measured {
    const { state } = this.book;
    const { damId, bornOn } = facts.record;
    const last = state.daily(facts).at(-1);
    return {
      facts,
      ageDays: bornOn === undefined ? undefined : this.clock.today() - bornOn,
      weighedAtDays: last && bornOn !== undefined ? last.on - bornOn : undefined,
      adjusted: standardDays === undefined ? undefined : this.growth.adjusted(facts, standardDays),
      recent: this.recentGains.of(facts),
      dam: this.rearedBy(damId),
      own: facts.record.sex === 'female' ? this.rearedBy(facts.record.id) : undefined,
      eye: this.eye(facts, standards),
    };
  }

  eye(facts: AnimalFacts, standards: readonly Standard[]): ByEye {
    const { record, looks, geneTests } = facts;
    const counted = countedOn(record.bornOn, this.clock.today());
    return byEye(standardsFor(standards, record), looks, counted, genesOf(geneTests, record));
  }

  private recentGain(facts: AnimalFacts): KnownGain | undefined {
    const daily = this.book.state.daily(facts);
    const last = daily.at(-1);
    if (!last) return undefined;
    const period = { from: addDays(last.on, -LAST_GAIN_DAYS), to: last.on };
    const gain = gainOverPeriod(daily, period, this.book.state.settings(facts.record.species));
    return gain.kind === 'gain' ? gain : undefined;
  }

  /** What a female reared a year. */
  private rearedBy(id: string | undefined): RearedPerYear | undefined {
    const facts = id === undefined ? undefined : this.book.state.animals.get(id);
    return facts && this.book.state.litters.rearedPerYear(facts, this.clock.today());
  }

  /** What counts of a male beside his figures. */
  asSire({ record }: AnimalFacts): AsSire {
    const { state } = this.book;
    const { id, damId, sireId, bornOn, species } = record;
    const today = this.clock.today();
    const facts = state.animals.get(id);
    const here = (ids: Iterable<string>): number => {
      let count = 0;
      for (const one of new Set(ids)) {
        const other = one === id ? undefined : state.animals.get(one);
        if (other?.record.sex === 'female' && isPresent(other, today)) count++;
      }
      return count;
    };
    const youngOf = (parent: string | undefined): Iterable<string> => state.youngByParent.get(parent ?? '') ?? [];
    const share = facts && conceptionShare(this.history.spellsBy(facts), id);
    const curve = facts && growthCurve(bornOn, state.daily(facts), state.settings(species));
    return {
      sistersHere: here([...youngOf(damId), ...youngOf(sireId)]),
      daughtersHere: here(youngOf(id)),
      share: share ? shareView(share) : null,
      grown: curve && curve.kind !== 'no-curve' ? { kg: curve.matureKg, halfWidthKg: curve.halfWidthKg } : null,
    };
  }

  /** An animal of a set as it is shown, with what the draft says of it. */
  view({ facts, ageDays, eye }: Measured, draft: DraftFacts | undefined): SetAnimal {
    const today = this.clock.today();
    const { state } = this.book;
    const { id, birthType, damId, sireId } = facts.record;
    const last = state.daily(facts).at(-1);
    const score = state.scores(facts).at(-1);
    const written = facts.choices.at(-1);
    const tagOf = (other: string | undefined) => {
      const found = other === undefined ? undefined : state.animals.get(other);
      return found ? tagView(found, today) : null;
    };
    return {
      tag: tagView(facts, today),
      worn: wornIdentifiers(facts).map((i) => i.text),
      ageDays: ageDays ?? null,
      birthType: birthType ?? null,
      rearingType: state.litters.rearingType(facts, today) ?? null,
      groupId: groupOn(facts, today) ?? null,
      sire: tagOf(sireId),
      dam: tagOf(damId),
      lastKg: last?.kg ?? null,
      lastOn: last ? isoOf(last.on) : null,
      score: score ? { score: score.score, on: isoOf(score.on) } : null,
      eye: {
        state: eye.state,
        failed: eye.failed.map(gradeView),
        graded: eye.graded.map(gradeView),
        missing: eye.missing.map((s) => s.name),
        letBack: draft?.letBack[id]?.reason ?? null,
      },
      written: written
        ? {
            decision: written.decision,
            on: isoOf(written.on),
            among: written.among,
            reason: written.reason ?? null,
          }
        : null,
      decided: draft?.decided[id] ?? null,
    };
  }
}

const gradeView = ({ standard, grade, isFailed, on, by }: Graded): GradeView => ({
  standardId: standard.id,
  name: standard.name,
  grade,
  isFailed,
  on: isoOf(on),
  by,
});

/** What an animal is ranked on by its own records. */
export const traitsOf = ({ adjusted, recent, dam, own, eye }: Measured): TraitValues => ({
  ...(adjusted ? { growth: { value: adjusted.kg, standardError: adjusted.standardError } } : {}),
  ...(recent ? { lastGain: { value: recent.kgPerDay, standardError: recent.standardError } } : {}),
  ...(dam ? { damRecord: { value: dam.perYear, standardError: dam.standardError } } : {}),
  ...(own ? { ownRecord: { value: own.perYear, standardError: own.standardError } } : {}),
  ...(eye.points ? { eyePoints: { value: eye.points.mean, standardError: eye.points.standardError } } : {}),
});
