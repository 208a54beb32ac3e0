import { ArgumentsHost, Catch, HttpException, Logger, type ExceptionFilter } from '@nestjs/common';
import type { Problem } from '@yaylak/contract';
import type { Request, Response } from 'express';
import { randomUUID } from 'node:crypto';
import { ProblemException } from './problems';
import { message, say } from '@yaylak/contract';

/** Failures of the file that a person can do something about, by SQLite's own code. */
const BOOK_TROUBLE: readonly (readonly [code: RegExp, title: string, remedy: string])[] = [
  [/SQLITE_FULL/, message('The disk is full.'), message('Make room on the disk')],
  [
    /SQLITE_READONLY/,
    message('The book file may only be read.'),
    message('Let this computer write to the book’s folder'),
  ],
  [
    /SQLITE_BUSY|SQLITE_LOCKED/,
    message('The book is held by another program.'),
    message('Close the other program or wait a moment'),
  ],
  [/SQLITE_IOERR|SQLITE_CANTOPEN/, message('The disk did not answer.'), message('Check the disk')],
];

/** Every failure leaves as an RFC 9457 problem document in the page's words. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('problems');

  catch(error: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp();
    const response = http.getResponse<Response>();
    const known = this.problemOf(error, http.getRequest<Request>());
    const problem = known.status < 500 ? known : { ...known, instance: `urn:uuid:${randomUUID()}` };
    if (problem.instance !== undefined) this.logger.error(`${problem.instance} ${traceOf(error)}`);
    if (response.headersSent) response.end();
    else response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
  }

  private problemOf(error: unknown, request: Request): Problem {
    if (error instanceof ProblemException) return error.problem;
    const { status } = error as { status?: number };
    if (error instanceof HttpException) return httpProblem(error, request);
    const trouble = bookTrouble(error);
    if (trouble) return trouble;
    if (typeof status === 'number' && status >= 400 && status < 500)
      return { type: '/problems/bad-request', title: say('That request cannot be answered.'), status };
    return {
      type: '/problems/unexpected',
      title: say('Something went wrong here.'),
      status: 500,
      detail: say('Nothing was half-written. What you typed is kept on your device and will be sent again.'),
    };
  }
}

/**
 * Where an error happened, without what it says: its message holds the statement and the values that were typed, and
 * neither belongs into a log.
 */
export function traceOf(error: unknown): string {
  const lines: string[] = [];
  for (let e: unknown = error, depth = 0; e instanceof Error && depth < 5; e = e.cause, depth++) {
    const { code } = e as { code?: unknown };
    const frames = (e.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
    lines.push(`${e.name}${typeof code === 'string' ? ` ${code}` : ''}`, ...frames.slice(0, 12));
  }
  return lines.length > 0 ? lines.join('\n') : typeof error;
}

function httpProblem(error: HttpException, request: Request): Problem {
  const status = error.getStatus();
  if (status === 404)
    return {
      type: '/problems/not-found',
      title: say('There is nothing here.'),
      status,
      detail: `${request.method} ${request.path}`,
    };
  if (status === 429)
    return {
      type: '/problems/too-often',
      title: say('Too many requests at once.'),
      status,
      detail: say('Wait a moment.'),
    };
  return { type: '/problems/bad-request', title: error.message, status };
}

function bookTrouble(error: unknown): Problem | undefined {
  let text = '';
  for (let e: unknown = error; e instanceof Error; e = e.cause)
    text += ` ${(e as { code?: string }).code ?? ''} ${e.message}`;
  const found = BOOK_TROUBLE.find(([code]) => code.test(text));
  if (!found) return undefined;
  const [, title, remedy] = found;
  return {
    type: '/problems/book-not-writable',
    title: say(title),
    status: 503,
    detail: say(
      'Nothing was half-written. {remedy}; what you typed is kept on your device and goes in by itself then.',
      { remedy: say(remedy) },
    ),
  };
}
