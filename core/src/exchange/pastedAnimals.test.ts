import { dayOf } from '../calendar';
import { readPastedAnimals } from './pastedAnimals';

const read = (text: string) => readPastedAnimals(text, { dateOrder: 'day-month', latest: dayOf('2026-11-23') });
const plain = (text: string) =>
  read(text).animals.map((a) => Object.fromEntries(Object.entries(a).filter(([, value]) => value !== undefined)));

it('takes a column of numbers as it was copied, empty lines left out', () => {
  expect(plain('101\r\n102\n\n 103 \n').map((a) => [a['line'], a['number']])).toEqual([
    [1, '101'],
    [2, '102'],
    [4, '103'],
  ]);
});

it('knows by itself what each cell says, in whatever order', () => {
  expect(plain('24-0012\tewe\t12.3.2024\tNergis\nNane; 2021; doe\n792000000120007, ram, 3.2025')).toEqual([
    { line: 1, number: '24-0012', sex: 'female', bornOn: '2024-03-12', name: 'Nergis' },
    { line: 2, name: 'Nane', sex: 'female', bornOn: '2021-07-01', birthKnownTo: 'year' },
    { line: 3, electronic: '792000000120007', sex: 'male', bornOn: '2025-03-15', birthKnownTo: 'month' },
  ]);
});

it('reads a tag that was scanned beside the number, and a birth this year not after today', () => {
  expect(plain('26-0001, 792000000120001, 2026')[0]).toEqual({
    line: 1,
    number: '26-0001',
    electronic: '792000000120001',
    bornOn: '2026-07-01',
    birthKnownTo: 'year',
  });
});

it.each([
  ['101\n102\n101', { line: 3, text: '101', reason: 'stands-twice' }],
  ['101, 12.3.2027', { line: 1, text: '12.3.2027', reason: 'born-later' }],
  ['101, 40 kg', { line: 1, text: '40 kg', reason: 'not-read' }],
  ['101, Nergis, Nane', { line: 1, text: 'Nane', reason: 'not-read' }],
])('says which line cannot be taken and why: %s', (text, fault) => {
  expect(read(text).faults).toEqual([fault]);
  expect(read(text).animals).toHaveLength(text.split('\n').length - 1);
});
