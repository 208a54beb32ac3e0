import { request } from 'node:http';
import { WebSocket } from 'ws';
import { laboratoryAnswers } from './laboratory';
import { createCrate } from './crate';
import { flocksOf } from './flock';
import { serveStandIn } from './serve';
import { createStandIn } from './standIn';

/** Small numbers that look random and are the same each time. */
const seeded = (): (() => number) => {
  let x = 1;
  return () => (x = (x * 16_807) % 2_147_483_647) / 2_147_483_647;
};
const FLOCK = [
  { number: '26-0001', electronic: '792000000000001', kg: 40 },
  { number: '26-0002', electronic: '792000000000002', kg: 44 },
  { number: '26-0003', electronic: undefined, kg: 42 },
];

it('a crate swings while the animal steps in, stands within a hundredth, and empties', () => {
  const crate = createCrate(seeded());
  crate.enter(40, 0);
  const stepping = [0, 100, 200, 300].map((t) => crate.read(t));
  expect(Math.max(...stepping) - Math.min(...stepping)).toBeGreaterThan(2);
  for (const t of [600, 900, 1500, 4000]) expect(Math.abs(crate.read(t) - 40)).toBeLessThan(0.4);
  crate.leave(5000);
  expect(crate.read(5300)).toBeLessThan(0.2);
  expect(crate.isEmpty()).toBe(true);
});

describe('the stick', () => {
  let now = 0;
  const stick = () => {
    now = 0;
    const standIn = createStandIn(() => now, seeded());
    standIn.setFlock(FLOCK);
    return standIn;
  };
  const numbers = (standIn: ReturnType<typeof stick>, atMs = 5000): string[] =>
    standIn.lines(atMs).filter((l) => /^\d+$/.test(l));

  it('reads the next of the flock as it comes', () => {
    const s = stick();
    expect(s.run('come')).toMatch(/^26-0001, (38|39|40|41)\.\d kg comes$/);
    expect(numbers(s)).toEqual(['792000000000001']);
    s.run('come');
    expect(numbers(s)).toEqual(['792000000000002']);
    expect(s.run('come')).toMatch(/wears no electronic tag/);
    expect(numbers(s)).toEqual([]);
  });
  it.each([
    ['missed', []],
    ['double', ['792000000000001', '792000000000001', '792000000000001']],
    ['wrong', ['792000000000002']],
    ['unknown', ['999000000100000']],
    ['garbled', ['79200000000000']],
  ] as const)('%s says %j', (command, said) => {
    const s = stick();
    s.run(command);
    expect(numbers(s)).toEqual(said);
  });
  it('is silent while the cable is out', () => {
    const s = stick();
    s.run('disconnect');
    expect(s.isSilent(4_999)).toBe(true);
    expect(s.isSilent(5_000)).toBe(false);
  });
  it('brings whom it is told, at the weight it is told', () => {
    const s = stick();
    expect(s.run('come', { digits: '792000000000002', kg: 41.5 })).toBe('26-0002, 41.5 kg comes');
  });
});

it('takes the flock from the book, by group', () => {
  const animal = (text: string, groupName: string | null) => ({
    tag: { text },
    groupName,
    worn: [
      [text, 'e', 'visual'],
      ['792', 'f', 'electronic'],
    ],
    weights: [['2026-11-01', 40, 'scale']],
  });
  const flocks = flocksOf({ animals: [animal('a', 'Rams'), animal('b', null)] as never });
  expect(flocks.groups).toEqual(['Rams', 'no group']);
  expect(flocks.of('Rams')).toEqual([{ number: 'a', electronic: '792', kg: expect.closeTo(40.8, 9) }]);
});

