import { ENTRY_TYPES, type AnimalEntry, type ArrivalEntry, type EntryType } from '@yaylak/contract';
import { COMMON, EXAMPLES } from '@yaylak/contract/examples';
import {
  checkEntry,
  checkRecord,
  dayOf,
  factLists,
  isoOf,
  momentAt,
  recordOf,
  SPECIES,
  type AnimalFacts,
  type AnimalRecord,
  type Day,
} from '@yaylak/core';
import { BirthsToComeService } from '../carrying/birthsToCome.service';
import { Clock } from '../common/clock';
import { ConditionService } from '../condition/condition.service';
import { GrowthService } from '../growth/growth.service';
import { FemalesToMateService } from '../mating/females.service';
import { MatingHistoryService } from '../mating/history.service';
import { LittersService } from '../rearing/litters.service';
import { RearingService } from '../rearing/rearing.service';
import { LearnedService } from '../selling/learned.service';
import { ProductsService } from '../remedies/products.service';
import { seeded, type Random } from '../tests/fuzzer';
import { BookService } from './book.service';

const TODAY = dayOf('2026-11-24');
const clock = new Clock();
clock.today = () => TODAY;
clock.moment = () => momentAt(TODAY, 12 * 60);

/** A book in memory with everything that keeps figures of it; nothing is written. */
function aBook() {
  const book = new BookService(undefined as never, clock);
  for (const id of GROUPS) book.state.setGroup({ id, name: id, species: null, isClosed: false, version: 1 });
  book.state.setProduct({
    id: 'product',
    facts: { batches: [], doses: [], withdrawals: [] } as never,
    isClosed: false,
    version: 1,
  });
  book.state.setSettings({ species: {}, unit: 'kg', scorers: { reference: 'Aylin', setRight: ['Kerem'] } });
  const history = new MatingHistoryService(book, clock);
  const growth = new GrowthService(book, clock);
  const females = new FemalesToMateService(book, history, clock);
  const births = new BirthsToComeService(book, undefined as never, history, clock);
  const products = new ProductsService(undefined as never, book, undefined as never, clock);
  const rearing = new RearingService(book, new LittersService(book, females, growth, clock), history, clock);
  const condition = new ConditionService(
    book,
    { alarm: () => null } as never,
    { milestone: () => undefined } as never,
    clock,
  );
  const learned = new LearnedService(book);
  return { book, history, growth, females, births, products, rearing, condition, learned };
}
type Book = ReturnType<typeof aBook>;

const GROUPS = ['hill', 'yard'];

/** Every figure that is kept, by the animal it is of and of all together. */
function figures(of: Book): object {
  const { history, growth, females, births, products, rearing, condition, learned } = of;
  const { state } = of.book;
  const ids = [...state.animals.keys()].sort();
  const one = (facts: AnimalFacts): object => ({
    daily: state.daily(facts),
    scores: state.scores(facts),
    litters: state.litters.of(facts.record.id),
    births: state.litters.birthsOf(facts.record.id),
    about: state.litters
      .youngAbout(facts.record.id)
      .map((y) => y.id)
      .sort(),
    rearingType: state.litters.rearingType(facts, TODAY),
    perYear: state.litters.rearedPerYear(facts, TODAY),
    history: history.of(facts),
    chance: history.chance(facts),
    unanswered: history.unanswered(facts),
    readiness: females.readiness(facts),
    growing: growth.growing(facts),
    gain: growth.gainOf(facts.record.id),
    factors: growth.adjusted(facts, 90),
    verdict: growth.verdict(facts),
    kind: condition.femaleKind(facts),
    inbreeding: state.family.inbreedingOf(facts.record.id),
    tested: state.tested(facts.record.id, TODAY),
  });
  return {
    animals: Object.fromEntries(ids.map((id) => [id, one(state.animals.get(id) as AnimalFacts)])),
    present: state
      .present(TODAY)
      .map((f) => f.record.id)
      .sort(),
    exposures: [...state.exposures].sort((a, b) => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1)),
    tape: [...state.tapeBiases].sort(([a], [b]) => (a < b ? -1 : 1)),
    scorers: state.scorerPairs,
    toCome: SPECIES.map((s) => births.toCome(s)),
    spells: SPECIES.map((s) => history.spellsOf(s)),
    ripe: SPECIES.map((s) =>
      history
        .ripeSpellsOf(s)
        .map(({ facts, spell }) => `${facts.record.id} ${spell.on}`)
        .sort(),
    ),
    sired: SPECIES.map((s) => history.littersOf(s)),
    shares: SPECIES.map((s) => history.takingShare(s)),
    rounds: SPECIES.map((species) =>
      condition.view({ species }).rounds.map(({ from, to, count, by }) => ({ from, to, count, by })),
    ),
    seasons: SPECIES.map((s) => rearing.view(s).seasons),
    stock: products.stockOf(state.products.get('product') as never),
    taught: SPECIES.map((s) => [learned.pairs(s), learned.killed(s), learned.killingOut(s)]),
    notGrowing: growth.notGrowing(),
    genes: SPECIES.map((s) =>
      state.family
        .genes(s)
        .map(({ gene, found }) => [gene, found.contradictions, [...state.animals.keys()].map(found.of)]),
    ),
  };
}

