import { createContext, useContext, useEffect, useLayoutEffect, useRef, useSyncExternalStore } from 'react';
import { flushSync } from 'react-dom';
import { createDevices, type Devices, type DevicesState } from './devices';

export const DevicesContext = createContext<Devices>(createDevices());
export const useDevices = (): Devices => useContext(DevicesContext);

export function useDevicesState(): DevicesState {
  const devices = useDevices();
  return useSyncExternalStore(devices.subscribe, devices.state);
}

interface Handlers {
  readonly onNumber: (digits: string) => void;
  readonly onBadNumber: (text: string) => void;
  readonly onWeight: (kg: number) => void;
}

/**
 * Hands what the devices bring to whoever stands on the screen. Each reading is drawn before the next is handed on: what
 * lay in the cable while the page was busy comes at once, and the weight behind a number must meet the animal it called.
 */
export function useReadings(handlers: Handlers): void {
  const devices = useDevices();
  const latest = useRef(handlers);
  // The devices are outside React, and a reading must meet the handlers of the last render, not of the first.
  useLayoutEffect(() => {
    latest.current = handlers;
  });
  useEffect(
    () =>
      devices.listen((event) =>
        flushSync(() => {
          if (event.kind === 'number') latest.current.onNumber(event.digits);
          else if (event.kind === 'bad-number') latest.current.onBadNumber(event.text);
          else latest.current.onWeight(event.kg);
        }),
      ),
    [devices],
  );
}
