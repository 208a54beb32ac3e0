import { readRows, type BookNumber, type ImportContext } from './importEntries';
import { readTable } from '../../adapters/files/readTable';

const bytes = (text: string): Uint8Array => new Uint8Array(Buffer.from(text, 'utf8'));
const table = (file: Uint8Array) => {
  const answer = readTable(file);
  if (answer.kind !== 'table') throw new Error(answer.reason);
  return answer.table;
};

describe('a file', () => {
  it.each([
    ['a mark, semicolons and CRLF', bytes('\ufeffnumber;weight\r\n7;12,5\r\n'), [['7', '12,5']]],
    ['quotes with a line end inside', bytes('number,name\n7,"Big\n""Nergis"""\n'), [['7', 'Big\n"Nergis"']]],
    ['tabs', bytes('number\tweight\n7\t12\n'), [['7', '12']]],
    ['cells written so that no spreadsheet runs them', bytes("number,name\n7,'=SUM\n"), [['7', '=SUM']]],
  ])('with %s is read', (_, file, rows) => {
    expect(table(file).rows).toEqual(rows);
  });
  it('that is not UTF-8 is read as Windows-1254 and says so', () => {
    const file = new Uint8Array([...bytes('number,name\n7,'), 0xc7, 0x69, 0xf0]); // Çiğ
    expect(table(file)).toMatchObject({ encoding: 'windows-1254', rows: [['7', 'Çiğ']] });
  });
  it.each([
    [bytes(''), 'empty'],
    [bytes(' \n'), 'empty'],
    [bytes('number\n'), 'only-headings'],
    [new Uint8Array([1, 0, 2]), 'not-text'],
    [new Uint8Array(21_000_000), 'too-large'],
  ])('%#: %s', (file, reason) => {
    expect(readTable(file)).toMatchObject({ kind: 'refused', reason });
  });
});

const aNumber = (text: string, change: Partial<BookNumber> = {}): BookNumber => ({
  animalId: `id of ${text}`,
  text,
  isPresent: true,
  isWorn: true,
  colour: null,
  species: 'sheep',
  sex: 'female',
  ...change,
});

