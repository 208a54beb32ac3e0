import type {
  AnimalView,
  MatingRecordView,
  MatingView,
  PairingView,
  PairView,
  PedigreeView,
  RosterView,
  SeasonView,
  TodayView,
} from '@yaylak/contract';
import { aGroup, arrival, fact, move, strike, tag, testApp, uuid, weight, type TestApp } from '../tests/testApp';

let t: TestApp;
const [grandBuck, buck, son, doe, kid, sheepRam] = Array.from({ length: 6 }, uuid) as [
  string,
  string,
  string,
  string,
  string,
  string,
];
let herd: string;

beforeAll(async () => {
  t = await testApp();
  herd = await aGroup(t, 'Does');
  const goat = (id: string, bornOn: string, sex: string, change = {}) =>
    arrival(id, { species: 'goat', sex, bornOn, on: bornOn, ...change });
  const answers = await t.post(
    goat(grandBuck, '2018-04-01', 'male'),
    goat(buck, '2022-04-01', 'male', { sireId: grandBuck }),
    goat(doe, '2023-04-01', 'female', { sireId: grandBuck }),
    goat(son, '2024-04-01', 'male', { sireId: buck }),
    goat(kid, '2026-03-20', 'female', { sireId: buck, damId: doe }),
    arrival(sheepRam, { sex: 'male', bornOn: '2023-04-01', on: '2023-04-01' }),
    tag(doe, 'Thyme'),
    tag(buck, 'Juniper'),
    move(doe, herd),
    move(kid, herd),
    weight(kid, '2026-11-20', 26),
  );
  expect(answers.map((a) => a.status)).not.toContain('refused');
});
afterAll(() => t.close());

const get = async <T>(path: string): Promise<T> => (await t.http().get(`/api/mating${path}`).expect(200)).body as T;
const view = () => get<MatingView>('?species=goat');
const female = async (id: string) => (await view()).females.find((f) => f.tag.animalId === id);

it('a doe seen standing at 10:00 shows the window with its hours', async () => {
  await t.post(
    fact('heat', doe, { on: '2026-11-22', at: '2026-11-22T18:00', signs: [] }),
    fact('heat', doe, { at: '2026-11-23T10:00', signs: ['stands', 'tail-wags'] }),
  );
  const { heats, school, looks } = await view();
  expect(school).toBe('hours');
  expect(looks).toEqual(['2026-11-23T10:00', '2026-11-22T18:00']);
  expect(heats).toMatchObject([
    {
      tag: { text: 'Thyme' },
      seenAt: '2026-11-23T10:00',
      notYetAt: '2026-11-22T18:00',
      isStanding: true,
      window: {
        opens: '2026-11-23T22:00',
        bestFrom: '2026-11-24T04:00',
        bestTo: '2026-11-24T22:00',
        closes: '2026-11-25T10:00',
      },
      services: [],
    },
  ]);
});

it('a mating with the half-brother is stopped with the figure, and taken only with a reason', async () => {
  const serve = (change = {}) =>
    t.post(fact('service', doe, { way: 'hand', at: '2026-11-23T12:00', maleIds: [buck], ...change }));
  const [refused] = await serve();
  expect(refused).toMatchObject({ status: 'refused', refusal: { code: 'pair', inbreeding: 0.125 } });
  expect(refused?.status === 'refused' && refused.message).toMatch(
    'Yellow Juniper is her half-brother: their kids would be 13\u00a0% inbred. Choose another male, or give the reason.',
  );
  const [kept] = await serve({ reason: 'no other buck can be had' });
  expect(kept?.status).toBe('kept');
  const { heats } = await view();
  // Two hours after she was seen, sixteen before not: the window opens twelve after she began, somewhere between.
  expect(heats[0]?.services).toMatchObject([{ timing: 'perhaps-early', males: [{ text: 'Juniper' }] }]);
});

