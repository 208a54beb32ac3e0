import { LANGUAGES, spokenLanguage } from '@yaylak/contract';
import { Languages } from 'lucide-react';
import { chooseLanguage, LANGUAGE_NAMES } from '../adapters/language';
import { QuietButton } from './QuietButton';

/** The languages of the book that are not spoken on this device now, each under the name it has for itself. */
export function LanguageButtons({ isShort = false }: { readonly isShort?: boolean }) {
  return LANGUAGES.filter((l) => l !== spokenLanguage()).map((language) => (
    <QuietButton
      key={language}
      type="button"
      lang={language}
      aria-label={LANGUAGE_NAMES[language]}
      onClick={() => chooseLanguage(language)}
    >
      {isShort ? null : <Languages size={16} aria-hidden />}
      {isShort ? language.toUpperCase() : LANGUAGE_NAMES[language]}
    </QuietButton>
  ));
}
