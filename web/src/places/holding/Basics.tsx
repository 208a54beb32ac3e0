import { ChangeHolding, say, type HoldingView } from '@yaylak/contract';
import { WEEK_STARTS, type DateOrder, type Species, type WeekStart, type WeightUnit } from '@yaylak/core';
import { useWatch } from 'react-hook-form';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormChoice, FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm } from '../../parts/form/useTypedForm';
import { Panel, Small } from '../../parts/Panel';
import { Tick } from '../../parts/Tick';
import type { SaveHolding } from '../../parts/useSaveHolding';
import { SpeciesTicks } from '../../shared/holding/SpeciesTicks';
import { WEEK_START_WORDS } from '../../words/week';

interface Props {
  readonly holding: HoldingView;
  readonly onSave: SaveHolding;
}

interface Typed {
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

/** What the holding is called, what it keeps, and how its figures look. */
export function Basics({ holding, onSave }: Props) {
  const { name, keeper, unit, dateOrder, weekStart, currency, keeps } = holding;
  const changed = ({ meant, keeps: kept, ...typed }: Typed) => ({
    ...typed,
    keeps: [...kept],
    ...(meant === typed.currency && meant !== currency ? { keepsFigures: true } : {}),
  });
  const form = useTypedForm<Typed>({
    start: { name, keeper, unit, dateOrder, weekStart, currency, keeps: [...keeps], meant: '' },
    made: (typed) => [{ shape: ChangeHolding, value: { version: holding.version, ...changed(typed) } }],
    words: { currency: say('Give the currency as three capital letters, such as EUR.') },
  });
  const [typedCurrency, kept, meant] = useWatch({ control: form.control, name: ['currency', 'keeps', 'meant'] });
  const send = async (typed: Typed): Promise<readonly string[]> => {
    const wrong = await onSave(changed(typed));
    return wrong === undefined ? [] : [wrong];
  };
  return (
    <Panel>
      <SendForm form={form} send={send} onDone={() => undefined} submit={say('Save')}>
        <Small>{say('What you keep')}</Small>
        <SpeciesTicks value={kept} onChange={(now) => form.setValue('keeps', [...now], { shouldDirty: true })} />
        <FieldRow $gap={3}>
          <FormField name="name" label={say('Name')} />
          <FormField name="keeper" label={say('Your name')} />
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
        </FieldRow>
        {typedCurrency === currency ? null : (
          <>
            <Small>
              {say(
                'No figure is converted: what stands in the book as 6.50 {currency} would be read as 6.50 {currency2}.',
                { currency, currency2: typedCurrency },
              )}
            </Small>
            <Tick
              label={say('The figures were meant in {currency} all along', { currency: typedCurrency })}
              isSelected={meant === typedCurrency}
              onChange={(isMeant) => form.setValue('meant', isMeant ? typedCurrency : '')}
            />
          </>
        )}
      </SendForm>
    </Panel>
  );
}
