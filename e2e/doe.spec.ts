import { randomUUID } from 'node:crypto';
import type { Page } from '@playwright/test';
import { addDays, dayOf, isoOf } from '@yaylak/core';
import { expect, forget, test } from './journey';
import { rowOf, said as saidAt } from './pages';
import { aServer, type Server } from './server';

/*
 * One doe through a year and a half, the computer's calendar going ahead of today: after each thing that happens to her
 * every page says the same of her, and the right thing.
 */

let server: Server;
test.beforeAll(async () => {
  server = await aServer('empty');
});
test.afterAll(() => server.remove());

const today = dayOf(new Date().toISOString().slice(0, 10));
/** Days from the day the book begins. */
const on = (days: number): string => isoOf(addDays(today, days));
const day = (days: number): string =>
  new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' }).format(new Date(`${on(days)}T12:00`));

const ids = { thyme: randomUUID(), sorrel: randomUUID(), alder: randomUUID(), birch: randomUUID(), does: randomUUID() };
const kids = [randomUUID(), randomUUID()] as const;
const sorrels = randomUUID();

/** Entries written on a day, as a tablet would send them. */
async function write(page: Page, days: number, ...entries: readonly object[]): Promise<void> {
  const stamp = { writtenAt: new Date().toISOString(), writtenBy: 'Aylin', source: 'hand', on: on(days) };
  const sent = await page.request.post(`${server.url}/api/entries`, {
    data: { entries: entries.map((e) => ({ id: randomUUID(), ...stamp, ...e })) },
  });
  const { answers } = (await sent.json()) as { answers: { status: string; message?: string }[] };
  expect(answers.map((a) => a.message ?? a.status)).toEqual(entries.map(() => 'kept'));
  // A page shows what it read before until it has read anew.
  await forget(page);
}
/** The same book so many days on. */
async function later(page: Page, days: number): Promise<void> {
  await server.kill();
  await server.start(days);
  await forget(page);
}
const born = (animalId: string, days: number, change: object) => ({
  type: 'arrival',
  how: 'born',
  animalId,
  species: 'goat',
  sex: 'female',
  on: on(days),
  bornOn: on(days),
  ...change,
});
const named = (animalId: string, text: string) => ({ type: 'identifier', animalId, kind: 'name', text });
const said = (page: Page, path: string, awaited?: RegExp): Promise<string> =>
  saidAt(page, `${server.url}${path}`, awaited);

/** What the places say behind her name, and all that her own page says. */
async function everywhere(
  page: Page,
  /** What her own page says a moment later than the rest. */
  own?: RegExp,
): Promise<Record<'carrying' | 'mating' | 'births' | 'own' | 'today', string>> {
  const row = async (path: string): Promise<string> => rowOf(await said(page, path), 'Thyme', 420);
  return {
    carrying: await row('/carrying?species=goat'),
    mating: await row('/mating?species=goat'),
    births: await row('/births?species=goat'),
    own: await said(page, `/animals/${ids.thyme}`, own),
    today: await said(page, '/'),
  };
}

