import type { Entry } from '@yaylak/contract';
import { arrival, departure, get, note, tag, testApp, uuid, weight, type TestApp } from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const lines = async (path: string): Promise<string[]> =>
  (await t.http().get(path).expect(200)).text.split('\r\n').slice(0, -1);

it('writes the columns asked for, in their order, and leaves unknown ones out', async () => {
  const ewe = uuid();
  await t.post(arrival(ewe, { birthType: 2, rearingType: 1 }), tag(ewe, '26-0001'));
  expect(await lines('/api/files/animals.csv?columns=born,number,wings,bornAs,rearedAs')).toEqual([
    'born,number,born as,reared as',
    '2026-04-01,26-0001,2,1',
  ]);
});

it.each(['=1+1', '+HYPERLINK', '-2+3', '@cell', '\t=1'])(
  'puts a quote before %j, so that no spreadsheet runs it',
  async (text) => {
    const ewe = uuid();
    await t.post(arrival(ewe), { ...tag(ewe, 'x'), kind: 'name', text, colour: undefined });
    const [, row] = await lines('/api/files/animals.csv?columns=name');
    expect(row?.replace(/^"/, '')).toMatch(/^'/);
  },
);

it('quotes what holds a comma, a quote or a line end', async () => {
  const ewe = uuid();
  await t.post(arrival(ewe), { ...tag(ewe, 'x'), kind: 'name', text: 'Big, "old"', colour: undefined }, note(ewe, 'x'));
  expect((await lines('/api/files/animals.csv?columns=name'))[1]).toBe('"Big, ""old"""');
});

it('writes a gain with how wide the guess is, in grams a day', async () => {
  const ewe = uuid();
  await t.post(arrival(ewe), weight(ewe, '2026-09-19', 20), weight(ewe, '2026-10-19', 26));
  expect((await lines('/api/files/animals.csv?columns=gain,gainSure'))[1]).toBe('200,35');
});

it('writes one weighing a day and method, the readings of a day averaged', async () => {
  const ewe = uuid();
  await t.post(
    arrival(ewe),
    tag(ewe, '26-0001'),
    weight(ewe, '2026-06-01', 20),
    weight(ewe, '2026-06-01', 21),
    weight(ewe, '2026-07-01', 25.5),
  );
  expect(await lines('/api/files/weights.csv')).toEqual([
    'number,colour,date,weight kg,method',
    '26-0001,yellow,2026-06-01,20.5,scale',
    '26-0001,yellow,2026-07-01,25.5,scale',
  ]);
});

it('writes weights with the digits a reading has', async () => {
  const ewe = uuid();
  const doe = uuid();
  await t.post(
    arrival(ewe),
    tag(ewe, '26-0001'),
    arrival(doe, { species: 'rabbit' }),
    tag(doe, 'K-1'),
    weight(ewe, '2026-06-01', 27.169_881_063),
    weight(doe, '2026-06-01', 0.742_334),
  );
  expect((await lines('/api/files/weights.csv')).slice(1)).toEqual([
    '26-0001,yellow,2026-06-01,27.17,scale',
    'K-1,yellow,2026-06-01,0.742,scale',
  ]);
});

it('leaves the number of an animal without one empty, and says breed, arrival, leaving and notes', async () => {
  const [lamb, gone] = [uuid(), uuid()];
  await t.post(
    arrival(lamb, { strain: 'Hill', boughtMinor: 14_050 }),
    { ...note(lamb, 'limps'), on: '2026-11-02' } as Entry,
    arrival(gone),
    tag(gone, '26-0002'),
    departure(gone, '2026-11-03'),
  );
  expect(
    await lines('/api/files/animals.csv?presence=all&columns=number,breed,bought,arrived,cameBy,left,leftHow,notes'),
  ).toEqual([
    'number,breed,bought for,arrived,came by,left,left how,notes',
    '26-0002,,,2026-04-01,born,2026-11-03,sold,',
    ',Hill,140.50,2026-04-01,born,,,2026-11-02: limps',
  ]);
});

it('calls a parent by colour and number where another wore that number', async () => {
  const [red, blue, lamb] = [uuid(), uuid(), uuid()];
  await t.post(
    arrival(red, { bornOn: '2020-04-01' }),
    { ...tag(red, '7'), colour: 'red' },
    arrival(blue, { bornOn: '2020-04-01' }),
    { ...tag(blue, '7'), colour: 'blue' },
    arrival(lamb, { damId: blue }),
    tag(lamb, '8'),
  );
  expect(await lines('/api/files/animals.csv?columns=number,dam')).toContain('8,blue 7');
});

it('is sent as a file, never to be shown or guessed at by the browser', async () => {
  const answer = await t.http().get('/api/files/animals.csv').expect(200);
  expect(answer.headers['content-disposition']).toContain('attachment');
  expect(answer.headers['x-content-type-options']).toBe('nosniff');
  expect(await get<object>(t, '/api/health')).toEqual({ status: 'ok' });
});