it('a buck, a ram or a day that cannot be is refused in words', async () => {
  const answers = await t.post(
    fact('service', doe, { way: 'hand', maleIds: [sheepRam] }),
    fact('service', doe, { way: 'hand', maleIds: [] }),
    fact('service', buck, { way: 'hand', maleIds: [son] }),
    fact('heat', doe, { at: '2026-11-20T10:00', signs: [] }),
    fact('stay', doe, { groupId: herd }),
  );
  expect(answers.map((a) => a.status === 'refused' && a.refusal?.code)).toEqual([
    'male-of-other-species',
    'no-sire',
    'not-a-female',
    'time-of-other-day',
    'not-a-male',
  ]);
});

it('a kid waits for her weight and her first heat, with the day', async () => {
  const found = await female(kid);
  // Born 20 March 2026: 215 days are over on 21 October.
  expect(found?.reasons.map((r) => r.code)).toEqual(['too-light', 'heats-to-skip']);
  expect(found?.reasons[0]?.words).toBe('26.0\u00a0kg, needs to reach 33.0\u00a0kg first');
  expect(found).toMatchObject({ isReady: false, readyOn: null });
});

it('the longer no return is seen the likelier she carries, and a return says not', async () => {
  const other = uuid();
  await t.post(
    arrival(other, { species: 'goat', sex: 'female', bornOn: '2022-04-01', on: '2022-04-01' }),
    fact('service', other, { on: '2026-10-20', way: 'hand', maleIds: [son] }),
  );
  const chance = async () => (await female(other))?.chance;
  const before = await chance();
  // 34 days: the cycle's range is over, so 0.7 x 0.97 against 0.3 x 0.25.
  expect(before?.probability).toBeCloseTo(0.9, 2);
  expect(before?.story.map((s) => [s.kind, Math.round(100 * s.after)])).toEqual([
    ['served', 70],
    ['no-return', 90],
  ]);
  expect(before?.returns?.opens).toBe('2026-11-07');
  expect((await female(other))?.reasons.map((r) => r.code)).toContain('carrying');
  await t.post(fact('heat', other, { on: '2026-11-11', at: '2026-11-11T08:00', signs: ['stands'] }));
  const after = await chance();
  expect(after?.probability).toBeLessThan(0.12);
  expect(after?.returnedOn).toBe('2026-11-11');
});

it('a male put in with a group has its females, and his marks have him', async () => {
  const putIn = { on: '2026-11-10', groupId: herd, colour: 'red' };
  // The kid is his half-sister; the doe is kin too far for the limit.
  const [refused] = await t.post(fact('stay', son, putIn));
  expect(refused).toMatchObject({ status: 'refused', refusal: { code: 'not-with-these', femaleIds: [kid] } });
  const stay = fact('stay', son, { ...putIn, reason: 'the kid goes to the shed' });
  expect((await t.post(stay))[0]?.status).toBe('kept');
  await t.post(fact('harness', son, { on: '2026-11-20', stayId: stay.id, colour: 'blue' }));
  const { males } = await view();
  const his = males.find((m) => m.tag.animalId === son);
  expect(his?.stays).toMatchObject([{ groupName: 'Does', colour: 'blue', colourFrom: '2026-11-20', females: 2 }]);
  expect(his).toMatchObject({ capacity: 25, load: 3 });
  // The doe is his sire's half-sister, the kid his half-sister.
  expect(his?.notWith).toBeGreaterThanOrEqual(1);
  expect((await female(kid))?.runsWith.map((m) => m.animalId)).toEqual([son]);
  await t.post(fact('stay-end', son, { stayId: stay.id }));
  expect((await view()).males.find((m) => m.tag.animalId === son)?.stays).toEqual([]);
});

it('one that is held back is not offered on Today, and is served only for a reason', async () => {
  const held = uuid();
  const heat = fact('heat', held, { on: '2026-11-23', at: '2026-11-23T09:00', signs: ['stands'] });
  await t.post(arrival(held, { species: 'goat', bornOn: '2023-04-01', on: '2023-04-01' }), heat);
  const offered = async () =>
    ((await t.http().get('/api/today').expect(200)).body as TodayView).heats.map((h) => h.heat.tag.animalId);
  expect(await offered()).toContain(held);
  await t.post(fact('check', held, { what: 'womb', isFound: true }));
  expect(await offered()).not.toContain(held);
  const serve = { at: '2026-11-23T21:00', way: 'hand', maleIds: [buck] };
  const [refused] = await t.post(fact('service', held, serve));
  expect(refused).toMatchObject({ status: 'refused', refusal: { code: 'held-back', reasons: [{ code: 'womb' }] } });
  expect((await female(held))?.reasons).toMatchObject([{ code: 'womb', holds: true }]);
  const served = fact('service', held, { ...serve, reason: 'the vet looked again' });
  expect((await t.post(served))[0]?.status).toBe('kept');
  await t.post(strike(served.id), strike(heat.id));
});

