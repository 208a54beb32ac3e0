import { say } from '@yaylak/contract';
import { parse } from 'cookie';
import type { CookieOptions, NextFunction, Request, Response } from 'express';
import { workAs } from '../common/hand';
import { sendProblem } from '../common/sendProblem';
import type { ServerConfig } from '../config';
import type { AccountsService } from './accounts.service';
import { COMPUTER, type Asker } from './asker';
import type { HouseholdService } from './household.service';

/**
 * What is shown at a door: which device it is, and who is logged in. The browser keeps both from scripts, and sends them
 * to this computer alone; but to all its ports, so that each book has names of its own.
 */
interface Shown {
  readonly device: string;
  readonly hand: string;
}
const namesAt = ({ port, house }: ServerConfig, isSecure: boolean): Shown =>
  isSecure
    ? { device: `__Host-yaylak-${house?.port}`, hand: `__Host-yaylak-hand-${house?.port}` }
    : { device: '', hand: `yaylak-hand-${port}` };
const namesOf = (response: Response): Shown => (response.locals as { shown: Shown }).shown;
/** As long as a browser keeps one; it begins anew on each day the device is used. */
const KEPT_MS = 400 * 86_400_000;
/** What may be asked by who is not let in yet. */
const FREE: readonly string[] = ['GET /household', 'POST /household/join'];
/** What may be asked besides by who has not logged in. */
const FREE_TO_LOG_IN: readonly string[] = [
  ...FREE,
  'GET /health',
  'GET /household/people',
  'POST /household/log-in',
  'POST /household/switch',
  'DELETE /household/log-in',
];

const kept = (secure: boolean): CookieOptions => ({
  httpOnly: true,
  secure,
  sameSite: 'strict',
  path: '/',
  maxAge: KEPT_MS,
});

/** Gives a device what it shows at the door from now on. */
export function give(response: Response, id: string, token: string): void {
  response.cookie(namesOf(response).device, `${id}.${token}`, kept(true));
}
/** Gives a device what shows who is logged in. */
export function giveHand(response: Response, shown: string): void {
  response.cookie(namesOf(response).hand, shown, kept(response.req.secure));
}
export function takeHand(response: Response): void {
  const { maxAge: _age, ...options } = kept(response.req.secure);
  response.clearCookie(namesOf(response).hand, options);
}

/**
 * Stands before everything that is asked of the book. The computer itself comes over a line that no other can reach, and
 * without encryption; who comes from the house comes encrypted, and shows what it was given when it joined. Where the
 * household has people, one of them is logged in, or a script shows a key of theirs.
 */
export const admission =
  (config: ServerConfig, household: HouseholdService, accounts: AccountsService) =>
  (request: Request, response: Response, next: NextFunction): void => {
    const names = namesAt(config, request.secure);
    response.locals.shown = names;
    const cookies = parse(request.headers.cookie ?? '');
    const asked = `${request.method} ${request.path}`;
    const come = (asker: Asker): void => {
      response.locals.asker = asker;
      workAs(accounts.handOf(asker), next);
    };
    const device = request.secure ? deviceOf(household, cookies[names.device], response) : COMPUTER;
    // Whatever it calls itself, it is nobody yet.
    if (device === undefined)
      return FREE.includes(asked) ? come({ kind: 'device', id: '', person: null }) : notLetIn(response);
    const from = { kind: device === COMPUTER ? 'computer' : 'device', id: device } as const;
    if (!accounts.isAsked) return come({ ...from, person: null });
    const key = /^Bearer (\S+)$/.exec(request.headers.authorization ?? '')?.[1];
    if (key !== undefined) {
      const person = accounts.whoseKey(...pair(key));
      return person ? come({ ...from, person, isScript: true }) : notLoggedIn(response);
    }
    const shown = cookies[names.hand] ?? '';
    const seen = accounts.whoShows(device, ...pair(shown));
    if (seen?.isFirst) giveHand(response, shown);
    if (!seen && !FREE_TO_LOG_IN.includes(asked)) return notLoggedIn(response);
    come({ ...from, person: seen?.person ?? null });
  };

const pair = (shown: string): readonly [id: string, token: string] => {
  const [id = '', token = ''] = shown.split('.');
  return [id, token];
};

/** The device that asks; nothing where it is not let in. */
function deviceOf(household: HouseholdService, shown: string | undefined, response: Response): string | undefined {
  const [id, token] = pair(shown ?? '');
  const seen = household.seen(id, token);
  if (seen?.isFirst) give(response, id, token);
  return seen ? id : undefined;
}

function notLetIn(response: Response): void {
  sendProblem(response, {
    type: '/problems/not-joined',
    title: say('This device is not let in.'),
    status: 401,
    detail: say(
      'On the computer with the book, open Holding, Tablets and phones, and let it in with a code. What was written on it waits there until then.',
    ),
  });
}

function notLoggedIn(response: Response): void {
  sendProblem(response, {
    type: '/problems/not-logged-in',
    title: say('Nobody is logged in here.'),
    status: 401,
    detail: say('Log in. What was written on this device waits until then.'),
  });
}
