import { SHIPPED_TEMPLATES, type StationSettings, type TemplateView } from '@yaylak/contract';
import { SPECIES_TABLE, USUAL_BY_SPECIES, USUAL_STANDARDS } from '@yaylak/core';
import { anOutlet, aProduct, aRoster, aRosterAnimal, aTag, TODAY } from '../../../tests/builders';
import { FRESH, typedField, type Draft } from '../draft';
import { boxTodayText } from '../../../words/selling';
import { outletsToday } from './finish';
import { finishAnimal, proposedAt, togglesAt, type AtHand, type LetteredToggle } from '.';
import { pressToggle } from './StationList';
import { meatHeld, suggestedGate } from './sort';

const lamb = aRosterAnimal('26-0001');
const drench = aProduct('White drench');

const atHand = (
  stations: AtHand['job']['stations'],
  settings: StationSettings = {},
  change: Partial<AtHand> = {},
): AtHand => ({
  job: {
    stations,
    settings,
    on: TODAY,
    gates: [
      { key: 'left', name: 'Keep' },
      { key: 'right', name: 'Sell', groupId: 'g9' },
    ],
  },
  animal: lamb,
  species: 'sheep',
  sex: 'female',
  ageDays: 236,
  settings: SPECIES_TABLE.sheep,
  unit: 'kg',
  standards: USUAL_STANDARDS,
  roster: {
    products: [drench],
    lastTubes: {},
    biases: [],
    outlets: [],
    habits: [],
    killingOut: USUAL_BY_SPECIES,
  },
  now: '2026-11-23T09:00',
  weighedBy: 'Aylin',
  wearerOf: (text) =>
    text === '26-0007' || text === '792000000000007' ? aTag('26-0007', { colour: 'green' }) : undefined,
  formerWearerOf: (text) => (text === '26-0009' ? { name: '26-0044', isGone: false } : undefined),
  nextNumbers: ({ count }) => Array.from({ length: count }, (_, i) => `26-050${i + 1}`),
  fitted: [],
  isPouredOn: false,
  tubes: new Map(),
  ...change,
});
const weighed = (kg: string, change: Partial<Draft> = {}): Draft => ({
  ...FRESH,
  animalId: lamb.tag.animalId,
  fields: { weight: kg },
  ...change,
});
/** What Enter says, and what a second Enter writes. */
const twice = (draft: Draft, at: AtHand) => {
  const first = finishAnimal(draft, at);
  if (first.kind === 'write') return { said: undefined, facts: first.facts };
  const second = finishAnimal({ ...draft, asked: first.asked }, at);
  return { said: first.message, facts: second.kind === 'write' ? second.facts : undefined };
};

describe('a weight', () => {
  it.each<[string, StationSettings, object]>([
    ['44,5', {}, { kg: 44.5, method: 'scale' }],
    ['44.5', { weigh: { method: 'tape' } }, { kg: 44.5, method: 'tape' }],
    ['44.5', { weigh: { method: 'scale', tareKg: 0.6 } }, { kg: 43.9, method: 'scale', tareKg: 0.6 }],
  ])('%s with %j is written as %j', (typed, settings, fact) => {
    expect(twice(weighed(typed), atHand(['weigh'], settings))).toEqual({
      said: undefined,
      facts: [{ type: 'passage' }, { type: 'weight', ...fact }],
    });
  });
  it('in pounds is written in kilograms', () => {
    const { facts } = twice(weighed('98'), atHand(['weigh'], {}, { unit: 'lb' }));
    expect(facts?.[1]).toEqual({ type: 'weight', kg: expect.closeTo(98 * 0.45359237, 10), method: 'scale' });
  });
  it('of a rabbit is in ounces there', () => {
    const { facts } = twice(weighed('64'), atHand(['weigh'], {}, { unit: 'lb', species: 'rabbit' }));
    expect(facts?.[1]).toEqual({ type: 'weight', kg: expect.closeTo(4 * 0.45359237, 10), method: 'scale' });
  });
  it('that jumps is asked about once', () => {
    expect(twice(weighed('95'), atHand(['weigh']))).toMatchObject({
      said: expect.stringMatching(/^Check the reading/),
      facts: { length: 2 },
    });
  });
  it('of a stranger has nothing before it to be doubted by', () => {
    expect(twice(weighed('95'), atHand(['weigh'], {}, { animal: undefined })).said).toBeUndefined();
  });
  it('may be left out with a second Enter where there is more to do, and never where it is all there is', () => {
    expect(twice(weighed(''), atHand(['weigh', 'note']))).toMatchObject({
      said: expect.stringMatching(/^No weight/),
      facts: [{ type: 'passage' }],
    });
    expect(twice(weighed(''), atHand(['weigh']))).toMatchObject({ facts: undefined });
  });
});

