import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PLACES } from '../nav/placeList';
import { EVERYWHERE } from './everywhere';
import { guideText } from './guideText';
import { searchHelp, sentencesOf, topicAt, TOPICS } from './topics';

const GUIDE = join(__dirname, '../../../../docs/guide/README.md');

it('has help for every place, that says what it is for and how it is done', () => {
  PLACES.forEach((place) => {
    const topic = topicAt(place.to);
    expect(topic.at).toBe(place.to);
    expect(topic.title.startsWith(place.name)).toBe(true);
    expect(topic.steps.length).toBeGreaterThan(2);
  });
});

it.each([
  ['/race', 'race'],
  ['/race/0192', 'race-job'],
  ['/mating/pairing', 'mating'],
  ['/animals/7/pedigree', 'animals'],
  ['/start', 'start'],
  ['/kept', 'today'],
])('opens at %s with %s', (at, id) => expect(topicAt(at).id).toBe(id));

it('names each topic once', () => expect(new Set(TOPICS.map((t) => t.id)).size).toBe(TOPICS.length));

it('finds topics that hold every word, in whatever sentence of theirs', () => {
  expect(searchHelp('Buck rabbit').map((f) => f.topic.id)).toEqual(['mating']);
  expect(searchHelp('needle').map((f) => f.topic.id)).toEqual(expect.arrayContaining(['carrying', 'remedies']));
  expect(searchHelp('selling')[0]).toEqual({ topic: expect.objectContaining({ id: 'selling' }), sentence: 'Selling' });
  expect(searchHelp('red').map((f) => f.topic.id)).toEqual(['animals']);
  expect(searchHelp('  ')).toEqual([]);
  expect(searchHelp('spaceship')).toEqual([]);
});

it.each([
  ['pregnant people', 'births', /nobody who is pregnant/],
  ['transport', 'selling', /not fit to travel/],
  ['killing', 'selling', /Killing/],
  ['lifting', 'race', /lift/],
  ['dust', 'race', /Dust/],
  ['kicking', 'race', /kick/],
  ['males in season', 'mating', /turn your back/],
  ['needles', 'remedies', /needle/],
  ['docking', 'births', /Docking/],
])('warns of %s', (_, id, words) => {
  const topic = TOPICS.find((t) => t.id === id);
  expect(topic?.cautions?.join(' ')).toMatch(words);
});

it('writes every sentence into the guide that is kept with the documents', () => {
  const text = guideText(TOPICS, EVERYWHERE);
  TOPICS.flatMap(sentencesOf).forEach((sentence) => expect(text).toContain(sentence));
  if (process.env.WRITE_GUIDE) writeFileSync(GUIDE, text);
  // `npm run guide` writes it anew.
  expect(readFileSync(GUIDE, 'utf8')).toBe(text);
});
