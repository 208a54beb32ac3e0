import { Inject, Injectable } from '@nestjs/common';
import type {
  ConditionAnimal,
  ConditionQuery,
  ConditionView,
  NoResponseView,
  RoundView,
  ScoreView,
  WayView,
} from '@yaylak/contract';
import {
  addDays,
  aimFor,
  bySpecies,
  completedMonths,
  conditionOfGroup,
  dayOf,
  femaleKind,
  groupOn,
  isFemaleOfAge,
  isoOf,
  mobFor,
  CONDITION_CHECKS,
  noResponse,
  type ConditionCheck,
  RESPONSE_DAYS,
  scoreTrend,
  scoringRounds,
  SPECIES_WORDS,
  wayToAim,
  type AnimalFacts,
  type ConditionStage,
  type Day,
  type FemaleKind,
  type ScoreOnDay,
  type ScoringRound,
  type Species,
} from '@yaylak/core';
import { AnimalPageService } from '../animals/animalPage.service';
import { BookService } from '../book/book.service';
import type { Derived, Whole } from '../book/derived';
import { Clock } from '../common/clock';
import { tagView } from '../common/views';
import { SeasonService } from '../season/season.service';
import { say } from '@yaylak/contract';

/** Rounds shown beside the last one. */
const ROUNDS = 6;
/** A weight so many days from the score still goes with it. */
const WEIGHT_DAYS = 60;
/** A score older than this says nothing of today. */
const SCORE_DAYS = 200;
/** An alarm on an older weight was looked at, or will not be. */
const ALARM_DAYS = 120;