it('a tape is set right for the dose and the gate, and written down as it was read', () => {
  const biases = [
    {
      by: 'Aylin',
      method: 'tape' as const,
      species: 'sheep' as const,
      pairs: 9,
      ratio: 1.1,
      low: 1.08,
      high: 1.12,
      isUsed: true,
    },
  ];
  const at = atHand(
    ['weigh', 'treat', 'sort'],
    {
      weigh: { method: 'tape' as const },
      treat: { productIds: [drench.id] },
      sort: { by: 'weight', line: 42, above: 'left', below: 'right' },
    },
    { animal: { ...lamb, weights: [] }, roster: { ...atHand([]).roster, biases } },
  );
  const { facts } = twice(weighed('44'), at);
  // 44 / 1.1 = 40 kg: under the line of 42, and 0.2 x 40 = 8 ml.
  expect(facts).toMatchObject([
    { gate: 'Sell' },
    { type: 'weight', kg: 44 },
    { amount: 8, doseKg: 40 },
    { type: 'move' },
  ]);
});

describe('a look-over', () => {
  const pressing = (...keys: string[]): Draft =>
    keys.reduce((draft, key) => {
      const at = atHand(['look']);
      const toggle = togglesAt(at).find((t) => t.key === key);
      return toggle ? pressToggle(draft, at, toggle) : draft;
    }, weighed('44'));
  it('records only what was pressed: the rest was not looked at', () => {
    const { facts } = twice(pressing('sheep-feet'), atHand(['look']));
    expect(facts?.[1]).toEqual({ type: 'look', grades: { 'sheep-feet': 'fail' } });
  });
  it('passes all the others when that is pressed, and leaves points out that nobody gave', () => {
    const { facts } = twice(pressing('sheep-feet', 'others-pass'), atHand(['look']));
    expect(facts?.[1]).toMatchObject({
      type: 'look',
      grades: { 'sheep-mouth': 'pass', 'sheep-feet': 'fail', 'sheep-udder': 'pass' },
    });
    expect(facts?.[1]).not.toHaveProperty('grades.sheep-frame');
  });
  it('takes back a slip by pressing on: fails, passes, not looked at', () => {
    expect(pressing('sheep-feet', 'sheep-feet').grades).toEqual({ 'sheep-feet': 'pass' });
    expect(pressing('sheep-feet', 'sheep-feet', 'sheep-feet').grades).toEqual({});
  });
  it('is asked about once where nothing was looked at, and then left out', () => {
    expect(twice(weighed('44'), atHand(['look']))).toMatchObject({
      said: expect.stringMatching(/^Not looked over yet\./),
      facts: [{ type: 'passage' }],
    });
  });
  it('asks of a male what males are asked', () => {
    const words = togglesAt(atHand(['look'], {}, { sex: 'male' })).map((t) => t.words);
    expect(words).toContain('Testicles');
    expect(words).not.toContain('Udder');
  });
});

