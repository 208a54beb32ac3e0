import { randomUUID } from 'node:crypto';
import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import {
  MOST_PASSPORT_PHOTOS,
  PASSPORT_FORMAT,
  PASSPORT_FORMAT_VERSION,
  PASSPORT_KINDS,
  type Entry,
  type FiledPicture,
  type PassportAnimal,
  type PassportFile,
  type PassportParent,
  type PassportsRead,
  say,
} from '@yaylak/contract';
import { isoMoment, isoOf, mainIdentifier, normalised, type AnimalFacts, type Sex } from '@yaylak/core';
import { AnimalsService } from '../animals/animals.service';
import { BookService } from '../book/book.service';
import { readEntries } from '../book/readEntries';
import { breathe } from '../common/breathe';
import { Clock } from '../common/clock';
import { plain } from '../common/plain';
import { badFields } from '../common/problems';
import { HoldingService } from '../holding/holding.service';
import { PhotoFiles } from '../photos/photoFiles';
import { ProductsService } from '../remedies/products.service';

const TRAVELS: ReadonlySet<string> = new Set(PASSPORT_KINDS);
const SEX_OF: Readonly<Record<PassportParent['role'], Sex>> = { dam: 'female', sire: 'male' };

/** Animals with their history: out for a buyer, and in from a seller. */
@Injectable()
export class PassportsService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(AnimalsService) private readonly animals: AnimalsService,
    @Inject(HoldingService) private readonly holding: HoldingService,
    @Inject(ProductsService) private readonly products: ProductsService,
    @Inject(PhotoFiles) private readonly photoFiles: PhotoFiles,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** @throws not-found where one of them is not in the book */
  async write(ids: readonly string[]): Promise<PassportFile> {
    const { name } = await this.holding.settings();
    const animals: PassportAnimal[] = [];
    const photos = this.photosOf(ids);
    const filed = new Set(photos.map((photo) => photo.id));
    for (const id of new Set(ids)) {
      await breathe();
      animals.push(await this.animal(this.animals.find(id), filed));
    }
    const given = new Set(
      animals.flatMap((a) => a.entries.flatMap((e) => ('productId' in e ? [e.productId as string] : []))),
    );
    return {
      format: PASSPORT_FORMAT,
      formatVersion: PASSPORT_FORMAT_VERSION,
      from: name,
      madeOn: isoOf(this.clock.today()),
      products: [...given].sort().flatMap((id) => this.book.state.products.get(id) ?? []),
      animals,
      ...(photos.length > 0 ? { photos } : {}),
    };
  }

  /** The newest photo of each of a few; of many, none. */
  private photosOf(ids: readonly string[]): FiledPicture[] {
    const all = [...new Set(ids)];
    if (all.length > MOST_PASSPORT_PHOTOS) return [];
    return all.flatMap((id) => {
      const photo = this.book.state.animals.get(id)?.photos.at(-1);
      const jpeg = photo && this.photoFiles.read(photo.pictureId);
      return jpeg ? [{ id: photo.pictureId, picture: jpeg.toString('base64') }] : [];
    });
  }

  private async animal(facts: AnimalFacts, filed: ReadonlySet<string>): Promise<PassportAnimal> {
    const { id, species, sex, bornOn, birthKnownTo, strain, birthType, damId, sireId } = facts.record;
    const kept = await readEntries(this.orm.em.fork(), { animalId: id });
    const parents = (
      [
        ['dam', damId],
        ['sire', sireId],
      ] as const
    ).flatMap(([role, parentId]) => (parentId === undefined ? [] : [this.parent(role, parentId)]));
    return {
      id,
      species,
      sex,
      bornOn: bornOn === undefined ? null : isoOf(bornOn),
      ...(birthKnownTo === undefined ? {} : { birthKnownTo }),
      strain: strain ?? null,
      birthType: birthType ?? null,
      rearingType: this.book.state.litters.rearingType(facts, this.clock.today()) ?? null,
      parents,
      entries: kept.flatMap(({ entry, struckBy }) =>
        struckBy === undefined && TRAVELS.has(entry.type) && (entry.type !== 'photo' || filed.has(entry.pictureId))
          ? [travelling(entry)]
          : [],
      ),
    };
  }

  private parent(role: PassportParent['role'], id: string): PassportParent {
    const facts = this.book.state.animals.get(id);
    return { role, id, number: (facts && mainIdentifier(facts)?.identifier.text) ?? null };
  }

  /**
   * Reads animals as bought today, each whole or not at all: its parents known by their numbers, the remedies it was
   * given added and closed. One that is in the book already is left as it is.
   */
  async read(file: PassportFile, mode: 'check' | 'keep'): Promise<PassportsRead> {
    const { from, madeOn, products, photos = [], ...written } = plain(file);
    const pictures = new Map(photos.map((photo) => [photo.id, photo.picture]));
    const animals = written.animals.map(filled);
    const doubled = animals.find((a, i) => animals.findIndex((b) => b.id === a.id) !== i);
    if (doubled)
      throw badFields([
        {
          field: 'animals',
          message: say('{number} stands twice in this file. Take one out.', { number: numberOf(doubled) }),
        },
      ]);
    const isKeeping = mode === 'keep';
    const productOf = await this.productsOf(products, isKeeping);
    const { keeper } = await this.holding.settings();
    const keptIds: string[] = [];
    const read: PassportsRead['animals'][number][] = [];
    for (const animal of animals) {
      await breathe();
      const { id, species, sex, bornOn, entries } = animal;
      const shown = { id, number: numberOf(animal), species, sex, bornOn, history: entries.length };
      if (this.book.state.animals.has(id)) {
        read.push({ ...shown, status: 'here', message: null });
        continue;
      }
      const arriving = this.arriving(animal, { writtenBy: keeper, from, productOf, pictures });
      if (isKeeping) this.keepPictures(animal, pictures);
      const answers = await this.book.post(arriving, isKeeping ? 'whole' : 'check');
      const refused = answers.find((a) => a.status === 'refused');
      keptIds.push(...(isKeeping ? answers.flatMap((a) => (a.status === 'kept' ? [a.id] : [])) : []));
      read.push({
        ...shown,
        status: refused ? 'refused' : 'new',
        message: refused?.status === 'refused' ? refused.message : null,
      });
    }
    return { from, madeOn, animals: read, keptIds };
  }

  /** This book's product for each of the file's: the same one, one of the same name, or a new one that is closed. */
  private async productsOf(
    products: PassportFile['products'],
    isKeeping: boolean,
  ): Promise<(id: string) => string | undefined> {
    const here = new Map<string, string>();
    const named = (name: string): string | undefined =>
      [...this.book.state.products.values()].find((p) => normalised(p.facts.name) === normalised(name))?.id;
    for (const { id, facts } of products) {
      const known = this.book.state.products.has(id) ? id : named(facts.name);
      if (known !== undefined) here.set(id, known);
      if (known !== undefined || !isKeeping) continue;
      const { version } = await this.products.create({ id, ...facts });
      await this.products.change(id, { ...facts, version, isClosed: true });
      here.set(id, id);
    }
    return (id) => here.get(id);
  }

  /** The pictures of an animal's photos, before the entries that speak of them. */
  private keepPictures({ entries }: PassportAnimal, pictures: ReadonlyMap<string, string>): void {
    for (const { pictureId } of entries as { readonly pictureId?: unknown }[]) {
      const picture = typeof pictureId === 'string' ? pictures.get(pictureId) : undefined;
      if (picture !== undefined) this.photoFiles.keep(pictureId as string, Buffer.from(picture, 'base64'));
    }
  }

  /** A parent's number; where one that is here wears the same, with whose it is. */
  private parentNumber(number: string, from: string): string {
    const isWornHere = [...this.book.state.wearersOf(normalised(number))].some((f) => f.departures.length === 0);
    return isWornHere ? `${number} of ${from}`.slice(0, 60) : number;
  }

  /** All that one animal brings into the book. A remedy the book does not have yet is left out of a check. */
  private arriving(
    { id, species, sex, bornOn, birthKnownTo, strain, birthType, rearingType, parents, entries }: PassportAnimal,
    { writtenBy, from, productOf, pictures }: Arriving,
  ): object[] {
    const on = isoOf(this.clock.today());
    const stamp = { writtenAt: isoMoment(this.clock.moment()), writtenBy, source: 'import' as const };
    const unknown = parents.filter((p) => !this.book.state.animals.has(p.id));
    const asParents = unknown.flatMap((p): object[] => {
      const shared = { animalId: p.id, on: bornOn ?? on, ...stamp };
      return [
        { id: randomUUID(), type: 'arrival', how: 'named', species, sex: SEX_OF[p.role], ...shared },
        ...(p.number === null
          ? []
          : [
              {
                id: randomUUID(),
                type: 'identifier',
                kind: 'visual',
                text: this.parentNumber(p.number, from),
                ...shared,
              },
            ]),
        { id: randomUUID(), type: 'departure', how: 'elsewhere', ...shared },
      ];
    });
    const arrival = {
      id: randomUUID(),
      type: 'arrival',
      how: 'bought',
      animalId: id,
      on,
      species,
      sex,
      ...(bornOn === null ? {} : { bornOn }),
      ...(birthKnownTo === undefined ? {} : { birthKnownTo }),
      ...(strain === null ? {} : { strain }),
      ...(birthType === null ? {} : { birthType }),
      ...(rearingType === null ? {} : { rearingType }),
      ...Object.fromEntries(parents.map((p) => [`${p.role}Id`, p.id])),
      ...stamp,
    };
    const history = entries.flatMap((raw): object[] => {
      const entry = raw as { readonly type?: unknown; readonly productId?: unknown; readonly pictureId?: unknown };
      if (typeof entry.type !== 'string' || !TRAVELS.has(entry.type)) return [];
      const own = { ...raw, animalId: id, source: 'import' };
      if (entry.type === 'photo' && !pictures.has(entry.pictureId as string)) return [];
      if (entry.type !== 'treatment') return [own];
      const productId = typeof entry.productId === 'string' ? productOf(entry.productId) : undefined;
      return productId === undefined ? [] : [{ ...own, productId }];
    });
    return [...asParents, arrival, ...history];
  }
}

