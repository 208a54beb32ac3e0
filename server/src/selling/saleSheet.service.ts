import { Inject, Injectable } from '@nestjs/common';
import type { SaleSheetRow, SaleSheetView } from '@yaylak/contract';
import {
  isoOf,
  mainIdentifier,
  saleRecord,
  withdrawalEnd,
  wornIdentifiers,
  type AnimalFacts,
  type Day,
} from '@yaylak/core';
import { AnimalPageService } from '../animals/animalPage.service';
import { AnimalsService } from '../animals/animals.service';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { photoView } from '../common/views';
import { say } from '@yaylak/contract';

/** What a buyer is told of each animal, on one sheet. */
@Injectable()
export class SaleSheetService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(AnimalsService) private readonly animals: AnimalsService,
    @Inject(AnimalPageService) private readonly page: AnimalPageService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** @throws not-found where one of them is not in the book */
  view(ids: readonly string[]): SaleSheetView {
    return {
      on: isoOf(this.clock.today()),
      rows: [...new Set(ids)].map((id) => this.row(this.animals.find(id))),
    };
  }

  private row(facts: AnimalFacts): SaleSheetRow {
    const { id, species, sex, bornOn, birthKnownTo, strain, birthType } = facts.record;
    const left = saleRecord(facts)?.left;
    const last = this.book.state.daily(facts).at(-1);
    const { state } = this.book;
    const parentOf = (of: AnimalFacts | undefined, side: 'damId' | 'sireId'): AnimalFacts | undefined =>
      state.animals.get(of?.record[side] ?? '');
    const number = (of: AnimalFacts | undefined): string | null => (of && mainIdentifier(of)?.identifier.text) ?? null;
    const [dam, sire] = [parentOf(facts, 'damId'), parentOf(facts, 'sireId')];
    const grandparents = {
      damDam: number(parentOf(dam, 'damId')),
      damSire: number(parentOf(dam, 'sireId')),
      sireDam: number(parentOf(sire, 'damId')),
      sireSire: number(parentOf(sire, 'sireId')),
    };
    const isTold = Object.values(grandparents).some((one) => one !== null);
    const lastDay = (on: Day, days: number | undefined): string | null =>
      days === undefined ? null : isoOf(withdrawalEnd(on, days));
    return {
      id,
      species,
      sex,
      number: number(facts) ?? say('no number'),
      bornOn: bornOn === undefined ? null : isoOf(bornOn),
      birthKnownTo: birthKnownTo ?? null,
      strain: strain ?? null,
      birthType: birthType ?? null,
      worn: wornIdentifiers(facts).map(({ kind, text, colour }) => ({ kind, text, colour: colour ?? null })),
      dam: number(dam),
      sire: number(sire),
      ...grandparents,
      inbreeding: dam && sire && isTold ? state.family.inbreedingOf(id) : null,
      photo: photoView(facts),
      weight: last ? { kg: last.kg, on: isoOf(last.on) } : null,
      genes: facts.geneTests.map(({ gene, result, on }) => ({ gene, result, on: isoOf(on) })),
      treatments: facts.treatments.map(({ on, productId, amount, unit, batch, meatDays, milkDays }) => ({
        on: isoOf(on),
        product: state.products.get(productId)?.facts.name ?? say('a product'),
        amount,
        unit,
        batch: batch ?? null,
        meatUntil: lastDay(on, meatDays),
        milkUntil: lastDay(on, milkDays),
      })),
      withheld: this.page.withheld(id, left?.on ?? this.clock.today()),
      left: left ? { on: isoOf(left.on), buyer: left.buyer ?? null } : null,
    };
  }
}
