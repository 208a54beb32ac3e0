import { ChangeHolding, type HoldingView, say, SPECIES_WORDS } from '@yaylak/contract';
import { FOR_LIFE_DAYS, SPECIES_TABLE, type Species, type SpeciesSettings, type WeighingStep } from '@yaylak/core';
import { useState } from 'react';
import { useFieldArray, useWatch } from 'react-hook-form';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Field';
import { FormField } from '../../parts/form/fields';
import { FieldRow } from '../../parts/form/FieldRow';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useSaveHolding } from '../../parts/useSaveHolding';
import { useFirstSpecies, useSpeciesOptions } from '../../words/useHolding';

interface Props {
  readonly holding: HoldingView;
  readonly onClose: () => void;
}

/** A step while it is typed: all its figures as text. */
interface StepTyped {
  readonly kind: WeighingStep['kind'];
  readonly name: string;
  readonly figures: readonly { readonly text: string }[];
}

const stepTyped = (step: WeighingStep): StepTyped => ({
  kind: step.kind,
  name: step.name,
  figures: (step.kind === 'at-age'
    ? [step.window.opens, step.window.bestFrom, step.window.bestTo, step.window.closes]
    : [step.fromDays, step.toDays >= FOR_LIFE_DAYS ? '' : step.toDays, step.everyDays]
  ).map((figure) => ({ text: String(figure) })),
});
const LABELS = {
  'at-age': ['opens', say('best from'), say('best to'), 'closes'],
  every: ['from', 'to', 'every'],
} as const;

function stepOf({ kind, name, figures }: StepTyped): WeighingStep {
  const days = figures.map(({ text }) => (text.trim() === '' ? FOR_LIFE_DAYS : Number(text)));
  const [a = NaN, b = NaN, c = NaN, d = NaN] = days;
  return kind === 'at-age'
    ? { kind, name: name.trim(), window: { opens: a, bestFrom: b, bestTo: c, closes: d } }
    : { kind, name: name.trim(), fromDays: a, toDays: b, everyDays: c };
}

type Rhythm = Pick<SpeciesSettings, 'weighing' | 'scoring'>;

interface Typed {
  readonly steps: readonly StepTyped[];
  readonly fromDays: string;
  readonly everyDays: string;
}

const typedOf = ({ weighing, scoring }: Rhythm): Typed => ({
  steps: weighing.map(stepTyped),
  fromDays: String(scoring.fromDays),
  everyDays: String(scoring.everyDays),
});

function against({ steps, fromDays, everyDays }: Typed): Against {
  const wrong: Record<string, string> = {};
  steps.forEach((step, i) => {
    if (step.name.trim() === '') wrong[`steps.${i}.name`] = say('Give it a name.');
    step.figures.forEach(({ text }, f) => {
      const isForLife = step.kind === 'every' && f === 1 && text.trim() === '';
      if (!isForLife && !isWhole(text)) wrong[`steps.${i}.figures.${f}.text`] = say('Whole days.');
    });
  });
  if (!isWhole(fromDays)) wrong.fromDays = say('Whole days.');
  if (!isWhole(everyDays) || Number(everyDays) < 1) wrong.everyDays = say('Whole days, at least one.');
  return wrong;
}

const isWhole = (text: string): boolean => /^\d{1,6}$/.test(text.trim());

/** When each species is weighed and scored, by age: what Today goes by. */
export function RhythmSheet({ holding, onClose }: Props) {
  const speciesOptions = useSpeciesOptions();
  const [species, setSpecies] = useState<Species>(useFirstSpecies());
  return (
    <Sheet title={say('Rhythms of weighing and scoring')} isOpen onClose={onClose} width={960}>
      <Choice label={say('Species')} value={species} options={speciesOptions} onChange={setSpecies} />
      <Small>
        {say(
          'Days of age; a “to” left empty is for life. What is due by them is shown on Today; a plan’s own rounds go before the usual scoring.',
        )}
      </Small>
      <RhythmForm key={species} holding={holding} species={species} onDone={onClose} />
    </Sheet>
  );
}

interface FormProps {
  readonly holding: HoldingView;
  readonly species: Species;
  readonly onDone: () => void;
}

function RhythmForm({ holding, species, onDone }: FormProps) {
  const save = useSaveHolding();
  const changed = ({ steps, fromDays, everyDays }: Typed) => ({
    species: {
      ...holding.overrides,
      [species]: {
        ...holding.overrides[species],
        weighing: steps.map(stepOf),
        scoring: { fromDays: Number(fromDays), everyDays: Number(everyDays) },
      },
    },
  });
  const form = useTypedForm<Typed>({
    start: typedOf(holding.species[species]),
    made: (typed) => [{ shape: ChangeHolding, value: { version: holding.version, ...changed(typed) } }],
    also: against,
    fieldOf: { species: 'steps' },
  });
  const { control } = form;
  const { fields, append, remove, update } = useFieldArray({ control, name: 'steps' });
  const steps = useWatch({ control, name: 'steps' });
  const send = async (typed: Typed): Promise<readonly string[]> => {
    const wrong = await save(changed(typed));
    return wrong === undefined ? [] : [wrong];
  };
  return (
    <SendForm
      form={form}
      send={send}
      onDone={onDone}
      submit={say('Keep the rhythm of {plural}', { plural: SPECIES_WORDS[species].plural })}
      more={
        <Button kind="quiet" onPress={() => form.reset(typedOf(SPECIES_TABLE[species]))}>
          {say('Show the shipped one')}
        </Button>
      }
    >
      {fields.map(({ id }, i) => {
        const kind = steps[i]?.kind ?? 'at-age';
        const name = steps[i]?.name ?? '';
        return (
          <FieldRow key={id} $gap={2} role="group" aria-label={say('Weighing {n}', { n: i + 1 })}>
            <FormField name={`steps.${i}.name`} label={say('Weighing')} />
            <Choice
              label={say('When')}
              value={kind}
              options={[
                ['at-age', say('once at an age')],
                ['every', say('again and again')],
              ]}
              onChange={(to) => update(i, { kind: to, name, figures: LABELS[to].map(() => ({ text: '' })) })}
            />
            {LABELS[kind].map((label, f) => (
              <FormField
                key={label}
                name={`steps.${i}.figures.${f}.text`}
                label={label}
                inputMode="numeric"
                style={{ width: 84 }}
              />
            ))}
            <Button
              kind="quiet"
              aria-label={say('Leave {name} out', { name })}
              isDisabled={fields.length === 1}
              onPress={() => remove(i)}
            >
              {say('Leave out')}
            </Button>
          </FieldRow>
        );
      })}
      <Row>
        <Button
          onPress={() => append({ kind: 'at-age', name: '', figures: LABELS['at-age'].map(() => ({ text: '' })) })}
        >
          {say('Add a weighing')}
        </Button>
      </Row>
      <Row $gap={3} role="group" aria-label={say('Scoring')}>
        <FormField name="fromDays" label={say('Scored from, days old')} inputMode="numeric" />
        <FormField name="everyDays" label={say('and every, days')} inputMode="numeric" />
      </Row>
    </SendForm>
  );
}