/** What a file leaves out of an animal is as what it leaves empty. */
const filled = (animal: PassportAnimal): PassportAnimal => ({
  ...animal,
  bornOn: animal.bornOn ?? null,
  strain: animal.strain ?? null,
  birthType: animal.birthType ?? null,
  rearingType: animal.rearingType ?? null,
  parents: animal.parents.map((parent) => ({ ...parent, number: parent.number ?? null })),
});

/** What all animals of a file come in with. */
interface Arriving {
  readonly writtenBy: string;
  readonly from: string;
  /** This book's product for one of the file's. */
  readonly productOf: (id: string) => string | undefined;
  /** By their id. */
  readonly pictures: ReadonlyMap<string, string>;
}

/** An entry as it leaves: without the job and the tube, which the other book does not have. */
function travelling(entry: Entry): object {
  const { jobId: _, ...own } = entry as Entry & { readonly jobId?: string };
  if (own.type === 'gene-test') {
    const { sampleId: _tube, ...test } = own;
    return test;
  }
  // What was answered at the birth is not asked again elsewhere.
  return own.type === 'birth' ? { ...own, reason: own.reason ?? 'as it was recorded where she gave birth' } : own;
}

/** The number an animal goes by in a file. */
function numberOf({ entries, id }: PassportAnimal): string {
  const numbers = entries.filter(
    (e): e is { type: string; kind: string; text: string } =>
      'type' in e && e.type === 'identifier' && 'text' in e && typeof e.text === 'string',
  );
  return (numbers.findLast((n) => n.kind === 'visual') ?? numbers.at(-1))?.text ?? id;
}
