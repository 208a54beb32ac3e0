import { isOurHost, isOwnPage, isPlainJson, say } from '@yaylak/contract';
import type { NextFunction, Request, Response } from 'express';
import { sendProblem } from '../common/sendProblem';

const READS: readonly string[] = ['GET', 'HEAD', 'OPTIONS'];
/** What the pages may ask the browser for: a stick or crate on a serial line, the camera for a pen card, nothing else. */
const PERMISSIONS = 'serial=(self), camera=(self), geolocation=(), microphone=(), payment=(), usb=(), midi=(), hid=()';

/**
 * Turns away what was not meant for this server, before anything of it is read.
 * @param isOwn whether a name is one the house has for this computer, asked for what comes over the encrypted line
 */
export const doors =
  (isOwn: (host: string | undefined) => boolean) =>
  (request: Request, response: Response, next: NextFunction): void => {
    response.setHeader('permissions-policy', PERMISSIONS);
    const { host, origin } = request.headers;
    if (!isOurHost(host) && !(request.secure && isOwn(host)))
      return sendProblem(response, {
        type: '/problems/other-host',
        title: say('This server does not answer to that name.'),
        status: 421,
        detail: say('Open the address that was printed when Yaylak started.'),
      });
    if (!isOwnPage(origin, host))
      return sendProblem(response, {
        type: '/problems/foreign-page',
        title: say('A page from elsewhere may not use this book.'),
        status: 403,
        detail: say('Nothing was read or written. Use Yaylak’s own pages.'),
      });
    if (!READS.includes(request.method) && hasBody(request) && !isPlainJson(request.headers['content-type']))
      return sendProblem(response, {
        type: '/problems/not-json',
        title: say('Facts are taken as application/json only.'),
        status: 415,
        detail: say('Nothing of it was taken. Send it with the content type application/json.'),
      });
    next();
  };

const hasBody = ({ method, headers }: Request): boolean =>
  method !== 'DELETE' || headers['transfer-encoding'] !== undefined || Number(headers['content-length'] ?? 0) > 0;

/** Where a whole book goes in: its body is read as it comes, for as long as it moves. */
export const BOOK_PATH = '/api/book';

/** Gives a body so many milliseconds to come in whole; a whole book so many between two pieces. */
export const bodyWithin =
  (ms: number) =>
  (request: Request, response: Response, next: NextFunction): void => {
    const tooSlow = (): void => {
      if (!response.headersSent) {
        response.setHeader('connection', 'close');
        sendProblem(response, {
          type: '/problems/too-slow',
          title: say('The rest of that request did not come.'),
          status: 408,
          detail: say('Nothing of it was taken. Send it again.'),
        });
      }
      response.once('finish', () => request.destroy());
    };
    const { socket } = request;
    const isBook = request.path === BOOK_PATH;
    const timer = isBook ? undefined : setTimeout(tooSlow, ms);
    if (isBook) {
      request.once('timeout', tooSlow);
      socket.setTimeout(ms);
    }
    const stop = (): void => {
      clearTimeout(timer);
      if (isBook) socket.setTimeout(0);
    };
    request.once('end', stop);
    request.once('close', stop);
    next();
  };
