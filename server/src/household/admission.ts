import { say } from '@yaylak/contract';
import { parse } from 'cookie';
import type { NextFunction, Request, Response } from 'express';
import { sendProblem } from '../common/sendProblem';
import type { Asker, HouseholdService } from './household.service';

/** What a device shows; the browser keeps it from scripts, and sends it to this computer alone. */
const COOKIE = '__Host-yaylak';
/** As long as a browser keeps one; it begins anew on each day the device is used. */
const KEPT_MS = 400 * 86_400_000;
/** What may be asked by who is not let in yet. */
const FREE: readonly string[] = ['GET /household', 'POST /household/join'];

/** Who asked, as the admission found. */
export const askerOf = (response: Response): Asker => (response.locals as { asker: Asker }).asker;

/** Gives a device what it shows at the door from now on. */
export function give(response: Response, id: string, token: string): void {
  const kept = { httpOnly: true, secure: true, sameSite: 'strict', path: '/', maxAge: KEPT_MS } as const;
  response.cookie(COOKIE, `${id}.${token}`, kept);
}

/**
 * Stands before everything that is asked of the book. The computer itself comes over a line that no other can reach, and
 * without encryption; who comes from the house comes encrypted, and shows what it was given when it joined.
 */
export const admission =
  (household: HouseholdService) =>
  (request: Request, response: Response, next: NextFunction): void => {
    const come = (asker: Asker): void => {
      response.locals.asker = asker;
      next();
    };
    if (!request.secure) return come({ kind: 'computer' });
    const [id = '', token = ''] = (parse(request.headers.cookie ?? '')[COOKIE] ?? '').split('.');
    const seen = household.seen(id, token);
    if (seen?.isFirst) give(response, id, token);
    if (seen) return come({ kind: 'device', id });
    // Whatever it calls itself, it is nobody yet.
    if (FREE.includes(`${request.method} ${request.path}`)) return come({ kind: 'device', id: '' });
    sendProblem(response, {
      type: '/problems/not-joined',
      title: say('This device is not let in.'),
      status: 401,
      detail: say(
        'On the computer with the book, open Holding, Tablets and phones, and let it in with a code. What was written on it waits there until then.',
      ),
    });
  };
