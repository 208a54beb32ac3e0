import { FeedEntry, type LitterView, say } from '@yaylak/contract';
import { EntryForm } from '../../parts/form/EntryForm';
import { useEntryForm } from '../../parts/form/useEntryForm';
import { Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { FeedFields } from '../../shared/rearing/FeedFields';
import { FEED_FIELDS, feedDraft, feedWords, type FeedTyped } from '../../shared/rearing/feedTyped';
import { UNIT_WORDS } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';

interface Props {
  readonly litter: LitterView;
  readonly species: LitterView['species'];
  readonly today: string;
  readonly onClose: () => void;
}

/** What a dam and her litter ate of a feed, so that two feeds can be held against each other. */
export function FeedSheet({ litter, species, today, onClose }: Props) {
  const unit = useWeightUnit();
  const [one] = UNIT_WORDS[unit];
  const name = litter.dam?.name ?? litter.dam?.text ?? '';
  const asked = useEntryForm<FeedTyped>({
    of: () => FeedEntry,
    start: { feed: '', since: litter.bornOn, on: today, kg: '', price: '' },
    read: (typed) => feedDraft(typed, litter.dam?.animalId ?? '', 1, unit),
    words: feedWords(unit),
    fieldOf: FEED_FIELDS,
  });
  return (
    <Sheet title={say('Feed of {name} and her litter', { name })} isOpen onClose={onClose}>
      <EntryForm {...asked} done={() => say('Recorded what {name} and hers ate', { name })} onDone={onClose}>
        <FeedFields species={species} />
      </EntryForm>
      <Small>
        {say('Two feeds are compared under Compare litters, by what a {one} gained costs on each.', { one })}
      </Small>
    </Sheet>
  );
}
