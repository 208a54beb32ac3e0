import pino, { type DestinationStream } from 'pino';

/** Lines that wait to be written at most; more are dropped. */
const MOST_WAITING_BYTES = 1_000_000;

/**
 * Where log lines go: standard output, written beside the work and never waited for. A disk that is full may hold the
 * log as well, and then lines are lost and the book still answers.
 */
export function logStream(fd = 1): DestinationStream {
  const stream = pino.destination({ dest: fd, sync: false, maxLength: MOST_WAITING_BYTES });
  stream.on('error', () => undefined);
  return stream;
}
