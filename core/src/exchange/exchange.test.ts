import fc from 'fast-check';
import {
  guessColumns,
  guessUnit,
  neutralCell,
  notesText,
  plainCell,
  readAnimalRow,
  readTypedNumber,
  readCarcassRow,
  readWeightRow,
} from '.';

describe('figures as typed', () => {
  it.each([
    ['12.5', 12.5],
    ['12,5', 12.5],
    ['1 234,5', 1234.5],
    ['1.234,5', 1234.5],
    ['1,234.5', 1234.5],
    ['-3', -3],
  ])('%s is %f', (text, n) => {
    expect(readTypedNumber(text)).toEqual({ kind: 'number', value: n });
  });
  it.each([
    '',
    'heavy',
    '12kg',
    '1.2.3,4,5',
    '=1+1',
    '1.2.5',
    '12.5.1',
    '41..5',
    '4,1,5',
    '12 5',
    '1.23,4',
    '1 2345',
    '.',
    '5..',
  ])('refuses %s', (text) => {
    expect(readTypedNumber(text).kind).toBe('refused');
  });
});

describe('columns', () => {
  it('are guessed from headings people use', () => {
    expect(guessColumns('weights', ['Date', 'Ear tag', 'Weight (kg)', 'Remarks'])).toEqual({
      number: 1,
      on: 0,
      weight: 2,
    });
    expect(
      guessColumns('animals', [
        'number',
        'colour',
        'electronic',
        'name',
        'species',
        'sex',
        'born',
        'born as',
        'reared as',
        'dam',
        'sire',
        'group',
      ]),
    ).toEqual({
      number: 0,
      colour: 1,
      electronic: 2,
      name: 3,
      species: 4,
      sex: 5,
      bornOn: 6,
      birthType: 7,
      rearingType: 8,
      dam: 9,
      sire: 10,
      group: 11,
    });
  });
});

it('the heading of the weights says their unit', () => {
  const unitOf = (heading: string) => guessUnit({ weight: 1 }, ['number', heading]);
  expect(['weight kg', 'Weight (lb)', 'Lbs', 'Weight', 'kgs'].map(unitOf)).toEqual(['kg', 'lb', 'lb', undefined, 'kg']);
  expect(guessUnit({}, ['number'])).toBeUndefined();
});

describe('a row of an animal', () => {
  const FIELDS = ['species', 'sex', 'arrivedOn', 'leftOn', 'leftHow', 'notes', 'group', 'breed', 'bought'] as const;
  const read = (cells: Partial<Record<(typeof FIELDS)[number], string>>) =>
    readAnimalRow(
      FIELDS.map((f) => ({ species: 'sheep', sex: 'female', ...cells })[f] ?? ''),
      Object.fromEntries(FIELDS.map((f, i) => [f, i])),
      { unit: 'kg', dateOrder: 'day-month' },
    );
  it('needs no number', () => {
    expect(read({ group: 'Back field', breed: 'Hill', bought: '1 140,50' })).toMatchObject({
      kind: 'row',
      row: { number: undefined, group: 'Back field', breed: 'Hill', boughtMinor: 114_050, left: undefined },
    });
  });
  it('says what was paid for it, and names what is no sum', () => {
    expect(read({ bought: 'gift' })).toMatchObject({
      fault: { field: 'bought', value: 'gift', reason: 'not-a-number' },
    });
    expect(read({ bought: '-5' })).toMatchObject({ fault: { field: 'bought', value: '-5', reason: 'below-zero' } });
  });
  it('says when and how it left, both or neither', () => {
    expect(read({ leftOn: '1.11.2026', leftHow: 'Sold' })).toMatchObject({
      row: { left: { on: '2026-11-01', how: 'sold' } },
    });
    expect(read({ leftOn: '1.11.2026' })).toMatchObject({ fault: { field: 'leftHow', reason: 'missing' } });
    expect(read({ leftHow: 'sold' })).toMatchObject({ fault: { field: 'leftOn', reason: 'missing' } });
    expect(read({ leftOn: '1.11.2026', leftHow: 'flew' })).toMatchObject({
      fault: { field: 'leftHow', value: 'flew', reason: 'unknown-word' },
    });
    expect(read({ arrivedOn: '31.2.2026' })).toMatchObject({ fault: { field: 'arrivedOn', reason: 'not-a-date' } });
  });
  it('has notes with their days, or without', () => {
    const notes = [{ on: '2026-11-02', text: 'limps: left fore' }, { text: 'good mother' }];
    expect(notesText(notes)).toBe('2026-11-02: limps: left fore | good mother');
    expect(read({ notes: notesText(notes) })).toMatchObject({ row: { notes } });
    expect(read({ notes: '2026-02-30: odd' })).toMatchObject({ row: { notes: [{ text: '2026-02-30: odd' }] } });
  });
});

