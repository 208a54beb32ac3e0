import { Injectable } from '@nestjs/common';
import type { PutBackView } from '@yaylak/contract';

/** What is done with the book while it is closed; it tells how that is undone, should the book not open afterwards. */
export interface ClosedWork {
  /** The id it was asked by. */
  readonly id: string;
  readonly work: () => () => void;
}

/** The way to whoever runs the application: closes it, has something done with its book, and opens it again. */
@Injectable()
export class Reopening {
  /** Set by whoever runs it; nobody does in a test of one service. */
  by: ((closed: ClosedWork) => void) | undefined;
  /** How it went, in the application that was opened after. */
  last: PutBackView | null = null;
}
