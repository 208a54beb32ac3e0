import { blanksLeft } from './blanks';
import { normalised, type TagColour } from './identifier';
import { isOfTemplate, nextFreeNumbers, type TemplateContext, type TemplatePart } from './numberTemplate';

/** A bag of blank tags in the drawer. */
export interface Bag {
  readonly colour: TagColour;
  readonly first: string;
  readonly last: string;
}

export interface NumbersToFit {
  readonly numbers: readonly string[];
  /** Of the bag they are taken from; none where they are counted on. */
  readonly colour: TagColour | undefined;
}

interface Asked {
  readonly parts: readonly TemplatePart[];
  /** Of the animal that is tagged: its birth year fills {YY}. */
  readonly context: TemplateContext;
  /** Every number ever worn. */
  readonly used: Iterable<string>;
  readonly count: number;
  /** Bags of the species; only those of this colour where one is named. */
  readonly bags: readonly Bag[];
  readonly colour?: TagColour | undefined;
}

/**
 * The numbers to fit next: the first ones left in a bag whose numbers suit the animal's birth year, and where no bag
 * holds enough, the next ones counted up by the template.
 */
export function numbersToFit({ parts, context, used, count, bags, colour }: Asked): NumbersToFit {
  const worn = [...used];
  const plain = new Set(worn.map(normalised));
  const hasYear = parts.some((p) => p.kind === 'year');
  for (const bag of bags) {
    if (colour !== undefined && bag.colour !== colour) continue;
    const left = blanksLeft(bag.first, bag.last, plain).filter((n) => !hasYear || isOfTemplate(parts, context, n));
    if (left.length >= count) return { numbers: left.slice(0, count), colour: bag.colour };
  }
  return { numbers: nextFreeNumbers(parts, context, worn, count), colour: undefined };
}
