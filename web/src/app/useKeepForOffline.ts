import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { readForOffline } from './keptOffline';

/** Every place must open where there is no server: what it shows first is read once at each start. */
export function useKeepForOffline(): void {
  const client = useQueryClient();
  // The network is outside React. After the page has drawn, so that nothing waits for it.
  useEffect(() => {
    const timer = setTimeout(() => void readForOffline(client), AFTER_MS);
    return () => clearTimeout(timer);
  }, [client]);
}

const AFTER_MS = 4_000;
