import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import type { Entry, EntryAnswer } from '@yaylak/contract';
import { useEffect, type ReactElement } from 'react';
import { StyleSheetManager } from 'styled-components';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import { createOutbox, type Outbox } from '../outbox/outbox';
import { indexedDbStore } from '../outbox/store';
import { OutboxContext } from '../outbox/useOutbox';
import { UndoProvider } from '../parts/Undo';
import { aHolding } from './builders';
import { openOutboxes } from './openOutboxes';

export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}

/** What is answered, or who answers it. */
type Answer = object | string | number | null | undefined | symbol;

/** A no of the server, with its status. */
export const no = (status: number, title: string, detail?: string, type = '') => ({
  isNo: true,
  status,
  title,
  detail,
  type,
});
type No = ReturnType<typeof no>;
/** The server does not answer. */
export const AWAY = Symbol('away');

/** What the server answers, by `METHOD /path` without its query; a function is asked each time and may promise. */
export type Answers = Readonly<
  Record<
    string,
    Answer | ((asked: Asked & { readonly query: URLSearchParams; readonly signal?: AbortSignal }) => Answer)
  >
>;

interface Rendered {
  readonly user: UserEvent;
  /** Everything that was asked, in order. */
  readonly asked: Asked[];
  /** Entries that were sent to be kept, in order. */
  readonly entries: () => Entry[];
  readonly outbox: Outbox;
  readonly path: () => string;
}

let stores = 0;
/** Shows an element as a page at `at`, with a server that answers as told; it keeps every entry it is not told to refuse. */
export function renderPage(
  element: ReactElement,
  {
    answers = {},
    at = '/',
    route = '/*',
  }: {
    readonly answers?: Answers;
    readonly at?: string | { pathname: string; state: unknown };
    readonly route?: string;
  } = {},
): Rendered {
  const asked: Asked[] = [];
  const all: Answers = {
    'GET /api/holding': aHolding(),
    'GET /api/groups': [],
    'GET /api/identifiers': [],
    'POST /api/entries': keepsAll,
    ...answers,
  };
  globalThis.fetch = ((input: string, init?: RequestInit) => {
    const url = new URL(input, 'http://yaylak.test');
    const method = init?.method ?? 'GET';
    const body = typeof init?.body === 'string' ? (JSON.parse(init.body) as unknown) : undefined;
    const one: Asked = { method, path: url.pathname + url.search, body };
    asked.push(one);
    const told = all[`${method} ${url.pathname}`];
    const answer =
      typeof told === 'function'
        ? (told as (a: object) => Answer)({ ...one, query: url.searchParams, signal: init?.signal })
        : told;
    if (answer instanceof Promise) return answer.then((late) => response(200, late));
    if (answer === AWAY) return Promise.reject(new TypeError('Failed to fetch'));
    if (answer === undefined && !(`${method} ${url.pathname}` in all))
      return Promise.resolve(response(404, { title: `the test has no answer to ${method} ${url.pathname}` }));
    const isNo = (answer as No | undefined)?.isNo === true;
    return Promise.resolve(isNo ? response((answer as No).status, answer) : response(200, answer));
  }) as typeof fetch;
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, networkMode: 'always' } } });
  const outbox = createOutbox(indexedDbStore(`page ${stores++}`));
  openOutboxes.push(outbox);
  let path = '';
  function Address() {
    const location = useLocation();
    useEffect(() => {
      path = location.pathname + location.search;
    }, [location]);
    return null;
  }
  render(
    <StyleSheetManager target={document.createElement('div')}>
      <QueryClientProvider client={client}>
        <OutboxContext value={outbox}>
          <UndoProvider>
            <MemoryRouter initialEntries={[at]}>
              <Address />
              <Routes>
                <Route path={route} element={element} />
                <Route path="*" element={<p>elsewhere</p>} />
              </Routes>
            </MemoryRouter>
          </UndoProvider>
        </OutboxContext>
      </QueryClientProvider>
    </StyleSheetManager>,
  );
  return {
    user: userEvent.setup(),
    asked,
    outbox,
    entries: () =>
      asked.flatMap((a) =>
        a.method === 'POST' && a.path.startsWith('/api/entries') && !a.path.includes('mode=check')
          ? (a.body as { entries: Entry[] }).entries
          : [],
      ),
    path: () => path,
  };
}

const response = (status: number, body: unknown) => ({
  ok: status < 400,
  status,
  headers: { get: () => (status < 400 ? 'application/json' : 'application/problem+json') },
  json: () => Promise.resolve(status < 400 ? body : { type: '', status, ...(body as object) }),
});

const sent = (asked: Asked): readonly Entry[] => (asked.body as { entries: Entry[] }).entries;

export const keepsAll = (asked: Asked) => ({
  answers: sent(asked).map((e): EntryAnswer => ({ id: e.id, status: 'kept' })),
});

/** Refuses entries of one type with a message, and leaves the others of a whole batch out. */
export const refuses = (type: Entry['type'], message: string) => (asked: Asked) => ({
  answers: sent(asked).map((e): EntryAnswer =>
    e.type === type ? { id: e.id, status: 'refused', message } : { id: e.id, status: 'left-out' },
  ),
});
