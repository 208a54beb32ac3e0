import { told, type Problem } from '@yaylak/contract';
import type { NextFunction, Request, Response } from 'express';
import { sendProblem } from '../common/sendProblem';

/** What is wrong with a body that could not be read. */
const BODY_PROBLEMS: Readonly<Record<string, Problem>> = told({
  'entity.too.large': {
    type: '/problems/too-large',
    title: 'That is too much in one piece.',
    status: 413,
    detail: 'Nothing of it was taken. Send it in smaller parts, or use the import page for files.',
  },
  'entity.parse.failed': {
    type: '/problems/not-json',
    title: 'That is not JSON.',
    status: 400,
    detail: 'Nothing of it was taken.',
  },
  'encoding.unsupported': {
    type: '/problems/not-json',
    title: 'That is not JSON.',
    status: 400,
    detail: 'Nothing of it was taken.',
  },
});

/**
 * Answers for a body that could not be read, right behind the readers: further on, whoever serves the pages would say
 * that there is nothing here.
 */
// Express knows a handler of errors by its four arguments.
export function bodyErrors(error: unknown, _request: Request, response: Response, next: NextFunction): void {
  const problem = BODY_PROBLEMS[(error as { type?: string } | undefined)?.type ?? ''];
  if (problem && !response.headersSent) sendProblem(response, problem);
  else next(error);
}
