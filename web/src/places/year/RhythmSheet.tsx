import type { HoldingView } from '@yaylak/contract';
import { FOR_LIFE_DAYS, SPECIES, SPECIES_TABLE, SPECIES_WORDS, type Species, type WeighingStep } from '@yaylak/core';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Row, Small, Stack } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useSaveHolding } from '../../parts/useSaveHolding';

interface Props {
  readonly holding: HoldingView;
  readonly onClose: () => void;
}

/** A step while it is typed: all its figures as text. */
interface StepForm {
  readonly kind: WeighingStep['kind'];
  readonly name: string;
  readonly figures: readonly string[];
}

const formOf = (step: WeighingStep): StepForm =>
  step.kind === 'at-age'
    ? {
        kind: step.kind,
        name: step.name,
        figures: [step.window.opens, step.window.bestFrom, step.window.bestTo, step.window.closes].map(String),
      }
    : {
        kind: step.kind,
        name: step.name,
        figures: [step.fromDays, step.toDays >= FOR_LIFE_DAYS ? '' : step.toDays, step.everyDays].map(String),
      };
const LABELS = {
  'at-age': ['opens', 'best from', 'best to', 'closes'],
  every: ['from', 'to', 'every'],
} as const;

function stepOf({ kind, name, figures }: StepForm): WeighingStep | undefined {
  const days = figures.map((f, i) => (f.trim() === '' && kind === 'every' && i === 1 ? FOR_LIFE_DAYS : Number(f)));
  const [a = NaN, b = NaN, c = NaN, d = NaN] = days;
  if (name.trim() === '' || figures.some((f, i) => f.trim() === '' && !(kind === 'every' && i === 1))) return undefined;
  if (days.some((n) => !Number.isInteger(n) || n < 0)) return undefined;
  return kind === 'at-age'
    ? { kind, name: name.trim(), window: { opens: a, bestFrom: b, bestTo: c, closes: d } }
    : { kind, name: name.trim(), fromDays: a, toDays: b, everyDays: c };
}

/** When each species is weighed and scored, by age: what Today goes by. */
export function RhythmSheet({ holding, onClose }: Props) {
  const save = useSaveHolding();
  const [species, setSpecies] = useState<Species>('sheep');
  const settings = holding.species[species];
  const [steps, setSteps] = useState(() => settings.weighing.map(formOf));
  const [scoring, setScoring] = useState([String(settings.scoring.fromDays), String(settings.scoring.everyDays)]);
  const [problem, setProblem] = useState<string>();
  const show = (s: Species, from: HoldingView['species'] = holding.species): void => {
    setSpecies(s);
    setSteps(from[s].weighing.map(formOf));
    setScoring([String(from[s].scoring.fromDays), String(from[s].scoring.everyDays)]);
    setProblem(undefined);
  };
  const set = (i: number, change: Partial<StepForm>): void =>
    setSteps(steps.map((s, n) => (n === i ? { ...s, ...change } : s)));
  const keep = async (): Promise<void> => {
    const weighing = steps.map(stepOf);
    const bad = weighing.findIndex((s) => s === undefined);
    if (bad >= 0) return setProblem(`Weighing ${bad + 1}: it wants a name, and whole days in every field.`);
    const [fromDays = NaN, everyDays = NaN] = scoring.map(Number);
    if (!Number.isInteger(fromDays) || !Number.isInteger(everyDays) || everyDays < 1)
      return setProblem('Scoring: type whole days, at least one between two scorings.');
    const own = {
      ...holding.overrides[species],
      weighing: weighing as WeighingStep[],
      scoring: { fromDays, everyDays },
    };
    const wrong = await save({ species: { ...holding.overrides, [species]: own } });
    if (wrong) return setProblem(wrong);
    onClose();
  };
  return (
    <Sheet title="Rhythms of weighing and scoring" isOpen onClose={onClose} width={960}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          void keep();
        }}
      >
        <Stack>
          <Choice
            label="Species"
            value={species}
            options={SPECIES.map((s) => [s, SPECIES_WORDS[s].name])}
            onChange={(s) => show(s)}
          />
          <Small>
            Days of age; a “to” left empty is for life. What is due by them stands under Today; a plan’s own rounds go
            before the usual scoring.
          </Small>
          {steps.map((step, i) => (
            <Row key={i} $gap={2} style={{ alignItems: 'flex-end' }} role="group" aria-label={`Weighing ${i + 1}`}>
              <Field label="Weighing" value={step.name} onChange={(name) => set(i, { name })} />
              <Choice
                label="When"
                value={step.kind}
                options={[
                  ['at-age', 'once at an age'],
                  ['every', 'again and again'],
                ]}
                onChange={(kind) => set(i, { kind, figures: LABELS[kind].map(() => '') })}
              />
              {LABELS[step.kind].map((label, f) => (
                <Field
                  key={label}
                  label={label}
                  inputMode="numeric"
                  style={{ width: 84 }}
                  value={step.figures[f] ?? ''}
                  onChange={(text) => set(i, { figures: step.figures.map((x, n) => (n === f ? text : x)) })}
                />
              ))}
              <Button
                kind="quiet"
                aria-label={`Leave ${step.name} out`}
                isDisabled={steps.length === 1}
                onPress={() => setSteps(steps.filter((_, n) => n !== i))}
              >
                Leave out
              </Button>
            </Row>
          ))}
          <Row>
            <Button onPress={() => setSteps([...steps, { kind: 'at-age', name: '', figures: ['', '', '', ''] }])}>
              Add a weighing
            </Button>
          </Row>
          <Row $gap={3} role="group" aria-label="Scoring">
            <Field
              label="Scored from, days old"
              inputMode="numeric"
              value={scoring[0] ?? ''}
              onChange={(text) => setScoring([text, scoring[1] ?? ''])}
            />
            <Field
              label="and every, days"
              inputMode="numeric"
              value={scoring[1] ?? ''}
              onChange={(text) => setScoring([scoring[0] ?? '', text])}
            />
          </Row>
          {problem ? <p role="alert">{problem}</p> : null}
          <Row>
            <Button type="submit" kind="main">
              Keep the rhythm of {SPECIES_WORDS[species].plural}
            </Button>
            <Button kind="quiet" onPress={() => show(species, SPECIES_TABLE)}>
              Show the shipped one
            </Button>
          </Row>
        </Stack>
      </form>
    </Sheet>
  );
}