test('a doe is served, slips, is served by another, scanned, kids and dies; her kids are fostered and weaned', async ({
  page,
}) => {
  const group = { id: ids.does, name: 'Does', species: 'goat' };
  expect((await page.request.post(`${server.url}/api/groups`, { data: group })).ok()).toBe(true);
  await write(
    page,
    0,
    born(ids.thyme, -1100, {}),
    born(ids.sorrel, -1200, {}),
    born(ids.alder, -1400, { sex: 'male' }),
    born(ids.birch, -1500, { sex: 'male' }),
    ...Object.entries({ thyme: 'Thyme', sorrel: 'Sorrel', alder: 'Alder', birch: 'Birch' }).map(([key, text]) =>
      named(ids[key as 'thyme'], text),
    ),
    { type: 'move', animalId: ids.thyme, groupId: ids.does },
    { type: 'move', animalId: ids.sorrel, groupId: ids.does },
  );
  const serve = (days: number, maleId: string) =>
    write(page, days, { type: 'service', animalId: ids.thyme, way: 'hand', maleIds: [maleId], reason: 'a test' });

  await serve(0, ids.alder);
  let all = await everywhere(page, /Alder/);
  for (const text of [all.carrying, all.mating, all.own]) {
    expect(text).toContain('Alder');
    expect(text).toContain(day(0));
  }
  expect(all.births).toContain('by Alder');
  expect(all.carrying).toContain('too soon to say');

  await later(page, 30);
  await write(page, 30, { type: 'loss', animalId: ids.thyme, how: 'slipped' });
  all = await everywhere(page, /Lost what she carried/);
  expect(all.carrying).toContain('lost');
  expect(all.births).not.toContain('by Alder');
  expect(all.own).not.toContain('In young');

  await later(page, 33);
  await serve(33, ids.birch);
  all = await everywhere(page, /Birch/);
  for (const text of [all.carrying, all.mating, all.births, all.own]) {
    expect(text).toContain('Birch');
    expect(text).not.toContain('by Alder');
  }
  expect(all.carrying).toContain('too soon to say');

  await later(page, 83);
  await write(page, 83, {
    type: 'pregnancy-test',
    animalId: ids.thyme,
    way: 'scan',
    result: 'carrying',
    young: 2,
    ageDays: 50,
  });
  all = await everywhere(page, /over 99/);
  expect(all.carrying).toContain('over 99 %');
  expect(all.births).toContain('in young over 99 %, 2 kids');
  expect(all.births).toContain('by Birch');
  expect(all.own).toContain('In young: over 99 %');
  // 150 days and five either way from the day she was served.
  for (const text of [all.carrying, all.births, all.own]) {
    expect(text).toContain(day(33 + 145));
    expect(text).toContain(day(33 + 155));
  }

  await later(page, 183);
  const kid = { damId: ids.thyme, sireId: ids.birch, birthType: 2 };
  await write(
    page,
    183,
    { type: 'birth', animalId: ids.thyme, alive: 2, dead: 0, ease: 'alone' },
    born(kids[0], 183, kid),
    born(kids[1], 183, { ...kid, sex: 'male' }),
    { type: 'birth', animalId: ids.sorrel, alive: 1, dead: 0, ease: 'alone', reason: 'nobody saw her served' },
    born(sorrels, 183, { damId: ids.sorrel, birthType: 1 }),
  );
  all = await everywhere(page);
  expect(all.births).toContain('2 kids alive');
  expect(all.births).toContain('by Birch');
  expect(all.own).not.toContain('In young:');
  expect(all.carrying).not.toContain('over 99 %');
  expect(await said(page, `/rearing/life/${ids.thyme}`)).toContain('1 birth; 2 kids alive');

  await later(page, 186);
  await write(page, 186, { type: 'departure', animalId: ids.thyme, how: 'died', cause: 'unknown' });
  all = await everywhere(page);
  expect(all.today).toContain('2 orphan kids');
  expect(all.births).toContain('2');
  expect(all.carrying).toBe('');
  expect(all.own).toContain('died');

  await write(
    page,
    186,
    { type: 'fostering', animalId: kids[0], damId: ids.sorrel },
    { type: 'fostering', animalId: kids[1] },
  );
  expect(await said(page, '/')).not.toContain('orphan');
  const rearing = await said(page, '/rearing?species=goat');
  expect(rowOf(rearing, 'Sorrel')).toContain('2 kids');
  expect(rowOf(rearing, 'Reared by hand')).toContain('1 kid');

  // Of age to be weaned on the 70th day: all three, and then none.
  await later(page, 183 + 75);
  expect(await said(page, '/rearing?species=goat')).toContain('3 to wean now');
  expect(await said(page, '/')).toMatch(/Wean 2 .*kid/);
  await write(page, 183 + 75, ...[...kids, sorrels].map((animalId) => ({ type: 'weaning', animalId, isDone: true })));
  expect(await said(page, '/rearing?species=goat')).not.toContain('to wean now');
  expect(await said(page, '/')).not.toContain('Wean');
  expect(await said(page, `/rearing/life/${ids.sorrel}`)).toContain('2 reared');
  expect(await said(page, `/rearing/life/${ids.thyme}`)).toContain('0 reared');
});
