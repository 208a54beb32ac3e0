import { Inject, Injectable } from '@nestjs/common';
import { outletOf } from '@yaylak/contract';
import {
  paidFor,
  saleMeans,
  type Outlet,
  type Paid,
  type SaleMeans,
  type SaleRecord,
  type Species,
} from '@yaylak/core';
import { Clock } from '../common/clock';
import { LearnedService } from './learned.service';
import { OutletsService } from './outlets.service';

/** A sale with what came in for it. */
export interface PaidSale extends Paid {
  readonly record: SaleRecord;
  /** Undefined where it was sold elsewhere. */
  readonly outlet: Outlet | undefined;
  readonly outletName: string | undefined;
}

/** What the holding's sales brought. */
@Injectable()
export class PaidService {
  constructor(
    @Inject(LearnedService) private readonly learned: LearnedService,
    @Inject(OutletsService) private readonly outlets: OutletsService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** Sales of a species that were paid, in the order they left. */
  async sales(species: Species): Promise<PaidSale[]> {
    const outlets = new Map(
      (await this.outlets.list()).map((o) => [o.id, { outlet: outletOf(o), name: o.facts.name }]),
    );
    return this.learned.records(species).flatMap((record) => {
      const { outlet, name } = outlets.get(record.outletId ?? '') ?? {};
      const paid = paidFor(record, outlet);
      return paid ? [{ record, outlet, outletName: name, ...paid }] : [];
    });
  }

  /** What young and grown females of a species brought on average, where enough were sold. */
  async means(species: Species): Promise<SaleMeans> {
    return saleMeans(await this.sales(species), this.clock.today());
  }
}
