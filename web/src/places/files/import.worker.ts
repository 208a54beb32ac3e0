import { expose } from 'comlink';
import { createImporter } from './importer';

// Reading, judging and sending of a file happen away from the page, so that it stays awake.
expose(createImporter());
