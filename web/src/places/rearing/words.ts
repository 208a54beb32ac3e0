import type { RearedView } from '@yaylak/contract';
import { shortDate } from '../../words/format';

/** Why a young is not weaned yet, and from when it may be. */
export function waitsText({ waits, window }: RearedView['weaning']): string {
  switch (waits) {
    case 'too-light':
      return 'too light yet';
    case 'smaller':
      return `smaller: from ${shortDate(window.bestFrom)}`;
    case 'between-steps':
      return 'first step done';
    case 'too-young':
    case null:
      return `from ${shortDate(window.bestFrom)}`;
  }
}