describe('rows as entries', () => {
  const context = (change: Partial<ImportContext>): ImportContext => ({
    kind: 'weights',
    mapping: { number: 0, on: 1, weight: 2 },
    choices: { unit: 'kg', dateOrder: 'day-month' },
    identifiers: [aNumber('7', { animalId: 'a' })],
    takesParents: false,
    groups: [],
    today: '2026-11-23',
    writtenBy: 'Aylin',
    ...change,
  });
  it('have the same ids each time, and other ids for other facts', () => {
    const ids = (rows: string[][]) => readRows(rows, context({})).good.flatMap((r) => r.entries.map((e) => e.id));
    expect(ids([['7', '1.11.2026', '12,5']])).toEqual(ids([['7', '2026-11-01', '12.50']]));
    expect(ids([['7', '1.11.2026', '12,5']])).not.toEqual(ids([['7', '1.11.2026', '12,6']]));
  });
  it('name the line of the file that is bad and skip blank ones', () => {
    const { good, bad } = readRows(
      [
        ['7', '1.11.2026', '12'],
        ['', '', ''],
        ['8', '1.11.2026', '12'],
      ],
      context({}),
    );
    expect(good.map((r) => r.line)).toEqual([2]);
    expect(bad).toMatchObject([{ line: 4, fault: { field: 'number', reason: 'unknown-animal' } }]);
  });
  it('put animals behind their parents, wherever these stand in the file', () => {
    const mapping = { number: 0, species: 1, sex: 2, dam: 3 };
    const { good, bad } = readRows(
      [
        ['3', 'sheep', 'f', '2'],
        ['2', 'sheep', 'f', '1'],
        ['1', 'sheep', 'f', ''],
        ['4', 'sheep', 'f', '99'],
      ],
      context({ kind: 'animals', mapping }),
    );
    expect(good.map((r) => r.line)).toEqual([4, 3, 2]);
    expect(bad).toMatchObject([{ line: 5, fault: { field: 'dam', value: '99' } }]);
  });

  describe('of animals', () => {
    const FIELDS = [
      'number',
      'colour',
      'species',
      'sex',
      'bornOn',
      'dam',
      'group',
      'name',
      'leftOn',
      'leftHow',
    ] as const;
    type Cells = Partial<Record<(typeof FIELDS)[number], string>>;
    const read = (rows: readonly Cells[], change: Partial<ImportContext> = {}) =>
      readRows(
        rows.map((cells) => FIELDS.map((f) => ({ species: 'sheep', sex: 'female', ...cells })[f] ?? '')),
        context({
          kind: 'animals',
          mapping: Object.fromEntries(FIELDS.map((f, i) => [f, i])),
          identifiers: [],
          takesParents: true,
          ...change,
        }),
      );
    const arrivals = ({ good }: ReturnType<typeof read>) =>
      good.flatMap((r) => r.entries.flatMap((e) => (e.type === 'arrival' ? [e] : [])));

    it('without a number are each one of its own, the same again', () => {
      const lamb = { dam: '1', bornOn: '2026-11-01' };
      const rows = [{ number: '1' }, lamb, lamb];
      const ids = arrivals(read(rows)).map((a) => a.animalId);
      expect(new Set(ids).size).toBe(3);
      expect(arrivals(read(rows)).map((a) => a.animalId)).toEqual(ids);
      expect(
        read(rows)
          .good.flatMap((r) => r.entries)
          .filter((e) => e.type === 'identifier'),
      ).toHaveLength(1);
    });
    it('with the number of another one are not taken for it; the same row twice is', () => {
      const old = { number: '7', colour: 'red', bornOn: '2015', leftOn: '2019-01-01', leftHow: 'sold' };
      const young = { number: '7', colour: 'red', bornOn: '2024-04-01' };
      expect(new Set(arrivals(read([old, young, young])).map((a) => a.animalId)).size).toBe(2);
    });
    it('ask for the groups they stand in, those of one species for it', () => {
      const { newGroups, good } = read(
        [
          { number: '1', group: 'Back field' },
          { number: '2', group: 'back field', species: 'goat' },
          { number: '3', group: 'Fold' },
          { number: '4', group: 'Kept' },
        ],
        { groups: [{ id: 'g', name: 'kept' }] },
      );
      expect(newGroups).toMatchObject([{ name: 'Back field' }, { name: 'Fold', species: 'sheep' }]);
      expect(newGroups[0]).not.toHaveProperty('species');
      const moves = good.flatMap((r) => r.entries.flatMap((e) => (e.type === 'move' ? [e.groupId] : [])));
      expect(moves).toEqual([newGroups[0]?.id, newGroups[0]?.id, newGroups[1]?.id, 'g']);
    });
    it('take a dam that is nowhere else as known by her number, not here, from her first young on', () => {
      const rows = [
        { number: '2', dam: '19-0004', bornOn: '2022-04-02' },
        { number: '1', dam: '19-0004', bornOn: '2021-04-01' },
      ];
      const answer = read(rows);
      expect(answer.knownParents).toEqual(['19-0004']);
      const [of2, of1] = answer.good;
      expect(of2?.entries.slice(0, 3)).toEqual(of1?.entries.slice(0, 3));
      expect(of2?.entries).toMatchObject([
        { type: 'arrival', how: 'named', sex: 'female', on: '2021-04-01' },
        { type: 'identifier', text: '19-0004' },
        { type: 'departure', how: 'elsewhere', on: '2021-04-01' },
        { type: 'arrival', how: 'born', damId: of2?.entries[0]?.type === 'arrival' && of2.entries[0].animalId },
        { type: 'identifier', text: '2' },
      ]);
      expect(read(rows, { takesParents: false }).bad).toMatchObject([
        { line: 2, fault: { field: 'dam', value: '19-0004', reason: 'unknown-animal' } },
        { line: 3 },
      ]);
    });
    it('find the dam that fits among those of a number: by species, sex, age and colour', () => {
      const rows = [
        { number: '7', colour: 'red', bornOn: '2020' },
        { number: '7', colour: 'blue', bornOn: '2020', name: 'Nergis' },
        { number: '7', species: 'goat' },
        { number: '7', sex: 'male' },
        { number: '7', colour: 'green', bornOn: '2025' },
        { number: '20', dam: '7', bornOn: '2024-04-01' },
        { number: '21', dam: 'blue 7', bornOn: '2024-04-01' },
        { number: '22', dam: 'Nergis', bornOn: '2024-04-01' },
      ];
      const answer = read(rows);
      const damOf = (number: string) =>
        arrivals(answer).find((a) =>
          answer.good.some((r) =>
            r.entries.some((e) => e.type === 'identifier' && e.animalId === a.animalId && e.text === number),
          ),
        )?.damId;
      const blue = answer.good.flatMap((r) => r.entries).find((e) => e.type === 'identifier' && e.kind === 'name');
      expect([damOf('21'), damOf('22')]).toEqual([
        blue?.type === 'identifier' && blue.animalId,
        blue?.type === 'identifier' && blue.animalId,
      ]);
      expect(answer.bad).toMatchObject([{ line: 7, fault: { field: 'dam', value: '7', reason: 'several-animals' } }]);
    });
  });

  it('of weights tell two tags of a number apart by the colour beside it', () => {
    const identifiers = [
      aNumber('7', { animalId: 'red one', colour: 'red' }),
      aNumber('7', { animalId: 'blue one', colour: 'blue' }),
    ];
    const mapping = { number: 0, colour: 1, on: 2, weight: 3 };
    const { good, bad } = readRows(
      [
        ['7', 'blue', '1.11.2026', '12'],
        ['7', '', '1.11.2026', '12'],
      ],
      context({ identifiers, mapping }),
    );
    expect(good.flatMap((r) => r.entries)).toMatchObject([{ animalId: 'blue one' }]);
    expect(bad).toMatchObject([{ line: 3, fault: { reason: 'several-animals' } }]);
  });
});