describe('a remedy', () => {
  const settings: StationSettings = { treat: { productIds: [drench.id], reason: 'worms' } };
  const given = { type: 'treatment', productId: drench.id, unit: 'ml', route: 'mouth', batch: 'K1', meatDays: 14 };
  it('is dosed by the weight just taken', () => {
    // 0.2 ml x 44 kg = 8.8, up to the next half millilitre.
    const { said, facts } = twice(weighed('44'), atHand(['weigh', 'treat'], settings));
    expect(said).toBeUndefined();
    expect(facts?.at(-1)).toEqual({ ...given, amount: 9, reason: 'worms', doseKg: 44, doseMethod: 'scale' });
  });
  it('far from the label’s wants a reason, which stands with it', () => {
    const twiceIt = weighed('44', { amounts: { [drench.id]: '18' } });
    const at = atHand(['weigh', 'treat'], settings);
    expect(twice(twiceIt, at)).toMatchObject({
      said: expect.stringMatching(/18 ml is 2\.0 times the label’s 8\.8 ml.* Correct it, or give the reason\.$/),
      facts: undefined,
    });
    expect(finishAnimal(twiceIt, at)).toMatchObject({ field: 'reason' });
    const reasoned = { ...twiceIt, fields: { ...twiceIt.fields, reason: 'the vet said twice' } };
    expect(twice(reasoned, at).facts?.at(-1)).toMatchObject({ amount: 18, reason: 'worms; the vet said twice' });
  });
  it('that is not for one so young or so light by its label is left out, and there is no key round it', () => {
    const doses = [{ species: 'sheep' as const, by: 'head' as const, amount: 1, fromDays: 300, fromKg: 40 }];
    const roster = { ...atHand([]).roster, products: [{ ...drench, facts: { ...drench.facts, doses } }] };
    const given = (ageDays: number, kg: string) =>
      twice(weighed(kg), atHand(['weigh', 'treat'], settings, { roster, ageDays })).facts?.map((f) => f.type);
    expect(given(236, '44')).toEqual(['passage', 'weight']);
    expect(given(400, '39')).toEqual(['passage', 'weight']);
    expect(given(400, '44')).toEqual(['passage', 'weight', 'treatment']);
    const pressed = weighed('44', { leftOut: [`treat ${drench.id}`] });
    expect(twice(pressed, atHand(['weigh', 'treat'], settings, { roster })).facts).toHaveLength(2);
  });
  it('poured on asks once a job whether the backs are dry', () => {
    const withdrawals = drench.facts.withdrawals.map((w) => ({ ...w, route: 'pour-on' as const }));
    const facts = { ...drench.facts, routes: ['pour-on' as const], withdrawals };
    const roster = { ...atHand([]).roster, products: [{ ...drench, facts }] };
    expect(twice(weighed('44'), atHand(['weigh', 'treat'], settings, { roster })).said).toMatch(/^Are the backs dry\?/);
    const later = atHand(['weigh', 'treat'], settings, { roster, isPouredOn: true });
    expect(twice(weighed('44'), later).said).toBeUndefined();
  });
  it('by a tape, or by a weight of long ago, is asked about', () => {
    const byTape = twice(weighed('44'), atHand(['weigh', 'treat'], { ...settings, weigh: { method: 'tape' } }));
    // The scale of 30 days ago still serves for a grown one: 38 kg.
    expect(byTape.facts?.at(-1)).toMatchObject({ amount: 8, doseMethod: 'scale', doseKg: 38 });
    const old = { ...lamb, weights: [['2026-05-01', 20, 'scale']] as const };
    expect(twice(weighed(''), atHand(['treat'], settings, { animal: old })).said).toMatch(
      /by a weight of 206 days ago/,
    );
    const onlyTape = { ...lamb, weights: [] };
    expect(
      twice(weighed('44'), atHand(['weigh', 'treat'], { ...settings, weigh: { method: 'tape' } }, { animal: onlyTape }))
        .said,
    ).toMatch(/by tape \(44.0.kg\), which usually reads high/);
  });
  it('without any weight is not given', () => {
    const light = { ...lamb, weights: [] };
    expect(twice(weighed(''), atHand(['treat'], settings, { animal: light }))).toEqual({
      said: 'White drench: the dose goes by weight and there is none. Type what is given, or leave it out.',
      facts: undefined,
    });
    const left = weighed('', { leftOut: [`treat ${drench.id}`] });
    expect(twice(left, atHand(['treat'], settings, { animal: light })).facts).toEqual([{ type: 'passage' }]);
  });
  it('within another’s withdrawal is asked about, with the day', () => {
    const animal = { ...lamb, withheld: [{ of: 'meat' as const, until: '2026-12-04', product: 'Drops' }] };
    const { said, facts } = twice(weighed('44'), atHand(['weigh', 'treat'], settings, { animal }));
    expect(said).toMatch(/meat is withheld to 4 Dec 2026 already \(Drops\). The longer of the two counts/);
    expect(facts?.at(-1)).toMatchObject({ type: 'treatment' });
  });
  it('given a few days ago is asked about', () => {
    const animal = { ...lamb, given: [[drench.id, '2026-11-21'] as const] };
    expect(twice(weighed('44'), atHand(['weigh', 'treat'], settings, { animal })).said).toMatch(
      /given 2 days ago already/,
    );
  });
  it('of a batch that is over is asked about', () => {
    const batches = [{ batch: 'K1', expiresOn: '2026-11-01', amount: 1000, left: 900, state: 'expired' as const }];
    const roster = { ...atHand([]).roster, products: [{ ...drench, batches }] };
    const { said, facts } = twice(weighed('44'), atHand(['weigh', 'treat'], settings, { roster }));
    expect(said).toMatch(/no batch on the shelf may be used \(K1 expired on 1 Nov 2026\)/);
    expect(facts?.at(-1)).not.toHaveProperty('batch');
  });
  it('that is not for the species by its label is refused', () => {
    expect(twice(weighed('44'), atHand(['weigh', 'treat'], settings, { species: 'goat' }))).toMatchObject({
      said: expect.stringMatching(/label has no withdrawal for this species/),
      facts: undefined,
    });
  });
  it('is given in the amount that was typed', () => {
    const draft = weighed('44', { amounts: { [drench.id]: '7,5' } });
    expect(twice(draft, atHand(['weigh', 'treat'], settings)).facts?.at(-1)).toMatchObject({ amount: 7.5 });
    expect(
      twice(weighed('44', { amounts: { [drench.id]: 'some' } }), atHand(['weigh', 'treat'], settings)).said,
    ).toMatch(/“some” is not an amount/);
  });
});

