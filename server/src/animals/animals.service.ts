import { MikroORM } from '@mikro-orm/libsql';
import { Inject, Injectable } from '@nestjs/common';
import {
  refusalText,
  type AnimalPage,
  type AnimalQuery,
  type AnimalRow,
  type ChangeAnimal,
  type WearerView,
} from '@yaylak/contract';
import {
  ageWords,
  checkChange,
  dayOf,
  groupOn,
  isoOf,
  isPresent,
  marksOn,
  normalised,
  withheldOn,
  wornIdentifiers,
  yearOf,
  type AnimalFacts,
  type AnimalRecord,
  type MarkFact,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Whole, type Changes } from '../book/derived';
import { Clock } from '../common/clock';
import { badFields, notFound, staleVersion } from '../common/problems';
import { tagView } from '../common/views';
import { GrowthService } from '../growth/growth.service';
import { HistoryService } from '../history/history.service';
import { AnimalEntity } from '../records/animal.entity';
import { compareBy } from './animalOrder';

const PAGE = 100;
/** Lists kept sorted for those who page on; a household looks at a few at a time. */
const LISTS_KEPT = 8;

@Injectable()
export class AnimalsService {
  private readonly index: Whole<WearerView[]>;

  constructor(
    @Inject(MikroORM) private readonly orm: MikroORM,
    @Inject(BookService) private readonly book: BookService,
    @Inject(HistoryService) private readonly changes: HistoryService,
    @Inject(GrowthService) private readonly growth: GrowthService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.index = new Whole(
      () => [
        ...this.book.state.versionsOf(['arrival', 'departure', 'identifier', 'identifier-end', 'move']),
        this.book.state.recordsVersion,
        this.clock.today(),
      ],
      () => this.readWearers(),
    );
  }

  /** Lists by their query, the one asked for last at the end. */
  private readonly kept = new Map<
    string,
    { readonly recordsVersion: number; readonly changes: Changes; readonly list: readonly AnimalFacts[] }
  >();

  /** A page of animals, filtered and sorted here; the cursor is the place after the last row of this version. */
  list(query: AnimalQuery): AnimalPage {
    const all = this.select(query);
    const from = Math.max(0, Number.parseInt(query.cursor ?? '0', 10) || 0);
    const limit = query.limit ?? PAGE;
    const rows = all.slice(from, from + limit).map((facts) => this.row(facts));
    return { rows, total: all.length, nextCursor: from + limit < all.length ? String(from + limit) : null };
  }

  /** All rows of a query, for a file. */
  rows(query: AnimalQuery): AnimalRow[] {
    return this.select(query).map((facts) => this.row(facts));
  }

  find(id: string): AnimalFacts {
    const facts = this.book.state.animals.get(id);
    if (!facts) throw notFound('animal');
    return facts;
  }

  row(facts: AnimalFacts): AnimalRow {
    const today = this.clock.today();
    const { record } = facts;
    const groupId = groupOn(facts, today);
    const group = groupId === undefined ? undefined : this.book.state.groups.get(groupId);
    const last = this.book.state.daily(facts).at(-1);
    const tagOf = (id: string | undefined) => {
      const parent = id === undefined ? undefined : this.book.state.animals.get(id);
      return parent ? tagView(parent, today) : null;
    };
    return {
      tag: tagView(facts, today),
      species: record.species,
      sex: record.sex,
      bornOn: record.bornOn === undefined ? null : isoOf(record.bornOn),
      ...(record.birthKnownTo === undefined ? {} : { birthKnownTo: record.birthKnownTo }),
      age: record.bornOn === undefined ? null : ageWords(record.bornOn, today),
      ageDays: record.bornOn === undefined ? null : today - record.bornOn,
      group: group ? { id: group.id, name: group.name } : null,
      dam: tagOf(record.damId),
      donor: tagOf(record.donorId),
      sire: tagOf(record.sireId),
      birthType: record.birthType ?? null,
      rearingType: this.book.state.litters.rearingType(facts, today) ?? null,
      isPresent: isPresent(facts, today),
      lastKg: last?.kg ?? null,
      lastOn: last ? isoOf(last.on) : null,
      gain: this.growth.gainOf(record.id),
      version: record.version,
    };
  }

