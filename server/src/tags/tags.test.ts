import { identifierRows, type BookFile, type TagsView, type WearerView } from '@yaylak/contract';
import {
  aGroup,
  arrival,
  departure,
  fact,
  get,
  identifierEnd,
  mark,
  move,
  tag,
  testApp,
  TODAY,
  uuid,
  type TestApp,
} from '../tests/testApp';

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const view = (): Promise<TagsView> => get(t, '/api/tags');
const electronic = (animalId: string, text: string) => ({
  ...tag(animalId, text),
  kind: 'electronic',
  colour: undefined,
});

it('lists who wears none, who lost one and who has too few, the most pressing first', async () => {
  const [both, one, lost, none, gone] = [uuid(), uuid(), uuid(), uuid(), uuid()];
  const worn = tag(lost, '26-0003');
  await t.post(
    ...[both, one, lost, none, gone].map((id) => arrival(id)),
    tag(both, '26-0001'),
    electronic(both, '792000000120001'),
    tag(one, '26-0002'),
    worn,
    electronic(lost, '792000000120003'),
    identifierEnd(lost, worn.id),
    departure(gone, '2026-06-01'),
  );
  const { needs, counts, present } = await view();
  expect(needs.map((n) => [n.tag.animalId, n.need])).toEqual([
    [none, 'none-worn'],
    [lost, 'lost-one'],
    [one, 'too-few'],
  ]);
  expect(needs[1]).toMatchObject({
    lost: [{ text: '26-0003', colour: 'yellow', on: TODAY }],
    worn: [{ kind: 'electronic' }],
  });
  expect(counts).toEqual({ 'none-worn': 1, 'lost-one': 1, 'too-few': 1 });
  expect(present).toBe(4);
});

it('leaves out those too young to be tagged: a litter is one line until it is weaned, a lamb until its first handling', async () => {
  const [doe, ewe, lamb, older, ...kits] = Array.from({ length: 6 }, () => uuid()) as [string, string, string, string];
  const born = (id: string, damId: string, bornOn: string, species = 'rabbit') =>
    arrival(id, { species, sex: 'unknown', damId, bornOn, on: bornOn, how: 'born' });
  await t.post(arrival(doe, { species: 'rabbit' }), arrival(ewe), tag(doe, 'K-1'), tag(ewe, '26-0001'));
  await t.post(
    ...kits.map((k) => born(k, doe, '2026-11-01')),
    born(lamb, ewe, TODAY, 'sheep'),
    born(older, ewe, '2026-11-18', 'sheep'),
  );
  const { needs, later } = await view();
  expect(later.map((l) => [l.dam?.text, l.bornOn, l.count, l.from])).toEqual([
    ['26-0001', TODAY, 1, '2026-11-24'],
    ['K-1', '2026-11-01', 2, '2026-12-13'],
  ]);
  expect(needs.filter((n) => n.need === 'none-worn').map((n) => [n.tag.animalId, n.dam])).toEqual([[older, '26-0001']]);
  // Weaned, each of them is to be tagged.
  await t.post(...kits.map((k) => fact('weaning', k, { on: TODAY, isDone: true })));
  expect((await view()).needs.filter((n) => n.need === 'none-worn')).toHaveLength(3);
});

it('asks for as many as the holding wants of the species', async () => {
  const kit = uuid();
  await t.post(arrival(kit, { species: 'rabbit' }), tag(kit, 'K-26-01'));
  expect((await view()).needs).toEqual([]);
  await t
    .http()
    .patch('/api/holding')
    .send({ version: 1, species: { rabbit: { identifiersAdvised: 2 } } })
    .expect(200);
  expect((await view()).needs).toMatchObject([{ need: 'too-few', advised: 2 }]);
  await t
    .http()
    .patch('/api/holding')
    .send({ version: 2, species: { rabbit: { identifiersAdvised: 0 } } })
    .expect(400, /from 1 to 5/);
});

it('shows a number that another wore before, with who and until when', async () => {
  const [old, young] = [uuid(), uuid()];
  await t.post(arrival(old), tag(old, '7'), departure(old, '2026-06-01'));
  await t.post(arrival(young), { ...tag(young, '7'), on: '2026-06-02' });
  expect((await view()).shared).toMatchObject([
    {
      text: '7',
      isNow: false,
      wearers: [
        { tag: { animalId: old }, until: '2026-06-01' },
        { tag: { animalId: young }, until: null },
      ],
    },
  ]);
});

it('lists the marks in the field by what they mean, with the groups they stand in', async () => {
  const top = await aGroup(t, 'Top');
  const [a, b, c, gone] = [uuid(), uuid(), uuid(), uuid()];
  await t.post(...[a, b, c, gone].map((id) => arrival(id)), move(a, top), move(b, top));
  await t.post(
    mark(a, { until: '2026-12-10' }),
    mark(b, { until: '2026-12-01' }),
    mark(c, { colour: 'red', place: 'shoulder', purpose: 'for the buyer' }),
    mark(c, { on: '2026-11-01', until: '2026-11-22' }),
    mark(gone),
    departure(gone, TODAY),
  );
  expect((await view()).marks).toMatchObject([
    {
      colour: 'blue',
      purpose: 'second string',
      until: '2026-12-01',
      isUntilForAll: false,
      groups: [{ name: 'Top', count: 2 }],
    },
    { colour: 'red', place: 'shoulder', until: null, isUntilForAll: true, groups: [{ name: 'no group', count: 1 }] },
  ]);
});

it('keeps one form of an electronic number, however it came, so that it is on one animal only', async () => {
  const [one, two] = [uuid(), uuid()];
  await t.post(arrival(one), arrival(two));
  const frame = electronic(one, '0x8000C6000001EC4F');
  expect(await t.post(frame)).toMatchObject([{ status: 'kept' }]);
  const index = identifierRows(await get<WearerView[]>(t, '/api/identifiers'));
  expect(index.map((i) => i.text)).toEqual(['792000000126031']);
  const book = await get<BookFile>(t, '/api/book');
  expect(book.entries.flatMap((e) => (e.type === 'identifier' ? [e.text] : []))).toEqual(['792000000126031']);
  for (const same of ['792 000 000 126 031', 'A0000000792000000126031', '792000000126031'])
    expect(await t.post(electronic(two, same))).toMatchObject([{ status: 'refused' }]);
  // A digit too many is a slip, and no number at all.
  for (const slip of ['7920000001260311', '0792000000126031', '8000792000000126'])
    expect(await t.post(electronic(two, slip))).toMatchObject([
      { status: 'refused', message: expect.stringContaining('16') as string },
    ]);
});
