import { say, type HoldingView } from '@yaylak/contract';
import { useWatch } from 'react-hook-form';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { Panel, Small } from '../../parts/Panel';
import { Tick } from '../../parts/Tick';
import type { SaveHolding } from '../../parts/useSaveHolding';
import { basicsTyped, useBasicsForm, WrittenFields } from '../../shared/holding/basicsForm';
import { SpeciesTicks } from '../../shared/holding/SpeciesTicks';

interface Props {
  readonly holding: HoldingView;
  readonly onSave: SaveHolding;
}

/** What the holding is called, what it keeps, and how its figures look. */
export function Basics({ holding, onSave }: Props) {
  const { currency } = holding;
  const form = useBasicsForm(holding);
  const [typed, kept, meant] = useWatch({ control: form.control, name: ['currency', 'keeps', 'meant'] });
  const letters = typed.trim().toUpperCase();
  return (
    <Panel>
      <SendForm
        form={form}
        send={async (all) => {
          const wrong = await onSave(basicsTyped(holding, all));
          return wrong === undefined ? [] : [wrong];
        }}
        onDone={() => undefined}
        submit={say('Save')}
      >
        <Small>{say('What you keep')}</Small>
        <SpeciesTicks value={kept} onChange={(now) => form.setValue('keeps', [...now], { shouldDirty: true })} />
        <FieldRow $gap={3}>
          <FormField name="name" label={say('Name')} />
          <FormField name="keeper" label={say('Your name')} />
          <WrittenFields />
        </FieldRow>
        {letters === currency ? null : (
          <>
            <Small>
              {say(
                'No figure is converted: what stands in the book as 6.50 {currency} would be read as 6.50 {currency2}.',
                { currency, currency2: letters },
              )}
            </Small>
            <Tick
              label={say('The figures were meant in {currency} all along', { currency: letters })}
              isSelected={meant === letters}
              onChange={(isMeant) => form.setValue('meant', isMeant ? letters : '')}
            />
          </>
        )}
      </SendForm>
    </Panel>
  );
}
