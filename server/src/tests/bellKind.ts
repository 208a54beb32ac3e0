import { defineEntity, p } from '@mikro-orm/core';
import { Migration } from '@mikro-orm/migrations';
import { AnimalEntryBase, ENTRY_CLASSES, ENTRY_TYPES } from '@yaylak/contract';
import { KINDS, type Fact, type FactKind } from '@yaylak/core';
import { IsIn, IsNumber, IsString } from 'class-validator';
import { MIGRATION_NAMES } from '../database/migrationNames';
import { MIGRATIONS } from '../database/migrations';
import { ENTRY_ENTITIES, EntryEntity } from '../records/entry.entities';

/*
 * A kind of entry that nobody has, written down at the places CONTRIBUTING names and nowhere else: its file in core, its
 * class in the contract, its table, and the step that makes it. (Its words, the fifth, are the web's: without them it is
 * not built.) To be loaded before the server, which reads the lists when its files are loaded.
 */
const bell = {
  list: 'bells',
  fact: ({ tone }, base) => ({ tone, ...base }),
  check: ({ tone }) => (tone > 0 ? undefined : { code: 'amount-not-positive', field: 'tone', value: String(tone) }),
} satisfies FactKind<string, { readonly tone: number }, Fact & { readonly tone: number }>;

class BellEntry extends AnimalEntryBase {
  static readonly example = { tone: 440, maker: 'Kerem' };

  @IsIn(['bell'])
  type: 'bell';
  @IsNumber({ allowNaN: false, allowInfinity: false })
  tone: number;
  @IsString()
  maker: string;
}

const BellEntity = defineEntity({
  name: 'Bell',
  tableName: 'bell_entry',
  properties: {
    entry: () => p.oneToOne(EntryEntity).deleteRule('restrict').primary().owner(),
    tone: p.double(),
    maker: p.string(),
  },
});

class BellStep extends Migration {
  override up(): void {
    this.addSql(
      'create table bell_entry (entry_id text not null primary key references entry(id) on delete restrict, tone double not null, maker text not null)',
    );
  }
}

Object.assign(KINDS, { bell });
Object.assign(ENTRY_CLASSES, { bell: BellEntry });
ENTRY_TYPES.push('bell' as never);
Object.assign(ENTRY_ENTITIES, { bell: BellEntity });
(MIGRATION_NAMES as unknown as string[]).push('20990101000000_bell');
MIGRATIONS.push({ name: '20990101000000_bell' as never, class: BellStep as never });