/** Makes entries that are nearly always taken: of every kind, each with every field it may have. */
function anEntry(random: Random, book: Book, nextId: () => string): AnimalEntry {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const { state } = book.book;
  const all = [...state.animals.values()];
  const some = (test: (f: AnimalFacts) => boolean): string | undefined => pick(all.filter(test))?.record.id;
  // Weights, services, births and fosterings are what most figures hang on.
  const busy: EntryType[] = ['weight', 'weight', 'score', 'service', 'service', 'birth', 'fostering', 'stay', 'move'];
  const kinds = ENTRY_TYPES.filter((k) => k !== 'strike');
  const type = random() < 0.1 ? 'arrival' : random() < 0.5 ? pick(busy) : pick(kinds);
  let on = isoOf((TODAY - Math.floor(random() ** 2 * 500)) as Day);
  const species = pick(['sheep', 'sheep', 'rabbit'] as const);
  const female = some((f) => f.record.sex === 'female');
  const male = some((f) => f.record.sex === 'male');
  const ofKind: Partial<Record<EntryType, (f: AnimalFacts) => boolean>> = {
    'identifier-end': (f) => f.identifiers.length > f.identifierEnds.length,
    'stay-end': (f) => f.stays.length > 0,
    harness: (f) => f.stays.length > 0,
    release: (f) => f.reservations.length > f.releases.length,
    afterbirth: (f) => f.births.length > 0,
    'pen-stage': (f) => f.births.length > 0,
    colostrum: (f) => f.record.bornOn !== undefined,
    carcass: (f) => f.departures.length > 0 && f.carcasses.length === 0,
  };
  const isHers = ['service', 'heat', 'birth', 'pregnancy-test', 'loss'].includes(type);
  const isHis = ['stay', 'male-check'].includes(type);
  const who = ofKind[type] ? some(ofKind[type]) : isHers ? female : isHis ? male : pick(all)?.record.id;
  const animalId = type === 'arrival' ? nextId() : (who ?? nextId());
  const facts = state.animals.get(animalId);
  if (type === 'colostrum' && facts?.record.bornOn !== undefined) on = isoOf(facts.record.bornOn);
  if (type === 'afterbirth') on = isoOf(facts?.births[0]?.on ?? TODAY);
  const bornOn = isoOf((dayOf(on) - Math.floor(random() * 900)) as Day);
  const own: Partial<Record<EntryType, object>> = {
    arrival: {
      species,
      sex: pick(['female', 'female', 'male']),
      bornOn,
      damId: female,
      donorId: pick([undefined, female]),
      sireId: male,
    },
    identifier: { text: `26-${Math.floor(random() * 900)}` },
    'identifier-end': { identifierId: facts?.identifiers.at(-1)?.entryId },
    move: { groupId: pick(GROUPS) },
    weight: { kg: 20 + random() * 30, method: pick(['scale', 'scale', 'tape']), on: pick([on, '2026-11-20']) },
    score: {
      score: 1 + Math.floor(random() * 9) / 2,
      scoredBy: pick(['Aylin', 'Kerem']),
      on: pick([on, '2026-11-20']),
    },
    treatment: { productId: 'product' },
    sample: { tube: `B-${Math.floor(random() * 900)}` },
    service: { maleIds: [male], straw: undefined },
    stay: { groupId: pick(GROUPS), isTeaser: random() < 0.2, colour: pick(['red', undefined]) },
    'stay-end': { stayId: facts?.stays.at(-1)?.entryId },
    harness: { stayId: facts?.stays[0]?.entryId },
    release: { reservationId: facts?.reservations.at(-1)?.entryId },
    'gene-test': { gene: 'grey', sampleId: undefined, result: pick(['free', 'carrier']) },
    'pregnancy-test': {
      sampleId: undefined,
      result: pick(['carrying', 'empty']),
      ageDays: undefined,
      young: undefined,
    },
    birth: { species: facts?.record.species },
    fostering: { damId: pick([female, undefined]) },
    departure: { on: '2026-11-23', how: pick(['sold', 'slaughtered']) },
    carcass: { on: '2026-11-24' },
    care: { kind: pick(['feet', 'castrate']) },
  };
  const at = 'at' in EXAMPLES[type] ? { at: `${on}T07:00` } : {};
  const entry = { ...COMMON, ...EXAMPLES[type], id: nextId(), type, animalId, on, ...at, ...own[type] };
  return Object.fromEntries(Object.entries(entry).filter(([, v]) => v !== undefined)) as unknown as AnimalEntry;
}

/** What was done, so that a book can be read from scratch: entries not struck, and records as they are now. */
interface Written {
  readonly entries: Map<string, AnimalEntry>;
  readonly records: Map<string, AnimalRecord>;
}

const isTaken = (book: Book, entry: AnimalEntry): boolean =>
  checkEntry({ day: dayOf(entry.on), ...entry }, book.book.state.view(TODAY, clock.moment())) === undefined;

