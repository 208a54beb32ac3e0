import { useQuery } from '@tanstack/react-query';
import type { LongList, TodayView } from '@yaylak/contract';
import { useState, type ReactNode } from 'react';
import { todayWholeQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { say } from '@yaylak/contract';

/** A long list of Today: its first rows, and all of them once they are asked for. */
export function useWhole<K extends LongList>(
  view: TodayView,
  list: K,
): { readonly rows: TodayView[K]; readonly more: ReactNode } {
  const [isAsked, setAsked] = useState(false);
  const { data, error } = useQuery({ ...todayWholeQuery(list), enabled: isAsked });
  const left = data ? 0 : view.more[list];
  return {
    rows: data?.[list] ?? view[list],
    more:
      left > 0 ? (
        <>
          <Button kind="quiet" onPress={() => setAsked(true)}>
            {say('and')} {left} {say('more')}
          </Button>
          {error ? (
            <span role="alert">{say('The others could not be read. Try again when the server answers.')}</span>
          ) : null}
        </>
      ) : null,
  };
}
