import { Inject, Injectable } from '@nestjs/common';
import type {
  ChangeDraft,
  ChoosingQuery,
  ChoosingRow,
  ChoosingSet,
  ChoosingView,
  DropDraft,
  KinChoice,
  SetAnimal,
  ValueView,
} from '@yaylak/contract';
import {
  BREEDING_TRAITS,
  breakdownAgainst,
  CHOOSING_TRAITS,
  drawLines,
  gainSinceFirst,
  groupOn,
  isoOf,
  isRanked,
  likeForLikeRatios,
  linesWithin,
  meanSteps,
  rankByIndex,
  rankByValues,
  reasonsFor,
  suggestedLines,
  suggestionByEye,
  togetherFirst,
  type BreedingTraitName,
  type Day,
  type Placed,
  type RankBasis,
  type Ranked,
  type RankingHow,
  type RankScale,
  type WeighedTrait,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { breathe } from '../common/breathe';
import { Clock } from '../common/clock';
import { notFound } from '../common/problems';
import { gainView, tagView } from '../common/views';
import { GrowthService } from '../growth/growth.service';
import { BreedingService, type TraitAnswers } from './breeding.service';
import { DraftsService, type Draft } from './drafts.service';
import { HowService } from './how.service';
import { JudgeService, traitsOf, type Measured } from './judge.service';
import { SetsService, type FullSet } from './sets.service';
import { traitState } from './traitState';
import { say } from '@yaylak/contract';

const NO_KIN: KinChoice = { pointsPerPercent: 0, sireCap: 0, keptIds: [] };

/** Where an animal stands in the ranking of its like. */
export type Points = Pick<Ranked, 'index' | 'standardError'>;

/** A set in its order, and what the order came from. */
export interface RankedSet {
  readonly how: RankingHow;
  readonly basis: RankBasis;
  readonly standardDays: number | undefined;
  readonly ranked: readonly Ranked[];
  readonly measured: ReadonlyMap<string, Measured>;
  readonly failed: readonly Measured[];
  readonly notRanked: readonly Measured[];
}

/** Who stays: a set in its order, with the choice that is being made of it. */
@Injectable()
export class ChoosingService {
  private pointsKept: { readonly key: string; readonly points: ReadonlyMap<string, Points> } | undefined;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(BreedingService) private readonly breeding: BreedingService,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(DraftsService) private readonly drafts: DraftsService,
    @Inject(GrowthService) private readonly growth: GrowthService,
    @Inject(HowService) private readonly how: HowService,
    @Inject(JudgeService) private readonly judge: JudgeService,
    @Inject(SetsService) private readonly sets: SetsService,
  ) {}

  list(): ChoosingSet[] {
    return this.sets.all().map((set) => this.sets.view(set));
  }

  /** The set of a question. @throws not-found where nobody is in it any more */
  setOf(query: ChoosingQuery): FullSet {
    const set = this.sets.find(query);
    if (!set) throw notFound(say('set of animals'));
    return set;
  }

  async view(query: ChoosingQuery): Promise<ChoosingView> {
    const set = this.setOf(query);
    const draft = await this.drafts.of(set);
    const values = await this.breeding.values(set.species);
    const ranked = await this.rank(set, draft, values);
    const lines = linesOf(draft, ranked.ranked.length);
    const placed = drawLines(ranked.ranked, lines);
    const kin = draft?.facts.kin ?? NO_KIN;
    const isKinStale = kin.keptIds.length > 0 && !isOf(kin, placed, lines.keep);
    const suggested = kin.keptIds.length > 0 && !isKinStale ? togetherFirst(placed, kin.keptIds, lines) : placed;
    const measured = suggested.map((row) => ranked.measured.get(row.id) as Measured);
    const today = this.clock.today();
    return {
      set: this.sets.view(set),
      groups: this.groupsOf(set, today),
      how: ranked.how,
      basis: ranked.basis,
      ownTraits: CHOOSING_TRAITS.filter((trait) => measured.some((m) => traitsOf(m)[trait] !== undefined)),
      traits: BREEDING_TRAITS.map((trait) => traitState(trait, values.get(trait))),
      standardDays: ranked.standardDays ?? null,
      standardAges: this.book.state.settings(set.species).standardAgesDays,
      lines,
      rows: this.rows(suggested, measured, draft, values),
      failed: ranked.failed.map((m) => ({ ...this.animal(m, draft), suggestion: suggestionByEye(m.eye.failed) })),
      notRanked: ranked.notRanked.map((m) => this.animal(m, draft)),
      withoutWeight: measured.filter((m) => !m.adjusted).length,
      kin,
      isKinStale,
      draft: draft
        ? { id: draft.id, version: draft.version, by: draft.facts.changedBy, at: draft.facts.changedAt }
        : null,
      left: this.left(set, draft, today),
    };
  }

  async change(change: ChangeDraft): Promise<ChoosingView> {
    await this.drafts.change(this.setOf(change), change);
    return this.view(change);
  }

  async drop(query: DropDraft): Promise<ChoosingView> {
    await this.drafts.drop(this.setOf(query), query.version);
    return this.view(query);
  }

  /** A set in its order, by its draft and what is known of it. */
  async rank(
    set: FullSet,
    draft: Draft | undefined,
    values: TraitAnswers | undefined,
    scale?: RankScale,
  ): Promise<RankedSet> {
    const { species, members } = set;
    const chosen = draft?.facts.how ?? (await this.how.of(species));
    const how = scale === undefined ? chosen : { ...chosen, scale };
    const standardDays =
      draft?.facts.standardDays ??
      this.growth.bestStandardAge(members, this.book.state.settings(species).standardAgesDays);
    const letBack = draft?.facts.letBack ?? {};
    const measured = await this.judge.measure(members, standardDays);
    const hasValues = (m: Measured): boolean =>
      values !== undefined && m.facts.record.sireId !== undefined && m.facts.record.damId !== undefined;
    const isIn = (m: Measured): boolean =>
      !set.crop ||
      (m.ageDays !== undefined &&
        isRanked({ ageDays: m.ageDays, hasParentsMean: hasValues(m), weighedAtDays: m.weighedAtDays }));
    const able = measured.filter(isIn);
    const isStruck = (m: Measured): boolean => m.eye.state === 'fails' && letBack[m.facts.record.id] === undefined;
    const left = able.filter((m) => !isStruck(m));
    const byValues = how.basis === 'values' && values ? ranking(left, values, how) : undefined;
    return {
      how,
      basis: byValues ? 'values' : 'own',
      standardDays,
      ranked:
        byValues ??
        rankByIndex(
          left.map((m) => ({ id: m.facts.record.id, traits: traitsOf(m) })),
          how.own,
        ),
      measured: new Map(measured.map((m) => [m.facts.record.id, m])),
      failed: able.filter(isStruck),
      notRanked: measured.filter((m) => !able.includes(m)),
    };
  }

  /** Points of every young, by the breeding values last worked: a device going to the race does not wait for new ones. */
  async points(): Promise<ReadonlyMap<string, Points>> {
    const { state } = this.book;
    const key = `${state.version} ${await this.how.version()} ${this.clock.today()}`;
    if (this.pointsKept?.key === key) return this.pointsKept.points;
    const points = new Map<string, Points>();
    const draftOf = await this.drafts.ofEach();
    for (const set of this.sets.all()) {
      await breathe();
      if (!set.crop) continue;
      const { ranked } = await this.rank(set, draftOf(set), this.breeding.lastKnown(set.species), 'points');
      for (const row of ranked) points.set(row.id, row);
    }
    this.pointsKept = { key, points };
    return points;
  }

  private groupsOf({ members }: FullSet, today: Day): ChoosingView['groups'] {
    const counts = new Map<string, number>();
    for (const facts of members) {
      const id = groupOn(facts, today);
      if (id !== undefined) counts.set(id, (counts.get(id) ?? 0) + 1);
    }
    return [...counts]
      .map(([id, count]) => ({ id, name: this.book.state.groups.get(id)?.name ?? '', count }))
      .sort((a, b) => b.count - a.count || a.name.localeCompare(b.name));
  }

  /** Who was decided on and is not here any more. */
  private left({ members }: FullSet, draft: Draft | undefined, today: Day): ChoosingView['left'] {
    const here = new Set(members.map((m) => m.record.id));
    return Object.entries(draft?.facts.decided ?? {}).flatMap(([id, { decision }]) => {
      const facts = here.has(id) ? undefined : this.book.state.animals.get(id);
      const gone = facts?.departures[0];
      return facts && gone ? [{ tag: tagView(facts, today), how: gone.how, on: isoOf(gone.on), decision }] : [];
    });
  }

  private animal(m: Measured, draft: Draft | undefined): SetAnimal {
    return this.judge.view(m, draft?.facts);
  }

  private rows(
    placed: readonly Placed[],
    measured: readonly Measured[],
    draft: Draft | undefined,
    values: TraitAnswers,
  ): ChoosingRow[] {
    const weights = measured.flatMap((m) => m.adjusted ?? []);
    const means = weights.length > 0 ? meanSteps(weights) : undefined;
    const byWeight = [...weights].sort((a, b) => b.reading.kg - a.reading.kg);
    const placeOf = new Map(byWeight.map((w, i) => [w, i + 1]));
    const ratioOf = likeForLikeRatios(weights.map((w) => w.kg));
    return placed.map((row, i): ChoosingRow => {
      const m = measured[i] as Measured;
      const { facts, adjusted } = m;
      const { id, species } = facts.record;
      const breakdown = adjusted && means ? breakdownAgainst(adjusted, means) : undefined;
      const place = adjusted && placeOf.get(adjusted);
      const since = gainSinceFirst(this.book.state.daily(facts), this.book.state.settings(species));
      return {
        ...this.animal(m, draft),
        asSire: facts.record.sex === 'male' ? this.judge.asSire(facts) : null,
        place: row.place,
        placeByWeight: place ?? null,
        adjusted: adjusted ? this.growth.adjustedView(adjusted, species) : null,
        breakdown: breakdown ?? null,
        ratio: adjusted ? (ratioOf?.(adjusted.kg).ratio ?? null) : null,
        sinceBirth: since.kind === 'gain' ? gainView(since, null, 'no-group') : null,
        lastGain: this.growth.judged(id, m.recent),
        damRecord: m.dam ?? null,
        ownRecord: m.own ?? null,
        values: valuesOf(id, values),
        index: row.index,
        standardError: row.standardError,
        parts: row.parts,
        reasons: reasonsFor(row, breakdown && place !== undefined ? { breakdown, placeByWeight: place } : undefined),
        suggestion: row.suggestion,
        chanceAcross: row.chanceAcross,
        isGrey: row.isGrey,
      };
    });
  }
}

