import { useSyncExternalStore } from 'react';
import { narrow, phone } from './tokens';

interface Media {
  readonly subscribe: (told: () => void) => () => void;
  readonly fits: () => boolean;
}

function mediaOf(rule: string): Media {
  const query = rule.replace('@media ', '');
  return {
    subscribe: (told) => {
      const media = window.matchMedia(query);
      media.addEventListener('change', told);
      return () => media.removeEventListener('change', told);
    },
    fits: () => window.matchMedia(query).matches,
  };
}

const PHONE = mediaOf(phone);
const NARROW = mediaOf(narrow);

/** Whether the window is as narrow as a phone's. For what stands elsewhere there; looks are the style sheet's. */
export const usePhone = (): boolean => useSyncExternalStore(PHONE.subscribe, PHONE.fits);

/** Whether the window has no room for anything beside a place. */
export const useNarrow = (): boolean => useSyncExternalStore(NARROW.subscribe, NARROW.fits);
