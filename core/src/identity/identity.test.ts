import fc from 'fast-check';
import {
  areOverlapping,
  blanksIn,
  blanksLeft,
  nextFreeNumbers,
  numberDoubt,
  numbersToFit,
  readElectronicNumber,
  readTemplate,
  resolveIdentifier,
  searchAnimals,
  searchIdentifiers,
  spacedDigits,
} from '.';

describe('electronic numbers', () => {
  it.each([
    ['792000000126031', '792000000126031', 'country'],
    ['792 000 000 126 031', '792000000126031', 'country'],
    ['A0000000 792000000126031', '792000000126031', 'country'],
    ['999000000000001', '999000000000001', 'test'],
    ['982274877906943', '982274877906943', 'maker'],
    // Worked by hand: bit 1 set, country 792 = 0x318, national 126031 = 0x1EC4F; 792 x 2^38 + 126031.
    ['0x8000C6000001EC4F', '792000000126031', 'country'],
  ])('reads %s', (typed, digits, prefix) => {
    expect(readElectronicNumber(typed)).toEqual({ kind: 'number', digits, prefix });
  });

  it.each([
    ['', 'empty'],
    ['79200000012603', 'wrong-length'], // 14 digits
    // One digit too many is a slip, and never a frame that means another animal.
    ['0792000000126031', 'wrong-length'],
    ['8000792000000126', 'wrong-length'],
    ['8000C6000001EC4F', 'letters'],
    ['79200000O126031', 'letters'],
    ['792274877906944', 'national-too-high'], // 2^38
    ['000000000126031', 'no-such-prefix'],
    ['0x0000C6000001EC4F', 'not-an-animals'],
  ])('refuses %s: %s', (typed, reason) => {
    expect(readElectronicNumber(typed)).toMatchObject({ kind: 'refused', reason });
  });

  it('reads back what it spaced, for any number', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 998 }), fc.bigInt({ min: 0n, max: 274877906943n }), (country, national) => {
        const digits = `${String(country).padStart(3, '0')}${String(national).padStart(12, '0')}`;
        expect(readElectronicNumber(spacedDigits(digits))).toMatchObject({ digits });
      }),
    );
  });
});

describe('number templates', () => {
  const context = { year: 2026, speciesLetter: 'S', sexLetter: 'F' };
  const next = (template: string, used: string[], count = 1): string[] => {
    const read = readTemplate(template);
    if (read.kind === 'refused') throw new Error(read.reason);
    return nextFreeNumbers(read.parts, context, used, count);
  };
  it.each([
    ['{YY}-{NNNN}', ['26-0030', '26-0031', '25-0100'], '26-0032'],
    ['{YY}-{NNNN}', ['25-0100'], '26-0001'],
    ['{SPECIES}{SEX}{NN}', ['SF99'], 'SF100'],
    ['K-{YYYY}/{N}', ['k 2026 4'], 'K-2026/5'],
    ['A.{NN}', ['AX07'], 'A.01'], // the point is a point
  ])('%s after %j is %s', (template, used, free) => {
    expect(next(template, used)).toEqual([free]);
  });

  it('never reuses a number, not even one whose gap is free', () => {
    expect(next('{YY}-{NN}', ['26-05', '26-03'], 3)).toEqual(['26-06', '26-07', '26-08']);
  });

  it.each([
    ['', 'empty'],
    ['{YY}', 'no-running-number'],
    ['{NN}{NN}', 'two-running-numbers'],
    ['{AGE}{N}', 'unknown-field'],
  ])('refuses %s: %s', (template, reason) => {
    expect(readTemplate(template)).toMatchObject({ kind: 'refused', reason });
  });
});

