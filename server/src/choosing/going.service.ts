import { Inject, Injectable } from '@nestjs/common';
import type { CullHitView, DecidedGrown, GoingRow, GoingView, OneMoreYearView, TodayView } from '@yaylak/contract';
import {
  completedMonths,
  cullHits,
  CULL_WEIGHTS,
  isoOf,
  leavesByChoice,
  oneMoreYear,
  since,
  SPECIES,
  suggestedWeight,
  USUAL_CULL_RULES,
  whatClears,
  type AnimalFacts,
  type CullHit,
  type CullRule,
  type SaleMeans,
  type Species,
  type Standard,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { Derived } from '../book/derived';
import { breathe } from '../common/breathe';
import { Clock } from '../common/clock';
import { tagView } from '../common/views';
import { HoldingService } from '../holding/holding.service';
import { PaidService } from '../selling/paid.service';
import { GrownService } from './grown.service';
import { JudgeService } from './judge.service';

/** Animals read in one go, before other requests are let on. */
const AT_ONCE = 200;
const YEAR_DAYS = 365;

/** What animals are judged by just now. */
interface Judging {
  readonly standards: readonly Standard[];
  readonly version: number;
  readonly rules: readonly CullRule[];
}

interface Judged {
  readonly facts: AnimalFacts;
  readonly hits: readonly CullHit[];
}

/** Who of the grown should go, by the holding's rules. */
@Injectable()
export class GoingService {
  private kept: { readonly of: string; readonly waiting: TodayView['shouldGo'] } | undefined;
  /** What speaks against a female: it hangs on herself, her kin, the herd's mean and the rules. */
  private readonly hitsOfFemale: Derived<readonly CullHit[]>;
  private judging: Judging = { standards: [], version: 0, rules: [] };
  /** Another with each mean or rules a species is judged by. */
  private readonly judgedBy = new Map<Species, { readonly of: string; readonly stamp: number }>();

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(GrownService) private readonly grown: GrownService,
    @Inject(HoldingService) private readonly holding: HoldingService,
    @Inject(JudgeService) private readonly judge: JudgeService,
    @Inject(PaidService) private readonly paid: PaidService,
  ) {
    this.hitsOfFemale = book.derived(
      (facts) => this.hits(facts),
      ({ record }) => this.judgedBy.get(record.species)?.stamp ?? 0,
    );
  }

  async view(species: Species): Promise<GoingView> {
    const standards = await this.holding.standards();
    const rules = await this.rules(species);
    const all = await this.judged(species, rules);
    const means = await this.paid.means(species);
    const open: GoingRow[] = [];
    const stays: DecidedGrown[] = [];
    const goes: DecidedGrown[] = [];
    for (const { facts, hits } of all) {
      const standing = standingOf(facts, hits);
      if (standing.kind === 'goes') goes.push(this.decided(facts, hits));
      else if (standing.kind === 'stays') stays.push(this.decided(facts, hits));
      else if (standing.kind === 'open') open.push(this.row(facts, standing.hits, means));
    }
    open.sort(
      (a, b) =>
        CULL_WEIGHTS.indexOf(a.weight) - CULL_WEIGHTS.indexOf(b.weight) ||
        b.hits.length - a.hits.length ||
        (a.oneMoreYear?.differenceMinor ?? 0) - (b.oneMoreYear?.differenceMinor ?? 0),
    );
    return {
      species,
      females: all.filter(({ facts }) => facts.record.sex === 'female').length,
      males: all.filter(({ facts }) => facts.record.sex === 'male').length,
      rows: open,
      stays,
      goes,
      toLookOver: all.flatMap(({ facts }) => {
        const { state } = this.judge.eye(facts, standards);
        return !leavesByChoice(facts) && (state === 'not-looked' || state === 'in-part') ? [facts.record.id] : [];
      }),
      rules,
      rearedByHerd: this.grown.herdMean(species) ?? null,
    };
  }

  /** How many of each species wait for a decision: those to go now or at the season's end. */
  async waiting(): Promise<TodayView['shouldGo']> {
    const { version } = await this.holding.settings();
    const of = `${this.book.state.version} ${version} ${this.clock.today()}`;
    if (this.kept?.of === of) return this.kept.waiting;
    const waiting: TodayView['shouldGo'][number][] = [];
    for (const species of SPECIES) {
      const weights = (await this.judged(species, await this.rules(species))).flatMap(({ facts, hits }) => {
        const standing = standingOf(facts, hits);
        return standing.kind === 'open' ? (suggestedWeight(standing.hits) ?? []) : [];
      });
      const [now, seasonEnd] = [
        weights.filter((w) => w === 'now').length,
        weights.filter((w) => w === 'season-end').length,
      ];
      if (now + seasonEnd > 0) waiting.push({ species, now, seasonEnd });
    }
    this.kept = { of, waiting };
    return waiting;
  }

  /** The holding's rules of a species; an empty season more is granted where the setting of Carrying grants it. */
  private async rules(species: Species): Promise<readonly CullRule[]> {
    const { choosing } = await this.holding.settings();
    const { secondChances } = this.book.state.settings(species).carrying;
    return (choosing?.rules ?? USUAL_CULL_RULES)
      .filter((rule) => rule.species === species)
      .map((rule) =>
        rule.fact === 'empty' ? { ...rule, granted: Math.max(rule.granted, secondChances - (rule.times - 1)) } : rule,
      );
  }

  private async judged(species: Species, rules: readonly CullRule[]): Promise<Judged[]> {
    const standards = await this.holding.standards();
    const { version } = await this.holding.settings();
    const of = `${version} ${this.grown.herdMean(species) ?? ''}`;
    const before = this.judgedBy.get(species);
    if (before?.of !== of) this.judgedBy.set(species, { of, stamp: (before?.stamp ?? 0) + 1 });
    const judged: Judged[] = [];
    for (const [i, facts] of this.grown.here(species).entries()) {
      if (i % AT_ONCE === AT_ONCE - 1) await breathe();
      this.judging = { standards, version, rules };
      // Of a male it hangs on the females he served, too.
      judged.push({ facts, hits: facts.record.sex === 'female' ? this.hitsOfFemale.of(facts) : this.hits(facts) });
    }
    return judged;
  }

  private hits(facts: AnimalFacts): readonly CullHit[] {
    const { standards, version, rules } = this.judging;
    const { species, sex, bornOn } = facts.record;
    const events = this.grown.events(facts, standards, version);
    return cullHits({ species, sex, bornOn, events }, rules, this.clock.today());
  }

  private row(facts: AnimalFacts, hits: readonly CullHit[], means: SaleMeans): GoingRow {
    const today = this.clock.today();
    return {
      tag: tagView(facts, today),
      sex: facts.record.sex,
      ageYears: this.ageYears(facts),
      weight: suggestedWeight(hits) ?? 'watch',
      hits: hits.map(hitView),
      oneMoreYear: facts.record.sex === 'female' ? this.oneMoreYear(facts, means) : null,
      reared: this.book.state.litters.rearedPerYear(facts, today) ?? null,
    };
  }

  private decided(facts: AnimalFacts, hits: readonly CullHit[]): DecidedGrown {
    const last = facts.choices.at(-1);
    return {
      tag: tagView(facts, this.clock.today()),
      ageYears: this.ageYears(facts),
      decision: last?.decision ?? 'keep',
      reason: last?.reason ?? null,
      on: isoOf(last?.on ?? this.clock.today()),
      hits: hits.map(hitView),
    };
  }

  private ageYears({ record: { bornOn } }: AnimalFacts): number | null {
    return bornOn === undefined ? null : Math.floor(completedMonths(bornOn, this.clock.today()) / 12);
  }

  private oneMoreYear(facts: AnimalFacts, { young, cull }: SaleMeans): OneMoreYearView | null {
    const { species } = facts.record;
    const { choosing, carrying, rearing } = this.book.state.settings(species);
    const own = this.book.state.litters.rearedPerYear(facts, this.clock.today());
    const herd = this.grown.herdMean(species);
    const age = this.ageYears(facts);
    if (herd === undefined || age === null) return null;
    const at = (list: readonly number[], years: number): number => list[Math.min(years, list.length - 1)] ?? 1;
    const survival = 1 - choosing.diesShare;
    const firstFactor = at(choosing.rearedByAge, choosing.matedAtYears);
    const keepMinor = carrying.keepPerDayMinor * YEAR_DAYS;
    const found = oneMoreYear(
      {
        own: { mean: own?.perYear ?? herd, litters: own?.litters ?? 0 },
        herd,
        ageFactor: at(choosing.rearedByAge, age + 1),
        firstFactor,
        litterSd: rearing.youngSd,
        survival,
        firstSurvival: survival,
      },
      {
        young: young?.minor ?? choosing.youngMinor,
        youngError: young?.standardError ?? 0,
        cull: cull?.minor ?? choosing.cullMinor,
        cullError: cull?.standardError ?? 0,
        keep: keepMinor,
        replacement: choosing.replacementMinor,
        years: choosing.usefulYears,
      },
    );
    return {
      differenceMinor: Math.round(found.difference),
      halfWidthMinor: Math.round(found.halfWidth),
      keepingMinor: Math.round(found.keeping),
      replacingMinor: Math.round(found.replacing),
      young: found.young,
      firstYoung: firstFactor * herd,
      inputs: {
        youngMinor: Math.round(young?.minor ?? choosing.youngMinor),
        youngSales: young?.heads ?? 0,
        cullMinor: Math.round(cull?.minor ?? choosing.cullMinor),
        cullSales: cull?.heads ?? 0,
        keepMinor,
        replacementMinor: choosing.replacementMinor,
        usefulYears: choosing.usefulYears,
        survival,
        litters: own?.litters ?? 0,
      },
    };
  }
}