describe('a kill sheet', () => {
  const left = (text: string): BookNumber => aNumber(text, { isPresent: false });
  const sheet: ImportContext = {
    kind: 'carcasses',
    mapping: { number: 0, on: 1, carcass: 2 },
    choices: { unit: 'kg', dateOrder: 'day-month' },
    identifiers: [left('26-0031'), left('26-0032'), aNumber('26-0031', { animalId: 'another' })],
    groups: [],
    takesParents: true,
    today: '2026-11-23',
    writtenBy: 'Ayla',
  };
  const rows = (...lines: string[][]) => readRows(lines, sheet);

  it('speaks of those that left, whoever wears the number now', () => {
    const [one] = rows(['26-0031', '10.11.2026', '20.4']).good;
    expect(one?.entries).toMatchObject([
      { type: 'carcass', animalId: 'id of 26-0031', on: '2026-11-10', carcassKg: 20.4, source: 'import' },
    ]);
  });

  it('has one that stands twice held back in both lines, the others taken, and the same line twice taken once', () => {
    const { good, bad } = rows(
      ['26-0031', '10.11.2026', '20.4'],
      ['26-0032', '10.11.2026', '19'],
      ['26-0031', '10.11.2026', '21.7'],
      ['26-0032', '10.11.2026', '19'],
    );
    expect(bad).toEqual(
      [2, 4].map((line) => ({
        line,
        fault: { field: 'number', value: '26-0031', reason: 'stands-twice', known: ['2', '4'] },
      })),
    );
    expect(new Set(good.map((g) => g.entries[0]?.id)).size).toBe(1);
  });
});