it('a male that failed his check is not used, one never checked is flagged, an old one too', async () => {
  await t.post(fact('male-check', son, { grades: { feet: 'good', testicles: 'fail' } }));
  const { males } = await view();
  const codes = (id: string) => males.find((m) => m.tag.animalId === id)?.reasons.map((r) => r.code);
  expect(codes(son)).toEqual(['failed-check']);
  expect(codes(grandBuck)).toEqual(['old', 'not-checked']);
  expect(males.find((m) => m.tag.animalId === son)?.isReady).toBe(false);
});

it('pairs carry their figure, and carriers are kept apart', async () => {
  await t.post(
    fact('gene-test', grandBuck, { gene: 'wry jaw', result: 'free' }),
    fact('gene-test', doe, { gene: 'wry jaw', result: 'carrier' }),
    fact('gene-test', son, { gene: 'wry jaw', result: 'carrier' }),
  );
  const pairing = await get<PairingView>('/pairing?species=goat');
  const at = (f: string, m: string) =>
    pairing.females.findIndex((x) => x.tag.animalId === f) * pairing.males.length +
    pairing.males.findIndex((x) => x.tag.animalId === m);
  expect(pairing.inbreeding[at(doe, buck)]).toBe(0.125);
  expect(pairing.refusals[at(doe, buck)]).toEqual({ code: 'relation', relation: 'half-sib' });
  // Son of her half-brother: kinship 1/16 is the limit and allowed, but both are carriers.
  expect(pairing.inbreeding[at(doe, son)]).toBe(0.0625);
  expect(pairing.refusals[at(doe, son)]).toEqual({ code: 'carriers', gene: 'wry jaw', affected: 0.25 });
  const pair = await get<PairView>(`/pair?femaleId=${doe}&maleId=${buck}`);
  expect(pair).toMatchObject({ inbreeding: 0.125, isShallow: true });
  expect(pair.ancestors.map((a) => [a.tag.animalId, a.inbreeding])).toEqual([[grandBuck, 0.125]]);
});

it('a heat has gone by when nobody stands any longer, by the holding’s figure', async () => {
  const goneBy = async () => (await female(kid))?.reasons.map((r) => r.code).includes('heats-to-skip');
  const seen = fact('heat', kid, { on: '2026-11-21', at: '2026-11-21T08:00', signs: ['stands'] });
  await t.post(seen);
  // Does stand up to 72 hours: on the 23rd it may go on still.
  expect(await goneBy()).toBe(true);
  const holding = (await t.http().get('/api/holding').expect(200)).body as { version: number };
  const change = (species: object, version: number) =>
    t.http().patch('/api/holding').send({ version, species }).expect(200);
  const { body } = await change({ goat: { standingHeatHours: { from: 12, to: 36 } } }, holding.version);
  expect(await goneBy()).toBe(false);
  await change({}, (body as { version: number }).version);
  await t.post({ ...fact('strike', kid, { entryId: seen.id }) });
});

it('a plan leaves out her whose womb is not clean, and says so', async () => {
  const waits = async (): Promise<readonly string[] | undefined> =>
    (await get<PairingView>('/pairing?species=goat')).females.find((f) => f.tag.animalId === doe)?.waits;
  // She was served, and is taken to be in young.
  expect(await waits()).toEqual(['served, likely in young (70\u00a0%)']);
  await t.post(fact('check', doe, { what: 'womb', isFound: true }));
  expect(await waits()).toContain('womb infection: check again, then wait for the next heat');
});

