import { newLook, readDeviceLine, steadyDetector, type CrateState } from '@yaylak/core';

/** What a device brought that somebody has to act on. */
export type DeviceEvent =
  | { readonly kind: 'number'; readonly digits: string }
  | { readonly kind: 'bad-number'; readonly text: string }
  /** It has stood still. */
  | { readonly kind: 'weight'; readonly kg: number };

export type SourceState = 'connecting' | 'open' | 'away';

/** A way by which lines of readings come in: one port, an adapter for each kind of device. */
export interface ReadingSource {
  readonly name: string;
  /** Opens it; lines come until the answer is called. A lost connection is tried again by the adapter. */
  open(onLine: (line: string) => void, onState: (state: SourceState) => void): () => void;
}

export interface Intake {
  /** What a line means now, if it means anything new. */
  take(line: string, atMs: number): { readonly event?: DeviceEvent; readonly crate?: CrateState };
}

/** Makes events of lines: double reads are dropped, and of a crate's stream only the weight that stands still is said. */
export function lineIntake(): Intake {
  const isNewLook = newLook();
  const see = steadyDetector();
  return {
    take(line, atMs) {
      const read = readDeviceLine(line);
      switch (read.kind) {
        case 'number':
          return isNewLook(read.digits, atMs) ? { event: { kind: 'number', digits: read.digits } } : {};
        case 'bad-number':
          return { event: { kind: 'bad-number', text: read.text } };
        case 'weight': {
          const crate = see({ atMs, kg: read.kg });
          const isNew = crate.kind === 'settled' && crate.isNew;
          return isNew ? { crate, event: { kind: 'weight', kg: crate.kg } } : { crate };
        }
        case 'noise':
          return {};
      }
    },
  };
}

/** Cuts a stream of text into lines, whatever pieces it comes in. */
export function lineCutter(onLine: (line: string) => void): (piece: string) => void {
  let rest = '';
  return (piece) => {
    const lines = (rest + piece).split(/\r\n|\r|\n/);
    rest = lines.pop() ?? '';
    for (const line of lines) if (line.trim() !== '') onLine(line);
    // A device that never ends a line must not fill the memory.
    if (rest.length > 200) rest = '';
  };
}
