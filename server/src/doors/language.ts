import { AsyncLocalStorage } from 'node:async_hooks';
import { readFileSync } from 'node:fs';
import { LANGUAGES, learn, speak, type Catalogue, type Language } from '@yaylak/contract';
import type { NextFunction, Request, Response } from 'express';

const asking = new AsyncLocalStorage<Language>();

/** The first of the languages somebody reads that the book speaks, by `Accept-Language`; English where it speaks none. */
export function languageOf(accepted: string | undefined): Language {
  const read = (accepted ?? '').split(',').map((one) => one.trim().slice(0, 2).toLowerCase());
  return read.flatMap((tag) => LANGUAGES.filter((l) => l === tag))[0] ?? 'en';
}

/** Takes the languages' files in, and lets each request be answered in the language of who asks. */
export function speakAsAsked(): (request: Request, response: Response, next: NextFunction) => void {
  for (const language of LANGUAGES) {
    const file = require.resolve(`@yaylak/contract/languages/${language}.json`);
    if (language !== 'en') learn(language, JSON.parse(readFileSync(file, 'utf8')) as Catalogue);
  }
  speak(() => asking.getStore() ?? 'en');
  return (request, _response, next) => answeredIn(request.headers['accept-language'], () => next());
}

/** Answers in the language of who asks, by `Accept-Language`. */
export function answeredIn<T>(accepted: string | undefined, answer: (language: Language) => T): T {
  const language = languageOf(accepted);
  return asking.run(language, () => answer(language));
}
