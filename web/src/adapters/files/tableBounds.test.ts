import { readTable } from './readTable';
import { boundFault } from './tableBounds';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

it.each([
  ['a heading line of a million columns', ','.repeat(1_000_000), { reason: 'too-many-columns' }],
  ['a line of 19 MB', `number,note\n26-0001,${'x'.repeat(19_000_000)}`, { reason: 'endless-cell', line: 2 }],
  [
    'a quote that is not closed',
    `number,note\n26-0001,"calm\n${'26-0002,wild\n'.repeat(50_000)}`,
    { reason: 'endless-cell', line: 2 },
  ],
  ['a quote open at the end', 'number,note\n26-0001,"calm', { reason: 'endless-cell', line: 2 }],
])('refuses %s at once', (_, text, fault) => {
  expect(boundFault(text, ',')).toEqual(fault);
  expect(readTable(bytes(text))).toMatchObject({ kind: 'refused', ...fault });
});

it.each([
  ['quotes doubled', 'a,b\n"the ""old"" ewe",2\n'],
  ['line ends in a cell', 'a,b\r\n"two\r\nlines",2\r\n'],
  ['a quote inside a word', 'a,b\n5" tag,2\n'],
  ['old line ends', 'a,b\r1,2\r'],
])('lets %s through', (_, text) => expect(boundFault(text, ',')).toBeUndefined());

it.each([
  ['little end first', 'utf-16le', [0xff, 0xfe]],
  ['big end first', 'utf-16be', [0xfe, 0xff]],
] as const)('reads UTF-16 %s', (_, encoding, mark) => {
  const text = 'number;name\n26-0001;Çiğdem\n';
  const words = [...text].map((c) => c.charCodeAt(0));
  const body = words.flatMap((w) => (encoding === 'utf-16le' ? [w & 255, w >> 8] : [w >> 8, w & 255]));
  expect(readTable(new Uint8Array([...mark, ...body]))).toMatchObject({
    kind: 'table',
    table: { encoding, headings: ['number', 'name'], rows: [['26-0001', 'Çiğdem']] },
  });
});

it('says of UTF-16 without a mark that it is not text it can read', () => {
  const body = [...'number,name\n1,x'].flatMap((c) => [c.charCodeAt(0), 0]);
  expect(readTable(new Uint8Array(body))).toMatchObject({ kind: 'refused', reason: 'not-text' });
});