  /** Changes an animal's record if it still is at the version the change was made on. */
  change(id: string, change: ChangeAnimal): Promise<AnimalRow> {
    return this.book.exclusively(async () => {
      const facts = this.find(id);
      if (facts.record.version !== change.version) throw staleVersion('animal', this.row(facts));
      const record = changed(facts.record, change);
      const refusal = checkChange(facts, record, this.book.state.view(this.clock.today(), this.clock.moment()));
      if (refusal)
        throw badFields([
          { field: refusal.field, message: refusalText(refusal, (a) => this.book.nameOf(a), this.book.state.unit) },
        ]);
      await this.book.transact(async (em) => {
        await em.nativeUpdate(AnimalEntity, { id }, rowOf(record));
        await this.changes.keep(em, ['animal', id], told(facts.record), told(record));
      });
      this.book.setRecord(record);
      return this.row(this.find(id));
    });
  }

  /** Breeds and strains that were written down, each once. */
  strains(): string[] {
    const all = new Set([...this.book.state.animals.values()].flatMap(({ record }) => record.strain ?? []));
    return [...all].sort((a, b) => a.localeCompare(b));
  }

  /** Everything ever worn, for the finder and for imports on the device. */
  wearers(): WearerView[] {
    return this.index.get();
  }

  private readWearers(): WearerView[] {
    const today = this.clock.today();
    return [...this.book.state.animals.values()].flatMap((facts): WearerView[] => {
      if (facts.identifiers.length === 0) return [];
      const worn = new Set(wornIdentifiers(facts).map((i) => i.entryId));
      const groupId = groupOn(facts, today);
      const { id, species, sex, bornOn } = facts.record;
      return [
        {
          animalId: id,
          isPresent: isPresent(facts, today),
          species,
          sex,
          bornOn: bornOn === undefined ? null : isoOf(bornOn),
          groupName: (groupId && this.book.state.groups.get(groupId)?.name) ?? null,
          numbers: facts.identifiers.map((i) => [i.text, i.kind, i.colour ?? null, worn.has(i.entryId)]),
        },
      ];
    });
  }

  private select({ cursor: _cursor, limit: _limit, columns: _columns, ...query }: AnimalQuery): readonly AnimalFacts[] {
    const key = JSON.stringify(query, Object.keys(query).sort());
    const { recordsVersion } = this.book.state;
    let kept = this.kept.get(key);
    this.kept.delete(key);
    // Another name of a group may be searched or sorted by.
    if (kept?.recordsVersion !== recordsVersion) kept = undefined;
    const changes = kept?.changes ?? this.book.changes();
    const list = this.brought(query, kept?.list ?? [], changes.since());
    this.kept.set(key, { recordsVersion, changes, list });
    const oldest = this.kept.keys().next().value;
    if (this.kept.size > LISTS_KEPT && oldest !== undefined) this.kept.delete(oldest);
    return list;
  }

  /**
   * A list as it is now: those that changed are taken out and put in again, so that a change costs little.
   * @param changed undefined where all may have
   */
  private brought(
    query: AnimalQuery,
    before: readonly AnimalFacts[],
    changed: ReadonlySet<string> | undefined,
  ): readonly AnimalFacts[] {
    const { animals } = this.book.state;
    const isAsked = this.asked(query);
    const compare = this.order(query);
    if (!changed) return [...animals.values()].filter(isAsked).sort(compare);
    if (changed.size === 0) return before;
    const list = without(before, changed, animals);
    for (const id of changed) {
      const facts = animals.get(id);
      if (facts && isAsked(facts)) list.splice(placeIn(list, facts, compare), 0, facts);
    }
    return list;
  }

  private asked(query: AnimalQuery): (facts: AnimalFacts) => boolean {
    const today = this.clock.today();
    const presence = query.presence ?? 'present';
    const words = normalised(query.words ?? '');
    return (facts) => {
      const { record } = facts;
      if (presence !== 'all' && isPresent(facts, today) !== (presence === 'present')) return false;
      if (query.species && record.species !== query.species) return false;
      if (query.sex && record.sex !== query.sex) return false;
      if (query.bornIn && (record.bornOn === undefined || yearOf(record.bornOn) !== query.bornIn)) return false;
      const groupId = groupOn(facts, today);
      if (query.groupId && groupId !== query.groupId) return false;
      if (query.mark && !marksOn(facts, today).some((m) => markKey(m) === query.mark)) return false;
      if (
        query.withheld &&
        !withheldOn(facts, today).some(({ of }) => query.withheld === 'any' || query.withheld === of)
      )
        return false;
      if (query.strain && normalised(record.strain ?? '') !== normalised(query.strain)) return false;
      if (query.chosen && facts.choices.at(-1)?.decision !== query.chosen) return false;
      return !words || this.saysWords(facts, groupId, words);
    };
  }