describe('tubes', () => {
  const settings: StationSettings = { sample: { purpose: 'blood', firstTube: 'B-009' } };
  const taken = new Map([['b009', { tube: 'B-009', animalId: 'x', name: '26-0007' }]]);
  it('go on from the last, and each is looked at twice', () => {
    expect(proposedAt(atHand(['sample'], settings)).tube).toBe('B-009');
    const at = atHand(['sample'], settings, { tubes: taken });
    expect(proposedAt(at).tube).toBe('B-010');
    expect(twice(weighed(''), at)).toEqual({
      said: 'Look at the tube: it must say B-010. Enter again records it for 26-0001.',
      facts: [{ type: 'passage' }, { type: 'sample', tube: 'B-010', purpose: 'blood' }],
    });
  });
  it('of another in this job are refused', () => {
    const draft = typedField(weighed(''), 'tube', 'b 009');
    expect(twice(draft, atHand(['sample'], settings, { tubes: taken })).said).toBe(
      'Tube b 009 is 26-0007’s. Look at the tube again.',
    );
  });
});

describe('identifiers', () => {
  const settings: StationSettings = { identify: { kinds: ['visual', 'electronic'], colour: 'green' } };
  it('are proposed for one that has lost its own: its number again', () => {
    const bare = { ...lamb, worn: [], formerly: ['26-0001'] };
    expect(proposedAt(atHand(['identify'], settings, { animal: bare })).visual).toBe('26-0001');
    expect(proposedAt(atHand(['identify'], settings)).visual).toBeUndefined();
  });
  it('are the next free number for one that never had any, past those fitted in this job', () => {
    const at = atHand(['identify'], settings, { animal: undefined, fitted: ['26 0501'] });
    expect(proposedAt(at).visual).toBe('26-0502');
  });
  it('lost and fitted in one go are written down as both', () => {
    const draft = typedField({ ...weighed(''), lost: ['fitting of 26-0001'] }, 'visual', '26-0501');
    expect(twice(typedField(draft, 'electronic', '792 000 000 126 031'), atHand(['identify'], settings)).facts).toEqual(
      [
        { type: 'passage' },
        { type: 'identifier-end', identifierId: 'fitting of 26-0001', how: 'lost' },
        { type: 'identifier', kind: 'visual', text: '26-0501', colour: 'green' },
        { type: 'identifier', kind: 'electronic', text: '792000000126031' },
      ],
    );
  });
  it('that another wears are refused and say whose they are', () => {
    const said = (field: 'visual' | 'electronic', text: string) =>
      twice(typedField(weighed(''), field, text), atHand(['identify'], settings)).said;
    expect(said('visual', '26-0007')).toBe('26-0007 is already on 26-0007, which is here. Type another number.');
    const inBlue = atHand(['identify'], { identify: { kinds: ['visual'], colour: 'blue' } });
    expect(twice(typedField(weighed(''), 'visual', '26-0007'), inBlue)).toMatchObject({
      said: 'green 26-0007 is already on another. Enter again fits it in this colour.',
      facts: { length: 2 },
    });
    expect(said('electronic', '792 000000000007')).toBe('That electronic tag is 26-0007’s. Read it again.');
  });
  it('that another lost are asked about once', () => {
    expect(twice(typedField(weighed(''), 'visual', '26-0009'), atHand(['identify'], settings))).toMatchObject({
      said: '26-0009 is the number 26-0044 lost. Read the tag again: it may be the very one that was found. Enter again fits it anyway.',
      facts: { length: 2 },
    });
  });
  it('an electronic number of the wrong length is refused', () => {
    expect(twice(typedField(weighed(''), 'electronic', '792'), atHand(['identify'], settings))).toMatchObject({
      said: expect.stringMatching(/15/),
      facts: undefined,
    });
  });
});

