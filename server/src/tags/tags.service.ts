import { Inject, Injectable } from '@nestjs/common';
import type { MarkInField, SharedNumberView, TagInShort, TagLaterView, TagNeedView, TagsView } from '@yaylak/contract';
import {
  groupOn,
  isoOf,
  marksOn,
  sharedNumbers,
  taggedFrom,
  tagging,
  TAG_NEEDS,
  type AnimalFacts,
  type Day,
  type IdentifierFact,
  type MarkFact,
  type SharedNumber,
} from '@yaylak/core';
import { BookService } from '../book/book.service';
import type { Whole } from '../book/derived';
import { Clock } from '../common/clock';
import { calledAs, tagView } from '../common/views';
import { say } from '@yaylak/contract';

/** More than a day's work is not listed. */
const ROWS = 300;

/** One that is too young to be tagged. */
interface Waiting {
  readonly facts: AnimalFacts;
  readonly bornOn: Day;
  readonly from: Day;
}

/** Who wants a tag, and which numbers do not tell two apart. */
@Injectable()
export class TagsService {
  private readonly sharedOfAll: Whole<readonly SharedNumber[]>;

  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
  ) {
    this.sharedOfAll = book.ofKinds(['arrival', 'departure', 'identifier', 'identifier-end'], () =>
      sharedNumbers(this.book.state.animals.values(), this.clock.today()),
    );
  }

  view(): TagsView {
    const present = this.book.state.present(this.clock.today());
    const waiting = present.flatMap((facts) => this.waitingOf(facts) ?? []);
    const tooYoung = new Set(waiting.map(({ facts }) => facts));
    const needs = present.flatMap((facts) => (tooYoung.has(facts) ? [] : (this.needOf(facts) ?? [])));
    const number = new Intl.Collator('en', { numeric: true });
    needs.sort(
      (a, b) => TAG_NEEDS.indexOf(a.need) - TAG_NEEDS.indexOf(b.need) || number.compare(a.tag.text, b.tag.text),
    );
    const count = (need: TagNeedView['need']): number => needs.filter((n) => n.need === need).length;
    return {
      needs: needs.slice(0, ROWS),
      counts: { 'none-worn': count('none-worn'), 'lost-one': count('lost-one'), 'too-few': count('too-few') },
      later: this.later(waiting),
      present: present.length,
      shared: this.shared(),
      marks: this.marks(present),
    };
  }

  private waitingOf(facts: AnimalFacts): Waiting | undefined {
    const { species, bornOn } = facts.record;
    const from = taggedFrom(facts, this.book.state.settings(species), this.clock.today());
    return from === undefined || bornOn === undefined ? undefined : { facts, bornOn, from };
  }

  /** A line for the young of one dam and day, the next to be tagged first. */
  private later(waiting: readonly Waiting[]): TagLaterView[] {
    const byBirth = new Map<string, Waiting[]>();
    for (const one of waiting) {
      const { damId, species } = one.facts.record;
      const key = `${damId ?? species} ${one.bornOn}`;
      byBirth.set(key, [...(byBirth.get(key) ?? []), one]);
    }
    return [...byBirth.values()]
      .flatMap((litter) => {
        const [first] = litter;
        if (!first) return [];
        const { damId, species } = first.facts.record;
        const dam = damId === undefined ? undefined : this.book.state.animals.get(damId);
        return [
          {
            dam: dam ? tagView(dam, this.clock.today()) : null,
            species,
            bornOn: isoOf(first.bornOn),
            count: litter.length,
            from: isoOf(first.from),
          },
        ];
      })
      .sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0))
      .slice(0, ROWS);
  }

  /** Marks of one look and meaning together, the commonest first. */
  private marks(present: readonly AnimalFacts[]): MarkInField[] {
    const today = this.clock.today();
    const found = new Map<string, { mark: MarkFact; wearers: AnimalFacts[]; until: (Day | undefined)[] }>();
    for (const facts of present)
      for (const mark of marksOn(facts, today)) {
        const key = `${mark.colour} ${mark.place} ${mark.purpose}`;
        const same = found.get(key) ?? { mark, wearers: [], until: [] };
        found.set(key, same);
        same.wearers.push(facts);
        same.until.push(mark.until);
      }
    return [...found.values()]
      .sort((a, b) => b.wearers.length - a.wearers.length || a.mark.purpose.localeCompare(b.mark.purpose))
      .map(({ mark: { colour, place, purpose }, wearers, until }) => {
        const ends = until.flatMap((u) => u ?? []).sort((a, b) => a - b)[0];
        const groups = new Map<string, number>();
        for (const facts of wearers) {
          const name = this.groupNameOf(facts) ?? say('no group');
          groups.set(name, (groups.get(name) ?? 0) + 1);
        }
        return {
          colour,
          place,
          purpose,
          until: ends === undefined ? null : isoOf(ends),
          isUntilForAll: until.every((u) => u === ends),
          tags: wearers.slice(0, ROWS).map((facts) => tagView(facts, this.clock.today())),
          groups: [...groups].map(([name, count]) => ({ name, count })),
        };
      });
  }

  private groupNameOf(facts: AnimalFacts): string | undefined {
    return this.book.state.groups.get(groupOn(facts, this.clock.today()) ?? '')?.name;
  }

  private needOf(facts: AnimalFacts): TagNeedView | undefined {
    const { species, sex, bornOn, damId } = facts.record;
    const dam = damId === undefined ? undefined : this.book.state.animals.get(damId);
    const advised = this.book.state.settings(species).identifiersAdvised;
    const { need, worn, lost } = tagging(facts, advised);
    if (need === undefined) return undefined;
    return {
      tag: tagView(facts, this.clock.today()),
      species,
      sex,
      bornOn: bornOn === undefined ? null : isoOf(bornOn),
      dam: dam ? calledAs(dam, this.clock.today()) : null,
      groupName: this.groupNameOf(facts) ?? null,
      need,
      advised,
      worn: worn.map(inShort),
      lost: lost.map(({ identifier, end }) => ({ ...inShort(identifier), on: isoOf(end.on), how: end.how })),
    };
  }

  private shared(): SharedNumberView[] {
    const { animals } = this.book.state;
    return this.sharedOfAll
      .get()
      .slice(0, ROWS)
      .map(({ isNow, wearers, ...number }) => ({
        kind: number.kind,
        text: number.text,
        colour: (number.colour ?? null) as SharedNumberView['colour'],
        isNow,
        wearers: wearers.flatMap(({ animalId, from, until }) => {
          const facts = animals.get(animalId);
          return facts
            ? [
                {
                  tag: tagView(facts, this.clock.today()),
                  from: isoOf(from),
                  until: until === undefined ? null : isoOf(until),
                },
              ]
            : [];
        }),
      }));
  }
}

const inShort = ({ kind, text, colour }: IdentifierFact): TagInShort => ({ kind, text, colour: colour ?? null });
