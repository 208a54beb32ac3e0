import { readRows, type ImportContext } from './importEntries';
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

describe('rows as entries', () => {
  const context = (change: Partial<ImportContext>): ImportContext => ({
    kind: 'weights',
    mapping: { number: 0, on: 1, weight: 2 },
    choices: { unit: 'kg', dateOrder: 'day-month' },
    identifiers: [{ animalId: 'a', text: '7', isPresent: true, isWorn: true }],
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
});
