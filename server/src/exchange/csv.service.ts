import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import type { AnimalQuery, AnimalRow, TagView } from '@yaylak/contract';
import {
  birthText,
  dailyWeights,
  isoOf,
  mainIdentifier,
  normalised,
  notesText,
  scaleUnit,
  wornIdentifiers,
  type AnimalFacts,
  type NoteLine,
  type ScaleUnit,
  type Species,
} from '@yaylak/core';
import { AnimalsService } from '../animals/animals.service';
import { BookService } from '../book/book.service';
import { readEntries } from '../book/readEntries';
import { csv, type Cell } from './csvText';

/** What a cell needs beside its own animal. */
interface OfRow {
  /** How a parent is called in its young's row. */
  readonly parent: (tag: TagView | null) => Cell;
  readonly notes: readonly NoteLine[];
}

interface Column {
  readonly heading: string;
  readonly cell: (row: AnimalRow, facts: AnimalFacts, of: OfRow) => Cell;
}

const worn = (facts: AnimalFacts, kind: string): string | undefined =>
  wornIdentifiers(facts).findLast((i) => i.kind === kind)?.text;

/** Columns a file of animals can have, by the names the list has for them. The headings are those an import guesses. */
const ANIMAL_COLUMNS: Readonly<Record<string, Column>> = {
  number: { heading: 'number', cell: (r) => (r.tag.kind === 'visual' ? r.tag.text : null) },
  colour: { heading: 'colour', cell: (r) => r.tag.colour },
  tattoo: { heading: 'tattoo', cell: (_, f) => worn(f, 'tattoo') },
  electronic: { heading: 'electronic', cell: (_, f) => worn(f, 'electronic') },
  name: { heading: 'name', cell: (_, f) => worn(f, 'name') },
  species: { heading: 'species', cell: (r) => r.species },
  sex: { heading: 'sex', cell: (r) => r.sex },
  breed: { heading: 'breed', cell: (_, f) => f.record.strain },
  bought: {
    heading: 'bought for',
    cell: (_, { record: { boughtMinor } }) => (boughtMinor === undefined ? null : (boughtMinor / 100).toFixed(2)),
  },
  born: { heading: 'born', cell: (r) => r.bornOn && birthText(r.bornOn, r.birthKnownTo) },
  bornAs: { heading: 'born as', cell: (r) => r.birthType },
  rearedAs: { heading: 'reared as', cell: (r) => r.rearingType },
  dam: { heading: 'dam', cell: (r, _, { parent }) => parent(r.dam) },
  sire: { heading: 'sire', cell: (r, _, { parent }) => parent(r.sire) },
  group: { heading: 'group', cell: (r) => r.group?.name },
  arrived: { heading: 'arrived', cell: (_, f) => f.arrivedOn && isoOf(f.arrivedOn) },
  cameBy: { heading: 'came by', cell: (_, f) => f.arrivedBy },
  left: { heading: 'left', cell: (_, f) => f.departures[0] && isoOf(f.departures[0].on) },
  leftHow: { heading: 'left how', cell: (_, f) => f.departures[0]?.how },
  notes: { heading: 'notes', cell: (_, __, { notes }) => notesText(notes) },
  age: { heading: 'age days', cell: (r) => r.ageDays },
  lastKg: { heading: 'last weight kg', cell: (r) => r.lastKg },
  lastOn: { heading: 'weighed on', cell: (r) => r.lastOn },
  gain: { heading: 'gain g per day', cell: (r) => (r.gain ? Math.round(r.gain.kgPerDay * 1000) : null) },
  gainSure: {
    heading: 'gain plus or minus g (80 %)',
    cell: (r) => (r.gain ? Math.round(r.gain.halfWidth * 1000) : null),
  },
};

const NO_NOTES: ReadonlyMap<string, readonly NoteLine[]> = new Map();

/** Of kilograms: a reading means no more, and a weight typed in pounds comes back as it was. */
const DIGITS: Readonly<Record<ScaleUnit, number>> = { kg: 2, lb: 2, g: 3, oz: 3 };

/** Tables as CSV that a spreadsheet opens and an import of ours reads back. */
@Injectable()
export class CsvService {
  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(AnimalsService) private readonly animals: AnimalsService,
    @Inject(BookService) private readonly book: BookService,
  ) {}

  /** @param names columns in order; unknown ones are left out, none means all */
  async animalsCsv(query: AnimalQuery, names: readonly string[]): Promise<string> {
    const wanted = names.filter((n) => Object.hasOwn(ANIMAL_COLUMNS, n));
    const columns = (wanted.length > 0 ? wanted : Object.keys(ANIMAL_COLUMNS)).map((n) => ANIMAL_COLUMNS[n] as Column);
    const parent = this.parentCell();
    const notes = columns.some((c) => c === ANIMAL_COLUMNS['notes']) ? await this.notes() : NO_NOTES;
    const rows = this.animals.rows(query).map((row) => {
      const facts = this.animals.find(row.tag.animalId);
      const of: OfRow = {
        parent: (tag) => parent(tag, row.species),
        notes: notes.get(row.tag.animalId) ?? [],
      };
      return columns.map((c) => c.cell(row, facts, of));
    });
    return csv(
      columns.map((c) => c.heading),
      rows,
    );
  }

  /** What was noted of each animal, struck notes left out, in order of writing. */
  private async notes(): Promise<ReadonlyMap<string, readonly NoteLine[]>> {
    const all = new Map<string, NoteLine[]>();
    for (const { entry, struckBy } of await readEntries(this.orm.em.fork(), { type: 'note' })) {
      if (entry.type !== 'note' || struckBy) continue;
      const { animalId, on, text } = entry;
      const list = all.get(animalId);
      if (list) list.push({ on, text });
      else all.set(animalId, [{ on, text }]);
    }
    return all;
  }

  /** A parent by its number; by colour and number where several of its kind ever wore that number. */
  private parentCell(): (tag: TagView | null, species: Species) => Cell {
    const keyOf = (species: Species, text: string): string => `${species} ${normalised(text)}`;
    const wearers = new Map<string, number>();
    for (const facts of this.book.state.animals.values()) {
      const main = mainIdentifier(facts);
      if (!main) continue;
      const key = keyOf(facts.record.species, main.identifier.text);
      wearers.set(key, (wearers.get(key) ?? 0) + 1);
    }
    return (tag, species) => {
      if (!tag || tag.kind === 'none') return null;
      const isOne = (wearers.get(keyOf(species, tag.text)) ?? 0) < 2;
      return isOne || tag.colour === null ? tag.text : `${tag.colour} ${tag.text}`;
    };
  }

  /** Every weighing there is, by animal and day. */
  weightsCsv(): string {
    const rows: Cell[][] = [];
    for (const facts of this.book.state.animals.values()) {
      const main = mainIdentifier(facts);
      for (const r of dailyWeights(facts))
        rows.push([
          main?.identifier.text,
          main?.identifier.colour,
          isoOf(r.on),
          Number(r.kg.toFixed(DIGITS[scaleUnit(facts.record.species, 'kg')])),
          r.method,
        ]);
    }
    return csv(['number', 'colour', 'date', 'weight kg', 'method'], rows);
  }
}
