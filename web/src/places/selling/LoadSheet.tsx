import { DepartureEntry, type OutletView, type TagView, say } from '@yaylak/contract';
import { fromKg, isPaidDead, readMoney, scaleUnit, toKg, tripShares, type ScaleUnit, type Species } from '@yaylak/core';
import styled from 'styled-components';
import type { EntryDraft } from '../../outbox/useRecord';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { madeEntry } from '../../parts/form/useEntryForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { LineTable } from '../../parts/LineTable';
import { NotePanel, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { stackedOnPhone } from '../../parts/stackedOnPhone';
import { Tag } from '../../parts/Tag';
import { useWrite } from '../../parts/useWrite';

import { figureTyped, minorTyped, moneyFaults } from '../../words/typed';
import { useWeightUnit } from '../../words/useHolding';

interface Props {
  readonly outlet: OutletView;
  /** Who leaves, and what each weighed today, where it was weighed. */
  readonly rows: readonly { readonly tag: TagView; readonly kg?: number | undefined }[];
  /** Who is on the load and does not leave with it. */
  readonly behind: readonly TagView[];
  readonly species: Species;
  readonly today: string;
  readonly currency: string;
  readonly onClose: () => void;
}

/** What is typed: the day, what the trip cost, and for each head its weight for the sale and its price, where known. */
interface Typed {
  readonly on: string;
  readonly haulage: string;
  readonly kg: Readonly<Record<string, string>>;
  readonly price: Readonly<Record<string, string>>;
}

/** A load leaves for an outlet in one act; taking it back is one act as well. */
export function LoadSheet({ outlet, rows, behind, species, today, currency, onClose }: Props) {
  const unit = scaleUnit(species, useWeightUnit());
  const write = useWrite();
  const how = isPaidDead(outlet.facts.payBy) ? ('slaughtered' as const) : ('sold' as const);
  const { name } = outlet.facts;
  const draftsOf = ({ on, haulage, kg, price }: Typed): readonly EntryDraft[] => {
    const trip = readMoney(haulage);
    const shares = typeof trip === 'number' ? tripShares(trip, rows.length) : [];
    return rows.map(({ tag: { animalId } }, i) => {
      const [weight = '', paid = ''] = [kg[animalId], price[animalId]];
      return {
        type: 'departure',
        animalId,
        on,
        how,
        outletId: outlet.id,
        buyer: name,
        ...(weight.trim() === '' ? {} : { kg: Number(toKg(figureTyped(weight), unit).toFixed(3)) }),
        ...(paid.trim() === '' ? {} : { priceMinor: minorTyped(paid) }),
        ...(shares[i] === undefined ? {} : { haulageMinor: shares[i] }),
      };
    });
  };
  const form = useTypedForm<Typed>({
    start: { on: today, haulage: moneyField(outlet.facts.tripMinor), kg: shownWeights(rows, unit), price: {} },
    made: (typed) => draftsOf(typed).map((draft) => madeEntry(DepartureEntry, draft)),
    also: ({ haulage, kg, price }): Against => ({
      ...moneyFaults({ haulage }),
      ...unread({ kg, price }),
    }),
    words: {
      on: say('Enter the day they left.'),
      kg: say('A weight over 0.'),
      priceMinor: say('A price of 0 or more.'),
    },
  });
  const many = say('{n} {n, plural, one {head} other {head}}', { n: rows.length });
  return (
    <Sheet title={say('A load for {name}', { name })} isOpen onClose={onClose} width={640}>
      <SendForm
        form={form}
        send={(typed) => write(draftsOf(typed), say('{many} left for {name}', { many, name }))}
        onDone={onClose}
        submit={say('The load of {n} has left', { n: rows.length })}
      >
        <NotePanel $tone="weld">
          <p>
            {say(
              'Look at each once more: not lame, not near birth, old enough to travel. Fitness to travel and papers: your vet and the local rules decide.',
            )}
          </p>
        </NotePanel>
        {behind.length > 0 ? (
          <p>
            {say(
              '{n} {n, plural, one {is} other {are}} not aboard and {n, plural, one {stays} other {stay}} here: {list}.',
              { n: behind.length, list: behind.map((t) => t.text).join(', ') },
            )}
          </p>
        ) : null}
        <FieldRow $gap={3}>
          <FormField name="on" label={say('Left on')} type="date" />
          <FormField
            name="haulage"
            label={say('Haulage of the load, {currency}', { currency })}
            inputMode="decimal"
            hint={say('each head bears its part')}
            style={{ width: 150 }}
          />
        </FieldRow>
        <Heads>
          <thead>
            <tr>
              <th>{say('Animal')}</th>
              <th>{say('Weight for the sale, {unit}', { unit })}</th>
              <th>{say('Paid, {currency}', { currency })}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ tag }) => (
              <tr key={tag.animalId}>
                <td>
                  <Tag tag={tag} isStatic />
                </td>
                <td data-under={say('Weight for the sale, {unit}', { unit })}>
                  <FormField
                    name={`kg.${tag.animalId}`}
                    label={say('Weight of {text}, {unit}', { text: tag.text, unit })}
                    isLabelHidden
                    inputMode="decimal"
                  />
                </td>
                <td data-under={say('Paid, {currency}', { currency })}>
                  <FormField
                    name={`price.${tag.animalId}`}
                    label={say('Paid for {text}, {currency}', { text: tag.text, currency })}
                    isLabelHidden
                    inputMode="decimal"
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </Heads>
        <Small>
          {say('Weight and price may stay empty. {value}', {
            value:
              how === 'slaughtered'
                ? say('Nothing under withdrawal leaves for slaughter; the book refuses it.')
                : say('One under withdrawal is sold from its own page, where the buyer is told.'),
          })}
        </Small>
      </SendForm>
    </Sheet>
  );
}

const moneyField = (minor: number): string => (minor === 0 ? '' : (minor / 100).toFixed(2));
const shownWeights = (rows: Props['rows'], unit: ScaleUnit): Record<string, string> =>
  Object.fromEntries(
    rows.flatMap(({ tag, kg }) => (kg === undefined ? [] : [[tag.animalId, fromKg(kg, unit).toFixed(1)]])),
  );

/** What is typed and is no figure above nought, by its field. */
function unread(typed: Pick<Typed, 'kg' | 'price'>): Against {
  const against: Record<string, string> = {};
  for (const [list, texts] of Object.entries(typed))
    for (const [animalId, text] of Object.entries(texts as Record<string, string | undefined>)) {
      if ((text ?? '').trim() === '') continue;
      if (!(figureTyped(text ?? '') > 0))
        against[`${list}.${animalId}`] = say('“{n}”: type a figure over 0.', { n: text ?? '' });
    }
  return against;
}

const Heads = styled(LineTable)`
  ${stackedOnPhone}
`;
