import type { Species } from '@yaylak/core';
import { toKg } from '@yaylak/core';
import { useQuery } from '@tanstack/react-query';
import { useFormContext } from 'react-hook-form';
import { holdingQuery, littersQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { FormField } from '../../parts/form/fields';
import { Row } from '../../parts/Panel';
import { UNIT_WORDS } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';
import type { FeedTyped } from './feedTyped';
import { say } from '@yaylak/contract';

interface Props {
  readonly species: Species;
}

/** Name, days, amount and price of a feed, with those that were fed before. */
export function FeedFields({ species }: Props) {
  const { data: holding } = useQuery(holdingQuery);
  const { data: before } = useQuery(littersQuery({ species }));
  const form = useFormContext<FeedTyped>();
  const unit = useWeightUnit();
  const [one] = UNIT_WORDS[unit];
  return (
    <>
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <FormField name="feed" label={say('Feed')} style={{ flex: '1 1 100%' }} />
        <FormField name="since" label={say('From')} type="date" />
        <FormField name="on" label={say('To')} type="date" />
      </Row>
      <Row>
        {(before?.feeds ?? []).map((f) => (
          <Button
            key={f.feed}
            kind="quiet"
            onPress={() => {
              form.setValue('feed', f.feed);
              form.setValue('price', String(Number(((f.priceMinor * toKg(1, unit)) / 100).toFixed(2))));
            }}
          >
            {f.feed}
          </Button>
        ))}
      </Row>
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <FormField name="kg" label={say('Eaten, {unit}', { unit })} inputMode="decimal" style={{ width: 120 }} />
        <FormField
          name="price"
          label={say('Price of a {one}, {n}', { one, n: holding?.currency ?? '' })}
          inputMode="decimal"
          style={{ width: 160 }}
        />
      </Row>
    </>
  );
}
