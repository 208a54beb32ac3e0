import type { Problem } from '@yaylak/contract';
import type { ProblemException } from '../common/problems';
import { BookFileService } from '../exchange/bookFile.service';
import type { TestApp } from './testApp';

/** What a server says of a book file given as text, read in pieces of 64 kB; nothing when it took it. */
export async function refusalOf(app: TestApp, text: string): Promise<Problem | undefined> {
  const bytes = Buffer.from(text);
  function* chunks() {
    for (let i = 0; i < bytes.length; i += 65_536) yield bytes.subarray(i, i + 65_536);
  }
  try {
    await app.app.get(BookFileService).import({ chunks: chunks() });
    return undefined;
  } catch (error) {
    return (error as ProblemException).problem;
  }
}