it('tests that contradict each other are named, and meanwhile each counts as a carrier', async () => {
  await t.post(
    fact('gene-test', buck, { gene: 'cold skin', result: 'free' }),
    fact('gene-test', doe, { gene: 'cold skin', result: 'free' }),
    fact('gene-test', kid, { gene: 'cold skin', result: 'affected' }),
  );
  const { contradictions } = await get<PairingView>('/pairing?species=goat');
  expect(contradictions).toMatchObject([{ gene: 'cold skin', kind: 'parentage' }]);
  expect(new Set(contradictions[0]?.tags.map((x) => x.animalId))).toEqual(new Set([buck, doe, kid]));
  // One animal, two spellings of one gene, two answers.
  await t.post(
    fact('gene-test', son, { gene: 'Wry  Jaw', result: 'free' }),
    fact('gene-test', son, { gene: 'wry jaw ', result: 'carrier' }),
    fact('gene-test', doe, { gene: 'wry jaw', result: 'carrier' }),
  );
  const pairing = await get<PairingView>('/pairing?species=goat');
  expect(pairing.contradictions.find((c) => c.kind === 'own')).toMatchObject({
    gene: expect.stringMatching(/^wry\s+jaw$/i) as string,
    tags: [{ animalId: son }],
  });
  const at =
    pairing.females.findIndex((x) => x.tag.animalId === doe) * pairing.males.length +
    pairing.males.findIndex((x) => x.tag.animalId === son);
  expect(pairing.refusals[at]).toMatchObject({ code: 'carriers' });
  const { nodes, genes } = await get<PedigreeView>(`/pedigree/${son}?generations=2`);
  expect(genes).toHaveLength(2);
  expect(nodes[0]?.genes.find((g) => g.gene !== 'cold skin')).toMatchObject({ countsAs: 'carrier', carries: 1 });
});

it('a pedigree shows the repeated ancestor and what the inbreeding comes of', async () => {
  const found = await get<PedigreeView>(`/pedigree/${kid}?generations=4`);
  expect(found.nodes.map((n) => n.key).sort()).toEqual(['', 'd', 'ds', 's', 'ss']);
  expect(found.nodes.filter((n) => n.isRepeated).map((n) => n.tag.animalId)).toEqual([grandBuck, grandBuck]);
  expect(found.inbreeding).toBe(0.125);
  expect(found.ancestors.map((a) => a.tag.animalId)).toEqual([grandBuck]);
  const sire = found.partners.find((p) => p.tag.animalId === buck);
  // Sire and daughter 1/4, and 1/16 more as her dam is his half-sister.
  expect(sire?.inbreeding).toBe(0.3125);
  expect(sire?.refusal).toMatch('Juniper is her sire: their kids would be 31\u00a0% inbred');
  await t.http().get(`/api/mating/pedigree/${kid}?generations=9`).expect(400);
});

it('the record counts services and litters, and marks the heat', async () => {
  const holding = (await t.http().get('/api/holding').expect(200)).body as { version: number };
  await t
    .http()
    .patch('/api/holding')
    .send({
      version: holding.version,
      resources: { birthPens: [], away: [], lean: [], hot: [{ from: '2026-10-01', to: '2026-10-05', why: 'heat' }] },
    })
    .expect(200);
  const record = await get<MatingRecordView>('/record?species=goat');
  const ofSon = record.males.find((m) => m.tag.animalId === son);
  // He has one spell, whose time is not over: it says nothing of him yet.
  expect(ofSon).toMatchObject({ spells: 1, share: null });
  expect(record.pairs).toMatchObject([{ female: { animalId: doe }, male: { animalId: buck }, meanSize: 1 }]);
  expect(record.quarters).toMatchObject([{ year: 2026, quarter: 'autumn', spells: 2, afterHeat: 2 }]);
});

it('a womb that is not clean holds her until it is looked at again', async () => {
  const codes = async () => (await female(doe))?.reasons.map((r) => r.code);
  await t.post(fact('check', doe, { what: 'womb', isFound: true }));
  expect(await codes()).toContain('womb');
  await t.post(fact('check', doe, { what: 'womb', isFound: false }));
  expect(await codes()).not.toContain('womb');
});

