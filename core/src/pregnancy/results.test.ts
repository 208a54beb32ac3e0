import { matchResults, readResult, type ResultMatch, type ResultRow, type TubeSent } from '.';

const tube = (n: number, change: Partial<TubeSent> = {}): TubeSent => ({
  sampleId: `s${n}`,
  tube: `B-00${n}`,
  animalId: `a${n}`,
  numbers: [`G-01${n}`, `79200000012000${n}`],
  purpose: 'pregnancy',
  probability: 0.9,
  ...change,
});
const row = (n: number, result: string, change: Partial<ResultRow> = {}): ResultRow => ({
  line: n + 1,
  tube: `B-00${n}`,
  animal: '',
  result,
  gene: '',
  ...change,
});
const told = (m: ResultMatch): string =>
  m.kind === 'missing'
    ? `${m.sent.tube} missing`
    : m.kind === 'unknown-tube'
      ? `${m.row.tube} unknown`
      : `${m.sent.tube} ${m.kind === 'look' ? m.doubt.kind : (m.read.result as string)}`;

it('reads results by the number on the tube, and says what does not fit', () => {
  const sent = [tube(1), tube(2), tube(3), tube(4), tube(5, { probability: undefined })];
  const rows = [
    row(1, 'Positive', { animal: 'g-011' }),
    row(2, ' Not  pregnant ', { tube: 'b002' }),
    row(3, 'repeat'),
    row(9, 'positive'),
    row(5, 'maybe so'),
  ];
  expect(matchResults(sent, rows).map(told)).toEqual([
    'B-001 carrying',
    'B-002 empty',
    'B-003 doubtful',
    'B-009 unknown',
    'B-005 unreadable',
    'B-004 missing',
  ]);
});

it('holds a tube for a look where the laboratory names the animal of another', () => {
  const [first, second] = matchResults(
    [tube(1), tube(2)],
    [row(1, 'positive', { animal: 'G-012' }), row(2, 'negative', { animal: '79200000012000 1' })],
  );
  expect(first).toMatchObject({ kind: 'look', doubt: { kind: 'other-animal', other: { sampleId: 's2' } } });
  expect(second).toMatchObject({ kind: 'look', doubt: { kind: 'other-animal', other: { sampleId: 's1' } } });
  const [stranger] = matchResults([tube(1)], [row(1, 'positive', { animal: 'X-1' })]);
  expect(stranger).toMatchObject({ kind: 'look', doubt: { kind: 'other-animal', animal: 'X-1', other: undefined } });
});

it('holds neighbours that would both fit if they were exchanged', () => {
  const sent = [tube(1, { probability: 0.98 }), tube(2, { probability: 0.04 }), tube(3)];
  const matches = matchResults(sent, [row(1, 'negative'), row(2, 'positive'), row(3, 'positive')]);
  expect(matches.map(told)).toEqual(['B-001 looks-swapped', 'B-002 looks-swapped', 'B-003 carrying']);
  // One alone against what is known is evidence, and no exchange.
  expect(
    matchResults([tube(1, { probability: 0.98 }), tube(3)], [row(1, 'negative'), row(3, 'positive')]).map(told),
  ).toEqual(['B-001 empty', 'B-003 carrying']);
});

it('takes the same line twice as one, and two results of one tube as a question', () => {
  expect(matchResults([tube(1)], [row(1, 'positive'), row(1, 'positive', { line: 3 })]).map(told)).toEqual([
    'B-001 carrying',
  ]);
  expect(matchResults([tube(1)], [row(1, 'positive'), row(1, 'negative', { line: 3 })]).map(told)).toEqual([
    'B-001 carrying',
    'B-001 twice',
  ]);
});

it('reads a gene result by the same door, for tubes taken for it', () => {
  const gene = tube(1, { purpose: 'gene' });
  const [good] = matchResults([gene], [row(1, 'Carrier', { gene: 'wry jaw' })]);
  expect(good).toMatchObject({ kind: 'good', read: { kind: 'gene', result: 'carrier' } });
  // A gene's result of a tube taken for pregnancy, and the other way round, is not written down unseen.
  expect(matchResults([tube(1)], [row(1, 'carrier', { gene: 'wry jaw' })]).map(told)).toEqual(['B-001 unreadable']);
  expect(matchResults([gene], [row(1, 'positive')]).map(told)).toEqual(['B-001 unreadable']);
});

it.each([
  ['+', 'carrying'],
  ['IN YOUNG', 'carrying'],
  ['open', 'empty'],
  ['?', 'doubtful'],
])('reads %s as %s', (word, result) => {
  expect(readResult({ result: word, gene: '' })).toEqual({ kind: 'pregnancy', result });
});
it('knows no result in a number', () => {
  expect(readResult({ result: '0.31', gene: '' })).toBeUndefined();
  expect(readResult({ result: 'positive', gene: 'wry jaw' })).toBeUndefined();
});
