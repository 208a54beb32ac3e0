import { anEntry } from '../tests/builders';
import { dayAndHour } from './dates';
import { shareText } from './format';
import { hourOf } from './hourOf';
import { entryWords } from './entryWords';
import type { Told } from './lines';

const words = (type: Parameters<typeof anEntry>[0], change: object, told: Partial<Told> = {}) =>
  entryWords(anEntry(type, change), { species: 'goat', unit: 'kg', currency: 'EUR', standards: [], ...told });

it.each([
  [
    words('heat', { at: '2026-11-01T07:30', signs: ['stands', 'tail-wags'] }),
    'Heat, 07:30: stands when mounted, wags the tail',
  ],
  [words('heat', { at: '2026-11-01T18:00', signs: [] }), 'Looked at 18:00: no sign of heat'],
  [
    words('service', { way: 'hand', at: '2026-11-01T18:00', maleIds: ['m'] }, { nameOf: () => 'blue Juniper' }),
    'Served 18:00: blue Juniper',
  ],
  [
    words('service', { way: 'raddle', maleIds: ['m', 'n'], colour: 'red' }, { nameOf: (id) => id.toUpperCase() }),
    'Raddle mark seen: M or N, red mark',
  ],
  [
    words('service', { way: 'insemination', maleIds: [], straw: 'ARD-7', reason: 'no bull' }),
    'Inseminated: straw ARD-7 (no bull)',
  ],
  [words('service', { way: 'hand', maleIds: ['m'], isCheck: true }), 'Offered again, served: a male'],
  [words('stay', { groupId: 'g', colour: 'red' }, { groupName: 'Ewes' }), 'Put with Ewes, red raddle'],
  [words('stay', { groupId: 'g', isTeaser: true }), 'Teaser put with a group'],
  [words('stay-end', { stayId: 's' }), 'Taken out of the group'],
  [words('harness', { stayId: 's', colour: 'blue' }), 'Raddle changed to blue'],
  [words('male-check', { grades: { feet: 'good' }, girthCm: 33.5 }), 'Checked before mating: good, 33.5 cm'],
  [
    words('male-check', { grades: { feet: 'watch', testicles: 'fail' } }),
    'Checked before mating: feet and legs to watch, testicles not fit',
  ],
  [words('gene-test', { gene: 'wry jaw', result: 'carrier' }), 'Gene test, wry jaw: carrier'],
])('%s', (said, expected) => {
  expect(said).toBe(expected);
});

it.each([
  ['2026-11-23T22:00', '22:00'],
  ['2026-11-24T04:00', 'Tue 04:00'],
  ['2026-11-22T18:00', 'Sun 18:00'],
  ['2026-12-04T04:00', '4 Dec 04:00'],
  ['2026-11-12T08:30', '12 Nov 08:30'],
])('beside Monday 23 November, %s is said %s', (at, said) => {
  expect(dayAndHour(at, '2026-11-23')).toBe(said);
});

it('a share has its range and its count', () => {
  expect(shareText({ share: 0.826, low: 0.76, high: 0.884, of: 29 })).toBe('83\u00a0% (76 to 88\u00a0%) of 29');
});

it('a day takes the hour of the device', () => {
  expect(hourOf('2026-11-23', '2026-11-24T07:05')).toBe('2026-11-23T07:05');
});