it('a male that did many services this week rests until the week is over', async () => {
  const [young, ...does] = Array.from({ length: 4 }, uuid) as [string, ...string[]];
  const rabbit = (id: string, sex: string, bornOn: string) =>
    arrival(id, { species: 'rabbit', sex, bornOn, on: bornOn });
  await t.post(
    rabbit(young, 'male', '2026-05-01'),
    ...does.map((id) => rabbit(id, 'female', '2026-01-01')),
    fact('male-check', young, { grades: { feet: 'good' } }),
    ...does.map((id) => fact('service', id, { on: '2026-11-19', way: 'hand', maleIds: [young] })),
  );
  const { males } = await get<MatingView>('?species=rabbit');
  // Young, he has three a week.
  expect(males.find((m) => m.tag.animalId === young)).toMatchObject({
    isReady: false,
    readyOn: '2026-11-26',
    reasons: [{ code: 'resting', until: '2026-11-26' }],
  });
});

describe('what follows from a mating elsewhere', () => {
  const today = async () => (await t.http().get('/api/today').expect(200)).body as TodayView;

  it('Today serves who is on heat, and parts young males from the females', async () => {
    const young = uuid();
    await t.post(
      arrival(young, { species: 'goat', sex: 'male', bornOn: '2026-08-20', on: '2026-08-20' }),
      move(young, herd, '2026-08-20'),
    );
    const { heats, partings } = await today();
    // The doe was served once of two; the other's heat of 11 November is over.
    expect(heats.map((h) => [h.species, h.heat.tag.animalId])).toEqual([['goat', doe]]);
    // 90 days after 20 August are 18 November: the window is closing.
    expect(partings).toMatchObject([
      { species: 'goat', head: 1, groupName: 'Does', window: { bestTo: '2026-11-18', closes: '2026-11-27' } },
    ]);
    await t.post(fact('departure', young, { how: 'sold' }));
    expect((await today()).partings).toEqual([]);
  });

  it('the race knows who runs with whom and in which colour, a teaser as one', async () => {
    const roster = async () => {
      const { animals } = (await t.http().get('/api/roster').expect(200)).body as RosterView;
      return animals.find((a) => a.tag.animalId === doe)?.runsWith;
    };
    // The son was taken out today: his marks may still be found.
    expect((await roster())?.map((m) => [m.maleId, m.colour])).toEqual([[son, 'blue']]);
    const ran = fact('stay', buck, { on: '2026-11-20', groupId: herd, colour: 'green', reason: 'for a day' });
    await t.post(ran, fact('stay', grandBuck, { groupId: herd, isTeaser: true }));
    expect(await roster()).toEqual([
      { maleId: grandBuck, name: expect.any(String) as string, colour: null, isTeaser: true },
      { maleId: buck, name: 'Juniper', colour: 'green', isTeaser: false },
      { maleId: son, name: 'a male', colour: 'blue', isTeaser: false },
    ]);
    await t.post(fact('stay-end', buck, { stayId: ran.id }));
    expect((await roster())?.map((m) => m.maleId)).toContain(buck);
    expect((await female(doe))?.runsWith).toEqual([]);
  });

  it('a birth without a service written down is any of the males that ran with her', async () => {
    const [ewe, ramA, ramB, flock] = [uuid(), uuid(), uuid(), await aGroup(t, 'Ewes')];
    const sheep = (id: string, sex: string) => arrival(id, { sex, bornOn: '2022-04-01', on: '2022-04-01' });
    await t.post(
      sheep(ewe, 'female'),
      sheep(ramA, 'male'),
      sheep(ramB, 'male'),
      move(ewe, flock, '2025-01-01'),
      fact('stay', ramA, { on: '2025-11-01', groupId: flock }),
      fact('stay', ramB, { on: '2025-11-01', groupId: flock }),
      // 147 days after 5 November 2025 are 1 April 2026.
      arrival(uuid(), { bornOn: '2026-04-01', on: '2026-04-01', damId: ewe }),
    );
    const { males } = await get<MatingRecordView>('/record?species=sheep');
    const spells = (id: string) => males.find((m) => m.tag.animalId === id);
    expect(spells(ramA)).toMatchObject({ spells: 1, share: null });
    expect(spells(ramB)).toMatchObject({ spells: 1, share: null });
  });

  it('a plan’s mating is done by its services, and its check of the males by their checks', async () => {
    const plan = {
      id: uuid(),
      kind: 'season',
      name: 'Kidding 2027',
      species: 'goat',
      groupId: herd,
      females: 2,
      matingOn: '2026-11-20',
      shifts: {},
      done: {},
      wanted: { what: 'births', on: '2027-04-19' },
      flushing: 'none',
      cycles: 2,
      doses: [],
    };
    await t.http().post('/api/season/plans').send(plan).expect(201);
    const { plans } = (await t.http().get('/api/season').expect(200)).body as SeasonView;
    expect(plans.find((p) => p.id === plan.id)?.happened).toMatchObject({
      mating: { from: '2026-11-23', to: '2026-11-23', head: 1 },
    });
  });

  it('an animal’s page names the males of its services', async () => {
    const { timeline } = (await t.http().get(`/api/animals/${doe}`).expect(200)).body as AnimalView;
    const service = timeline.find((i) => i.entry.type === 'service');
    expect(service?.names).toEqual({ [buck]: 'yellow Juniper' });
  });
});

