import {
  identifierRows,
  type AnimalPage,
  type AnimalView,
  type BookFile,
  type MatingView,
  type MentionView,
  type RosterView,
  type WearerView,
} from '@yaylak/contract';
import {
  aGroup,
  aProduct,
  arrival,
  departure,
  fact,
  get,
  identifierEnd,
  mark,
  move,
  note,
  sample,
  strike,
  tag,
  testApp,
  TODAY,
  treatment,
  uuid,
  weight,
  type TestApp,
} from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const list = (query: string): Promise<AnimalPage> => get(t, `/api/animals?${query}`);
const numbers = async (query: string): Promise<string[]> => (await list(query)).rows.map((r) => r.tag.text);
const page = (id: string): Promise<AnimalView> => get(t, `/api/animals/${id}`);

it('calls one known by its name alone by it once, and one with a number by both', async () => {
  const doe = uuid();
  await t.post(arrival(doe), { ...tag(doe, 'Thyme'), kind: 'name', colour: undefined });
  expect((await page(doe)).row.tag).toMatchObject({ text: 'Thyme', kind: 'name', name: null });
  await t.post(tag(doe, 'G-26-01'));
  expect((await page(doe)).row.tag).toMatchObject({ text: 'G-26-01', kind: 'visual', name: 'Thyme' });
});

describe('the list', () => {
  const [young, middle, old, bare] = [uuid(), uuid(), uuid(), uuid()];
  beforeEach(async () => {
    const top = await aGroup(t, 'Top');
    await t.post(
      arrival(young, { bornOn: '2026-05-01', on: '2026-05-01' }),
      arrival(middle, { bornOn: '2025-05-01', on: '2025-05-01', species: 'goat' }),
      arrival(old, { bornOn: '2024-05-01', on: '2024-05-01' }),
      arrival(bare, { bornOn: undefined, how: 'bought' }),
      { ...tag(young, '26-0010'), on: '2026-05-02' },
      { ...tag(middle, '25-0009'), on: '2025-05-02' },
      { ...tag(old, '24-0100'), on: '2024-05-02' },
      weight(young, '2026-05-01', 4),
      weight(young, '2026-08-09', 29),
      weight(middle, '2026-08-01', 40),
      weight(old, '2026-07-01', 61),
      weight(old, '2026-10-09', 66),
      move(old, top, '2026-01-01'),
    );
  });

  it.each([
    ['number', ['24-0100', '25-0009', '26-0010', 'no number']],
    ['species', ['24-0100', '26-0010', 'no number', '25-0009']],
    ['group', ['24-0100', '25-0009', '26-0010', 'no number']],
    ['age', ['26-0010', '25-0009', '24-0100', 'no number']],
    ['weight', ['26-0010', '25-0009', '24-0100', 'no number']],
    ['weighed', ['25-0009', '26-0010', '24-0100', 'no number']],
    // 25 kg in 100 days against 5 kg in 100 days; one weight is no gain.
    ['gain', ['24-0100', '26-0010', '25-0009', 'no number']],
  ])('sorted by %s rises, and what has no value stands last', async (sort, wanted) => {
    const rising = await numbers(`sort=${sort}`);
    // Those of one species or without a group are told apart by number; where none is worn they come first or last.
    if (sort === 'species') expect(rising.at(-1)).toBe('25-0009');
    else expect(rising.filter((n) => n !== 'no number')).toEqual(wanted.filter((n) => n !== 'no number'));
  });

  it('sorted the other way round still has those without a value last', async () => {
    expect(await numbers('sort=weight&direction=down')).toEqual(['24-0100', '25-0009', '26-0010', 'no number']);
  });

  it('finds by part of a number, by group and by species together', async () => {
    expect(await numbers('words=0010')).toEqual(['26-0010']);
    expect(await numbers('words=top')).toEqual(['24-0100']);
    expect(await numbers('words=00&species=goat')).toEqual(['25-0009']);
    expect(await numbers('words=nobody')).toEqual([]);
  });

  it('shows who left only when asked', async () => {
    await t.post(departure(old, '2026-11-01'));
    expect(await numbers('species=sheep&words=24')).toEqual([]);
    expect(await numbers('presence=gone')).toEqual(['24-0100']);
    expect((await list('presence=all')).total).toBe(4);
  });

  it('pages with a cursor and ends it', async () => {
    const first = await list('limit=3');
    expect(first).toMatchObject({ total: 4, nextCursor: '3' });
    expect(await list(`limit=3&cursor=${first.nextCursor}`)).toMatchObject({ rows: [{}], nextCursor: null });
  });
});

