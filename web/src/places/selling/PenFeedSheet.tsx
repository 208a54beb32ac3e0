import { FeedEntry, say } from '@yaylak/contract';
import { addDays, dayOf, isoOf, type Species } from '@yaylak/core';
import { madeEntry } from '../../parts/form/useEntryForm';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm } from '../../parts/form/useTypedForm';
import { Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';
import { FeedFields } from '../../shared/rearing/FeedFields';
import { FEED_FIELDS, feedDraft, feedWords, type FeedTyped } from '../../shared/rearing/feedTyped';
import { useWeightUnit } from '../../words/useHolding';

interface Props {
  readonly animalIds: readonly string[];
  readonly species: Species;
  readonly pen: string;
  readonly today: string;
  readonly onClose: () => void;
}

/** A first guess of how long a pen was fed. */
const USUAL_DAYS = 28;

/** What a pen ate, each head alike, so that what is left of a sale has its feed off. */
export function PenFeedSheet({ animalIds, species, pen, today, onClose }: Props) {
  const unit = useWeightUnit();
  const write = useWrite();
  const draftsOf = (typed: FeedTyped) => animalIds.map((id) => feedDraft(typed, id, animalIds.length, unit));
  const form = useTypedForm<FeedTyped>({
    start: {
      feed: '',
      since: today === '' ? '' : isoOf(addDays(dayOf(today), -USUAL_DAYS)),
      on: today,
      kg: '',
      price: '',
    },
    made: (typed) =>
      draftsOf(typed)
        .slice(0, 1)
        .map((draft) => madeEntry(FeedEntry, draft)),
    words: feedWords(unit),
    fieldOf: FEED_FIELDS,
  });
  return (
    <Sheet title={say('Feed of {pen}, {n} head', { pen, n: animalIds.length })} isOpen onClose={onClose}>
      <SendForm
        form={form}
        send={(typed) => write(draftsOf(typed), say('Recorded the feed of {pen}', { pen }))}
        onDone={onClose}
        submit={say('Save')}
      >
        <FeedFields species={species} />
      </SendForm>
      <Small>
        {say(
          'All that the pen ate, shared equally among the head in it now. It comes off the price when they are sold.',
        )}
      </Small>
    </Sheet>
  );
}
