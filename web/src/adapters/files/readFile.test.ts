import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { aWorkbook, figure, serial, text } from '../../tests/aWorkbook';
import { readFile } from './readFile';
import { workbookOf } from './writeSheet';

const HEADINGS = text('A1', 'Number') + text('B1', 'Born') + text('C1', 'Weight') + text('D1', 'Chip');

it('reads the first sheet of a workbook: days as dates, figures as they are kept, a chip without losing a digit', async () => {
  const answer = await readFile(
    aWorkbook([
      HEADINGS,
      text('A2', '24-0012') +
        figure('B2', serial('2024-02-29'), 1) +
        figure('C2', 61.5) +
        figure('D2', 792000000120001),
      text('A3', '24-0013') + figure('C3', 60),
      text('A4', ''),
    ]),
  );
  expect(answer).toMatchObject({
    kind: 'table',
    table: {
      headings: ['Number', 'Born', 'Weight', 'Chip'],
      rows: [
        ['24-0012', '2024-02-29', '61.5', '792000000120001'],
        ['24-0013', '', '60', ''],
      ],
    },
  });
});

it('reads text as text, whatever its name', async () => {
  expect(await readFile(strToU8('Number,Weight\n24-0012,61.5\n'))).toMatchObject({
    kind: 'table',
    table: { rows: [['24-0012', '61.5']] },
  });
});

it.each([
  ['an archive that is no workbook', zipSync({ 'a.txt': strToU8('hay') }), 'not-a-workbook'],
  ['a broken archive', new Uint8Array([0x50, 0x4b, 0x03, 0x04, 1, 2, 3]), 'not-a-workbook'],
  ['headings alone', aWorkbook([HEADINGS]), 'only-headings'],
])('refuses %s', async (_, bytes, reason) => {
  expect(await readFile(bytes)).toMatchObject({ kind: 'refused', reason });
});

it('does not unpack a small file that would fill the memory', async () => {
  const bomb = aWorkbook([HEADINGS, text('A2', '1')], { 'xl/media/zeros.bin': new Uint8Array(101_000_000) });
  expect(bomb.length).toBeLessThan(1_000_000);
  expect(await readFile(bomb)).toMatchObject({ kind: 'refused', reason: 'too-large' });
});

it('reads what it wrote: figures, days, numbers that begin with a nought, and nothing that is reckoned', async () => {
  const csv = '\ufeffnumber,born,lastKg,dam,notes\r\n0012,2024-02-29,61.5,24,"big, old"\r\n0013,,60,,\'=1+1\r\n';
  const bytes = new Uint8Array(await (await workbookOf(csv)).arrayBuffer());
  expect(await readFile(bytes)).toMatchObject({
    kind: 'table',
    table: {
      headings: ['number', 'born', 'lastKg', 'dam', 'notes'],
      rows: [
        ['0012', '2024-02-29', '61.5', '24', 'big, old'],
        ['0013', '', '60', '', '=1+1'],
      ],
    },
  });
  const sheet = strFromU8(unzipSync(bytes)['xl/worksheets/sheet1.xml'] ?? new Uint8Array());
  expect(sheet).toContain('<v>61.5</v>');
  expect(sheet).not.toContain('<f>');
});
