import type { Entry, EntryType } from '@yaylak/contract';
import { birthQuestions, birthsOf, dayOf, SPECIES_TABLE, type Species } from '@yaylak/core';
import { makeDemoBook } from '.';

const TODAY = '2026-11-23';
const book = makeDemoBook(dayOf(TODAY));
const animals = new Map(book.animals.map((a) => [a.id, a]));
const ofType = <T extends EntryType>(type: T) =>
  book.entries.filter((e): e is Extract<Entry, { type: T }> => e.type === type);
const births = ofType('birth');
const speciesOf = (id: string): Species => animals.get(id)?.species ?? 'sheep';
const ago = (on: string): number => dayOf(TODAY) - dayOf(on);

it('every birth counts the young that stand in the book, and no mother has two at once', () => {
  const wrong = births.filter((b) => {
    const young = book.animals.filter((a) => a.damId === b.animalId && a.bornOn === b.on);
    const others = births.filter((o) => o.animalId === b.animalId && Math.abs(ago(o.on) - ago(b.on)) < 20);
    return young.length !== b.alive || others.length !== 1;
  });
  expect(wrong).toEqual([]);
  expect(births.length).toBeGreaterThan(40);
});

it('nothing speaks against a birth that has no reason written beside it', () => {
  const asked = births.flatMap((b) => {
    const own = <T extends { animalId: string }>(list: readonly T[]) => list.filter((e) => e.animalId === b.animalId);
    const written = own(births).filter((o) => o.id !== b.id);
    const questions = birthQuestions(
      { on: dayOf(b.on), alive: b.alive, dead: b.dead, species: undefined },
      {
        species: speciesOf(b.animalId),
        bornOn: undefined,
        wasNearMale: () => true,
        births: birthsOf([], written.map((w) => ({ ...w, entryId: w.id, on: dayOf(w.on) })) as never),
        serviceDays: own(ofType('service')).map((s) => dayOf(s.on)),
        tests: own(ofType('pregnancy-test')).map((t) => ({ on: dayOf(t.on), result: t.result, young: t.young })),
      },
      SPECIES_TABLE[speciesOf(b.animalId)],
    );
    return b.reason === undefined ? questions.map((q) => `${b.on} ${speciesOf(b.animalId)} ${q.code}`) : [];
  });
  expect(asked).toEqual([]);
});

it('tells the story of these days', () => {
  const recent = births.filter((b) => ago(b.on) <= 3);
  expect(recent.map((b) => b.ease)).toContain('pulled-hard');
  expect(ofType('afterbirth').map((a) => a.state)).toContain('retained');
  const [fostered] = ofType('fostering');
  expect(animals.get(fostered?.animalId ?? '')).toMatchObject({ birthType: 3 });
  expect(animals.get(fostered?.animalId ?? '')?.damId).not.toBe(fostered?.damId);
  const scoured = ofType('departure').filter((d) => d.cause === 'scour' && ago(d.on) <= 5);
  expect(new Set(scoured.map((d) => animals.get(d.animalId)?.damId)).size).toBe(1);
  expect(scoured).toHaveLength(3);
  const feeds = ofType('feed').filter((f) => speciesOf(f.animalId) === 'rabbit');
  expect(new Set(feeds.map((f) => f.feed)).size).toBe(2);
  expect(feeds.length).toBeGreaterThan(5);
  expect(feeds.every((f) => f.since < f.on && f.kg > 2 && f.kg < 40)).toBe(true);
});