describe('a litter together', () => {
  const at = atHand(
    ['litter'],
    { weigh: { method: 'scale', tareKg: 0.4 } },
    { species: 'rabbit', settings: SPECIES_TABLE.rabbit, animal: undefined },
  );
  const litter = (kg: string, count: string) =>
    typedField(typedField(weighed(''), 'litterKg', kg), 'litterCount', count);
  it('is written without the pan', () => {
    expect(twice(litter('1900', '6'), at).facts).toEqual([
      { type: 'passage' },
      { type: 'litter-weight', totalKg: 1.5, count: 6, tareKg: 0.4 },
    ]);
  });
  it.each([
    ['', '6', 'weighs together'],
    ['1900', '', 'how many'],
    ['1900', '2.5', 'how many'],
    ['90000', '2', 'By the head'],
    ['300', '6', 'By the head'], // less than the pan
  ])('%s g of %s is refused', (kg, count, words) => {
    expect(twice(litter(kg, count), at)).toMatchObject({ said: expect.stringContaining(words), facts: undefined });
  });
  it('under a male is refused', () => {
    const ram = aRosterAnimal('R1', { sex: 'male' });
    expect(twice(litter('9', '2'), { ...at, animal: ram }).said).toMatch(/not a female/);
  });
});

describe('a gate', () => {
  const by = (sort: StationSettings['sort']) => atHand(['weigh', 'look', 'sort'], sort ? { sort } : {});
  const sound = { 'sheep-mouth': 'pass' } as const;
  it('has to be chosen where nothing is suggested', () => {
    expect(twice(weighed('44', { grades: sound }), by(undefined))).toMatchObject({
      said: 'Choose a gate: ← ↓ →, then Enter.',
      facts: undefined,
    });
  });
  it('is the suggested one by Enter alone, and moves the animal where it leads', () => {
    const at = by({ by: 'weight', line: 50, above: 'left', below: 'right' });
    expect(twice(weighed('44', { grades: sound }), at).facts).toMatchObject([
      { type: 'passage', gate: 'Sell', suggested: 'Sell' },
      { type: 'weight' },
      { type: 'look' },
      { type: 'move', groupId: 'g9' },
    ]);
  });
  it('is not suggested by the look-over before all was looked at', () => {
    const at = by({ by: 'standards', above: 'left', below: 'right' });
    expect(suggestedGate(weighed('44', { grades: sound }), at)).toBeUndefined();
  });
  it('overruled is kept beside what was suggested', () => {
    const at = by({ by: 'standards', above: 'left', below: 'right' });
    const draft = weighed('44', { grades: { 'sheep-mouth': 'fail' }, gate: 'Keep' });
    expect(suggestedGate(draft, at)).toMatchObject({ choice: { name: 'Sell' }, because: { failed: ['Mouth'] } });
    expect(twice(draft, at).facts?.[0]).toEqual({ type: 'passage', gate: 'Keep', suggested: 'Sell' });
  });
});

