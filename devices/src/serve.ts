import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import type { RosterView } from '@yaylak/contract';
// Apart from the contract's classes, which need their metadata.
import { isOurHost, isOwnPage } from '@yaylak/contract/origin';
import { WebSocketServer } from 'ws';
import { flocksOf, type Flocks } from './flock';
import { laboratoryAnswers } from './laboratory';
import { PAGE, PAGE_SCRIPT } from './page';
import { COMMANDS, createStandIn, type Command } from './standIn';

export interface ServeOptions {
  readonly port: number;
  readonly host: string;
  /** The application whose animals walk through. */
  readonly bookUrl: string;
  /** How many times faster than life animals step in and out. */
  readonly haste?: number;
}

/** Samples of the crate a second. */
const EVERY_MS = 100;
const BODY_LIMIT = 4_000;
/** A sheet of some thousand tubes. */
const SHEET_LIMIT = 400_000;

/** The stand-in as a process: a WebSocket for the readings, a page and a few words over HTTP to steer it. */
export async function serveStandIn({ port, host, bookUrl, haste = 1 }: ServeOptions): Promise<Server> {
  const standIn = createStandIn(() => performance.now(), Math.random, haste);
  let flocks: Flocks = { groups: [], of: () => [] };
  let group = '';
  const readFlock = async (): Promise<void> => {
    const answer = await fetch(`${bookUrl}/api/roster`);
    if (!answer.ok) return;
    flocks = flocksOf((await answer.json()) as RosterView);
    if (!flocks.groups.includes(group)) group = flocks.groups[0] ?? '';
    standIn.setFlock(flocks.of(group));
  };

  /** Its own page and the application's may steer it and hear it; a page from anywhere else may not. */
  const isInvited = ({ headers: { host: asked, origin } }: IncomingMessage): boolean =>
    isOurHost(asked) && (isOwnPage(origin, asked) || bookHosts(bookUrl).some((book) => isOwnPage(origin, book)));

  const answer = async (request: IncomingMessage, response: ServerResponse): Promise<void> => {
    const send = (type: string, body: string, status = 200): void => {
      response.writeHead(status, { 'content-type': `${type}; charset=utf-8`, 'cache-control': 'no-store' });
      response.end(body);
    };
    const json = (body: object, status = 200): void => send('application/json', JSON.stringify(body), status);
    if (!isInvited(request)) return json({ did: 'nothing: that page is not from here' }, 403);
    const route = `${request.method ?? ''} ${(request.url ?? '').split('?')[0] ?? ''}`;
    switch (route) {
      case 'GET /':
        return send('text/html', PAGE);
      case 'GET /page.js':
        return send('text/javascript', PAGE_SCRIPT);
      case 'GET /state':
        // The book may have started after us, or been made anew.
        if (flocks.groups.length === 0) await readFlock().catch(() => undefined);
        return json({ groups: flocks.groups, group, next: standIn.next()?.number ?? null, flock: standIn.flock });
      case 'POST /flock': {
        const wanted = (await bodyOf(request)).group;
        await readFlock();
        if (typeof wanted === 'string' && flocks.groups.includes(wanted)) group = wanted;
        standIn.setFlock(flocks.of(group));
        return json({ did: `${group}: ${standIn.flock.length} animals wait` });
      }
      case 'POST /do': {
        const { command, digits, kg } = await bodyOf(request);
        if (!COMMANDS.includes(command as Command)) return json({ did: `use one of ${COMMANDS.join(', ')}` }, 400);
        const did = standIn.run(command as Command, {
          ...(typeof digits === 'string' ? { digits } : {}),
          ...(typeof kg === 'number' ? { kg } : {}),
        });
        if (command === 'disconnect') for (const client of sockets.clients) client.close();
        return json({ did });
      }
      case 'POST /laboratory': {
        const isCareful = new URL(request.url ?? '', 'http://stand-in').searchParams.get('mood') === 'careful';
        const answered = laboratoryAnswers(await textOf(request, SHEET_LIMIT), isCareful ? 'careful' : 'slips');
        return answered === undefined
          ? json({ did: 'the laboratory finds no column “tube” in that sheet' }, 400)
          : send('text/csv', answered);
      }
      default:
        return json({ did: 'there is nothing here' }, 404);
    }
  };

  const server = createServer((request, response) => {
    answer(request, response).catch((error: unknown) => {
      response.writeHead(500).end(String(error));
    });
  });
  const sockets = new WebSocketServer({
    server,
    verifyClient: ({ req }: { req: IncomingMessage }) => isInvited(req) && !standIn.isSilent(performance.now()),
  });
  const timer = setInterval(() => {
    const lines = standIn.lines(performance.now());
    for (const client of sockets.clients)
      if (client.readyState === client.OPEN) for (const line of lines) client.send(line);
  }, EVERY_MS);
  server.on('close', () => clearInterval(timer));
  await readFlock().catch(() => undefined);
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, resolve);
  });
  return server;
}

/** The application's host under each name this computer has for itself. */
function bookHosts(bookUrl: string): string[] {
  const { host, port } = new URL(bookUrl);
  return [host, `localhost:${port}`, `127.0.0.1:${port}`];
}

/** A body as text; one that is too long is read as nothing. */
async function textOf(request: IncomingMessage, limit: number): Promise<string> {
  let text = '';
  for await (const piece of request) {
    text += String(piece);
    if (text.length > limit) return '';
  }
  return text;
}

async function bodyOf(request: IncomingMessage): Promise<Record<string, unknown>> {
  try {
    return (JSON.parse(await textOf(request, BODY_LIMIT)) as Record<string, unknown> | null) ?? {};
  } catch {
    return {};
  }
}