it('answers over HTTP, says what it cannot do, and stands without a book', async () => {
  const server = await serveStandIn({ port: 0, host: '127.0.0.1', bookUrl: 'http://127.0.0.1:9' });
  const address = server.address();
  const url = `http://127.0.0.1:${typeof address === 'object' ? address?.port : 0}`;
  const post = (path: string, body: string) => fetch(`${url}${path}`, { method: 'POST', body });
  expect((await fetch(url)).headers.get('content-type')).toContain('html');
  expect(await (await post('/do', '{"command":"missed","kg":30}')).json()).toEqual({
    did: 'nobody, 30.0 kg comes; the stick missed it',
  });
  for (const body of ['{"command":"dance"}', 'null', '{', 'x'.repeat(9000)])
    expect((await post('/do', body)).status).toBe(400);
  expect((await fetch(`${url}/nowhere`)).status).toBe(404);
  await new Promise((resolve) => server.close(resolve));
});

it('is steered and heard by its own page and the book’s, and by no other', async () => {
  const server = await serveStandIn({ port: 0, host: '127.0.0.1', bookUrl: 'http://127.0.0.1:4870' });
  const { port } = server.address() as { port: number };
  const status = (headers: Record<string, string>): Promise<number | undefined> =>
    new Promise((resolve, reject) => {
      const sent = request({ port, host: '127.0.0.1', path: '/do', method: 'POST', headers }, (answer) => {
        answer.resume();
        resolve(answer.statusCode);
      });
      sent.on('error', reject);
      sent.end('{"command":"come"}');
    });
  const opens = (origin: string): Promise<boolean> =>
    new Promise((resolve) => {
      const socket = new WebSocket(`ws://127.0.0.1:${port}`, { origin });
      socket.on('open', () => {
        socket.close();
        resolve(true);
      });
      socket.on('error', () => resolve(false));
    });
  const own = `http://127.0.0.1:${port}`;
  for (const origin of [own, 'http://127.0.0.1:4870', 'http://localhost:4870']) {
    expect(await status({ origin })).toBe(200);
    expect(await opens(origin)).toBe(true);
  }
  for (const origin of ['http://evil.example', 'http://127.0.0.1:9999', 'null']) {
    expect(await status({ origin })).toBe(403);
    expect(await opens(origin)).toBe(false);
  }
  expect(await status({ host: 'evil.example' })).toBe(403);
  await new Promise((resolve) => server.close(resolve));
});

describe('the laboratory', () => {
  const sheet =
    '\ufefftube,sample,number,electronic,species,sex,served,date\r\n' +
    ['B-001', 'B-002', 'B-003', 'B-004', 'B-005', 'B-006']
      .map((t, i) => `${t},pregnancy,G-0${i + 1},,goat,female,2026-10-01,2026-11-23`)
      .join('\r\n') +
    '\r\nG-041,gene,G-07,,goat,female,,2026-11-23\r\n';
  const lines = (text: string | undefined): string[] => (text ?? '').trim().split('\r\n');

  it('answers each tube, every fifth empty, and genes by name', () => {
    expect(lines(laboratoryAnswers(sheet))).toEqual([
      'tube,animal,result,gene',
      'B-001,G-01,positive,',
      'B-002,G-02,positive,',
      'B-003,G-03,positive,',
      'B-004,G-04,positive,',
      'B-005,G-05,negative,',
      'B-006,G-06,positive,',
      'G-041,G-07,free,wry jaw',
    ]);
  });

  it('with slips exchanges two, doubts one, loses one and brings a stranger', () => {
    expect(lines(laboratoryAnswers(sheet, 'slips'))).toEqual([
      'tube,animal,result,gene',
      'B-001,G-02,positive,',
      'B-002,G-01,positive,',
      'B-003,G-03,repeat,',
      'B-005,G-05,negative,',
      'B-006,G-06,positive,',
      'G-041,G-07,free,wry jaw',
      'X-907,,positive,',
    ]);
  });

  it('says nothing to a sheet without tubes', () => {
    expect(laboratoryAnswers('name,weight\nBulut,520\n')).toBeUndefined();
    expect(lines(laboratoryAnswers('tube,number\n', 'slips'))).toEqual(['tube,animal,result,gene', 'X-907,,positive,']);
  });
});