describe('a gate by points', () => {
  const rule = { by: 'index', line: 50, above: 'left', below: 'right' } as const;
  const by = (change: object, draft = weighed('44')) =>
    suggestedGate(
      draft,
      atHand(['sort'], { sort: rule }, { animal: { ...lamb, points: 52, pointsError: 3, ...change } }),
    );
  it('tells how near the line they are', () => {
    expect(by({})).toMatchObject({ choice: { name: 'Keep' }, because: { points: 52, standardError: 3 }, isNear: true });
    expect(by({ pointsError: 1 })).toMatchObject({ isNear: false });
  });
  it('follows the choice that was written down, but for one that failed a standard', () => {
    expect(by({ chosen: 'sell' })).toMatchObject({ choice: { name: 'Sell' }, because: { decision: 'sell' } });
    const failed = { chosen: 'keep', grades: { 'sheep-mouth': 'fail' } };
    expect(by(failed)).toMatchObject({ choice: { name: 'Sell' }, because: { failed: ['Mouth'] } });
    // Looked at again today and sound, it follows the choice.
    expect(by(failed, weighed('44', { grades: { 'sheep-mouth': 'pass' } }))).toMatchObject({
      choice: { name: 'Keep' },
    });
  });
});

describe('a gate with a mark', () => {
  it('sprays whoever goes out by it, and nobody else', () => {
    const at = atHand(['sort']);
    const gates = at.job.gates.map((g) =>
      g.name === 'Sell' ? { ...g, mark: { colour: 'red', place: 'rump' } as const } : g,
    );
    const marked = { ...at, job: { ...at.job, gates } };
    expect(twice(weighed('44', { gate: 'Sell' }), marked).facts).toContainEqual({
      type: 'mark',
      colour: 'red',
      place: 'rump',
      purpose: 'Sell',
    });
    expect(twice(weighed('44', { gate: 'Keep' }), marked).facts?.some((f) => f.type === 'mark')).toBe(false);
  });
});

describe('a gate of those for sale', () => {
  const sell = (animal: AtHand['animal'], change: Partial<AtHand['job']> = {}): AtHand => {
    const at = atHand(['weigh', 'sort'], { sort: { by: 'weight', line: 50, above: 'left', below: 'right' } });
    const gates = at.job.gates.map((g) => (g.name === 'Sell' ? { ...g, isForSale: true } : g));
    return { ...at, animal, job: { ...at.job, gates, ...change } };
  };
  const held = { ...lamb, withheld: [{ of: 'meat' as const, until: '2026-12-04', product: 'Drops' }] };
  it('is asked about while meat is withheld, with the day; the other is not', () => {
    const { said, facts } = twice(weighed('44'), sell(held));
    expect(said).toMatch(/^Meat withheld to the end of 4 Dec 2026 \(Drops\)\. Not for slaughter until then\./);
    expect(facts?.[0]).toMatchObject({ gate: 'Sell' });
    expect(twice(weighed('55'), sell(held)).said).toBeUndefined();
  });
  it('is taken by Enter alone when nothing, or only milk, is withheld', () => {
    const milk = { ...lamb, withheld: [{ of: 'milk' as const, until: '2026-12-04', product: 'Drops' }] };
    for (const animal of [lamb, milk]) expect(twice(weighed('44'), sell(animal)).said).toBeUndefined();
  });
  it('minds what is given in the same job, the longer of the two', () => {
    const at = sell(held, { stations: ['weigh', 'treat', 'sort'] });
    const treating = {
      ...at,
      job: { ...at.job, settings: { ...at.job.settings, treat: { productIds: [drench.id] } } },
    };
    expect(meatHeld(weighed('44'), treating)).toEqual({ until: '2026-12-07', product: 'White drench' });
    expect(meatHeld(weighed('44', { leftOut: [`treat ${drench.id}`] }), treating)).toEqual({
      until: '2026-12-04',
      product: 'Drops',
    });
  });
});