describe('the page of an animal', () => {
  it('tells its life, struck entries with who struck them', async () => {
    const top = await aGroup(t, 'Top');
    const ewe = uuid();
    const [worn, wrong] = [tag(ewe, '26-0001'), weight(ewe, '2026-06-01', 91)];
    await t.post(
      arrival(ewe),
      worn,
      wrong,
      weight(ewe, '2026-06-01', 19),
      move(ewe, top),
      mark(ewe),
      note(ewe, 'Lame'),
    );
    await t.post(identifierEnd(ewe, worn.id), { ...strike(wrong.id), reason: 'misread' });
    const view = await page(ewe);
    expect(view.timeline[0]?.entry.on).toBe(TODAY);
    expect(view.timeline.find((i) => i.entry.id === wrong.id)?.struck).toMatchObject({
      by: 'Aylin',
      reason: 'misread',
    });
    expect(view.timeline.find((i) => i.entry.type === 'move')?.groupName).toBe('Top');
    expect(view.identifiers).toMatchObject([
      { text: '26-0001', ended: { how: 'lost', reason: 'torn out', on: TODAY } },
    ]);
    expect(view.row.tag).toMatchObject({ text: '26-0001', isWorn: false });
    expect(view.marks).toEqual([{ colour: 'blue', place: 'rump', purpose: 'second string', until: null }]);
    expect(view.curve.readings.map((r) => r.kg)).toEqual([19]);
  });

  it('leaves off a mark whose day is over', async () => {
    const ewe = uuid();
    await t.post(arrival(ewe), mark(ewe, { on: '2026-11-01', until: '2026-11-22' }));
    expect((await page(ewe)).marks).toEqual([]);
  });

  it('works out the gains of its weighings', async () => {
    const ewe = uuid();
    // 4 kg at birth, 20 kg at 80 days, 26 kg at 110 days: 200 g a day over the last 30, 200 g a day since birth.
    await t.post(
      arrival(ewe, { bornOn: '2026-07-01', on: '2026-07-01' }),
      weight(ewe, '2026-07-01', 4),
      weight(ewe, '2026-09-19', 20),
      weight(ewe, '2026-10-19', 26),
    );
    const { gains, due } = await page(ewe);
    expect(gains.last?.kgPerDay).toBeCloseTo(0.2, 10);
    expect(gains.sinceBirth?.kgPerDay).toBeCloseTo(0.2, 10);
    // 2.5 % of 20 and of 26 kg over 30 days, 80 %: 1.2816 x hypot(0.5, 0.65) / 30 = 0.0350.
    expect(gains.last?.halfWidth).toBeCloseTo(0.035, 3);
    expect(gains.last?.verdict).toBe('no-group');
    expect(due.map((d) => d.what)).toEqual(
      expect.arrayContaining(['Weigh: 21 week weight', 'Old enough for a first mating']),
    );
  });

  it('shows three generations up and the young', async () => {
    const [granny, dam, lamb] = [uuid(), uuid(), uuid()];
    const on = (date: string) => ({ bornOn: date, on: date });
    await t.post(
      arrival(granny, on('2020-04-01')),
      arrival(dam, { ...on('2022-04-01'), damId: granny }),
      arrival(lamb, { ...on('2026-04-01'), damId: dam, birthType: 1, rearingType: 1 }),
      { ...tag(granny, '20-0001'), on: '2020-04-02' },
    );
    expect((await page(lamb)).ancestors).toMatchObject({ damDam: { text: '20-0001' }, damSire: null });
    const view = await page(dam);
    expect(view.young).toMatchObject([{ bornOn: '2026-04-01', isPresent: true }]);
    expect(view.record).toMatchObject({ litters: 1, born: 1, reared: 1 });
  });

  it('warns of a grown animal that fell by a tenth in three weeks', async () => {
    const ewe = uuid();
    await t.post(
      arrival(ewe, { bornOn: '2022-04-01', on: '2022-04-01' }),
      weight(ewe, '2026-10-20', 60),
      weight(ewe, '2026-11-10', 54),
    );
    expect((await page(ewe)).alarm).toContain('Lost 10\u00a0% in 21 days, from 60.0\u00a0kg to 54.0\u00a0kg');
  });

  it('holds its weight against its height, and says light or heavy only of the grown', async () => {
    const [grown, young] = [uuid(), uuid()];
    await t.post(
      arrival(grown, { sex: 'female', bornOn: '2021-04-01', on: '2021-04-01' }),
      weight(grown, '2026-11-10', 49),
      fact('measure', grown, { on: '2026-11-15', heightCm: 70, girthCm: 88.5 }),
      arrival(young, { sex: 'female', bornOn: '2026-04-01', on: '2026-04-01' }),
      weight(young, '2026-11-15', 35),
      fact('measure', young, { on: '2026-11-15', heightCm: 60 }),
    );
    const bodyOf = async (id: string) => (await page(id)).body;
    expect(await bodyOf(grown)).toMatchObject({
      on: '2026-11-15',
      heightCm: 70,
      lengthCm: null,
      girthCm: 88.5,
      forHeight: { kgPerCm: 0.7, kg: 49, weighedOn: '2026-11-10', aim: 0.9, verdict: 'light' },
    });
    expect((await bodyOf(young))?.forHeight).toMatchObject({ kgPerCm: 35 / 60, verdict: null });
  });

  it('takes no measure that no animal of the kind has, and none that measures nothing', async () => {
    const one = uuid();
    const answers = await t.post(
      arrival(one, { on: '2026-04-01' }),
      fact('measure', one, { on: '2026-11-15', heightCm: 700 }),
      fact('measure', one, { on: '2026-11-15' }),
    );
    expect(answers.map((a) => ('refusal' in a ? a.refusal.code : a.status))).toEqual([
      'kept',
      'measure-not-believed',
      'nothing-measured',
    ]);
  });

  it('is not there for an id nobody has, and says so', async () => {
    await t
      .http()
      .get(`/api/animals/${uuid()}`)
      .expect(404, /no such animal/);
    await t.http().get('/api/animals/7').expect(400);
  });
});

