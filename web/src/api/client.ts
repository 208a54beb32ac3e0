import type { Problem } from '@yaylak/contract';
import { say, spokenLanguage } from '@yaylak/contract';

/** The server answered, and said no. */
export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail ? `${problem.title} ${problem.detail}` : problem.title);
  }
}

/** The book cannot be reached at this moment: the server did not answer at all. */
export class AwayError extends Error {
  constructor(message = say('The server is away. What you typed is kept on this device.')) {
    super(message);
  }
}

/** The server is there and lets nobody in from here: for what is read and typed on this device it is as if away. */
export class OutsideError extends AwayError {
  constructor(
    message: string,
    /** The device is let in; it is who works on it that has to log in. */
    readonly isLogIn: boolean,
  ) {
    super(message);
  }
}
const NOT_JOINED = '/problems/not-joined';
/** Whoever is logged in may not, now or later. */
const NOT_YOURS = '/problems/not-yours';
const NOT_LOGGED_IN = '/problems/not-logged-in';

/** Statuses that say nothing of what was sent: not let in, too slow, too often. */
const NOT_NOW: readonly number[] = [401, 403, 408, 421, 425, 429];

/**
 * Whether what was sent was neither taken nor refused, so that it waits on this device and goes again: the server is
 * away or in trouble, was asked too often, or does not let this device in at this moment.
 */
export const isForLater = (error: unknown): boolean =>
  error instanceof AwayError ||
  (error instanceof ProblemError &&
    error.problem.type !== NOT_YOURS &&
    (error.problem.status >= 500 || NOT_NOW.includes(error.problem.status)));

/** Asks the server; a `file` of JSON is sent as it is. @throws ProblemError when it says no, AwayError when it is not there, or this device is not let in */
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
  const problem = (await response.json()) as Problem;
  const said = new ProblemError(problem);
  const isLogIn = problem.type === NOT_LOGGED_IN;
  throw isLogIn || problem.type === NOT_JOINED ? new OutsideError(said.message, isLogIn) : said;
}

/** A query string of what is set. */
export function withQuery(path: string, query: object): string {
  const set = Object.entries(query).filter(([, v]) => v !== undefined && v !== '' && v !== null);
  const text = new URLSearchParams(set.map(([k, v]) => [k, String(v)])).toString();
  return text ? `${path}?${text}` : path;
}