describe('what is asked before a number is fitted', () => {
  const worn = [
    { animalId: 'a', kind: 'visual', text: '26-0031', colour: 'yellow', isPresent: true, isWorn: true },
    { animalId: 'b', kind: 'visual', text: '26-0032', colour: 'yellow', isPresent: true, isWorn: false },
    { animalId: 'c', kind: 'visual', text: '26-0033', colour: 'yellow', isPresent: false, isWorn: true },
    { animalId: 'a', kind: 'electronic', text: '792000000126031', colour: null, isPresent: true, isWorn: true },
  ] as const;
  it.each([
    [
      'another colour of one worn here',
      { text: '26 0031', colour: 'red' },
      { kind: 'other-colour', animalId: 'a', colour: 'yellow' },
    ],
    ['a colour that is not said', { text: '26-0031' }, { kind: 'other-colour', animalId: 'a', colour: 'yellow' }],
    // The very same tag is no question: the book refuses it.
    ['the same tag', { text: '26-0031', colour: 'yellow' }, undefined],
    ['its own', { text: '26-0031', colour: 'red', animalId: 'a' }, undefined],
    ['one another lost', { text: '26-0032', colour: 'yellow' }, { kind: 'lost-by', animalId: 'b' }],
    ['one of an animal that is gone', { text: '26-0033', colour: 'blue' }, { kind: 'worn-by-gone', animalId: 'c' }],
    ['an electronic one, colour or not', { kind: 'electronic', text: '792 000000126031', colour: 'red' }, undefined],
    ['a free one', { text: '26-0034' }, undefined],
  ] as const)('%s', (_, tag, doubt) => {
    expect(numberDoubt(worn, { kind: 'visual', ...tag })).toEqual(doubt);
  });
});

describe('the numbers to fit next', () => {
  const read = readTemplate('{YY}-{NNNN}');
  const parts = read.kind === 'template' ? read.parts : [];
  const bags = [
    { colour: 'green', first: '26-0040', last: '26-0043' },
    { colour: 'pink', first: '26-0101', last: '26-0199' },
  ] as const;
  const fit = (year: number, count = 1, colour?: 'pink') =>
    numbersToFit({
      parts,
      context: { year, speciesLetter: 'S', sexLetter: 'F' },
      used: ['26-0040', '25-0007'],
      count,
      bags,
      colour,
    });
  it('are the first left in a bag of the birth year, with the colour it has', () => {
    expect(fit(2026)).toEqual({ numbers: ['26-0041'], colour: 'green' });
    expect(fit(2026, 1, 'pink')).toEqual({ numbers: ['26-0101'], colour: 'pink' });
  });
  it('are from the next bag where one does not hold enough, and counted on for a year without a bag', () => {
    expect(fit(2026, 4).numbers).toEqual(['26-0101', '26-0102', '26-0103', '26-0104']);
    expect(fit(2025)).toEqual({ numbers: ['25-0008'], colour: undefined });
  });
});

describe('an animal is found as it is called', () => {
  const row = (animalId: string, text: string, more: object = {}) => ({
    animalId,
    text,
    colour: 'yellow' as const,
    species: 'sheep' as const,
    sex: 'female' as const,
    ageDays: 900,
    isPresent: true,
    isWorn: true,
    ...more,
  });
  const all = [
    row('ewe', '17'),
    row('red ewe', '117', { colour: 'red' }),
    row('ram', '217', { sex: 'male' }),
    row('lamb', '317', { ageDays: 90 }),
    row('doe', '417', { species: 'goat', colour: 'red' }),
    row('named', 'Red', { colour: null }),
  ];
  const found = (typed: string) => searchAnimals(all, typed).map((m) => m.found.animalId);
  it.each([
    ['red 17', ['red ewe', 'doe']],
    ['ewe 17', ['ewe', 'red ewe', 'lamb']],
    ['ewe lamb 17', ['lamb']],
    ['rams', ['ram']],
    ['goats', ['doe']],
    ['red goat', ['doe']],
    ['red', ['named']],
    ['blue 17', []],
    ['cow 17', []],
  ])('%s', (typed, ids) => {
    expect(found(typed)).toEqual(ids);
  });
  it('finds one by what it is called in another language, and still by its English', () => {
    const said = all.map((a) => (a.animalId === 'doe' ? { ...a, said: ['Keçi', 'dişi oğlak'] } : a));
    const by = (typed: string) => searchAnimals(said, typed).map((m) => m.found.animalId);
    expect([by('keçi 17'), by('oğlak'), by('goats')]).toEqual([['doe'], ['doe'], ['doe']]);
  });
});