/** How the females stand: against the aim, over the rounds, and what has to be done about it. */
@Injectable()
export class ConditionService {
  private readonly kinds: Derived<FemaleKind>;
  /** Of all females of a species, of whatever group. */
  private readonly allRounds: Readonly<Record<Species, Whole<readonly ScoringRound[]>>>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(AnimalPageService) private readonly pages: AnimalPageService,
    @Inject(SeasonService) private readonly season: SeasonService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.kinds = book.derived((facts) => this.readKind(facts));
    this.allRounds = bySpecies((species) =>
      book.ofKinds(['arrival', 'score'], () => this.readRounds(species, () => true)),
    );
  }

  view({ species, groupId, stage: asked, by: askedBy }: ConditionQuery): ConditionView {
    const today = this.clock.today();
    const { condition } = this.book.state.settings(species);
    const all = this.oldEnough(species, today);
    const { grownFromDays } = SPECIES_WORDS[species];
    const members = all.filter((f) =>
      // A group is taken whole; among all, the young ones that could be mated for the first time stand aside.
      groupId === undefined
        ? f.record.bornOn === undefined || today - f.record.bornOn >= grownFromDays
        : groupOn(f, today) === groupId,
    );
    const next = this.season.milestone(species, groupId);
    const stage: ConditionStage = asked ?? next?.stage ?? 'mating';
    const planned = stage === next?.stage ? next : undefined;
    const by = askedBy === undefined ? (planned?.by ?? addDays(today, RESPONSE_DAYS)) : dayOf(askedBy);
    const rounds =
      groupId === undefined
        ? this.allRounds[species].get()
        : this.readRounds(species, (facts, on) => groupOn(facts, on) === groupId);
    const inLast = new Set(rounds.at(-1)?.animalIds);
    const group = groupId === undefined ? undefined : this.book.state.groups.get(groupId);
    return {
      on: isoOf(today),
      species,
      group: group ? { id: group.id, name: group.name } : null,
      groups: this.groups(all, today),
      stage,
      by: isoOf(by),
      byPlan: askedBy === undefined ? (planned?.plan ?? null) : null,
      shareWanted: condition.shareWanted,
      alarmUnder: condition.alarmUnder,
      females: members.length,
      notScored: members.filter((f) => !inLast.has(f.record.id)).map((f) => tagView(f, today)),
      rounds: rounds
        .slice(-ROUNDS)
        .toReversed()
        .flatMap((r) => this.roundView(r, stage)),
      animals: members.flatMap((f) => this.animal(f, { stage, by, today })),
      noResponse: members.flatMap((f) => this.unanswered(f, today)),
      alarms: members.flatMap((f) => {
        const message = this.pages.alarm(f, addDays(today, -ALARM_DAYS));
        return message === null ? [] : [{ kind: 'adult-alarm', tag: tagView(f, today), message }];
      }),
    };
  }

  /** How much condition is wanted of an animal; of a male what is usual. */
  femaleKind(facts: AnimalFacts): FemaleKind {
    return this.kinds.of(facts);
  }

  private readKind(facts: AnimalFacts): FemaleKind {
    const { id, sex, species } = facts.record;
    if (sex !== 'female') return 'usual';
    const today = this.clock.today();
    const { litters } = this.book.state;
    const births = litters.birthsOf(id);
    const last = births.at(-1);
    const tally = last && litters.tally(facts, last, today);
    const lastReared = tally ? tally.reared + tally.withHer : 0;
    const isHeavyMilker = facts.checks.findLast((c) => c.what === 'milk')?.isFound ?? false;
    return femaleKind(
      { births: births.length, lastReared, isHeavyMilker },
      this.book.state.settings(species).condition,
    );
  }

  /** Females old enough for a first mating; one whose birth is not known is taken to be. */
  private oldEnough(species: ConditionQuery['species'], today: Day): AnimalFacts[] {
    const settings = this.book.state.settings(species);
    return this.book.state
      .present(today)
      .filter(
        ({ record: r }) => r.species === species && r.sex === 'female' && isFemaleOfAge(r.bornOn, settings, today),
      );
  }

  private groups(females: readonly AnimalFacts[], today: Day): ConditionView['groups'] {
    const counts = new Map<string, number>();
    for (const facts of females) {
      const id = groupOn(facts, today);
      if (id !== undefined) counts.set(id, (counts.get(id) ?? 0) + 1);
    }
    return [...counts]
      .map(([id, count]) => ({ id, name: this.book.state.groups.get(id)?.name ?? say('a group'), females: count }))
      .sort((a, b) => b.females - a.females);
  }

  /** Rounds of scoring among the females that are meant, as they stood on the day; those who left since too. */
  private readRounds(species: Species, isMeant: (facts: AnimalFacts, on: Day) => boolean): ScoringRound[] {
    const scores: { animalId: string; on: Day }[] = [];
    for (const facts of this.book.state.animals.values()) {
      const { id, species: own, sex } = facts.record;
      if (own !== species || sex !== 'female') continue;
      for (const { on } of facts.scores) if (isMeant(facts, on)) scores.push({ animalId: id, on });
    }
    return scoringRounds(scores);
  }

  private roundView(round: ScoringRound, stage: ConditionStage): RoundView[] {
    const by = new Set<string>();
    const scored = round.animalIds.flatMap((animalId) => {
      const facts = this.book.state.animals.get(animalId);
      const last = facts && this.book.state.scores(facts).findLast((s) => s.on >= round.from && s.on <= round.to);
      if (!facts || !last) return [];
      last.by.forEach((name) => by.add(name));
      return [{ animalId, score: last.score, aim: this.aim(facts, stage) }];
    });
    const group = conditionOfGroup(scored);
    if (!group) return [];
    return [
      {
        from: isoOf(round.from),
        to: isoOf(round.to),
        count: group.count,
        mean: group.mean,
        coefficientOfVariation: group.coefficientOfVariation ?? null,
        atAim: group.atAim,
        byHalf: group.byHalf,
        by: [...by].sort(),
      },
    ];
  }

  private aim(facts: AnimalFacts, stage: ConditionStage): number {
    return aimFor(this.book.state.settings(facts.record.species).condition, stage, this.femaleKind(facts));
  }

  private animal(
    facts: AnimalFacts,
    { stage, by, today }: { readonly stage: ConditionStage; readonly by: Day; readonly today: Day },
  ): ConditionAnimal[] {
    const scores = this.book.state.scores(facts);
    const last = scores.at(-1);
    if (!last || today - last.on > SCORE_DAYS) return [];
    const before = scores.at(-2);
    const aim = this.aim(facts, stage);
    const mob = facts.mobs.at(-1);
    const { condition } = this.book.state.settings(facts.record.species);
    return [
      {
        tag: tagView(facts, today),
        kind: this.femaleKind(facts),
        aim,
        last: scoreView(last),
        before: before ? scoreView(before) : null,
        trend: before ? scoreTrend(before, last) : null,
        mob: mob?.mob ?? null,
        mobBefore: (mob && facts.mobs.findLast((m) => m.on < mob.on)?.mob) ?? null,
        suggestedMob: mobFor(last.score, aim, condition),
        ...this.way(facts, last, aim, by, today),
      },
    ];
  }

  private way(
    facts: AnimalFacts,
    last: ScoreOnDay,
    aim: number,
    by: Day,
    today: Day,
  ): { readonly weightKg: number | null; readonly way: WayView } {
    const { kgPerScoreShare, daysPerScore } = this.book.state.settings(facts.record.species).condition;
    const near = [...this.book.state.daily(facts)].sort((a, b) => Math.abs(a.on - last.on) - Math.abs(b.on - last.on));
    const reading = near[0] && Math.abs(near[0].on - last.on) <= WEIGHT_DAYS ? near[0] : undefined;
    const way = wayToAim({
      score: last.score,
      scoreSd: last.sd,
      aim,
      weightKg: reading?.kg,
      kgPerScoreShare,
      from: today,
      by,
      daysPerScore,
    });
    const weightKg = reading?.kg ?? null;
    if (way.kind === 'there') return { weightKg, way };
    const { isFeasible } = way;
    const reachedOn = isoOf(way.reachedOn);
    if (way.kind === 'no-weight') return { weightKg, way: { ...way, reachedOn } };
    const { kg, halfWidthKg, kgPerDay, capKgPerDay } = way;
    return {
      weightKg,
      way: {
        kind: 'gain',
        kg,
        halfWidthKg,
        kgPerDay: Number.isFinite(kgPerDay) ? kgPerDay : null,
        capKgPerDay,
        isFeasible,
        reachedOn,
      },
    };
  }

  private unanswered(facts: AnimalFacts, today: Day): NoResponseView[] {
    const checks = facts.checks.flatMap((c) =>
      CONDITION_CHECKS.some((what) => what === c.what) ? [{ ...c, what: c.what as ConditionCheck }] : [],
    );
    const found = noResponse(this.book.state.scores(facts), facts.mobs, checks);
    if (!found || today - found.to.on > SCORE_DAYS) return [];
    const { bornOn } = facts.record;
    return [
      {
        tag: tagView(facts, today),
        from: scoreView(found.from),
        to: scoreView(found.to),
        days: found.days,
        made: found.made.map(({ on, what, isFound }) => ({ on: isoOf(on), what, isFound })),
        stillToCheck: found.stillToCheck,
        suggestion: found.suggestion,
        ageYears: bornOn === undefined ? null : Math.floor(completedMonths(bornOn, today) / 12),
      },
    ];
  }
}

const scoreView = (s: ScoreOnDay): ScoreView => ({
  on: isoOf(s.on),
  score: s.score,
  by: s.by,
  isCorrected: s.isCorrected,
});
