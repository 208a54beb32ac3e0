import type {
  AnimalEntry,
  DepartureEntry,
  BlankTags,
  BookAnimal,
  BookFile,
  ChoiceEntry,
  Entry,
  KeepDrill,
  MarkEntry,
  PlanFacts,
  ProductFacts,
  ResourcesSetting,
  StartJob,
  OutletFacts,
} from '@yaylak/contract';
import { BOOK_FORMAT, BOOK_FORMAT_VERSION } from '@yaylak/contract';
import {
  addDays,
  dayOf,
  DEFAULT_POINTS_WEIGHTS,
  isoOf,
  SPECIES_TABLE,
  yearOf,
  type Day,
  type DeathCause,
  type Random,
  type Sex,
  type Species,
  type SpeciesOverrides,
  type TagColour,
} from '@yaylak/core';
import { v5 } from 'uuid';

const { tests, carrying } = SPECIES_TABLE.goat;
/** The hill breed, and its cross with a ram of the plain, which lays on fat sooner. */
export const HILL_SHEEP = 'Hill white';
export const CROSS_SHEEP = 'Hill white x Plain red';

/**
 * What the laboratory of the valley takes, and what a goat costs to keep: 7 euros a tube, about 140 a year; the sheep by
 * how early they lay on fat.
 */
const OWN_FIGURES: SpeciesOverrides = {
  sheep: {
    breeds: [
      { name: HILL_SHEEP, fatGroup: 'late' },
      { name: CROSS_SHEEP, fatGroup: 'middle' },
    ],
  },
  goat: {
    ...(tests.blood ? { tests: { ...tests, blood: { ...tests.blood, priceMinor: 700 } } } : {}),
    carrying: { ...carrying, keepPerDayMinor: 38 },
  },
};

const NAMESPACE = '5b9f4a52-2f0e-4c53-9c39-7d6f1f0f2a11';

/** An animal while the story is written. */
export interface DemoAnimal {
  readonly id: string;
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn: Day;
  readonly arrivedOn: Day;
  readonly dam: DemoAnimal | undefined;
  readonly sire: DemoAnimal | undefined;
  readonly birthType: number;
  readonly rearingType: number;
  /** Own merit for growth; 1 is average. */
  readonly merit: number;
  readonly number: string;
  goneOn: Day | undefined;
  young: number;
}

export interface NewAnimal {
  readonly species: Species;
  readonly sex: Sex;
  readonly bornOn: Day;
  readonly arrivedOn?: Day;
  readonly how?: 'born' | 'bought' | 'found';
  readonly dam?: DemoAnimal | undefined;
  readonly sire?: DemoAnimal | undefined;
  readonly birthType?: number;
  readonly rearingType?: number;
  readonly merit?: number;
  readonly number?: string;
  readonly strain?: string;
  /** Paid for one that was bought, hundredths. */
  readonly boughtMinor?: number;
  readonly colour: TagColour;
  readonly name?: string;
  readonly group: string;
  readonly withElectronic?: boolean;
  /** Wears nothing yet; `number` then only tells it apart in the story. */
  readonly isUnmarked?: boolean;
  /** Reared as follows from the births and fosterings that were written down. */
  readonly isRearingTold?: boolean;
}

/** What a book has beside its entries. */
interface Kept {
  readonly blankTags?: readonly BlankTags[];
  readonly plans?: readonly PlanFacts[];
  readonly drills?: readonly Omit<KeepDrill, 'id'>[];
  readonly resources?: ResourcesSetting;
}

/** One that was sold or killed. */
export interface Departed {
  readonly animal: DemoAnimal;
  readonly on: Day;
  readonly lastKg: { readonly on: string; readonly kg: number } | undefined;
}

/** Entry without what the writer fills in. */
type Bare<T> = T extends AnimalEntry ? Omit<T, 'id' | 'writtenAt' | 'writtenBy' | 'source' | 'on' | 'animalId'> : never;

/** Writes the demo's story down as entries of a book. Ids follow from the order of writing, so a seed gives one book. */
export class BookWriter {
  readonly animals: DemoAnimal[] = [];
  private readonly passages = new Map<string, { readonly writtenAt: string; readonly writtenBy: string }>();
  private readonly entries: Entry[] = [];
  private readonly outlets: NonNullable<BookFile['outlets']>[number][] = [];
  private readonly loads: NonNullable<BookFile['loads']>[number][] = [];
  private readonly photos: NonNullable<BookFile['photos']>[number][] = [];
  private readonly products: NonNullable<BookFile['products']>[number][] = [];
  private readonly groups = new Map<string, { id: string; species: Species }>();
  private readonly jobs: (StartJob & { finishedAt: string | null })[] = [];
  private readonly running = new Map<string, number>();
  private count = 0;
  private electronic = 120_000;

