import { lineCutter, type ReadingSource } from './source';
import { say } from '@yaylak/contract';

const FIRST_WAIT_MS = 500;
const LONGEST_WAIT_MS = 5_000;

/** Devices behind a WebSocket: the stand-in, or a small bridge to a serial line. Tried again with back-off. */
export const socketSource = (url: string): ReadingSource => ({
  name: say('bridge {host}', { host: new URL(url).host }),
  open(onLine, onState) {
    let socket: WebSocket | undefined;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let waitMs = FIRST_WAIT_MS;
    let isClosed = false;
    const connect = (): void => {
      onState('connecting');
      socket = new WebSocket(url);
      const cut = lineCutter(onLine);
      socket.onopen = () => {
        waitMs = FIRST_WAIT_MS;
        onState('open');
      };
      socket.onmessage = ({ data }) => cut(`${String(data)}\n`);
      socket.onclose = () => {
        if (isClosed) return;
        onState('away');
        timer = setTimeout(connect, waitMs);
        waitMs = Math.min(LONGEST_WAIT_MS, waitMs * 2);
      };
    };
    connect();
    return () => {
      isClosed = true;
      clearTimeout(timer);
      socket?.close();
    };
  },
});