/** Lines as they are drawn, or as they are suggested, within the number there. */
function linesOf(draft: Draft | undefined, count: number): ChoosingView['lines'] {
  const { keep, second } = suggestedLines(count);
  return linesWithin({ keep: draft?.facts.keep ?? keep, second: draft?.facts.second ?? second }, count);
}

/** Whether those kept together are so many as are wanted, and all still in the list. */
const isOf = ({ keptIds }: KinChoice, placed: readonly Placed[], keep: number): boolean => {
  const ids = new Set(placed.map((p) => p.id));
  return keptIds.length === keep && keptIds.every((id) => ids.has(id));
};

/** By breeding values, where any trait that counts has them. */
function ranking(set: readonly AnimalMeasured[], answers: TraitAnswers, how: RankingHow): Ranked[] | undefined {
  const traits = BREEDING_TRAITS.flatMap((trait): WeighedTrait[] => {
    const answer = answers.get(trait);
    if (answer?.kind !== 'values') return [];
    const { geneticVariance, baseLevel } = answer;
    const aim = trait === 'grown-weight' ? how.grownAimKg : undefined;
    return [{ trait, geneticVariance, baseLevel, ...(aim === undefined ? {} : { aim }) }];
  });
  const animals = set.map(({ facts: { record } }) => ({
    id: record.id,
    values: new Map(
      traits.flatMap(
        ({ trait }): (readonly [BreedingTraitName, { value: number; predictionErrorVariance: number }])[] => {
          const answer = answers.get(trait);
          const own = answer?.kind === 'values' ? answer.of.get(record.id) : undefined;
          return own ? [[trait, own]] : [];
        },
      ),
    ),
  }));
  return rankByValues(animals, traits, { scale: how.scale, weights: how.scale === 'points' ? how.points : how.money });
}
type AnimalMeasured = Pick<Measured, 'facts'>;

function valuesOf(id: string, answers: TraitAnswers): ValueView[] {
  return [...answers].flatMap(([trait, answer]): ValueView[] => {
    const own = answer.kind === 'values' ? answer.of.get(id) : undefined;
    if (!own) return [];
    const { value, predictionErrorVariance, reliability, word, records, parts } = own;
    return [{ trait, value, standardError: Math.sqrt(predictionErrorVariance), reliability, word, records, parts }];
  });
}
