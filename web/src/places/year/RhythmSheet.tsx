import { ChangeHolding, type HoldingView, say, SPECIES_WORDS } from '@yaylak/contract';
import {
  FOR_LIFE_DAYS,
  SPECIES_TABLE,
  WEIGHED_AROUND,
  type Species,
  type SpeciesSettings,
  type WeighedAround,
  type WeighingStep,
} from '@yaylak/core';
import { useState } from 'react';
import { useFieldArray, useWatch } from 'react-hook-form';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
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
  readonly event: WeighedAround;
  readonly figures: readonly { readonly text: string }[];
}

const stepTyped = (step: WeighingStep): StepTyped => ({
  kind: step.kind,
  name: step.name,
  event: step.kind === 'around' ? step.event : 'mating',
  figures: (step.kind !== 'every'
    ? [step.window.opens, step.window.bestFrom, step.window.bestTo, step.window.closes]
    : [step.fromDays, step.toDays >= FOR_LIFE_DAYS ? '' : step.toDays, step.everyDays]
  ).map((figure) => ({ text: String(figure) })),
});
const LABELS = {
  'at-age': ['opens', say('best from'), say('best to'), 'closes'],
  around: ['opens', say('best from'), say('best to'), 'closes'],
  every: ['from', 'to', 'every'],
} as const;

/** What a female is weighed around. */
const EVENT_WORDS: Readonly<Record<WeighedAround, string>> = {
  mating: say('her mating'),
  service: say('her last service'),
  weaning: say('weaning of her young'),
};

function stepOf({ kind, name, event, figures }: StepTyped): WeighingStep {
  const days = figures.map(({ text }) => (text.trim() === '' ? FOR_LIFE_DAYS : Number(text.replace('−', '-'))));
  const [a = NaN, b = NaN, c = NaN, d = NaN] = days;
  const window = { opens: a, bestFrom: b, bestTo: c, closes: d };
  if (kind === 'around') return { kind, name: name.trim(), event, window };
  return kind === 'at-age'
    ? { kind, name: name.trim(), window }
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
      const isGood = step.kind === 'around' ? isWholeEitherWay(text) : isForLife || isWhole(text);
      if (!isGood) wrong[`steps.${i}.figures.${f}.text`] = say('Whole days.');
    });
  });
  if (!isWhole(fromDays)) wrong.fromDays = say('Whole days.');
  if (!isWhole(everyDays) || Number(everyDays) < 1) wrong.everyDays = say('Whole days, at least one.');
  return wrong;
}

/** Days before are typed with a minus, whichever way a keyboard writes it. */
const isWholeEitherWay = (text: string): boolean => /^[-−]?\d{1,3}$/.test(text.trim());
const isWhole = (text: string): boolean => /^\d{1,6}$/.test(text.trim());

/** When each species is weighed and scored, by age: what Today goes by. */
export function RhythmSheet({ holding, onClose }: Props) {
  const speciesOptions = useSpeciesOptions();
  const [species, setSpecies] = useState<Species>(useFirstSpecies());
  return (
    <Sheet title={say('Rhythms of weighing and scoring')} isOpen onClose={onClose} width={1080}>
      <Choice label={say('Species')} value={species} options={speciesOptions} onChange={setSpecies} />
      <Small>
        {say(
          'Days of age; a “to” left empty is for life. Around a mating, a service or a weaning they are days from it, with a minus before it. What is due is shown on Today; a plan’s own rounds go before the usual scoring.',
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
        const event = steps[i]?.event ?? 'mating';
        return (
          <FieldRow key={id} $gap={2} role="group" aria-label={say('Weighing {n}', { n: i + 1 })}>
            <FormField name={`steps.${i}.name`} label={say('Weighing')} />
            <Choice
              label={say('When')}
              value={kind}
              options={[
                ['at-age', say('once at an age')],
                ['around', say('females, around')],
                ['every', say('again and again')],
              ]}
              onChange={(to) => update(i, { kind: to, name, event, figures: LABELS[to].map(() => ({ text: '' })) })}
            />
            {kind === 'around' ? (
              <Choice
                label={say('Around')}
                value={event}
                options={WEIGHED_AROUND.map((one) => [one, EVENT_WORDS[one]] as const)}
                onChange={(to) => update(i, { kind, name, event: to, figures: steps[i]?.figures ?? [] })}
              />
            ) : null}
            {LABELS[kind].map((label, f) => (
              <FormField
                key={label}
                name={`steps.${i}.figures.${f}.text`}
                label={label}
                // The keys for figures of a phone have no minus.
                inputMode={kind === 'around' ? 'text' : 'numeric'}
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
          onPress={() =>
            append({ kind: 'at-age', name: '', event: 'mating', figures: LABELS['at-age'].map(() => ({ text: '' })) })
          }
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
