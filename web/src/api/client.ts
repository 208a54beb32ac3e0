import type { Problem } from '@yaylak/contract';
import { say, spokenLanguage } from '@yaylak/contract';

/** The server answered, and said no. */
export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail ? `${problem.title} ${problem.detail}` : problem.title);
  }
}

/** The server did not answer at all. */
export class AwayError extends Error {
  constructor() {
    super(say('The server is away. What you typed is kept on this device.'));
  }
}

/** Asks the server; a `file` of JSON is sent as it is. @throws ProblemError when it says no, AwayError when it is not there */
export async function ask<T>(
  path: string,
  init: { readonly method?: string; readonly body?: unknown; readonly file?: Blob; readonly signal?: AbortSignal } = {},
): Promise<T> {
  const hasBody = init.body !== undefined || init.file !== undefined;
  let response: Response;
  try {
    response = await fetch(path, {
      method: init.method ?? 'GET',
      ...(init.signal ? { signal: init.signal } : {}),
      headers: {
        'accept-language': spokenLanguage(),
        ...(hasBody ? { 'content-type': 'application/json' } : {}),
      },
      ...(hasBody ? { body: init.file ?? JSON.stringify(init.body) } : {}),
    });
  } catch (error) {
    if ((error as Error).name === 'AbortError') throw error;
    throw new AwayError();
  }
  if (response.ok) return (response.status === 204 ? undefined : await response.json()) as T;
  const isProblem = response.headers.get('content-type')?.includes('problem+json');
  if (!isProblem) throw new AwayError();
  throw new ProblemError((await response.json()) as Problem);
}

/** A query string of what is set. */
export function withQuery(path: string, query: object): string {
  const set = Object.entries(query).filter(([, v]) => v !== undefined && v !== '' && v !== null);
  const text = new URLSearchParams(set.map(([k, v]) => [k, String(v)])).toString();
  return text ? `${path}?${text}` : path;
}