/** One thing a person may do: write, strike out, only ask, or correct a record. */
function step(random: Random, book: Book, written: Written, nextId: () => string, told: (kind: string) => void): void {
  const { state } = book.book;
  const dice = random();
  if (dice < 0.12 && written.entries.size > 0) {
    const entry = [...written.entries.values()][Math.floor(random() * written.entries.size)] as AnimalEntry;
    const facts = state.animals.get(entry.animalId);
    const isOpen = entry.type === 'arrival';
    const has =
      facts && (factLists(facts).some((l) => l.length > 0) || (state.youngByParent.get(entry.animalId)?.size ?? 0) > 0);
    if (isOpen && has) return;
    const undo = state.strike(entry);
    if (random() < 0.3) {
      figures(book);
      return undo();
    }
    written.entries.delete(entry.id);
    return told('strike');
  }
  if (dice < 0.2 && state.animals.size > 0) {
    const all = [...state.animals.values()];
    const facts = all[Math.floor(random() * all.length)] as AnimalFacts;
    const other = (sex: string): string | undefined => all.filter((f) => f.record.sex === sex)[0]?.record.id;
    const { record } = facts;
    const change = [
      { damId: other('female') },
      { donorId: other('female') },
      { sireId: other('male') },
      { sex: record.sex === 'male' ? ('female' as const) : ('male' as const) },
      { damId: undefined },
      { bornOn: record.bornOn === undefined ? undefined : ((record.bornOn - 30) as Day) },
    ][Math.floor(random() * 6)];
    const next = { ...record, ...change, version: record.version + 1 };
    if (checkRecord(next, state.view(TODAY, clock.moment()))) return;
    state.setRecord(next);
    written.records.set(record.id, next);
    return told('correct');
  }
  const entry = anEntry(random, book, nextId);
  if (!isTaken(book, entry)) return;
  const undo = state.apply(entry);
  if (random() < 0.15) {
    // A batch that is only checked, or whose commit failed, is taken back; somebody may have asked meanwhile.
    if (random() < 0.5) figures(book);
    undo();
    return told('undo');
  }
  written.entries.set(entry.id, entry);
  told(entry.type);
}

async function fromScratch({ entries, records }: Written): Promise<Book> {
  const fresh = aBook();
  await fresh.book.state.filled((apply) => {
    for (const entry of entries.values())
      apply(
        entry,
        entry.type === 'arrival' ? (records.get(entry.animalId) ?? recordOf(entry as ArrivalEntry)) : undefined,
      );
    return Promise.resolve();
  });
  return fresh;
}

/** A small herd in its groups, one pair of readings short of setting a hand right. */
function base(nextId: () => string): AnimalEntry[] {
  const written = (type: EntryType, animalId: string, own: object): AnimalEntry =>
    ({ ...COMMON, id: nextId(), type, animalId, on: '2026-11-20', ...own }) as unknown as AnimalEntry;
  return Array.from({ length: 10 }, (_, i) => {
    const animalId = nextId();
    const facts = [
      written('arrival', animalId, {
        on: '2026-01-01',
        species: i < 8 ? 'sheep' : 'rabbit',
        sex: i % 4 === 3 ? 'male' : 'female',
        bornOn: '2023-03-01',
      }),
      written('move', animalId, { on: '2026-01-01', groupId: GROUPS[i % 2] }),
    ];
    if (i >= 7) return facts;
    return [
      ...facts,
      written('weight', animalId, { kg: 50 + i, method: 'scale' }),
      written('weight', animalId, { kg: 54 + i, method: 'tape' }),
      written('score', animalId, { score: 3, scoredBy: 'Aylin' }),
      written('score', animalId, { score: 3.5, scoredBy: 'Kerem' }),
    ];
  }).flat();
}

const SEQUENCES = 200;
const STEPS = 40;

it(`keeps after each change what a book read from scratch has, in ${SEQUENCES} sequences of every kind of entry`, async () => {
  const kinds = new Map<string, number>();
  for (let seed = 1; seed <= SEQUENCES; seed++) {
    const random = seeded(seed);
    const book = aBook();
    const written: Written = { entries: new Map(), records: new Map() };
    let last = 0;
    const nextId = (): string => `${String(++last).padStart(5, '0')}`;
    for (const entry of base(nextId)) {
      book.book.state.apply(entry);
      written.entries.set(entry.id, entry);
    }
    figures(book);
    for (let i = 0; i < STEPS; i++) {
      step(random, book, written, nextId, (kind) => kinds.set(kind, (kinds.get(kind) ?? 0) + 1));
      if (random() < 0.12) figures(book);
    }
    const kept = { seed, ...figures(book) };
    expect(kept).toEqual({ seed, ...figures(await fromScratch(written)) });
  }
  const asked = [...ENTRY_TYPES.filter((k) => k !== 'strike'), 'strike', 'correct', 'undo'];
  expect(asked.filter((k) => (kinds.get(k) ?? 0) === 0)).toEqual([]);
});