describe('a bag of blank tags', () => {
  it.each([
    ['26-0040', '26-0049', '26-0049', '26-0060', true],
    ['26-0040', '26-0049', '26-0050', '26-0060', false],
    ['26-0040', '26-0049', '27-0040', '27-0049', false],
    ['26-0040', '26-0049', '26-0001', '26-9999', true],
  ])('%s to %s and %s to %s overlap: %s', (a, b, c, d, isIt) => {
    expect(areOverlapping([a, b], [c, d])).toBe(isIt);
    expect(areOverlapping([c, d], [a, b])).toBe(isIt);
  });
  it.each([
    ['26-0040', '26-0049', 10],
    ['K 7 y', 'K 12 y', 6],
    ['26-0049', '26-0040', undefined], // backwards
    ['26-0040', '27-0049', undefined], // another series
    ['blue', 'red', undefined],
    ['1', '10001', undefined], // too many to be a bag
  ])('from %s to %s holds %s', (first, last, count) => {
    expect(blanksIn(first, last)).toBe(count);
  });
  it('has those left that nobody ever wore', () => {
    expect(blanksLeft('26-0008', '26-0011', new Set(['260009']))).toEqual(['26-0008', '26-0010', '26-0011']);
  });
});

describe('search', () => {
  const one = (animalId: string, text: string, isPresent = true, isWorn = true) => ({
    animalId,
    text,
    isPresent,
    isWorn,
  });
  const all = [
    one('a', '26-0031'),
    one('b', '31'),
    one('c', '25-3100'),
    one('d', '24-0031', false),
    one('e', 'Çiğdem'),
    one('a', '792000000126031'),
  ];

  it('puts exact before ending before containing, and present before gone', () => {
    expect(searchIdentifiers(all, '31').map((m) => [m.found.animalId, m.rank])).toEqual([
      ['b', 'exact'],
      ['a', 'ending'],
      ['d', 'ending'],
      ['c', 'containing'],
    ]);
  });

  it('finds without separators and case', () => {
    expect(searchIdentifiers(all, '260031')[0]?.found.animalId).toBe('a');
    expect(searchIdentifiers(all, 'çiĞ')[0]?.found.animalId).toBe('e');
  });

  it('finds a number without its leading zeros, in any way it is written', () => {
    const zeros = [one('a', '26-0017'), one('b', '26-1017'), one('c', '2617')];
    const found = (typed: string) => searchIdentifiers(zeros, typed).map((m) => [m.found.animalId, m.rank]);
    expect(found('2617')).toEqual([
      ['c', 'exact'],
      ['a', 'alike'],
    ]);
    expect(found('26/17')[1]).toEqual(['a', 'alike']);
    expect(found('26/017').map(([id]) => id)).toEqual(['c', 'a']);
    expect(found('17').map(([id]) => id)).toEqual(['c', 'a', 'b']);
  });

  it('resolves a whole number to its present wearer, and says when there are two', () => {
    expect(resolveIdentifier(all, '26 0031')).toEqual({ kind: 'one', animalId: 'a' });
    expect(resolveIdentifier(all, '0031')).toEqual({ kind: 'none' });
    expect(resolveIdentifier([...all, one('f', '31')], '31')).toEqual({ kind: 'several', animalIds: ['b', 'f'] });
    expect(resolveIdentifier([one('old', '7', false), one('new', '7')], '7')).toEqual({ kind: 'one', animalId: 'new' });
  });
});
