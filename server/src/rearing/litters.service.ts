import { Inject, Injectable } from '@nestjs/common';
import type { LitterView, RearedView } from '@yaylak/contract';
import {
  addDays,
  BY_HAND,
  isoOf,
  litterNow,
  ONE_LITTER_DAYS,
  rearedBy,
  weaningPlans,
  type AnimalFacts,
  type Birth,
  type Day,
  type LitterMember,
  type LitterNow,
  type Reading,
  type Reared,
  type Species,
  type WeaningPlan,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { tagView, windowView } from '../common/views';
import { GrowthService } from '../growth/growth.service';
import { FemalesToMateService } from '../mating/females.service';

/** A litter as it is reared: whom one dam has now. */
export interface LitterReared {
  readonly species: Species;
  /** Undefined where they are reared by hand. */
  readonly dam: AnimalFacts | undefined;
  readonly bornOn: Day;
  readonly young: readonly Reared[];
  /** Her own birth they are of; undefined where all are another's. */
  readonly birth: Birth | undefined;
}

/** Who rears whom now, how they gain, and who is to be weaned. */
@Injectable()
export class LittersService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(FemalesToMateService) private readonly females: FemalesToMateService,
    @Inject(GrowthService) private readonly growth: GrowthService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** Litters that are with their dams, the youngest last. */
  withDams(species: Species): LitterReared[] {
    const today = this.clock.today();
    const { weaningDays } = this.book.state.settings(species);
    const byDam = new Map<string, Reared[]>();
    for (const { record } of this.book.state.present(today)) {
      if (record.species !== species || record.bornOn === undefined) continue;
      if (today - record.bornOn > weaningDays.closes) continue;
      const young = this.book.state.litters.reared(record.id);
      const by = young && rearedBy(young, today);
      if (young && by !== undefined) byDam.set(by, [...(byDam.get(by) ?? []), young]);
    }
    return [...byDam]
      .flatMap(([by, all]) => parted(all).map((young): LitterReared => this.litter(species, by, young)))
      .sort((a, b) => a.bornOn - b.bornOn);
  }

  private litter(species: Species, by: string, young: readonly Reared[]): LitterReared {
    const bornOn = young[0]?.bornOn ?? this.clock.today();
    const birth =
      by === BY_HAND
        ? undefined
        : this.book.state.litters.birthsOf(by).find((b) => Math.abs(b.on - bornOn) <= ONE_LITTER_DAYS);
    return { species, dam: this.book.state.animals.get(by), bornOn: birth?.on ?? bornOn, young, birth };
  }

  /** How a litter does now; young that were in it and are not any more count for the days they were. */
  now({ dam, bornOn, young }: LitterReared): LitterNow {
    const damId = dam?.record.id;
    const all = damId === undefined ? young : this.book.state.litters.youngAbout(damId);
    const members = all
      .filter((y) => Math.abs(y.bornOn - bornOn) <= ONE_LITTER_DAYS)
      .map((y): LitterMember => ({
        id: y.id,
        daily: this.dailyOf(y.id),
        isIn: (on) => rearedBy(y, on) === (damId ?? BY_HAND),
        hasDied: this.hasDied(y.id),
      }));
    const together = dam?.litterWeights.filter((w) => w.on >= bornOn) ?? [];
    return litterNow(together, members, this.clock.today());
  }

  /** Weights of an animal by day. */
  dailyOf(id: string): readonly Reading[] {
    const facts = this.book.state.animals.get(id);
    return facts ? this.book.state.daily(facts) : [];
  }

  plans({ species, dam, bornOn, young }: LitterReared): WeaningPlan[] {
    const today = this.clock.today();
    return weaningPlans(
      young.map((y) => {
        const facts = this.book.state.animals.get(y.id);
        return {
          id: y.id,
          bornOn: y.bornOn,
          kg: facts && this.book.state.daily(facts).at(-1)?.kg,
          begunOn: facts?.weanings.find((w) => !w.isDone)?.on,
        };
      }),
      this.book.state.settings(species),
      today,
      dam ? this.weanedKgs(dam.record.id, bornOn) : [],
    );
  }

  /** What those of a litter weigh that are weaned and were reared by the same dam. */
  private weanedKgs(damId: string, bornOn: Day): number[] {
    return this.book.state.litters.youngAbout(damId).flatMap((y) => {
      const wasHers = rearedBy({ ...y, weanedOn: undefined }, y.weanedOn ?? y.bornOn) === damId;
      const facts = this.book.state.animals.get(y.id);
      if (y.weanedOn === undefined || !wasHers || !facts || Math.abs(y.bornOn - bornOn) > ONE_LITTER_DAYS) return [];
      return this.book.state.daily(facts).at(-1)?.kg ?? [];
    });
  }

  /** How a litter is to be weighed today by the holding's school; undefined where it was, or is not daily. */
  toWeigh(litter: LitterReared, now: LitterNow): 'together' | 'each' | undefined {
    const { rearing } = this.book.state.settings(litter.species);
    const age = this.clock.today() - litter.bornOn;
    if (now.daysWithout === 0 || age === 0) return undefined;
    if (age <= rearing.litterDailyDays) return 'together';
    if (age <= rearing.eachDailyDays) return 'each';
    return rearing.eachDailyDays > 0 && (now.daysWithout ?? Infinity) >= WEEK ? 'each' : undefined;
  }

  view(litter: LitterReared): LitterView {
    const { species, dam, bornOn, young, birth } = litter;
    const today = this.clock.today();
    const now = this.now(litter);
    const plans = new Map(this.plans(litter).map((p) => [p.id, p]));
    const ready = [...plans.values()].filter((p) => p.isReady);
    const window = [...plans.values()][0]?.window;
    const settings = this.book.state.settings(species);
    return {
      dam: dam ? tagView(dam, today) : null,
      isByHand: dam === undefined,
      species,
      bornOn: isoOf(bornOn),
      ageDays: today - bornOn,
      bornAlive: birth?.alive ?? young.length,
      bornDead: birth?.dead ?? 0,
      lost: birth?.youngIds.filter((id) => this.hasDied(id)).length ?? 0,
      young: young
        .flatMap((y) => this.young(y, plans.get(y.id), now, dam?.record.id))
        .sort((a, b) => (b.lastKg ?? 0) - (a.lastKg ?? 0)),
      days: now.days.map((d) => ({ ageDays: d.on - bornOn, count: d.count, totalKg: d.totalKg })),
      last: now.last && now.last.kind !== 'no-answer' ? now.last : null,
      daysWithout: now.daysWithout ?? null,
      toWeigh: this.toWeigh(litter, now) ?? null,
      weaning: {
        way: settings.rearing.weaningWay,
        ready: ready.length,
        window: windowView(
          window ?? {
            opens: addDays(bornOn, settings.weaningDays.opens),
            bestFrom: addDays(bornOn, settings.weaningDays.bestFrom),
            bestTo: addDays(bornOn, settings.weaningDays.bestTo),
            closes: addDays(bornOn, settings.weaningDays.closes),
          },
        ),
      },
      damNext: dam ? this.damNext(dam) : null,
    };
  }

  private damNext(dam: AnimalFacts): LitterView['damNext'] {
    const { isReady, readyOn } = this.females.readiness(dam);
    return { isReady, readyOn: readyOn === undefined ? null : isoOf(readyOn) };
  }

  private hasDied(id: string): boolean {
    return this.book.state.animals.get(id)?.departures.some((d) => d.how === 'died') ?? false;
  }

  private young(young: Reared, plan: WeaningPlan | undefined, now: LitterNow, damId: string | undefined): RearedView[] {
    const today = this.clock.today();
    const facts = this.book.state.animals.get(young.id);
    if (!facts || !plan) return [];
    const daily = this.book.state.daily(facts);
    const last = daily.at(-1);
    const own = young.birthDamId === damId ? undefined : this.book.state.animals.get(young.birthDamId ?? '');
    const place = this.placeOf(young.id);
    return [
      {
        tag: tagView(facts, today),
        sex: facts.record.sex,
        version: facts.record.version,
        bornOn: isoOf(young.bornOn),
        ageDays: today - young.bornOn,
        birthType: facts.record.birthType ?? null,
        rearingType: this.book.state.litters.rearingType(facts, today) ?? null,
        bornOf: own ? tagView(own, today) : null,
        lastKg: last?.kg ?? null,
        lastOn: last ? isoOf(last.on) : null,
        gain: this.growth.gainOf(young.id),
        isRunt: now.runtIds.includes(young.id),
        place: place?.at ?? null,
        of: place?.of ?? 0,
        weaning: {
          window: windowView(plan.window),
          isReady: plan.isReady,
          step: plan.step,
          waits: plan.waits ?? null,
        },
        points: daily.map((r) => [r.on - young.bornOn, r.kg] as const),
      },
    ];
  }

  /** Place by gain among its contemporaries. */
  private placeOf(id: string): { readonly at: number; readonly of: number } | undefined {
    const lastGain = (of: string) => {
      const facts = this.book.state.animals.get(of);
      return facts && this.growth.lastGain(facts);
    };
    const own = lastGain(id);
    const group = this.growth.groupOf(id);
    if (own?.kind !== 'gain' || !group) return undefined;
    const known = group.members.flatMap((m) => {
      const gain = lastGain(m.id);
      return gain?.kind === 'gain' ? [gain.kgPerDay] : [];
    });
    return { at: 1 + known.filter((g) => g > own.kgPerDay).length, of: known.length };
  }
}

/** After the daily stretch each is weighed once a week. */
const WEEK = 7;

/** Young of one dam as litters by their age. */
function parted(all: readonly Reared[]): Reared[][] {
  const litters: Reared[][] = [];
  for (const young of [...all].sort((a, b) => a.bornOn - b.bornOn)) {
    const last = litters.at(-1);
    if (last?.[0] && young.bornOn - last[0].bornOn <= ONE_LITTER_DAYS) last.push(young);
    else litters.push([young]);
  }
  return litters;
}
