import { useSyncExternalStore } from 'react';
import { phone } from './tokens';

const query = phone.replace('@media ', '');

function subscribe(told: () => void): () => void {
  const media = window.matchMedia(query);
  media.addEventListener('change', told);
  return () => media.removeEventListener('change', told);
}

/** Whether the window is as narrow as a phone's. For what stands elsewhere there; looks are the style sheet's. */
export const usePhone = (): boolean => useSyncExternalStore(subscribe, () => window.matchMedia(query).matches);
