import { FeedEntry, type LitterView } from '@yaylak/contract';
import { readTypedNumber, toKg } from '@yaylak/core';
import { useQuery } from '@tanstack/react-query';
import { holdingQuery, littersQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { EntryForm } from '../../parts/form/EntryForm';
import { FormField } from '../../parts/form/fields';
import { useEntryForm } from '../../parts/form/useEntryForm';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { UNIT_WORDS } from '../../words/format';
import { useWeightUnit } from '../../words/useUnits';

interface Props {
  readonly litter: LitterView;
  readonly species: LitterView['species'];
  readonly today: string;
  readonly onClose: () => void;
}

const figureOf = (text: string): number => {
  const read = readTypedNumber(text);
  return read.kind === 'number' ? read.value : Number.NaN;
};

/** What a dam and her litter ate of a feed, so that two feeds can be held against each other. */
export function FeedSheet({ litter, species, today, onClose }: Props) {
  const { data: holding } = useQuery(holdingQuery);
  const { data: before } = useQuery(littersQuery({ species }));
  const unit = useWeightUnit();
  const [one, many] = UNIT_WORDS[unit];
  const name = litter.dam?.name ?? litter.dam?.text ?? '';
  const asked = useEntryForm({
    of: () => FeedEntry,
    start: { feed: '', since: litter.bornOn, on: today, kg: '', price: '' },
    read: (typed) => ({
      type: 'feed',
      animalId: litter.dam?.animalId ?? '',
      on: typed.on,
      since: typed.since,
      feed: typed.feed.trim(),
      kg: toKg(figureOf(typed.kg), unit),
      priceMinor: Math.round((figureOf(typed.price) * 100) / toKg(1, unit)),
    }),
    words: {
      feed: 'Give its name.',
      since: 'Give the day it was begun.',
      on: 'Give the day it ended.',
      kg: `Type the ${many}, without what was left.`,
      priceMinor: `Type what a ${one} costs.`,
    },
    fieldOf: { priceMinor: 'price' },
  });
  return (
    <Sheet title={`Feed of ${name} and her litter`} isOpen onClose={onClose}>
      <EntryForm {...asked} done={() => `Wrote down what ${name} and hers ate`} onDone={onClose}>
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <FormField name="feed" label="Feed" style={{ flex: '1 1 200px' }} />
          <FormField name="since" label="From" type="date" />
          <FormField name="on" label="To" type="date" />
        </Row>
        <Row>
          {(before?.feeds ?? []).map((f) => (
            <Button
              key={f.feed}
              kind="quiet"
              onPress={() => {
                asked.form.setValue('feed', f.feed);
                asked.form.setValue('price', String(Number(((f.priceMinor * toKg(1, unit)) / 100).toFixed(2))));
              }}
            >
              {f.feed}
            </Button>
          ))}
        </Row>
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <FormField name="kg" label={`Eaten, ${unit}`} inputMode="decimal" style={{ width: 120 }} />
          <FormField
            name="price"
            label={`Price of a ${one}, ${holding?.currency ?? ''}`}
            inputMode="decimal"
            style={{ width: 160 }}
          />
        </Row>
      </EntryForm>
      <Small>Two feeds are compared under Compare litters, by what a {one} gained costs on each.</Small>
    </Sheet>
  );
}
