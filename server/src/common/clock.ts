import { Injectable } from '@nestjs/common';
import { dayOf, momentAt, type Day, type Moment } from '@yaylak/core';

/** What day it is where the server stands. Tests set their own. */
@Injectable()
export class Clock {
  /** How far ahead of the real day it goes. */
  daysAhead = 0;

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

  today(): Day {
    const now = this.now();
    const two = (n: number): string => String(n).padStart(2, '0');
    return dayOf(`${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`);
  }
}
