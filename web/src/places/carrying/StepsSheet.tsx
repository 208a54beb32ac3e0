import { useQuery } from '@tanstack/react-query';
import { ChangeHolding, type HoldingView, say, SPECIES_WORDS } from '@yaylak/contract';
import { CARRYING_STEP_KINDS, SPECIES_TABLE, type CarryingStep, type Species } from '@yaylak/core';
import { useFieldArray } from 'react-hook-form';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { FormChoice, FormField } from '../../parts/form/fields';
import { FieldRow } from '../../parts/form/FieldRow';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useSaveHolding } from '../../parts/useSaveHolding';

interface StepTyped {
  readonly kind: CarryingStep['kind'];
  readonly name: string;
  readonly daysBefore: string;
  readonly slackDays: string;
}

const KIND_WORDS: Readonly<Record<CarryingStep['kind'], string>> = {
  nest: say('nest box'),
  move: say('move'),
  feed: say('feed'),
  give: say('give'),
  look: say('look'),
};
const ADDED: StepTyped = { kind: 'give', name: '', daysBefore: '', slackDays: '3' };
const typedOf = (s: CarryingStep): StepTyped => ({
  kind: s.kind,
  name: s.name,
  daysBefore: String(s.daysBefore),
  slackDays: String(s.slackDays),
});
const stepOf = ({ kind, name, daysBefore, slackDays }: StepTyped): CarryingStep => ({
  kind,
  name: name.trim(),
  daysBefore: Number(daysBefore),
  slackDays: Number(slackDays),
});
const WHOLE_DAYS = say('Give whole days, 0 to 999.');
const isWhole = (text: string): boolean => /^\d{1,3}$/.test(text.trim());

function against({ steps }: { readonly steps: readonly StepTyped[] }): Against {
  const wrong: Record<string, string> = {};
  steps.forEach(({ name, daysBefore, slackDays }, i) => {
    if (name.trim() === '') wrong[`steps.${i}.name`] = say('Say what is done.');
    if (!isWhole(daysBefore)) wrong[`steps.${i}.daysBefore`] = WHOLE_DAYS;
    if (!isWhole(slackDays)) wrong[`steps.${i}.slackDays`] = WHOLE_DAYS;
  });
  return wrong;
}

interface Props {
  readonly species: Species;
  readonly onClose: () => void;
}

/** What is done before each birth, and when: Today asks for it as it comes due. */
export function StepsSheet({ species, onClose }: Props) {
  const { data: holding } = useQuery(holdingQuery);
  return (
    <Sheet title={say('Before {birth}', { birth: SPECIES_WORDS[species].birth })} isOpen onClose={onClose} width={820}>
      <Small>
        {say(
          'Counted back from the day the birth is due by the service or the scan. A nest box for rabbits goes in on day 28 of 31. What is given, and when, is your label’s and your vet’s to say.',
        )}
      </Small>
      {holding ? <StepsForm holding={holding} species={species} onDone={onClose} /> : null}
    </Sheet>
  );
}

interface FormProps {
  readonly holding: HoldingView;
  readonly species: Species;
  readonly onDone: () => void;
}

function StepsForm({ holding, species, onDone }: FormProps) {
  const save = useSaveHolding();
  const changed = (steps: readonly StepTyped[]) => ({
    species: {
      ...holding.overrides,
      [species]: { ...holding.overrides[species], carryingSteps: steps.map(stepOf) },
    },
  });
  const form = useTypedForm<{ steps: StepTyped[] }>({
    start: { steps: holding.species[species].carryingSteps.map(typedOf) },
    made: ({ steps }) => [{ shape: ChangeHolding, value: { version: holding.version, ...changed(steps) } }],
    also: against,
    fieldOf: { species: 'steps' },
  });
  const { fields, append, remove, replace } = useFieldArray({ control: form.control, name: 'steps' });
  const send = async ({ steps }: { readonly steps: readonly StepTyped[] }): Promise<readonly string[]> => {
    const wrong = await save(changed(steps));
    return wrong === undefined ? [] : [wrong];
  };
  return (
    <SendForm
      form={form}
      send={send}
      onDone={onDone}
      submit={say('Keep the steps')}
      more={
        <Button kind="quiet" onPress={() => replace(SPECIES_TABLE[species].carryingSteps.map(typedOf))}>
          {say('Show the shipped ones')}
        </Button>
      }
    >
      {fields.map(({ id, name }, i) => (
        <FieldRow key={id} $gap={2} role="group" aria-label={say('Step {n}', { n: i + 1 })}>
          <FormChoice
            name={`steps.${i}.kind`}
            label={say('Kind')}
            options={CARRYING_STEP_KINDS.map((k) => [k, KIND_WORDS[k]])}
          />
          <FormField name={`steps.${i}.name`} label={say('What')} style={{ flex: '1 1 240px' }} />
          <FormField
            name={`steps.${i}.daysBefore`}
            label={say('Days before')}
            inputMode="numeric"
            style={{ width: 100 }}
          />
          <FormField
            name={`steps.${i}.slackDays`}
            label={say('give or take')}
            inputMode="numeric"
            style={{ width: 90 }}
          />
          <Button kind="quiet" aria-label={say('Leave {name} out', { name })} onPress={() => remove(i)}>
            {say('Leave out')}
          </Button>
        </FieldRow>
      ))}
      <Row>
        <Button onPress={() => append(ADDED)}>{say('Add a step')}</Button>
      </Row>
    </SendForm>
  );
}
