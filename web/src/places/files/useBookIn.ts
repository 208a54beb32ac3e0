import { useQuery, useQueryClient } from '@tanstack/react-query';
import { MOST_BOOK_BYTES, type BookReadIn, type ReadingBook, say } from '@yaylak/contract';
import { useState } from 'react';
import { ask } from '../../api/client';
import { readAgain } from '../../api/readAgain';

const ASK_AGAIN_MS = 300;
const reading = async (): Promise<ReadingBook | null> =>
  (await ask<{ readonly reading: ReadingBook | null }>('/api/book/reading')).reading;

export interface BookIn {
  readonly said: { readonly isGood: boolean; readonly words: string } | undefined;
  /** How far it has come, while it is being read in. */
  readonly progress: ReadingBook | undefined;
  readonly read: (file: File) => Promise<void>;
  /** Gives it up: nothing of it is read in then. */
  readonly stop: () => void;
}

/** Reads a whole book into an empty holding. */
export function useBookIn(): BookIn {
  const client = useQueryClient();
  const [said, setSaid] = useState<BookIn['said']>();
  const [sending, setSending] = useState<AbortController>();
  const { data } = useQuery({
    queryKey: ['book', 'reading'],
    queryFn: reading,
    enabled: sending !== undefined,
    refetchInterval: ASK_AGAIN_MS,
    gcTime: 0,
  });

  const read = async (file: File): Promise<void> => {
    if (file.size > MOST_BOOK_BYTES)
      return setSaid({
        isGood: false,
        words: say(
          '“{name}” has {n} MB; a book has up to {n2}. Choose the file that was written with “The whole book”.',
          { name: file.name, n: Math.round(file.size / 1_000_000), n2: MOST_BOOK_BYTES / 1_000_000 },
        ),
      });
    const controller = new AbortController();
    setSaid(undefined);
    setSending(controller);
    try {
      // Sent as it lies on the disk: a page that read sixty megabytes itself would stand still meanwhile.
      const done = await ask<BookReadIn>('/api/book', { method: 'POST', file, signal: controller.signal });
      setSaid({
        isGood: true,
        words: say(
          'Read in: {animals} {animals, plural, one {animal} other {animals}}, {entries} {entries, plural, one {entry} other {entries}}.',
          { animals: done.animals, entries: done.entries },
        ),
      });
    } catch (error) {
      setSaid(
        controller.signal.aborted
          ? await stopped()
          : { isGood: false, words: `“${file.name}”: ${(error as Error).message}` },
      );
    }
    setSending(undefined);
    await readAgain(client);
  };
  return {
    said,
    progress: sending ? (data ?? { phase: 'reading', done: 0, of: 1 }) : undefined,
    read,
    stop: () => sending?.abort(),
  };
}

/** What became of a book that was given up: one that was written already stays. */
async function stopped(): Promise<BookIn['said']> {
  while ((await reading()) !== null) await new Promise((resolve) => setTimeout(resolve, ASK_AGAIN_MS));
  const { about } = await ask<{ readonly about: { readonly animals: number } }>('/api/holding');
  return about.animals === 0
    ? { isGood: true, words: say('Stopped. Nothing of it was read in.') }
    : { isGood: true, words: say('It was read in before it could be stopped.') };
}