type Standing =
  | { readonly kind: 'goes' | 'stays' | 'clear' }
  /** Hits that no decision to keep it covers. */
  | { readonly kind: 'open'; readonly hits: readonly CullHit[] };

/** Where an animal stands: it was decided, it stays in spite of its hits, or there is something to decide. */
function standingOf(facts: AnimalFacts, hits: readonly CullHit[]): Standing {
  if (leavesByChoice(facts)) return { kind: 'goes' };
  const { decision, reason, on } = facts.choices.at(-1) ?? {};
  const stays = decision === 'keep' && reason !== undefined && on !== undefined ? { on, reason } : undefined;
  const open = since(hits, stays);
  if (open.length > 0) return { kind: 'open', hits: open };
  return { kind: hits.length > 0 ? 'stays' : 'clear' };
}

function hitView(hit: CullHit): CullHitView {
  const clears = whatClears(hit);
  return {
    fact: hit.rule.fact,
    weight: hit.rule.weight,
    evidence: hit.evidence.map(({ on, what, figure }) => ({
      on: isoOf(on),
      what: what ?? null,
      figure: figure ?? null,
    })),
    chancesUsed: hit.chancesUsed,
    chances: hit.chances,
    clears: clears.kind === 'on' ? { kind: 'on', on: isoOf(clears.on) } : clears,
  };
}