  constructor(
    readonly today: Day,
    readonly random: Random,
  ) {}

  group(name: string, species: Species): string {
    const known = this.groups.get(name);
    if (known) return known.id;
    const id = this.id(`group ${name}`);
    this.groups.set(name, { id, species });
    return id;
  }

  /** The next number of a series, such as `26-0031`. */
  nextNumber(prefix: string, width: number): string {
    const n = (this.running.get(prefix) ?? 0) + 1;
    this.running.set(prefix, n);
    return `${prefix}${String(n).padStart(width, '0')}`;
  }

  /** Adds an animal with its identifiers and its first group. */
  add(animal: NewAnimal): DemoAnimal {
    const arrivedOn = animal.arrivedOn ?? animal.bornOn;
    const number = animal.number ?? this.nextNumber(`${String(yearOf(animal.bornOn)).slice(2)}-`, 4);
    const made: DemoAnimal = {
      id: this.id(`animal ${animal.species} ${number}`),
      species: animal.species,
      sex: animal.sex,
      bornOn: animal.bornOn,
      arrivedOn,
      dam: animal.dam,
      sire: animal.sire,
      birthType: animal.birthType ?? 1,
      rearingType: animal.rearingType ?? animal.birthType ?? 1,
      merit: animal.merit ?? 1,
      number,
      goneOn: undefined,
      young: 0,
    };
    this.animals.push(made);
    this.write(made, arrivedOn, {
      type: 'arrival',
      how: animal.how ?? 'born',
      species: made.species,
      sex: made.sex,
      ...(animal.how === 'found' ? {} : { bornOn: isoOf(made.bornOn) }),
      ...(animal.strain === undefined ? {} : { strain: animal.strain }),
      ...(animal.boughtMinor === undefined ? {} : { boughtMinor: animal.boughtMinor }),
      ...(made.dam ? { damId: made.dam.id } : {}),
      ...(made.sire ? { sireId: made.sire.id } : {}),
      ...(animal.birthType === undefined ? {} : { birthType: made.birthType }),
      ...(animal.birthType === undefined || animal.isRearingTold ? {} : { rearingType: made.rearingType }),
    });
    if (!animal.isUnmarked)
      this.write(made, arrivedOn, {
        type: 'identifier',
        kind: 'visual',
        text: number,
        colour: animal.colour,
        ear: 'left',
      });
    if (animal.withElectronic)
      this.write(made, arrivedOn, {
        type: 'identifier',
        kind: 'electronic',
        text: `792000000${this.electronic++}`,
        ear: 'right',
      });
    if (animal.name) this.write(made, arrivedOn, { type: 'identifier', kind: 'name', text: animal.name });
    this.move(made, arrivedOn, animal.group);
    if (made.dam) made.dam.young++;
    return made;
  }

  /** Weighs; the scale and gut fill put their noise on the true weight. */
  weigh(animal: DemoAnimal, on: Day, trueKg: number, step = 0.1, noise = 0.012): void {
    if (animal.goneOn !== undefined && on > animal.goneOn) return;
    const kg = Math.max(step, Math.round((trueKg * this.random.normal(1, noise)) / step) * step);
    this.write(animal, on, { type: 'weight', kg: Number(kg.toFixed(3)), method: 'scale' });
  }

  move(animal: DemoAnimal, on: Day, group: string): void {
    this.write(animal, on, { type: 'move', groupId: this.group(group, animal.species) });
  }

  /** Sprays a mark that can be seen across the field. */
  mark(animal: DemoAnimal, on: Day, mark: Pick<MarkEntry, 'colour' | 'place' | 'purpose'>, until?: Day): void {
    this.write(animal, on, { type: 'mark', ...mark, ...(until === undefined ? {} : { until: isoOf(until) }) });
  }

  /** A product of the holding's list. @returns its id */
  product(facts: ProductFacts): string {
    const id = this.id(`product ${facts.name}`);
    this.products.push({ id, facts, isClosed: false, version: 1 });
    return id;
  }

  /** A picture that lies beside the book. @returns its id */
  picture(jpeg: string): string {
    const id = this.id(`picture ${this.photos.length}`);
    this.photos.push({ id, picture: jpeg });
    return id;
  }

  /** Somewhere animals are sold. */
  outlet(facts: OutletFacts): void {
    this.outlets.push({ id: this.id(`outlet ${facts.name}`), facts, isClosed: false, version: 1 });
  }

