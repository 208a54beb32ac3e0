import type { AnimalRow, AnimalSort } from '@yaylak/contract';
import type { WeightUnit } from '@yaylak/core';
import type { ReactNode } from 'react';
import { GainFigure } from '../../parts/GainFigure';
import { Soft } from '../../parts/Panel';
import { Tag } from '../../parts/Tag';
import { birthDate, shortDate } from '../../words/dates';
import { ageText, bornText, weightText } from '../../words/format';
import type { EditableFact } from './CellEditor';
import { say, fieldWord } from '@yaylak/contract';
import { ListedGainHow } from '../../parts/hows/ListedGainHow';

export interface ColumnSpec {
  readonly heading: string;
  readonly sort?: AnimalSort;
  readonly width: number;
  readonly isFigure?: boolean;
  /** How its figures come about, asked at the heading. */
  readonly how?: ReactNode;
  /** The fact that can be changed in the cell. */
  readonly edits?: EditableFact;
  readonly cell: (row: AnimalRow, unit: WeightUnit) => ReactNode;
  /** Columns of the CSV that say the same. */
  readonly inFile: readonly string[];
}

const column = (spec: ColumnSpec): ColumnSpec => spec;

/** All columns the list can show. */
export const COLUMNS = {
  number: column({
    heading: say('Number'),
    sort: 'number',
    width: 180,
    cell: (r) => <NumberCell row={r} />,
    inFile: ['number', 'colour', 'name', 'electronic'],
  }),
  kind: column({
    heading: say('What'),
    sort: 'species',
    width: 120,
    edits: 'sex',
    cell: (r) => fieldWord(r, r.ageDays ?? undefined),
    inFile: ['species', 'sex'],
  }),
  group: column({
    heading: say('Group'),
    sort: 'group',
    width: 150,
    edits: 'group',
    cell: (r) => r.group?.name ?? say('no group'),
    inFile: ['group'],
  }),
  age: column({
    heading: say('Age'),
    sort: 'age',
    width: 140,
    cell: (r) => (r.age ? ageText(r.age, r.birthKnownTo) : say('not known')),
    inFile: ['age'],
  }),
  born: column({
    heading: say('Born'),
    sort: 'age',
    width: 140,
    edits: 'bornOn',
    cell: (r) => (r.bornOn ? birthDate(r.bornOn, r.birthKnownTo) : say('not known')),
    inFile: ['born'],
  }),
  bornAs: column({
    heading: say('Born as'),
    width: 160,
    edits: 'bornAs',
    cell: (r) => bornText(r.species, r.birthType, r.rearingType),
    inFile: ['bornAs', 'rearedAs'],
  }),
  dam: column({
    heading: say('Dam'),
    width: 120,
    edits: 'dam',
    cell: (r) => (r.dam ? <Tag tag={r.dam} /> : <Soft>{say('not known')}</Soft>),
    inFile: ['dam'],
  }),
  sire: column({
    heading: say('Sire'),
    width: 120,
    edits: 'sire',
    cell: (r) => (r.sire ? <Tag tag={r.sire} /> : <Soft>{say('not known')}</Soft>),
    inFile: ['sire'],
  }),
  lastKg: column({
    heading: say('Last weight'),
    sort: 'weight',
    width: 130,
    isFigure: true,
    cell: (r, unit) =>
      r.lastKg === null ? '' : `${weightText(r.lastKg, unit, r.species)}${r.lastOn ? `, ${shortDate(r.lastOn)}` : ''}`,
    inFile: ['lastKg', 'lastOn'],
  }),
  gain: column({
    heading: say('Gain, last two'),
    how: <ListedGainHow />,
    sort: 'gain',
    width: 190,
    isFigure: true,
    cell: (r) => (r.gain ? <GainFigure gain={r.gain} species={r.species} title={say('Gain')} isCompact /> : ''),
    inFile: ['gain', 'gainSure'],
  }),
} as const;
export type ColumnId = keyof typeof COLUMNS;

function NumberCell({ row }: { readonly row: AnimalRow }) {
  return (
    <span style={{ display: 'inline-flex', gap: 8, alignItems: 'center' }}>
      <Tag tag={row.tag} />
      {row.tag.name ?? ''}
    </span>
  );
}
