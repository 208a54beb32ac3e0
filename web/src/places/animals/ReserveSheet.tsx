import { MARK_COLOURS, MARK_PLACES, ReservationEntry, type TagView, say } from '@yaylak/contract';
import { useQuery } from '@tanstack/react-query';
import { holdingQuery } from '../../api/queries';
import type { EntryDraft } from '../../outbox/useRecord';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormChoice, FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { madeEntry } from '../../parts/form/useEntryForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';

import { minorTyped, moneyFaults } from '../../words/typed';

interface Props {
  readonly tags: readonly TagView[];
  readonly today: string;
  readonly onClose: () => void;
  readonly onDone?: () => void;
}

type Spray = 'none' | (typeof MARK_COLOURS)[number];

interface Typed {
  readonly buyer: string;
  readonly until: string;
  readonly price: string;
  readonly deposit: string;
  readonly spray: Spray;
  readonly place: (typeof MARK_PLACES)[number];
}

/** Keeps animals for a buyer, to a day, with price, deposit and the spray that shows it across the field. */
export function ReserveSheet({ tags, today, onClose, onDone }: Props) {
  const { data: holding } = useQuery(holdingQuery);
  const write = useWrite();
  const [first] = tags;
  const many =
    tags.length === 1 ? (first?.text ?? '') : say('{n} {n, plural, one {animal} other {animals}}', { n: tags.length });
  const draftsOf = ({ buyer, until, price, deposit, spray, place }: Typed): readonly EntryDraft[] =>
    tags.flatMap(({ animalId }): EntryDraft[] => [
      {
        type: 'reservation',
        animalId,
        on: today,
        buyer: buyer.trim(),
        ...(until === '' ? {} : { until }),
        ...(price.trim() === '' ? {} : { priceMinor: minorTyped(price) }),
        ...(deposit.trim() === '' ? {} : { depositMinor: minorTyped(deposit) }),
      },
      ...(spray === 'none'
        ? []
        : [
            {
              type: 'mark',
              animalId,
              on: today,
              colour: spray,
              place,
              purpose: say('reserved for {trim}', { trim: buyer.trim() }),
              ...(until === '' ? {} : { until }),
            } as const,
          ]),
    ]);
  const form = useTypedForm<Typed>({
    start: { buyer: '', until: '', price: '', deposit: '', spray: 'none', place: 'back' },
    made: (typed) =>
      draftsOf(typed)
        .slice(0, 1)
        .map((draft) => madeEntry(ReservationEntry, draft)),
    also: ({ price, deposit, until }): Against => ({
      ...moneyFaults({ price, deposit }),
      ...(until !== '' && until < today ? { until: say('That day is over. Enter today or a later day.') } : {}),
    }),
    fieldOf: { priceMinor: 'price', depositMinor: 'deposit' },
    words: { buyer: say('Say for whom.') },
  });
  const spray = form.watch('spray');
  return (
    <Sheet title={say('Reserve {many}', { many })} isOpen onClose={onClose}>
      <SendForm
        form={form}
        send={(typed) => write(draftsOf(typed), say('Reserved {many} for {trim}', { many, trim: typed.buyer.trim() }))}
        onDone={() => {
          onClose();
          onDone?.();
        }}
        submit={say('Reserve')}
      >
        <FieldRow $gap={3}>
          <FormField name="buyer" label={say('For whom')} autoFocus />
          <FormField name="until" label={say('Kept to the end of')} type="date" />
        </FieldRow>
        <FieldRow $gap={3}>
          <FormField
            name="price"
            label={say('Price a head, {n}', { n: holding?.currency ?? '' })}
            inputMode="decimal"
          />
          <FormField
            name="deposit"
            label={say('Deposit a head, {n}', { n: holding?.currency ?? '' })}
            inputMode="decimal"
          />
        </FieldRow>
        <FieldRow $gap={3}>
          <FormChoice
            name="spray"
            label={say('Spray')}
            options={[['none', say('none')], ...MARK_COLOURS.map((c) => [c, say(c)] as const)]}
          />
          {spray === 'none' ? null : (
            <FormChoice
              name="place"
              label={say('Place on the body')}
              options={MARK_PLACES.map((p) => [p, say(p)] as const)}
            />
          )}
        </FieldRow>
        <Small>
          {say('Without a day it is kept until you let it go. After its day it is free again, and Today says so.')}
        </Small>
      </SendForm>
    </Sheet>
  );
}