describe('rows', () => {
  const mapping = { number: 0, on: 1, weight: 2 };
  const resolve = (n: string) => (n === '7' ? ({ kind: 'one', animalId: 'a' } as const) : ({ kind: 'none' } as const));
  const read = (...cells: string[]) => readWeightRow(cells, mapping, { unit: 'lb', dateOrder: 'day-month' }, resolve);
  it('turn pounds into kilograms', () => {
    expect(read('7', '31.03.2026', '100')).toEqual({
      kind: 'row',
      row: { animalId: 'a', on: '2026-03-31', kg: 45.359237, method: 'scale' },
    });
  });
  it.each([
    [['', '31.03.2026', '1'], 'number', 'missing'],
    [['8', '31.03.2026', '1'], 'number', 'unknown-animal'],
    [['7', '29.02.2026', '1'], 'on', 'not-a-date'],
    [['7', '31.03.2026', 'x'], 'weight', 'not-a-number'],
    [['7', '31.03.2026'], 'weight', 'missing'],
  ])('%j: %s is %s', (cells, field, reason) => {
    expect(read(...cells)).toMatchObject({ kind: 'fault', fault: { field, reason } });
  });
  it('of a stick or crate are found by the electronic number, with the time of day left out', () => {
    const resolveAll = (number: string) =>
      number === '792000000126031' ? { kind: 'one' as const, animalId: 'b' } : { kind: 'none' as const };
    const columns = guessColumns('weights', ['EID', 'Date', 'Time', 'Weight']);
    expect(columns).toEqual({ number: 0, on: 1, weight: 3 });
    for (const [number, date] of [
      ['792 000000126031', '2026-11-23'],
      ['A0000000 792000000126031', '2026-11-23 08:31:05'],
      ['792.000.000.126.031', '23.11.2026 8:31'],
    ] as const)
      expect(
        readWeightRow([number, date, '08:31:05', '41.2'], columns, { unit: 'kg', dateOrder: 'day-month' }, resolveAll),
      ).toEqual({ kind: 'row', row: { animalId: 'b', on: '2026-11-23', kg: 41.2, method: 'scale' } });
  });
  it('understand the field’s words for species and sex', () => {
    const animal = readAnimalRow(
      ['K-1', 'Rabbits', 'does'],
      { number: 0, species: 1, sex: 2 },
      { unit: 'kg', dateOrder: 'day-month' },
    );
    expect(animal).toMatchObject({ kind: 'row', row: { species: 'rabbit', sex: 'female' } });
    expect(
      readAnimalRow(['K-1', 'dragon', 'f'], { number: 0, species: 1, sex: 2 }, { unit: 'kg', dateOrder: 'day-month' }),
    ).toMatchObject({
      fault: { field: 'species', reason: 'unknown-word' },
    });
  });
});

describe('a line of a kill sheet', () => {
  const headings = ['Tag', 'Killed', 'Cold weight kg', 'Conformation', 'Fat', 'Price/kg', 'Value', 'Levy'];
  const mapping = guessColumns('carcasses', headings);
  const read = (...cells: string[]) =>
    readCarcassRow(cells, mapping, { unit: 'kg', dateOrder: 'day-month' }, (number) =>
      number === '26-0031' ? { kind: 'one', animalId: 'lamb' } : { kind: 'none' },
    );

  it('has its columns guessed, and no price a kilogram taken for that of the head', () => {
    expect(mapping).toEqual({ number: 0, on: 1, carcass: 2, shape: 3, fat: 4, price: 6, deducted: 7 });
  });

  it('gives weight, class in thirds and money in hundredths; what is empty is left out', () => {
    expect(read('26-0031', '10.11.2026', '20,4', 'R+', '3L', '6.10', '124.44', '2.4')).toEqual({
      kind: 'row',
      row: {
        animalId: 'lamb',
        on: '2026-11-10',
        carcassKg: 20.4,
        shape: 9,
        fat: 8,
        priceMinor: 12_444,
        deductedMinor: 240,
      },
    });
    expect(read('26-0031', '10.11.2026', '20.4')).toEqual({
      kind: 'row',
      row: { animalId: 'lamb', on: '2026-11-10', carcassKg: 20.4 },
    });
  });

  it.each([
    [['26-0099', '10.11.2026', '20.4'], 'number', 'unknown-animal'],
    [['26-0031', '31.2.2026', '20.4'], 'on', 'not-a-date'],
    [['26-0031', '10.11.2026', ''], 'carcass', 'missing'],
    [['26-0031', '10.11.2026', '20.4', 'S'], 'shape', 'unknown-word'],
    [['26-0031', '10.11.2026', '20.4', 'R', '6'], 'fat', 'unknown-word'],
    [['26-0031', '10.11.2026', '20.4', 'R', '3', '', 'much'], 'price', 'not-a-number'],
    [['26-0031', '10.11.2026', '20.4', 'R', '3', '', '120', '-2.40'], 'deducted', 'below-zero'],
  ])('%j is held: %s, %s', (cells, field, reason) => {
    expect(read(...cells)).toMatchObject({ kind: 'fault', fault: { field, reason } });
  });
});

describe('cells that a spreadsheet would run', () => {
  it.each([
    ['=SUM(A1)', "'=SUM(A1)"],
    ['@cmd', "'@cmd"],
    ['-12.5', '-12.5'],
    ['-x', "'-x"],
    ['26-0031', '26-0031'],
    [' =1+1', "' =1+1"],
    ['\u00a0@cmd', "'\u00a0@cmd"],
    ['\n=1+1', "'\n=1+1"],
    ['\u200b=1+1', "'\u200b=1+1"],
    ['＝1+1', "'＝1+1"],
    ['＋1', "'＋1"],
    [' calm', ' calm'],
  ])('%s is written %s', (text, written) => {
    expect(neutralCell(text)).toBe(written);
  });
  it('read back as what was written', () => {
    fc.assert(
      fc.property(
        fc.string().filter((s) => !s.startsWith("'")),
        (text) => expect(plainCell(neutralCell(text))).toBe(text),
      ),
    );
  });
});
