import { Inject, Injectable } from '@nestjs/common';
import type { SharedNumberView, TagInShort, TagNeedView, TagsView } from '@yaylak/contract';
import { groupOn, isoOf, sharedNumbers, tagging, TAG_NEEDS, type AnimalFacts, type IdentifierFact } from '@yaylak/core';
import { BookService } from '../book/book.service';
import { Clock } from '../common/clock';
import { tagView } from '../common/views';

/** More than a day's work is not listed. */
const ROWS = 300;

/** Who wants a tag, and which numbers do not tell two apart. */
@Injectable()
export class TagsService {
  constructor(
    @Inject(BookService) private readonly book: BookService,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  view(): TagsView {
    const present = this.book.state.present(this.clock.today());
    const needs = present.flatMap((facts) => this.needOf(facts) ?? []);
    const number = new Intl.Collator('en', { numeric: true });
    needs.sort(
      (a, b) => TAG_NEEDS.indexOf(a.need) - TAG_NEEDS.indexOf(b.need) || number.compare(a.tag.text, b.tag.text),
    );
    const count = (need: TagNeedView['need']): number => needs.filter((n) => n.need === need).length;
    return {
      needs: needs.slice(0, ROWS),
      counts: { 'none-worn': count('none-worn'), 'lost-one': count('lost-one'), 'too-few': count('too-few') },
      present: present.length,
      shared: this.shared(),
    };
  }

  private needOf(facts: AnimalFacts): TagNeedView | undefined {
    const { species } = facts.record;
    const advised = this.book.state.settings(species).identifiersAdvised;
    const { need, worn, lost } = tagging(facts, advised);
    if (need === undefined) return undefined;
    const groupId = groupOn(facts, this.clock.today());
    return {
      tag: tagView(facts),
      species,
      groupName: (groupId && this.book.state.groups.get(groupId)?.name) ?? null,
      need,
      advised,
      worn: worn.map(inShort),
      lost: lost.map(({ identifier, end }) => ({ ...inShort(identifier), on: isoOf(end.on), how: end.how })),
    };
  }

  private shared(): SharedNumberView[] {
    const { animals } = this.book.state;
    return sharedNumbers(animals.values(), this.clock.today())
      .slice(0, ROWS)
      .map(({ isNow, wearers, ...number }) => ({
        kind: number.kind,
        text: number.text,
        colour: (number.colour ?? null) as SharedNumberView['colour'],
        isNow,
        wearers: wearers.flatMap(({ animalId, from, until }) => {
          const facts = animals.get(animalId);
          return facts
            ? [{ tag: tagView(facts), from: isoOf(from), until: until === undefined ? null : isoOf(until) }]
            : [];
        }),
      }));
  }
}

const inShort = ({ kind, text, colour }: IdentifierFact): TagInShort => ({ kind, text, colour: colour ?? null });
