import { useState, type ReactNode } from 'react';
import { Button } from './Button';
import { say } from '@yaylak/contract';

/** The first of a long list, and the button that shows the rest; no button where all are in sight anyway. */
export function useFirst<T>(
  all: readonly T[],
  count: number,
): { readonly shown: readonly T[]; readonly more: ReactNode } {
  const [isAll, setAll] = useState(false);
  return {
    shown: isAll ? all : all.slice(0, count),
    more:
      all.length > count ? (
        <Button kind="quiet" onPress={() => setAll(!isAll)}>
          {isAll ? say('Show fewer') : say('Show all {n}', { n: all.length })}
        </Button>
      ) : null,
  };
}
