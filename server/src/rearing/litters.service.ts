import { Inject, Injectable } from '@nestjs/common';
import type { LitterView, RearedView } from '@yaylak/contract';
import {
  addDays,
  BY_HAND,
  isoOf,
  isOneLitter,
  litterNow,
  littersReared,
  litterWeighing,
  rearedBy,
  weaningPlans,
  type AnimalFacts,
  type Day,
  type LitterMember,
  type LitterNow,
  type LitterOfDam,
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

/** A litter as it is reared, with its dam; she is undefined where they are reared by hand. */
export interface LitterReared extends Omit<LitterOfDam, 'damId'> {
  readonly species: Species;
  readonly dam: AnimalFacts | undefined;
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
    const { animals, litters } = this.book.state;
    const { weaningDays } = this.book.state.settings(species);
    const young = this.book.state.present(today).flatMap(({ record: { id, species: own, bornOn } }) => {
      if (own !== species || bornOn === undefined || today - bornOn > weaningDays.closes) return [];
      return litters.reared(id) ?? [];
    });
    return littersReared(young, (damId) => litters.birthsOf(damId), today).map(({ damId, ...litter }) => ({
      ...litter,
      species,
      dam: damId === undefined ? undefined : animals.get(damId),
    }));
  }

  /** How a litter does now; young that were in it and are not any more count for the days they were. */
  now({ dam, bornOn, young }: LitterReared): LitterNow {
    const damId = dam?.record.id;
    const all = damId === undefined ? young : this.book.state.litters.youngAbout(damId);
    const members = all
      .filter((y) => isOneLitter(y.bornOn, bornOn))
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
      if (y.weanedOn === undefined || !wasHers || !facts || !isOneLitter(y.bornOn, bornOn)) return [];
      return this.book.state.daily(facts).at(-1)?.kg ?? [];
    });
  }

  /** How a litter is to be weighed today; see `litterWeighing`. */
  toWeigh({ species, bornOn }: LitterReared, { daysWithout }: LitterNow): 'together' | 'each' | undefined {
    return litterWeighing(this.book.state.settings(species), this.clock.today() - bornOn, daysWithout);
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