  /** Who is to go to an outlet on a day. */
  load(outletName: string, on: Day, animals: readonly DemoAnimal[]): void {
    const outletId = this.outletNamed(outletName)?.id;
    if (outletId === undefined) throw new Error(`no outlet is called ${outletName}`);
    const facts = { outletId, on: isoOf(on), animalIds: animals.map((a) => a.id) };
    this.loads.push({ id: this.id(`load ${outletName}`), facts, version: 1 });
  }

  outletNamed(name: string): { readonly id: string; readonly facts: OutletFacts } | undefined {
    return this.outlets.find((o) => o.facts.name === name);
  }

  /** Who was sold or killed, by the day it left, with its last weight before. */
  departed(): Departed[] {
    const weights = new Map<string, { readonly on: string; readonly kg: number }>();
    const left = new Map<string, string>();
    for (const e of this.entries) {
      if (e.type === 'departure' && (e.how === 'sold' || e.how === 'slaughtered')) left.set(e.animalId, e.on);
      if (e.type === 'weight' && e.on >= (weights.get(e.animalId)?.on ?? '')) weights.set(e.animalId, e);
    }
    return this.animals
      .flatMap((animal): Departed[] => {
        const on = left.get(animal.id);
        return on === undefined ? [] : [{ animal, on: dayOf(on), lastKg: weights.get(animal.id) }];
      })
      .sort((a, b) => a.on - b.on);
  }

  /** Says of one that left where it went. */
  tellSale(animal: DemoAnimal, sale: Pick<DepartureEntry, 'how' | 'outletId' | 'buyer' | 'kg' | 'priceMinor'>): void {
    const at = this.entries.findIndex((e) => e.type === 'departure' && e.animalId === animal.id);
    const departure = this.entries[at];
    if (departure?.type === 'departure') this.entries[at] = { ...departure, ...sale };
  }

  /** The id of a product by its name. @throws Error when the story has none of it */
  productId(name: string): string {
    const found = this.products.find((p) => p.facts.name === name);
    if (!found) throw new Error(`the demo has no product “${name}”`);
    return found.id;
  }

  /** Ids of the groups by their names. */
  groupIds(): Readonly<Record<string, string>> {
    return Object.fromEntries([...this.groups].map(([name, { id }]) => [name, id]));
  }

  /** A tape reading by one person. */
  tape(animal: DemoAnimal, on: Day, kg: number, by: string): void {
    this.write(animal, on, { type: 'weight', kg: Math.round(kg), method: 'tape' }, undefined, by);
  }

  /** What was last read of an animal, up to a day. */
  lastKg(animal: DemoAnimal, on: Day): number | undefined {
    const iso = isoOf(on);
    const own = this.entries.filter((e) => e.type === 'weight' && e.animalId === animal.id && e.on <= iso);
    const last = own.sort((a, b) => (a.on < b.on ? -1 : 1)).at(-1);
    return last?.type === 'weight' ? last.kg : undefined;
  }

  /** A visual tag is lost, and perhaps replaced by a new one of the same number. */
  endVisual(animal: DemoAnimal, lostOn: Day, reason: string, replacedOn?: Day): void {
    const fitted = this.entries.find((e) => e.type === 'identifier' && e.animalId === animal.id && e.kind === 'visual');
    if (fitted?.type !== 'identifier') return;
    this.write(animal, lostOn, { type: 'identifier-end', identifierId: fitted.id, how: 'lost', reason });
    if (replacedOn !== undefined)
      this.write(animal, replacedOn, {
        type: 'identifier',
        kind: 'visual',
        text: fitted.text,
        ear: 'left',
        ...(fitted.colour ? { colour: fitted.colour } : {}),
      });
  }

  /** What was written of an animal so far, in order of writing. */
  told(animal: DemoAnimal): readonly AnimalEntry[] {
    return this.entries.filter((e): e is AnimalEntry => e.type !== 'strike' && e.animalId === animal.id);
  }

  /** Sets right as one of how many an animal was born. */
  bornAs(animal: DemoAnimal, birthType: number): void {
    const at = this.entries.findIndex((e) => e.type === 'arrival' && e.animalId === animal.id);
    const arrival = this.entries[at];
    if (arrival?.type === 'arrival') this.entries[at] = { ...arrival, birthType };
  }

  leave(animal: DemoAnimal, on: Day, how: 'died' | 'sold' | 'slaughtered', reason?: string, of?: DeathCause): void {
    if (animal.goneOn !== undefined || on >= this.today) return;
    animal.goneOn = on;
    const cause = how === 'died' ? (of ?? this.causeOf(on - animal.bornOn)) : undefined;
    this.write(animal, on, { type: 'departure', how, ...(cause ? { cause } : {}), ...(reason ? { reason } : {}) });
  }