describe('work by hand', () => {
  const care = (kind: 'dock' | 'castrate' | 'feet'): StationSettings => ({
    care: { kinds: [{ kind, method: 'ring' }] },
  });
  const male = { sex: 'male' as const, ageDays: 2 };
  it.each(['dock', 'castrate'] as const)('%s, which hurts, is done only where it is pressed for this one', (kind) => {
    const at = atHand(['care'], care(kind), male);
    expect(twice(weighed(''), at)).toEqual({ said: undefined, facts: [{ type: 'passage' }] });
    const [toggle] = togglesAt(at);
    const on = pressToggle(weighed(''), at, toggle as LetteredToggle);
    expect(on.message).toMatch(
      /\(ring\): 2 days old\. Over 7 days old it is a vet’s work .* Your local law decides\.$/,
    );
    expect(twice(on, at).facts).toEqual([{ type: 'passage' }, { type: 'care', kind, method: 'ring' }]);
    const off = pressToggle(on, at, toggle as LetteredToggle);
    expect(off.message).toMatch(/not done to this one\.$/);
    expect(twice(off, at).facts).toEqual([{ type: 'passage' }]);
  });
  it.each([
    [236, /^Dock at 236 days: Over 7 days old it is a vet’s work .* Your local law decides\./],
    [undefined, /^Dock at an age that is not known: /],
  ])('that hurts is asked about over its age, and without one (%s)', (ageDays, words) => {
    const at = atHand(['care'], care('dock'), { ageDays });
    const { said, facts } = twice(weighed('', { pressed: ['care dock'] }), at);
    expect(said).toMatch(words);
    expect(facts?.[1]).toEqual({ type: 'care', kind: 'dock', method: 'ring' });
  });
  it('that does not hurt is named when a letter puts it off', () => {
    const at = atHand(['care'], care('feet'));
    const off = pressToggle(weighed(''), at, togglesAt(at)[0] as LetteredToggle);
    expect(off).toMatchObject({
      leftOut: ['care feet'],
      message: 'Feet: not for this one. Press again to put it back.',
    });
  });
  it('no castrate is castrated again', () => {
    expect(togglesAt(atHand(['care'], care('castrate'), { sex: 'castrate', ageDays: 2 }))).toEqual([]);
  });
  it('the new-born job that is shipped does nothing by itself that hurts', () => {
    const { settings } = SHIPPED_TEMPLATES.find((t) => t.id === 'newborn') as TemplateView;
    const { facts } = twice(weighed(''), atHand(['care'], settings, male));
    expect(facts).toEqual([{ type: 'passage' }, { type: 'care', kind: 'navel', method: 'iodine' }]);
  });
  it('is not asked of whom it does not fit', () => {
    expect(twice(weighed(''), atHand(['care'], care('castrate'))).facts).toEqual([{ type: 'passage' }]);
  });
  it('is left out by its letter', () => {
    const left = weighed('', { leftOut: ['care feet'] });
    expect(twice(left, atHand(['care'], care('feet'))).facts).toEqual([{ type: 'passage' }]);
  });
});

it('letters of a job with many stations are all different', () => {
  const at = atHand(['look', 'treat', 'sample', 'mark', 'care', 'move'], {
    treat: { productIds: [drench.id] },
    care: { kinds: [{ kind: 'feet' }, { kind: 'clip' }] },
  });
  const letters = togglesAt(at, ['f', 'm']).map((t) => t.letter);
  expect(new Set([...letters, 'f', 'm']).size).toBe(letters.length + 2);
});

