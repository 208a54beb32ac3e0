import type { Problem } from '@yaylak/contract';
import type { Response } from 'express';

/** Answers with a problem document (RFC 9457) before the application is reached. */
export function sendProblem(response: Response, problem: Problem): void {
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}