describe('an animal that was castrated', () => {
  const sexOf = async (id: string) => (await get<AnimalView>(t, `/api/animals/${id}`)).row.sex;
  it('is a castrate from then on everywhere, and a male again when that is struck out', async () => {
    const [ram, cut] = [uuid(), fact('care', '', { kind: 'castrate', method: 'ring', on: '2026-04-03' })];
    await t.post(arrival(ram, { sex: 'male' }), tag(ram, '26-0007'), { ...cut, animalId: ram });
    expect(await sexOf(ram)).toBe('castrate');
    expect(await get(t, '/api/animals?sex=castrate')).toMatchObject({ rows: [{ sex: 'castrate' }] });
    expect(await get(t, '/api/animals?sex=male')).toMatchObject({ rows: [] });
    expect((await get<RosterView>(t, '/api/roster')).animals).toMatchObject([{ sex: 'castrate' }]);
    expect((await get<MatingView>(t, '/api/mating?species=sheep')).males).toEqual([]);
    // A new book of the same records says the same, and its record is not touched.
    const book = await get<BookFile>(t, '/api/book');
    expect(book.animals).toMatchObject([{ sex: 'male' }]);
    // Its birth date corrected, it stays a castrate; another sex is not taken while the castration stands.
    const change = (fields: object) => t.http().patch(`/api/animals/${ram}`).send(fields);
    await change({ version: 1, bornOn: '2026-03-31', sex: 'castrate' }).expect(200);
    expect(await sexOf(ram)).toBe('castrate');
    const refused = await change({ version: 2, sex: 'male' }).expect(400);
    expect(JSON.stringify(refused.body)).toContain('It was castrated on 3 Apr 2026');
    expect(await t.post({ ...cut, id: uuid(), animalId: ram })).toMatchObject([{ status: 'refused' }]);
    await t.post(strike(cut.id));
    expect(await sexOf(ram)).toBe('male');
  });

  it('is not a female', async () => {
    const ewe = uuid();
    await t.post(arrival(ewe));
    const [answer] = await t.post(fact('care', ewe, { kind: 'castrate', method: 'ring' }));
    expect(answer).toMatchObject({ status: 'refused' });
  });

  it('sires nothing from the day on that he was castrated', async () => {
    const [ram, ewe, groupId] = [uuid(), uuid(), await aGroup(t, 'Ewes')];
    await t.post(
      arrival(ram, { sex: 'male', bornOn: '2024-04-01', on: '2024-04-01' }),
      arrival(ewe, { bornOn: '2024-04-01', on: '2024-04-01' }),
      move(ewe, groupId, '2026-10-01'),
      fact('stay', ram, { groupId, on: '2026-10-01', isTeaser: false }),
    );
    const sires = async () => JSON.stringify(await get(t, `/api/carrying/female/${ewe}`));
    expect(await sires()).toContain(ram);
    await t.post(fact('care', ram, { kind: 'castrate', method: 'clamp', on: '2026-10-01' }));
    expect(await sires()).not.toContain(ram);
  });
});

