import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';
import type { OpenHelp } from '../../parts/helpDoor';
import { useWindowKey } from '../../parts/useWindowKey';

export interface Help {
  readonly isOpen: boolean;
  readonly open: OpenHelp;
  readonly close: () => void;
  /** The topic opened by its name in this place; undefined: the place's own. */
  readonly topicId: string | undefined;
  readonly isAtKeys: boolean;
  readonly pathname: string;
}

/**
 * Whether the help is open and where; `?` opens it at the keys of the place, F1 at its beginning, in a field too.
 *
 * @param isByKeys a place that is worked by keys, where F1 asks for them
 */
export function useHelp(isByKeys = false): Help {
  const { pathname } = useLocation();
  const [shown, setShown] = useState<{ topicId?: string; isAtKeys?: boolean; at: string }>();
  const open: OpenHelp = (what = {}) => setShown({ ...what, at: pathname });
  useWindowKey((event) => {
    if (event.key !== '?' || (event.target as Partial<HTMLElement>).closest?.('[role=dialog]')) return;
    setShown({ isAtKeys: true, at: pathname });
  });
  // The keyboard is outside React: F1 is nobody’s letter, and is heard in a field too.
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.key !== 'F1') return;
      event.preventDefault();
      setShown((before) => (before ? undefined : { isAtKeys: isByKeys, at: pathname }));
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [pathname, isByKeys]);
  return {
    isOpen: shown !== undefined,
    open,
    close: () => setShown(undefined),
    topicId: shown?.at === pathname ? shown.topicId : undefined,
    isAtKeys: shown?.at === pathname && shown.isAtKeys === true,
    pathname,
  };
}
