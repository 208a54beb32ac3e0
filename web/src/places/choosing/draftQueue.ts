import type { ChangeDraft } from '@yaylak/contract';
import { isForLater } from '../../api/client';

export type DraftChange = Omit<ChangeDraft, 'species' | 'sex' | 'from' | 'version' | 'by'>;

interface Told {
  /** Sends a change. @throws what speaks against it, or that it is for later */
  readonly send: (change: DraftChange) => Promise<void>;
  readonly onWaiting: (count: number) => void;
  readonly onRefused: (message: string) => void;
}

export interface DraftQueue {
  add(change: DraftChange): void;
  stop(): void;
}

const TRY_AGAIN_MS = 3_000;

/** Sends changes one after another; those made while the server is away wait here and are sent again in order. */
export function createDraftQueue({ send, onWaiting, onRefused }: Told): DraftQueue {
  const changes: DraftChange[] = [];
  let again: ReturnType<typeof setTimeout> | undefined;
  let isSending = false;
  const run = async (): Promise<void> => {
    if (isSending) return;
    isSending = true;
    clearTimeout(again);
    for (let next = changes[0]; next; next = changes[0]) {
      try {
        await send(next);
      } catch (failed) {
        if (isForLater(failed)) {
          again = setTimeout(() => void run(), TRY_AGAIN_MS);
          break;
        }
        onRefused((failed as Error).message);
      }
      changes.shift();
    }
    onWaiting(changes.length);
    isSending = false;
  };
  return {
    add(change) {
      changes.push(change);
      void run();
    },
    stop: () => clearTimeout(again),
  };
}
