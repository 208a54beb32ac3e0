import type { AnimalFacts } from '../../book';
import { dayOf } from '../../calendar';
import { anAnimal } from '../../tests/builders';
import type { DueRow } from './dueRow';
import { joinDue } from './joinDue';

const EWES = Array.from({ length: 12 }, (_, i) => anAnimal(`e${i}`));
const windowTo = (closes: string, opens = '2026-11-20') => ({
  opens: dayOf(opens),
  bestFrom: dayOf('2026-11-22'),
  bestTo: dayOf('2026-11-25'),
  closes: dayOf(closes),
});
const row = (key: string, animals: readonly AnimalFacts[], change: Partial<DueRow> = {}): DueRow => ({
  key,
  task: { kind: 'score' },
  animals,
  species: 'sheep',
  groupId: 'flock',
  window: windowTo('2026-11-30'),
  isOpen: true,
  joins: 'measures',
  ...change,
});
const score = row('score', EWES.slice(0, 10));
const keys = (...rows: DueRow[]) => joinDue(rows).map((due) => due.key);

it('puts measuring on nearly the same animals together, in the window both share', () => {
  const weigh = row('weigh', EWES.slice(2, 11), { window: windowTo('2026-11-26', '2026-11-10') });
  const [one, ...rest] = joinDue([score, weigh]);
  expect(rest).toEqual([]);
  expect(one?.rows.map((r) => r.key)).toEqual(['score', 'weigh']);
  expect(one?.animals).toHaveLength(11);
  expect(one?.window).toMatchObject({ opens: dayOf('2026-11-10'), closes: dayOf('2026-11-26') });
});

it.each<[string, DueRow]>([
  // Seven of nine are both: 78 %.
  ['too few of the same animals', row('weigh', EWES.slice(3, 12))],
  ['another group', row('weigh', EWES.slice(0, 10), { groupId: 'rams' })],
  ['another species', row('weigh', EWES.slice(0, 10), { species: 'goat' })],
  ['work that is not open yet', row('weigh', EWES.slice(0, 10), { isOpen: false })],
  ['no job at the race', row('rams in', EWES.slice(0, 10), { joins: 'nothing' })],
  ['a remedy for one less', row('drench', EWES.slice(0, 9), { joins: 'same-list' })],
])('leaves %s apart', (_, other) => {
  expect(keys(score, other)).toHaveLength(2);
});

it('gives a remedy in the same job only to the very same animals', () => {
  expect(keys(score, row('drench', EWES.slice(0, 10), { joins: 'same-list' }))).toEqual(['score + drench']);
  // Eight of them weighed along would be enough to measure, not to be given something.
  const weigh = row('weigh', EWES.slice(0, 8));
  expect(keys(score, weigh, row('drench', EWES.slice(0, 8), { joins: 'same-list' }))).toEqual([
    'drench',
    'score + weigh',
  ]);
});

it('is one list, what closes first before what closes later', () => {
  const rows = ['2026-12-05', '2026-11-24', '2026-11-28'].map((closes) =>
    row(closes, [], { joins: 'nothing', window: windowTo(closes) }),
  );
  expect(keys(...rows)).toEqual(['2026-11-24', '2026-11-28', '2026-12-05']);
});
