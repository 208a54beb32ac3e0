import { Inject, Injectable } from '@nestjs/common';
import type { AnimalQuery, AnimalRow } from '@yaylak/contract';
import { birthText, dailyWeights, isoOf, mainIdentifier, wornIdentifiers, type AnimalFacts } from '@yaylak/core';
import { AnimalsService } from '../animals/animals.service';
import { BookService } from '../book/book.service';
import { csv, type Cell } from './csvText';

interface Column {
  readonly heading: string;
  readonly cell: (row: AnimalRow, facts: AnimalFacts) => Cell;
}

const worn = (facts: AnimalFacts, kind: string): string | undefined =>
  wornIdentifiers(facts).findLast((i) => i.kind === kind)?.text;

/** Columns a file of animals can have, by the names the list has for them. The headings are those an import guesses. */
const ANIMAL_COLUMNS: Readonly<Record<string, Column>> = {
  number: { heading: 'number', cell: (r) => r.tag.text },
  colour: { heading: 'colour', cell: (r) => r.tag.colour },
  electronic: { heading: 'electronic', cell: (_, f) => worn(f, 'electronic') },
  name: { heading: 'name', cell: (r) => r.tag.name },
  species: { heading: 'species', cell: (r) => r.species },
  sex: { heading: 'sex', cell: (r) => r.sex },
  born: { heading: 'born', cell: (r) => r.bornOn && birthText(r.bornOn, r.birthKnownTo) },
  bornAs: { heading: 'born as', cell: (r) => r.birthType },
  rearedAs: { heading: 'reared as', cell: (r) => r.rearingType },
  dam: { heading: 'dam', cell: (r) => r.dam?.text },
  sire: { heading: 'sire', cell: (r) => r.sire?.text },
  group: { heading: 'group', cell: (r) => r.group?.name },
  age: { heading: 'age days', cell: (r) => r.ageDays },
  lastKg: { heading: 'last weight kg', cell: (r) => r.lastKg },
  lastOn: { heading: 'weighed on', cell: (r) => r.lastOn },
  gain: { heading: 'gain g per day', cell: (r) => (r.gain ? Math.round(r.gain.kgPerDay * 1000) : null) },
  gainSure: {
    heading: 'gain plus or minus g (80 %)',
    cell: (r) => (r.gain ? Math.round(r.gain.halfWidth * 1000) : null),
  },
};

/** Tables as CSV that a spreadsheet opens and an import of ours reads back. */
@Injectable()
export class CsvService {
  constructor(
    @Inject(AnimalsService) private readonly animals: AnimalsService,
    @Inject(BookService) private readonly book: BookService,
  ) {}

  /** @param names columns in order; unknown ones are left out, none means all */
  animalsCsv(query: AnimalQuery, names: readonly string[]): string {
    const wanted = names.filter((n) => Object.hasOwn(ANIMAL_COLUMNS, n));
    const columns = (wanted.length > 0 ? wanted : Object.keys(ANIMAL_COLUMNS)).map((n) => ANIMAL_COLUMNS[n] as Column);
    const rows = this.animals.rows(query).map((row) => {
      const facts = this.animals.find(row.tag.animalId);
      return columns.map((c) => c.cell(row, facts));
    });
    return csv(
      columns.map((c) => c.heading),
      rows,
    );
  }

  /** Every weighing there is, by animal and day. */
  weightsCsv(): string {
    const rows: Cell[][] = [];
    for (const facts of this.book.state.animals.values()) {
      const main = mainIdentifier(facts);
      for (const r of dailyWeights(facts))
        rows.push([main?.identifier.text, main?.identifier.colour, isoOf(r.on), r.kg, r.method]);
    }
    return csv(['number', 'colour', 'date', 'weight kg', 'method'], rows);
  }
}
