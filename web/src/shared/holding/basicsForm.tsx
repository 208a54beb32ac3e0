import { ChangeHolding, say, type HoldingView } from '@yaylak/contract';
import { WEEK_STARTS, type DateOrder, type Species, type WeekStart, type WeightUnit } from '@yaylak/core';
import type { UseFormReturn } from 'react-hook-form';
import { FormChoice, FormField } from '../../parts/form/fields';
import { useTypedForm } from '../../parts/form/useTypedForm';
import { WEEK_START_WORDS } from '../../words/week';

export interface BasicsTyped {
  readonly name: string;
  readonly keeper: string;
  readonly unit: WeightUnit;
  readonly dateOrder: DateOrder;
  readonly weekStart: WeekStart;
  readonly currency: string;
  readonly keeps: readonly Species[];
  /** Of these letters it was said that the figures in the book were meant so. */
  readonly meant: string;
}

/** What would change of the holding. */
export function basicsTyped({ currency: before }: HoldingView, { meant, keeps, currency, ...typed }: BasicsTyped) {
  const letters = currency.trim().toUpperCase();
  return {
    ...typed,
    currency: letters,
    keeps: [...keeps],
    ...(meant === letters && letters !== before ? { keepsFigures: true } : {}),
  };
}

/** A form of what the holding is called, what it keeps, and how its figures look. */
export function useBasicsForm(holding: HoldingView): UseFormReturn<BasicsTyped> {
  const { name, keeper, unit, dateOrder, weekStart, currency, keeps } = holding;
  return useTypedForm<BasicsTyped>({
    start: { name, keeper, unit, dateOrder, weekStart, currency, keeps: [...keeps], meant: '' },
    made: (typed) => [{ shape: ChangeHolding, value: { version: holding.version, ...basicsTyped(holding, typed) } }],
    words: { currency: say('Give the currency as three capital letters, such as EUR.') },
  });
}

/** How weights, dates and money are written, of the form around it. */
export function WrittenFields() {
  return (
    <>
      <FormChoice
        name="unit"
        label={say('Weights in')}
        options={[
          ['kg', say('kilograms')],
          ['lb', say('pounds')],
        ]}
      />
      <FormChoice
        name="dateOrder"
        label={say('Dates written as')}
        options={[
          ['day-month', say('day, month, year')],
          ['month-day', say('month, day, year')],
          ['year-month', say('year, month, day')],
        ]}
      />
      <FormChoice
        name="weekStart"
        label={say('The week begins on')}
        options={WEEK_STARTS.map((d) => [d, WEEK_START_WORDS[d]])}
      />
      <FormField name="currency" label={say('Currency')} style={{ width: 90 }} />
    </>
  );
}