describe('asked for by what was done to them', () => {
  it('are those that wear a mark, while they wear it', async () => {
    const [a, b] = [uuid(), uuid()];
    await t.post(arrival(a), arrival(b), tag(a, '1'), tag(b, '2'));
    await t.post(mark(a, { colour: 'blue', place: 'rump', purpose: 'sell' }));
    const asked = `mark=${encodeURIComponent('blue|rump|sell')}`;
    expect(await numbers(asked)).toEqual(['1']);
    await t.post(
      mark(b, { colour: 'blue', place: 'rump', purpose: 'sell' }),
      mark(b, { colour: 'red', place: 'rump', purpose: 'sell' }),
    );
    expect(await numbers(asked)).toEqual(['1', '2']);
    expect(await numbers(`mark=${encodeURIComponent('red|rump|keep')}`)).toEqual([]);
  });

  it('are those of a breed, however it is written', async () => {
    const [a, b] = [uuid(), uuid()];
    await t.post(arrival(a, { strain: 'Hill white' }), tag(a, 'H-1'), arrival(b), tag(b, 'H-2'));
    expect(await numbers(`strain=${encodeURIComponent('hill  white')}`)).toEqual(['H-1']);
  });

  it('are those last chosen so', async () => {
    const [a, b] = [uuid(), uuid()];
    await t.post(arrival(a), arrival(b), tag(a, '1'), tag(b, '2'));
    const chosen = (id: string, decision: string) => fact('choice', id, { on: TODAY, decision, among: 'ewes' });
    await t.post(chosen(a, 'sell'), chosen(b, 'sell'));
    expect(await numbers('chosen=sell')).toEqual(['1', '2']);
    await t.post(chosen(a, 'keep'));
    expect(await numbers('chosen=sell')).toEqual(['2']);
    expect(await numbers('chosen=keep')).toEqual(['1']);
    await t.http().get('/api/animals?chosen=eat').expect(400);
  });

  it('are those of which something is withheld today', async () => {
    const [a, b, product] = [uuid(), uuid(), await aProduct(t)];
    await t.post(arrival(a), arrival(b), tag(a, '1'), tag(b, '2'));
    await t.post(treatment(a, product, { meatDays: 14, milkDays: 3, unit: 'ml' }));
    expect(await numbers('withheld=any')).toEqual(['1']);
    expect(await numbers('withheld=meat')).toEqual(['1']);
    expect(await numbers('withheld=milk')).toEqual([]);
  });
});

it('finds tubes, notes and what photos show by a part of them, and not what was struck out', async () => {
  const [a, b] = [uuid(), uuid()];
  const wrong = note(b, 'limps on 100% of days');
  await t.post(arrival(a), arrival(b), tag(a, '1'), tag(b, '2'));
  await t.post(sample(a, 'B-021'), note(a, 'Limps behind'), wrong);
  const found = async (words: string) =>
    (await get<MentionView[]>(t, `/api/mentions?words=${encodeURIComponent(words)}`)).map((m) => [
      m.tag.text,
      m.kind,
      m.text,
    ]);
  await t.post(fact('photo', b, { pictureId: uuid(), width: 8, height: 8, shows: 'foot before trimming' }));
  expect(await found('trim')).toEqual([['2', 'photo', 'foot before trimming']]);
  expect(await found('b-02')).toEqual([['1', 'tube', 'B-021']]);
  expect(await found('limps')).toHaveLength(2);
  // A sign that means anything to the database means itself here.
  expect(await found('100%')).toEqual([['2', 'note', 'limps on 100% of days']]);
  expect(await found('1_0%')).toEqual([]);
  await t.post(strike(wrong.id));
  expect(await found('limps')).toEqual([['1', 'note', 'Limps behind']]);
  await t.http().get('/api/mentions?words=x').expect(400);
});

it('lists every identifier ever worn, for search on the device', async () => {
  const ewe = uuid();
  const worn = tag(ewe, '26-0001');
  await t.post(arrival(ewe), worn, identifierEnd(ewe, worn.id), { ...tag(ewe, '26-0002'), on: TODAY });
  const index = identifierRows(await get<WearerView[]>(t, '/api/identifiers'));
  expect(index.map((i) => [i.text, i.isWorn])).toEqual([
    ['26-0001', false],
    ['26-0002', true],
  ]);
});
