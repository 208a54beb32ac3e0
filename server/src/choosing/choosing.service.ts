import { Inject, Injectable } from '@nestjs/common';
import type { ChoosingQuery, ChoosingRow, ChoosingSet, ChoosingView } from '@yaylak/contract';
import {
  addDays,
  breakdownAgainst,
  drawLines,
  gainOverPeriod,
  gainSinceFirst,
  groupOn,
  isoOf,
  likeForLikeRatios,
  meanSteps,
  rankByIndex,
  type Ranked,
  reasonsFor,
  SEXES,
  SPECIES,
  yearOf,
  type AdjustedWeight,
  type AnimalFacts,
  type RearedPerYear,
  type Day,
  type KnownGain,
  type Placed,
  type TraitValues,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { breathe } from '../common/breathe';
import { Clock } from '../common/clock';
import { gainView, tagView } from '../common/views';
import { GrowthService } from '../growth/growth.service';
import { HoldingService } from '../holding/holding.service';

/** Shares of a set that are suggested until the user draws the line. */
const KEEP_SHARE = 0.4;
const SECOND_SHARE = 0.25;
/** The last gain is read over so many days, so that two weighings close together do not decide. */
const LAST_GAIN_DAYS = 60;

interface Measured {
  readonly facts: AnimalFacts;
  readonly adjusted: AdjustedWeight | undefined;
  readonly recent: KnownGain | undefined;
  readonly dam: RearedPerYear | undefined;
}

/** Who stays: the ranked list of a set. */
/** Where an animal stands in the ranking of its like. */
export type Points = Pick<Ranked, 'index' | 'standardError'>;

@Injectable()
export class ChoosingService {
  private pointsKept: { readonly key: string; readonly points: ReadonlyMap<string, Points> } | undefined;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(GrowthService) private readonly growth: GrowthService,
    @Inject(HoldingService) private readonly holding: HoldingService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** Sets of young of the last two years, largest years first. */
  sets(): ChoosingSet[] {
    const today = this.clock.today();
    const counts = new Map<string, ChoosingSet>();
    for (const { record } of this.book.state.present(today)) {
      if (record.bornOn === undefined || yearOf(record.bornOn) < yearOf(today) - 1) continue;
      const set = { species: record.species, sex: record.sex, bornIn: yearOf(record.bornOn) };
      const key = JSON.stringify(set);
      counts.set(key, { ...set, count: (counts.get(key)?.count ?? 0) + 1 });
    }
    return [...counts.values()].sort(
      (a, b) =>
        b.bornIn - a.bornIn ||
        SPECIES.indexOf(a.species) - SPECIES.indexOf(b.species) ||
        SEXES.indexOf(a.sex) - SEXES.indexOf(b.sex),
    );
  }

  async rank(query: ChoosingQuery): Promise<ChoosingView> {
    const today = this.clock.today();
    const crop = this.crop(query);
    const set = query.groupId === undefined ? crop : crop.filter((f) => groupOn(f, today) === query.groupId);
    const { standardAgesDays } = this.book.state.settings(query.species);
    const standardDays = query.standardDays ?? this.growth.bestStandardAge(set, standardAgesDays);
    const measured = this.measure(set, standardDays, today);
    const weights = (await this.holding.settings()).pointsWeights;
    const lines = {
      keep: Math.min(query.keep ?? Math.round(set.length * KEEP_SHARE), set.length),
      second: Math.min(query.second ?? Math.round(set.length * SECOND_SHARE), set.length),
    };
    const placed = drawLines(rankByIndex(measured.map(candidate), weights), lines);
    return {
      species: query.species,
      sex: query.sex,
      bornIn: query.bornIn,
      groupId: query.groupId ?? null,
      groups: this.groupsOf(crop, today),
      standardDays: standardDays ?? null,
      standardAges: standardAgesDays,
      weights,
      lines,
      rows: this.rows(placed, measured),
      withoutWeight: measured.filter((m) => !m.adjusted).length,
    };
  }

  /** Those of a species, sex and year that are here. */
  private crop({ species, sex, bornIn }: Pick<ChoosingQuery, 'species' | 'sex' | 'bornIn'>): AnimalFacts[] {
    return this.book.state
      .present(this.clock.today())
      .filter(
        ({ record }) =>
          record.species === species &&
          record.sex === sex &&
          record.bornOn !== undefined &&
          yearOf(record.bornOn) === bornIn,
      );
  }

  /** Points of everybody in a set, each set at its own best age. */
  async points(): Promise<ReadonlyMap<string, Points>> {
    const { version } = this.book.state;
    const settings = await this.holding.settings();
    const key = `${version} ${settings.version} ${this.clock.today()}`;
    if (this.pointsKept?.key === key) return this.pointsKept.points;
    const points = new Map<string, Points>();
    for (const one of this.sets()) {
      await breathe();
      const set = this.crop(one);
      const { standardAgesDays } = this.book.state.settings(one.species);
      const measured = this.measure(set, this.growth.bestStandardAge(set, standardAgesDays), this.clock.today());
      for (const row of rankByIndex(measured.map(candidate), settings.pointsWeights)) points.set(row.id, row);
    }
    this.pointsKept = { key, points };
    return points;
  }

  private groupsOf(crop: readonly AnimalFacts[], today: Day): ChoosingView['groups'] {
    const counts = new Map<string, number>();
    for (const facts of crop) {
      const id = groupOn(facts, today);
      if (id !== undefined) counts.set(id, (counts.get(id) ?? 0) + 1);
    }
    return [...counts]
      .map(([id, count]) => ({ id, name: this.book.state.groups.get(id)?.name ?? '', count }))
      .sort((a, b) => b.count - a.count || a.name.localeCompare(b.name));
  }

  private measure(set: readonly AnimalFacts[], standardDays: number | undefined, today: Day): Measured[] {
    const dams = new Map<string, RearedPerYear | undefined>();
    return set.map((facts) => {
      const { damId, species } = facts.record;
      const dam = damId === undefined ? undefined : this.book.state.animals.get(damId);
      if (dam && !dams.has(dam.record.id)) dams.set(dam.record.id, this.book.state.litters.rearedPerYear(dam, today));
      const daily = this.book.state.daily(facts);
      const last = daily.at(-1);
      const settings = this.book.state.settings(species);
      const recent = last
        ? gainOverPeriod(daily, { from: addDays(last.on, -LAST_GAIN_DAYS), to: last.on }, settings)
        : undefined;
      return {
        facts,
        adjusted: standardDays === undefined ? undefined : this.growth.adjusted(facts, standardDays),
        recent: recent?.kind === 'gain' ? recent : undefined,
        dam: damId === undefined ? undefined : dams.get(damId),
      };
    });
  }

  private rows(placed: readonly Placed[], measured: readonly Measured[]): ChoosingRow[] {
    const byId = new Map(measured.map((m) => [m.facts.record.id, m]));
    const weights = measured.flatMap((m) => m.adjusted ?? []);
    const means = weights.length > 0 ? meanSteps(weights) : undefined;
    const byWeight = [...weights].sort((a, b) => b.reading.kg - a.reading.kg);
    const placeByWeight = new Map(
      measured.flatMap((m) => (m.adjusted ? [[m.facts.record.id, byWeight.indexOf(m.adjusted) + 1] as const] : [])),
    );
    const ratioOf = likeForLikeRatios(weights.map((w) => w.kg));
    const today = this.clock.today();
    return placed.map((row) => {
      const m = byId.get(row.id) as Measured;
      const { facts, adjusted } = m;
      const breakdown = adjusted && means ? breakdownAgainst(adjusted, means) : undefined;
      const place = placeByWeight.get(row.id);
      const daily = this.book.state.daily(facts);
      const last = daily.at(-1);
      const chosen = facts.choices.at(-1);
      const since = gainSinceFirst(daily, this.book.state.settings(facts.record.species));
      return {
        tag: tagView(facts, today),
        place: row.place,
        placeByWeight: place ?? null,
        birthType: facts.record.birthType ?? null,
        rearingType: this.book.state.litters.rearingType(facts, today) ?? null,
        lastKg: last?.kg ?? null,
        lastOn: last ? isoOf(last.on) : null,
        adjusted: adjusted ? this.growth.adjustedView(adjusted, facts.record.species) : null,
        breakdown: breakdown ?? null,
        ratio: adjusted ? (ratioOf?.(adjusted.kg).ratio ?? null) : null,
        sinceBirth: since.kind === 'gain' ? gainView(since, null, 'no-group') : null,
        lastGain: this.growth.judged(facts.record.id, m.recent),
        damRecord: m.dam ?? null,
        index: row.index,
        standardError: row.standardError,
        parts: row.parts,
        reasons: reasonsFor(row, breakdown && place !== undefined ? { breakdown, placeByWeight: place } : undefined),
        suggestion: row.suggestion,
        isGrey: row.isGrey,
        chosen: chosen ? { decision: chosen.decision, on: isoOf(chosen.on) } : null,
      };
    });
  }
}

const candidate = (m: Measured) => ({ id: m.facts.record.id, traits: traitsOf(m) });

const traitsOf = ({ adjusted, recent, dam }: Measured): TraitValues => ({
  ...(adjusted ? { growth: { value: adjusted.kg, standardError: adjusted.standardError } } : {}),
  ...(recent ? { lastGain: { value: recent.kgPerDay, standardError: recent.standardError } } : {}),
  ...(dam ? { damRecord: { value: dam.perYear, standardError: dam.standardError } } : {}),
});
