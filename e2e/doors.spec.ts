import { createServer, type Server as HttpServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect, test } from '@playwright/test';
import { aServer, type Server } from './server';

let book: Server;
let elsewhere: HttpServer;

test.beforeAll(async () => {
  book = await aServer('empty');
  elsewhere = createServer((_, response) => {
    response.writeHead(200, { 'content-type': 'text/html' }).end('<h1>A page from elsewhere</h1>');
  }).listen(0, '127.0.0.1');
});
test.afterAll(async () => {
  elsewhere.close();
  await book.remove();
});

test('a page on another port can neither read nor write the book', async ({ page, request }) => {
  await page.goto(`http://127.0.0.1:${(elsewhere.address() as AddressInfo).port}/`);
  const outcome = await page.evaluate(async (url) => {
    const group = (n: number) => JSON.stringify({ id: `018f0000-0000-7000-8000-00000000000${n}`, name: `Taken ${n}` });
    const tried: Record<string, string> = {};
    const attempt = async (name: string, path: string, init?: RequestInit): Promise<void> => {
      tried[name] = await fetch(`${url}${path}`, init)
        .then(async (answer) => (answer.type === 'opaque' ? 'sent' : await answer.text()))
        .catch(() => 'stopped');
    };
    await attempt('read', '/api/roster');
    await attempt('json', '/api/groups', {
      method: 'POST',
      body: group(1),
      headers: { 'content-type': 'application/json' },
    });
    await attempt('simple', '/api/groups', { method: 'POST', mode: 'no-cors', body: group(2) });
    await attempt('disguised', '/api/groups', {
      method: 'POST',
      mode: 'no-cors',
      body: group(3),
      headers: { 'content-type': 'text/plain;x=json' },
    });
    const form = document.createElement('form');
    form.action = `${url}/api/groups`;
    form.method = 'POST';
    form.enctype = 'text/plain';
    const frame = document.createElement('iframe');
    frame.name = 'hidden';
    form.target = 'hidden';
    document.body.append(frame, form);
    const loaded = new Promise((resolve) => (frame.onload = resolve));
    form.submit();
    await loaded;
    return tried;
  }, book.url);
  expect(outcome).toMatchObject({ read: 'stopped', json: 'stopped' });
  expect(await (await request.get(`${book.url}/api/groups`)).json()).toEqual([]);
});
