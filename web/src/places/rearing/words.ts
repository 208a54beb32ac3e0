import type { RearedView } from '@yaylak/contract';
import { shortDate } from '../../words/dates';
import { say } from '@yaylak/contract';

/** Why a young is not weaned yet, and from when it may be. */
export function waitsText({ waits, window }: RearedView['weaning']): string {
  switch (waits) {
    case 'too-light':
      return say('too light yet');
    case 'smaller':
      return say('smaller: from {date}', { date: shortDate(window.bestFrom) });
    case 'between-steps':
      return say('first step done');
    case 'too-young':
    case null:
      return say('from {date}', { date: shortDate(window.bestFrom) });
  }
}
