import { Injectable } from '@nestjs/common';
import { dayOf, momentAt, type Day, type Moment } from '@yaylak/core';

/** What day it is where the server stands. Tests set their own. */
@Injectable()
export class Clock {
  /** How far ahead of the real day it goes. */
  daysAhead = 0;
  private kept: { readonly minute: number; readonly daysAhead: number; readonly day: Day } | undefined;

  now(): Date {
    const now = new Date();
    now.setDate(now.getDate() + this.daysAhead);
    return now;
  }

  /** The time on the wall. */
  moment(): Moment {
    const now = this.now();
    return momentAt(this.today(), now.getHours() * 60 + now.getMinutes());
  }

  /** Asked for each figure of each animal, so the day is kept while the clock stays in its minute. */
  today(): Day {
    const minute = Math.floor(Date.now() / 60_000);
    if (this.kept?.minute === minute && this.kept.daysAhead === this.daysAhead) return this.kept.day;
    const now = this.now();
    const two = (n: number): string => String(n).padStart(2, '0');
    const day = dayOf(`${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`);
    this.kept = { minute, daysAhead: this.daysAhead, day };
    return day;
  }
}