  private order(query: AnimalQuery): (a: AnimalFacts, b: AnimalFacts) => number {
    const today = this.clock.today();
    return compareBy(query.sort ?? 'number', query.direction ?? 'up', {
      groupName: (facts) => this.book.state.groups.get(groupOn(facts, today) ?? '')?.name ?? '',
      lastKg: (f) => this.book.state.daily(f).at(-1)?.kg,
      gain: (facts) => {
        const gain = this.growth.lastGain(facts);
        return gain?.kind === 'gain' ? gain.kgPerDay : undefined;
      },
    });
  }

  private saysWords(facts: AnimalFacts, groupId: string | undefined, words: string): boolean {
    if (facts.identifiers.some((i) => normalised(i.text).includes(words))) return true;
    const group = groupId === undefined ? undefined : this.book.state.groups.get(groupId);
    return normalised(`${group?.name ?? ''} ${facts.record.strain ?? ''}`).includes(words);
  }
}

/** A mark as it is asked for: all that look the same and mean the same. */
const markKey = ({ colour, place, purpose }: MarkFact): string => `${colour}|${place}|${purpose}`;

function changed(record: AnimalRecord, change: ChangeAnimal): AnimalRecord {
  const pick = <T>(now: T | undefined, to: T | null | undefined): T | undefined =>
    to === undefined ? now : (to ?? undefined);
  const isOtherSex = change.sex !== undefined && change.sex !== record.sex;
  return {
    ...record,
    ...(isOtherSex ? { sex: change.sex, recordedSex: undefined } : {}),
    bornOn: change.bornOn === undefined ? record.bornOn : change.bornOn === null ? undefined : dayOf(change.bornOn),
    birthKnownTo:
      change.bornOn === undefined ? record.birthKnownTo : change.bornOn === null ? undefined : change.birthKnownTo,
    damId: pick(record.damId, change.damId),
    donorId: pick(record.donorId, change.donorId),
    sireId: pick(record.sireId, change.sireId),
    birthType: pick(record.birthType, change.birthType),
    rearingType: pick(record.rearingType, change.rearingType),
    strain: pick(record.strain, change.strain),
    boughtMinor: pick(record.boughtMinor, change.boughtMinor),
    version: record.version + 1,
  };
}

const rowOf = (record: AnimalRecord) => ({
  sex: record.recordedSex ?? record.sex,
  bornOn: record.bornOn === undefined ? null : isoOf(record.bornOn),
  dam: record.damId ?? null,
  donor: record.donorId ?? null,
  sire: record.sireId ?? null,
  birthType: record.birthType ?? null,
  rearingType: record.rearingType ?? null,
  strain: record.strain ?? null,
  boughtMinor: record.boughtMinor ?? null,
  birthKnownTo: record.birthKnownTo ?? null,
  version: record.version,
});

/** Taken out one by one where they are few: to look at each of ten thousand for its id takes fifty times as long. */
const FEW = 64;

function without(
  list: readonly AnimalFacts[],
  ids: ReadonlySet<string>,
  animals: ReadonlyMap<string, AnimalFacts>,
): AnimalFacts[] {
  const left = [...list];
  const isOut = (id: string): boolean => {
    const facts = animals.get(id);
    const at = facts ? left.indexOf(facts) : -1;
    if (at >= 0) left.splice(at, 1);
    return at >= 0;
  };
  // One that is not in the list, or was taken out of the book and came again as another, is looked for by its id.
  return ids.size <= FEW && [...ids].every(isOut) ? left : list.filter((f) => !ids.has(f.record.id));
}

/** Where one goes in a list that is in order. */
function placeIn(
  list: readonly AnimalFacts[],
  facts: AnimalFacts,
  compare: (a: AnimalFacts, b: AnimalFacts) => number,
): number {
  let low = 0;
  let high = list.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (compare(list[middle] as AnimalFacts, facts) <= 0) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** What of a record can be changed. */
function told(record: AnimalRecord): object {
  const { version: _version, ...rest } = rowOf(record);
  return rest;
}
