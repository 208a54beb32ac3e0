import { Injectable } from '@nestjs/common';
import { momentAt, type Day, type Moment } from '@yaylak/core';
import { localDay } from './localTime';

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
    const day = localDay(this.now());
    this.kept = { minute, daysAhead: this.daysAhead, day };
    return day;
  }
}