describe('measuring the body', () => {
  const at = atHand(['measure']);
  const measured = (fields: Draft['fields']): Draft => ({ ...FRESH, animalId: lamb.tag.animalId, fields });

  it('writes down what was typed, and leaves out what was not', () => {
    expect(twice(measured({ heightCm: '64,5', girthCm: '81' }), at)).toEqual({
      said: undefined,
      facts: [{ type: 'passage' }, { type: 'measure', heightCm: 64.5, girthCm: 81 }],
    });
  });

  it.each(['0', '645', 'tall'])('refuses a height of %s, naming field and limit', (heightCm) => {
    expect(finishAnimal(measured({ heightCm, girthCm: '81' }), at)).toMatchObject({
      kind: 'held',
      field: 'heightCm',
      message: `Height “${heightCm}” is not possible: type centimetres, over 0 and up to 160.`,
    });
  });

  it('asks once whether one goes on unmeasured', () => {
    expect(twice(measured({}), at)).toEqual({
      said: 'Not measured. Enter again goes on without.',
      facts: [{ type: 'passage' }],
    });
  });
});

describe('the finish', () => {
  const outlet = anOutlet('Stone bridge', {
    payBy: 'carcass-kg',
    prices: [{ from: '2026-01-01', baseMinor: 640, bands: [] }],
    wants: { fromKg: 18, fromFat: 4, toFat: 9 },
    leastChance: 0.6,
  });
  const at = atHand(['weigh', 'finish'], {}, { roster: aRoster([], { outlets: [outlet] }) });
  const felt = (fields: Draft['fields']): Draft => weighed('44', { fields: { weight: '44', ...fields } });

  it('is written in thirds of a class, as it was typed', () => {
    expect(twice(felt({ shape: 'r+', tail: '3', loin: '2+', ribs: '3 -' }), at).facts).toContainEqual({
      type: 'finish',
      shape: 9,
      fat: { tail: 8, loin: 6, ribs: 7 },
    });
  });

  it('says at once whether an outlet would have it, and what speaks against it', () => {
    const said = (fields: Draft['fields'], weight = '44') =>
      outletsToday(felt({ ...fields, weight }), at).map(({ name, box }) =>
        `${name}: ${boxTodayText(box)}`.replace(/\s/g, ' '),
      );
    // Fat 6 of 4 to 9 by an SD of 2.2: Phi(1.591) - Phi(-1.136) = .816; the weight is sure.
    expect(said({ shape: 'r', tail: '2+' })).toEqual(['Stone bridge: ready, 82 %']);
    expect(said({ shape: 'r', tail: '4' })).toEqual(['Stone bridge: not ready: too fat (25 %)']);
    expect(said({ shape: 'r', tail: '2+' }, '35')).toEqual(['Stone bridge: not ready: too light (under 1 %)']);
    expect(said({})).toEqual(['Stone bridge: not known: feel it, or it is not of the age they take']);
  });

  it('reckons with what the outlet’s grader was seen to do, as the page of those for sale does', () => {
    const habits = [
      { outletId: outlet.id, group: 'middle', shape: { used: 0, sd: 1.8 }, fat: { used: 2, sd: 2.2 } },
    ] as const;
    const learned = { ...at, roster: aRoster([], { outlets: [outlet], habits }) };
    const said = outletsToday(felt({ shape: 'r', tail: '2+' }), learned).map(({ box }) => boxTodayText(box));
    // Fat 8 of 4 to 9: Phi(.682) - Phi(-2.045) = .732.
    expect(said.map((s) => s.replace(/\s/g, ' '))).toEqual(['ready, 73 %']);
  });

  it('refuses what is not a class, naming the place and what to type', () => {
    expect(finishAnimal(felt({ tail: '7' }), at)).toMatchObject({
      kind: 'held',
      field: 'tail',
      message: 'Fat, tail-head, “7” is not a class. Type 1 to 5, with + or − where you can tell.',
    });
    expect(finishAnimal(felt({ shape: 'S' }), at)).toMatchObject({ kind: 'held', field: 'shape' });
  });

  it('asks once whether one goes on unfelt', () => {
    expect(twice(felt({}), at).said).toContain('Not felt. Enter again goes on without.');
  });
});
