import { spokenLanguage } from '@yaylak/contract';
import { wrap, type Remote } from 'comlink';
import type { Importer } from './importer';

let remote: Remote<Importer> | undefined;

/** The worker that reads files; started when the first file is chosen. */
export function importWorker(): Remote<Importer> {
  remote ??= wrap<Importer>(
    new Worker(new URL('./import.worker.ts', import.meta.url), {
      type: 'module',
      // What the book refuses there is said in the language of the page.
      name: spokenLanguage(),
    }),
  );
  return remote;
}
