import { Injectable } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';
import { breathe } from './breathe';

/** Knows whether anybody waits for an answer, so that work nobody waits for can stand back. */
@Injectable()
export class Quiet {
  private underWay = 0;
  private waiting: (() => void)[] = [];

  /** Counts a request from its coming until its answer is out. */
  count = (_: Request, response: Response, next: NextFunction): void => {
    this.underWay++;
    response.once('close', () => {
      if (--this.underWay > 0) return;
      const waiting = this.waiting;
      this.waiting = [];
      for (const go of waiting) go();
    });
    next();
  };

  /** A pause in work nobody waits for: until all are answered, but no longer than `mostMs`. */
  async pause(mostMs: number): Promise<void> {
    await breathe();
    if (this.underWay === 0) return;
    await new Promise<void>((resolve) => {
      const timer = setTimeout(resolve, mostMs);
      this.waiting.push(() => {
        clearTimeout(timer);
        resolve();
      });
    });
  }
}
