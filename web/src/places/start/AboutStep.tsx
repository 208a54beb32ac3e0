import { say, type HoldingView } from '@yaylak/contract';
import { useWatch } from 'react-hook-form';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { LanguageButtons } from '../../parts/LanguageButton';
import { Row, Small } from '../../parts/Panel';
import { useSaveHolding } from '../../parts/useSaveHolding';
import { basicsTyped, useBasicsForm, WrittenFields } from '../../shared/holding/basicsForm';
import { SpeciesTicks } from '../../shared/holding/SpeciesTicks';

interface Props {
  readonly holding: HoldingView;
  readonly onDone: () => void;
}

/** Who writes, what is kept, and how weights, dates and money are written. */
export function AboutStep({ holding, onDone }: Props) {
  const save = useSaveHolding();
  const form = useBasicsForm(holding);
  const kept = useWatch({ control: form.control, name: 'keeps' });
  return (
    <SendForm
      form={form}
      send={async (typed) => {
        const wrong = await save(basicsTyped(holding, typed));
        return wrong === undefined ? [] : [wrong];
      }}
      onDone={onDone}
      submit={say('Save and go on')}
    >
      <Row $gap={3}>
        <LanguageButtons />
      </Row>
      <FieldRow $gap={3}>
        <FormField name="keeper" label={say('Your name')} />
        <FormField name="name" label={say('Name of the holding')} />
      </FieldRow>
      <div>
        <h3>{say('What do you keep?')}</h3>
        <SpeciesTicks value={kept} onChange={(now) => form.setValue('keeps', [...now], { shouldDirty: true })} />
        <Small>{say('The others stay out of sight until one comes.')}</Small>
      </div>
      <FieldRow $gap={3}>
        <WrittenFields />
      </FieldRow>
    </SendForm>
  );
}