  /** Of what young of an age die, in turn: the story's chance is not asked, that all after it stays as it is. */
  private causeOf(ageDays: number): DeathCause {
    const causes: readonly DeathCause[] =
      ageDays <= 3 ? ['weak', 'cold', 'lain-on', 'hunger'] : ['scour', 'lungs', 'unknown', 'scour'];
    return causes[this.count % causes.length] ?? 'unknown';
  }

  choose(
    animal: DemoAnimal,
    on: Day,
    choice: Omit<ChoiceEntry, 'id' | 'type' | 'animalId' | 'on' | 'writtenAt' | 'writtenBy' | 'source'>,
  ): void {
    this.write(animal, on, { type: 'choice', ...choice });
  }

  /** Writes an entry; days before it came or after the end of the story are not written. */
  write(animal: DemoAnimal, on: Day, bare: Bare<AnimalEntry>, jobId?: string, by?: string): string {
    const id = this.id(`entry ${this.count++}`);
    if (on > this.today || on < animal.arrivedOn) return id;
    const second = this.count % 60;
    const minute = Math.floor(this.count / 60) % 60;
    const time = `${String(minute).padStart(2, '0')}:${String(second).padStart(2, '0')}`;
    const written = {
      writtenAt: `${isoOf(addDays(on, -1))}T20:${time}.000Z`,
      writtenBy: by ?? (this.count % 3 === 0 ? 'Aylin' : 'Kerem'),
    };
    // One way through a job is of one moment and one hand: by that its entries are known to belong together.
    const passage = jobId === undefined ? written : (this.passages.get(`${jobId} ${animal.id}`) ?? written);
    if (jobId !== undefined) this.passages.set(`${jobId} ${animal.id}`, passage);
    this.entries.push({
      id,
      animalId: animal.id,
      on: isoOf(on),
      ...passage,
      source: 'demo',
      ...(jobId ? { jobId } : {}),
      ...bare,
    } as AnimalEntry);
    return id;
  }

  job(job: Omit<StartJob, 'id'> & { readonly finishedAt: string | null }): string {
    const id = this.id(`job ${job.name} ${job.on}`);
    this.jobs.push({ id, ...job });
    return id;
  }

  /** Everything present on a day, of a species. */
  present(species: Species, on: Day): DemoAnimal[] {
    return this.animals.filter(
      (a) => a.species === species && a.bornOn <= on && (a.goneOn === undefined || a.goneOn > on),
    );
  }

  finish(name: string, { blankTags = [], plans = [], drills = [], resources }: Kept = {}): BookFile {
    const order = (a: Entry, b: Entry): number => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0);
    // A story may have told of days an animal did not live to see, before it was told that it left.
    const goneOn = new Map(this.animals.flatMap((a) => (a.goneOn === undefined ? [] : [[a.id, isoOf(a.goneOn)]])));
    const wasThere = (e: Entry): boolean => e.type === 'strike' || e.on <= (goneOn.get(e.animalId) ?? e.on);
    const entries = this.entries.filter(wasThere).sort(order);
    const records: BookAnimal[] = entries.flatMap((e) =>
      e.type === 'arrival'
        ? [
            {
              id: e.animalId,
              species: e.species,
              sex: e.sex,
              bornOn: e.bornOn ?? null,
              damId: e.damId ?? null,
              sireId: e.sireId ?? null,
              birthType: e.birthType ?? null,
              rearingType: e.rearingType ?? null,
              strain: e.strain ?? null,
              ...(e.boughtMinor === undefined ? {} : { boughtMinor: e.boughtMinor }),
              version: 1,
            },
          ]
        : [],
    );
    return {
      format: BOOK_FORMAT,
      formatVersion: BOOK_FORMAT_VERSION,
      holding: {
        name,
        keeper: 'Aylin',
        unit: 'kg',
        currency: 'EUR',
        pointsWeights: DEFAULT_POINTS_WEIGHTS,
        species: OWN_FIGURES,
        version: 1,
        blankTags,
        ...(resources ? { resources } : {}),
      },
      plans: plans.map((facts) => ({ id: this.id(`plan ${facts.name}`), facts, version: 1 })),
      drills: drills.map((drill, i) => ({ id: this.id(`drill ${i}`), ...drill })),
      products: this.products,
      outlets: this.outlets,
      loads: this.loads,
      groups: [...this.groups].map(([groupName, g]) => ({
        id: g.id,
        name: groupName,
        species: g.species,
        isClosed: false,
        version: 1,
      })),
      jobs: this.jobs,
      animals: records,
      entries,
      ...(this.photos.length > 0 ? { photos: this.photos } : {}),
    };
  }

  private id(name: string): string {
    return v5(name, NAMESPACE);
  }
}
