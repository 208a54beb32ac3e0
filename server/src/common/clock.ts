import { Injectable } from '@nestjs/common';
import { dayOf, type Day } from '@yaylak/core';

/** What day it is where the server stands. Tests set their own. */
@Injectable()
export class Clock {
  now(): Date {
    return new Date();
  }

  today(): Day {
    const now = this.now();
    const two = (n: number): string => String(n).padStart(2, '0');
    return dayOf(`${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`);
  }
}
