import { speakReadersLanguage } from './adapters/language';

// All texts are read as the page is loaded: first what language they are read in.
void speakReadersLanguage().then(() => import('./start'));
