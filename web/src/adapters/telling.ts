import { proxy } from 'comlink';

/**
 * Asks a worker for work that says how far it is. What it says has a channel of its own, with no order between that and
 * the answer: word of progress that comes after the answer is not passed on, or a bar would stand there for good.
 */
export async function telling<Word extends readonly unknown[], Answer>(
  onProgress: (...word: Word) => void,
  work: (tell: (...word: Word) => void) => Promise<Answer>,
): Promise<Answer> {
  let isOver = false;
  try {
    return await work(
      proxy((...word: Word) => {
        if (!isOver) onProgress(...word);
      }),
    );
  } finally {
    isOver = true;
  }
}
