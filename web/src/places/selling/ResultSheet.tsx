import { CarcassEntry, type SoldHeadView, say } from '@yaylak/contract';
import { readFat, readShape, scaleUnit, toKg, type Species } from '@yaylak/core';
import { EntryForm } from '../../parts/form/EntryForm';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormField } from '../../parts/form/fields';
import { useEntryForm } from '../../parts/form/useEntryForm';
import { Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { figureTyped, minorTyped, moneyFaults } from '../../words/typed';
import { useWeightUnit } from '../../words/useHolding';

interface Props {
  readonly head: SoldHeadView;
  readonly leftOn: string;
  readonly species: Species;
  readonly currency: string;
  readonly onClose: () => void;
}

interface Typed {
  readonly on: string;
  readonly carcass: string;
  readonly shape: string;
  readonly fat: string;
  readonly price: string;
  readonly deducted: string;
}

/** What came back of one, typed by hand. */
export function ResultSheet({ head, leftOn, species, currency, onClose }: Props) {
  const unit = scaleUnit(species, useWeightUnit());
  const { animalId, text } = head.tag;
  const state = useEntryForm<Typed>({
    of: () => CarcassEntry,
    start: { on: leftOn, carcass: '', shape: '', fat: '', price: '', deducted: '' },
    read: ({ on, carcass, shape, fat, price, deducted }) => ({
      type: 'carcass',
      animalId,
      on,
      carcassKg: Number(toKg(figureTyped(carcass), unit).toFixed(3)),
      ...said('shape', shape, readShape),
      ...said('fat', fat, readFat),
      ...said('priceMinor', price, minorTyped),
      ...said('deductedMinor', deducted, minorTyped),
    }),
    also: ({ price, deducted }) => moneyFaults({ price, deducted }),
    words: {
      on: say('Enter the day it was killed.'),
      carcassKg: say('A carcass weight over 0.'),
      shape: say('P, O, R, U or E, with + or − where you can tell.'),
      fat: say('1 to 5, with + or − where you can tell.'),
    },
    fieldOf: { carcassKg: 'carcass', priceMinor: 'price', deductedMinor: 'deducted' },
  });
  return (
    <Sheet title={say('What came back of {text}', { text })} isOpen onClose={onClose}>
      <EntryForm {...state} done={() => say('Recorded what came back of {text}', { text })} onDone={onClose}>
        <FieldRow $gap={3}>
          <FormField name="on" label={say('Killed on')} type="date" />
          <FormField name="carcass" label={say('Carcass, {unit}', { unit })} inputMode="decimal" />
        </FieldRow>
        <FieldRow $gap={3}>
          <FormField name="shape" label={say('Shape')} placeholder="R+" />
          <FormField name="fat" label={say('Fat')} placeholder="3" />
        </FieldRow>
        <FieldRow $gap={3}>
          <FormField name="price" label={say('Paid, {currency}', { currency })} inputMode="decimal" />
          <FormField name="deducted" label={say('Taken off, {currency}', { currency })} inputMode="decimal" />
        </FieldRow>
        <Small>
          {say('Class and money may stay empty. Without what was taken off, the outlet’s usual charges are counted.')}
        </Small>
      </EntryForm>
    </Sheet>
  );
}

/** What was typed; what cannot be read is no number, and the entry's rules say so. */
const said = (name: string, text: string, read: (text: string) => number | undefined): object =>
  text.trim() === '' ? {} : { [name]: read(text) ?? Number.NaN };
