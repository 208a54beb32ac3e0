import { lineCutter, type ReadingSource } from './source';
import { say } from '@yaylak/contract';

/** As much of the browser's Web Serial as is used here. */
export interface SerialPortLike {
  open(options: { readonly baudRate: number }): Promise<void>;
  close(): Promise<void>;
  readonly readable: ReadableStream<Uint8Array> | null;
}
interface SerialLike {
  requestPort(): Promise<SerialPortLike>;
}

/** The browser's serial ports; undefined where it has none. */
export const browserSerial = (): SerialLike | undefined => (navigator as { readonly serial?: SerialLike }).serial;

/** A stick reader or indicator on a serial line. */
export const serialSource = (port: SerialPortLike, baudRate: number): ReadingSource => ({
  name: say('serial line'),
  open(onLine, onState) {
    let isClosed = false;
    let reader: ReadableStreamDefaultReader<Uint8Array> | undefined;
    const run = async (): Promise<void> => {
      onState('connecting');
      await port.open({ baudRate });
      onState('open');
      const cut = lineCutter(onLine);
      const decoder = new TextDecoder();
      reader = port.readable?.getReader();
      for (;;) {
        const part = await reader?.read();
        if (!part || part.done) break;
        cut(decoder.decode(part.value, { stream: true }));
      }
    };
    run()
      .catch(() => undefined)
      .finally(() => {
        if (!isClosed) onState('away');
      });
    return () => {
      isClosed = true;
      void (reader?.cancel() ?? Promise.resolve()).then(() => {
        reader?.releaseLock();
        return port.close();
      });
    };
  },
});
