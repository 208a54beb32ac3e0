import { Inject, Injectable } from '@nestjs/common';
import type { LifeLitter, LifeView } from '@yaylak/contract';
import {
  groupOn,
  isoOf,
  isPresent,
  mean,
  weanedForWeight,
  type AnimalFacts,
  type Birth,
  type RearingTally,
} from '@yaylak/core';
import { AnimalsService } from '../animals/animals.service';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { tagView } from '../common/views';
import { CompareService } from './compare.service';
import { RearingService } from './rearing.service';

interface Told {
  readonly birth: Birth;
  readonly tally: RearingTally;
}

/** The record of one female's life, against the others. */
@Injectable()
export class LifeService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(AnimalsService) private readonly animals: AnimalsService,
    @Inject(RearingService) private readonly rearing: RearingService,
    @Inject(CompareService) private readonly compare: CompareService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  view(id: string): LifeView {
    const today = this.clock.today();
    const facts = this.animals.find(id);
    const { record } = facts;
    const groupId = groupOn(facts, today);
    const told = this.told(facts);
    const litters = told.map((t, i) => this.litter(facts, t, told[i - 1]));
    const kgs = litters.flatMap((l) => l.weanedKg ?? []);
    const reared = litters.reduce((s, l) => s + l.reared, 0);
    const perYear = this.book.state.litters.rearedPerYear(facts, today);
    const damKg = this.book.state.daily(facts).at(-1)?.kg;
    const forWeight =
      perYear && weanedForWeight({ kgALitter: mean(kgs), litters: litters.length, years: perYear.years }, damKg);
    const tagOf = (other: string | undefined) => {
      const found = other === undefined ? undefined : this.book.state.animals.get(other);
      return found ? tagView(found, today) : null;
    };
    return {
      on: isoOf(today),
      tag: tagView(facts, today),
      species: record.species,
      sex: record.sex,
      bornOn: record.bornOn === undefined ? null : isoOf(record.bornOn),
      groupName: (groupId && this.book.state.groups.get(groupId)?.name) ?? null,
      dam: tagOf(record.damId),
      sire: tagOf(record.sireId),
      litters,
      sums: {
        litters: litters.length,
        born: litters.reduce((s, l) => s + l.alive, 0),
        dead: litters.reduce((s, l) => s + l.dead, 0),
        reared,
        perYear: perYear ?? null,
        forWeight: forWeight && damKg !== undefined ? { ...forWeight, damKg } : null,
        weaned: kgs.length === 0 ? null : { litters: kgs.length, kgALitter: mean(kgs) ?? 0 },
        meanIntervalDays: mean(litters.flatMap((l) => l.intervalDays ?? [])) ?? null,
        hardBirths: litters.filter((l) => l.ease === 'pulled-hard' || l.ease === 'vet').length,
      },
      others: this.others(facts),
      trend:
        told.length === 0
          ? null
          : this.compare.trend(
              facts,
              told.map((t) => t.birth),
            ),
    };
  }

  private told(facts: AnimalFacts): Told[] {
    return this.book.state.litters
      .birthsOf(facts.record.id)
      .map((birth) => ({ birth, tally: this.rearing.tally(facts, birth) }));
  }

  private litter(facts: AnimalFacts, { birth, tally }: Told, before: Told | undefined): LifeLitter {
    const today = this.clock.today();
    const young = birth.youngIds.flatMap((id) => this.book.state.animals.get(id) ?? []);
    const sireIds = new Set(young.flatMap((y) => y.record.sireId ?? []));
    return {
      on: isoOf(birth.on),
      sires: [...sireIds].flatMap((id) => {
        const sire = this.book.state.animals.get(id);
        return sire ? [tagView(sire, today)] : [];
      }),
      alive: birth.alive,
      dead: birth.dead,
      ease: birth.written?.ease ?? null,
      fosteredAway: tally.fosteredAway,
      fosteredTo: tally.fosteredTo,
      lost: tally.lost,
      reared: tally.reared,
      withHer: tally.withHer,
      weanedKg: tally.withHer > 0 ? null : (this.compare.weanedKg(facts, birth) ?? null),
      intervalDays: before ? birth.on - before.birth.on : null,
      here: young.filter((y) => isPresent(y, today)).map((y) => tagView(y, today)),
    };
  }

  /** Litters of the other females of her species that are here. */
  private others({ record }: AnimalFacts): LifeView['others'] {
    const today = this.clock.today();
    const females = this.book.state
      .present(today)
      .filter((f) => f.record.species === record.species && f.record.sex === 'female' && f.record.id !== record.id)
      .map((f) => this.told(f))
      .filter((t) => t.length > 0);
    const all = females.flat();
    const settled = all.filter((t) => t.tally.withHer === 0);
    const intervals = females.flatMap((t) => t.slice(1).map((one, i) => one.birth.on - (t[i]?.birth.on ?? 0)));
    return {
      females: females.length,
      bornALitter: mean(all.map((t) => t.birth.alive)) ?? null,
      rearedALitter: mean(settled.map((t) => t.tally.reared)) ?? null,
      intervalDays: mean(intervals) ?? null,
    };
  }
}
