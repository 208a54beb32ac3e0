import { Inject, Injectable } from '@nestjs/common';
import type { SaleSheetRow, SaleSheetView } from '@yaylak/contract';
import { isoOf, mainIdentifier, saleRecord, wornIdentifiers, type AnimalFacts } from '@yaylak/core';
import { AnimalPageService } from '../animals/animalPage.service';
import { AnimalsService } from '../animals/animals.service';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';

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
    const { id, species, sex, bornOn, birthKnownTo, strain, birthType, damId, sireId } = facts.record;
    const left = saleRecord(facts)?.left;
    const last = this.book.state.daily(facts).at(-1);
    const number = (of: AnimalFacts | undefined): string | null => (of && mainIdentifier(of)?.identifier.text) ?? null;
    const parent = (parentId: string | undefined): string | null =>
      parentId === undefined ? null : number(this.book.state.animals.get(parentId));
    return {
      id,
      species,
      sex,
      number: number(facts) ?? 'no number',
      bornOn: bornOn === undefined ? null : isoOf(bornOn),
      birthKnownTo: birthKnownTo ?? null,
      strain: strain ?? null,
      birthType: birthType ?? null,
      worn: wornIdentifiers(facts).map(({ kind, text, colour }) => ({ kind, text, colour: colour ?? null })),
      dam: parent(damId),
      sire: parent(sireId),
      weight: last ? { kg: last.kg, on: isoOf(last.on) } : null,
      genes: facts.geneTests.map(({ gene, result, on }) => ({ gene, result, on: isoOf(on) })),
      treatments: facts.treatments.map(({ on, productId, amount, unit, batch }) => ({
        on: isoOf(on),
        product: this.book.state.products.get(productId)?.facts.name ?? 'a product',
        amount,
        unit,
        batch: batch ?? null,
      })),
      withheld: this.page.withheld(id, left?.on ?? this.clock.today()),
      left: left ? { on: isoOf(left.on), buyer: left.buyer ?? null } : null,
    };
  }
}
