import { LANGUAGES, speak } from '@yaylak/contract';
import { expose } from 'comlink';
import { createImporter } from './importer';

const language = LANGUAGES.find((l) => l === self.name) ?? 'en';
speak(() => language);

// Reading, judging and sending of a file happen away from the page, so that it stays awake.
expose(createImporter());
