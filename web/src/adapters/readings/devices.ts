import type { CrateState } from '@yaylak/core';
import { lineIntake, type DeviceEvent, type ReadingSource, type SourceState } from './source';

export interface DevicesState {
  readonly sources: readonly { readonly name: string; readonly state: SourceState }[];
  /** What the crate holds now. */
  readonly crate: CrateState | undefined;
}

export interface Devices {
  /** Opens a source; one of the same name is closed before. */
  connect(source: ReadingSource): void;
  disconnect(name: string): void;
  listen(listener: (event: DeviceEvent) => void): () => void;
  subscribe(onChange: () => void): () => void;
  state(): DevicesState;
}

/** The readers and scales of this device, all through one port. @param clock milliseconds, always rising */
export function createDevices(clock: () => number = () => performance.now()): Devices {
  let state: DevicesState = { sources: [], crate: undefined };
  const open = new Map<string, () => void>();
  const listeners = new Set<(event: DeviceEvent) => void>();
  const watchers = new Set<() => void>();
  const set = (change: Partial<DevicesState>): void => {
    state = { ...state, ...change };
    watchers.forEach((w) => w());
  };
  const disconnect = (name: string): void => {
    open.get(name)?.();
    open.delete(name);
    set({ sources: state.sources.filter((s) => s.name !== name), crate: undefined });
  };
  return {
    connect(source) {
      disconnect(source.name);
      const intake = lineIntake();
      const close = source.open(
        (line) => {
          const { event, crate } = intake.take(line, clock());
          // The crate speaks ten times a second; only what people can see of it is told.
          if (crate && !isSameCrate(crate, state.crate)) set({ crate });
          if (event) listeners.forEach((l) => l(event));
        },
        (now) =>
          set({
            sources: [...state.sources.filter((s) => s.name !== source.name), { name: source.name, state: now }],
            ...(now === 'open' ? {} : { crate: undefined }),
          }),
      );
      open.set(source.name, close);
    },
    disconnect,
    listen(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    subscribe(watcher) {
      watchers.add(watcher);
      return () => watchers.delete(watcher);
    },
    state: () => state,
  };
}

const isSameCrate = (a: CrateState, b: CrateState | undefined): boolean =>
  a.kind === b?.kind && (a.kind === 'empty' || b.kind === 'empty' || a.kg.toFixed(1) === b.kg.toFixed(1));