it.each([
  ['?species=dragon'],
  ['/pairing?species=goat&groupId=7'],
  ['/pair?femaleId=1&maleId=2'],
  ['/pedigree/not-an-id'],
])('refuses to be asked %s', async (path) => {
  await t.http().get(`/api/mating${path}`).expect(400);
});

it('reads its facts again after a start', async () => {
  const before = await view();
  t = await t.again();
  const after = await view();
  expect({ ...after, now: '' }).toEqual({ ...before, now: '' });
});

it('keeps a service by a male from elsewhere, and does not give her young to the buck she met before him', async () => {
  const other = uuid();
  await t.post(arrival(other, { species: 'goat', sex: 'female', bornOn: '2023-04-02', on: '2023-04-02' }));
  const serve = (change: object) => t.post(fact('service', other, { way: 'hand', maleIds: [], ...change }));
  expect(await serve({})).toMatchObject([{ refusal: { code: 'no-sire' } }]);
  expect(await serve({ otherMale: 'the neighbour’s buck', on: '2026-11-20' })).toMatchObject([{ status: 'kept' }]);
  expect((await female(other))?.chance).toMatchObject({
    servedOn: '2026-11-20',
    males: [],
    otherSire: 'the neighbour’s buck',
  });
});

it('takes an embryo’s kin from its donor, and its litter from the doe that carried it', async () => {
  const [donor, carrier, half] = [uuid(), uuid(), uuid()] as [string, string, string];
  const goat = (id: string, change: object) =>
    arrival(id, { species: 'goat', sex: 'female', bornOn: '2022-04-03', on: '2022-04-03', ...change });
  const born = { bornOn: '2026-02-01', on: '2026-02-01', how: 'born' };
  const answers = await t.post(
    goat(donor, {}),
    goat(carrier, {}),
    goat(half, { ...born, damId: carrier, donorId: donor, sireId: buck }),
  );
  expect(answers.map((a) => a.status)).toEqual(['kept', 'kept', 'kept']);
  const { nodes } = await get<PedigreeView>(`/pedigree/${half}?generations=2`);
  expect(nodes.map((n) => n.tag.animalId)).toEqual([half, buck, donor]);
  const page = (await t.http().get(`/api/animals/${half}`).expect(200)).body as AnimalView;
  expect(page.row).toMatchObject({ dam: { animalId: carrier }, donor: { animalId: donor } });
  // A donor is a dam: no male, and not younger than the kid.
  const { version } = page.row;
  const change = async (donorId: string | null) =>
    (await t.http().patch(`/api/animals/${half}`).send({ version, donorId })).status;
  expect(await change(son)).toBe(400);
  expect(await change(null)).toBe(200);
  expect((await get<PedigreeView>(`/pedigree/${half}?generations=2`)).nodes[2]?.tag.animalId).toBe(carrier);
});
