import { useQuery } from '@tanstack/react-query';
import { CARRYING_STEP_KINDS, SPECIES_TABLE, SPECIES_WORDS, type CarryingStep, type Species } from '@yaylak/core';
import { useState } from 'react';
import { holdingQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Row, Small, Stack } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useSaveHolding } from '../../parts/useSaveHolding';

interface StepForm {
  readonly kind: CarryingStep['kind'];
  readonly name: string;
  readonly daysBefore: string;
  readonly slackDays: string;
}

const KIND_WORDS: Readonly<Record<CarryingStep['kind'], string>> = {
  nest: 'nest box',
  move: 'move',
  feed: 'feed',
  give: 'give',
  look: 'look',
};
const formOf = (s: CarryingStep): StepForm => ({
  kind: s.kind,
  name: s.name,
  daysBefore: String(s.daysBefore),
  slackDays: String(s.slackDays),
});
const whole = (text: string): number | undefined => (/^\d{1,3}$/.test(text.trim()) ? Number(text) : undefined);

function stepOf({ kind, name, daysBefore, slackDays }: StepForm): CarryingStep | undefined {
  const [before, slack] = [whole(daysBefore), whole(slackDays)];
  return name.trim() === '' || before === undefined || slack === undefined
    ? undefined
    : { kind, name: name.trim(), daysBefore: before, slackDays: slack };
}

interface Props {
  readonly species: Species;
  readonly onClose: () => void;
}

/** What is done before each birth, and when: Today asks for it as it comes due. */
export function StepsSheet({ species, onClose }: Props) {
  const { data: holding } = useQuery(holdingQuery);
  const save = useSaveHolding();
  const [typed, setSteps] = useState<readonly StepForm[]>();
  const [problem, setProblem] = useState<string>();
  if (!holding) return null;
  const steps = typed ?? holding.species[species].carryingSteps.map(formOf);
  const set = (i: number, change: Partial<StepForm>): void =>
    setSteps(steps.map((s, n) => (n === i ? { ...s, ...change } : s)));
  const keep = async (): Promise<void> => {
    const carryingSteps = steps.map(stepOf);
    const bad = carryingSteps.findIndex((s) => s === undefined);
    if (bad >= 0) return setProblem(`Step ${bad + 1}: it wants a name, and whole days in both fields.`);
    const own = { ...holding.overrides[species], carryingSteps: carryingSteps as CarryingStep[] };
    const wrong = await save({ species: { ...holding.overrides, [species]: own } });
    if (wrong) return setProblem(wrong);
    onClose();
  };
  return (
    <Sheet title={`Before ${SPECIES_WORDS[species].birth}`} isOpen onClose={onClose} width={820}>
      <Stack>
        <Small>
          Counted back from the day the birth is due by the service or the scan. A nest box for rabbits goes in on day
          28 of 31. What is given, and when, is your label’s and your vet’s to say.
        </Small>
        {steps.map((step, i) => (
          <Row key={i} $gap={2} style={{ alignItems: 'flex-end' }} role="group" aria-label={`Step ${i + 1}`}>
            <Choice
              label="Kind"
              value={step.kind}
              options={CARRYING_STEP_KINDS.map((k) => [k, KIND_WORDS[k]])}
              onChange={(kind) => set(i, { kind })}
            />
            <Field label="What" value={step.name} onChange={(name) => set(i, { name })} style={{ flex: '1 1 240px' }} />
            <Field
              label="Days before"
              inputMode="numeric"
              style={{ width: 100 }}
              value={step.daysBefore}
              onChange={(daysBefore) => set(i, { daysBefore })}
            />
            <Field
              label="give or take"
              inputMode="numeric"
              style={{ width: 90 }}
              value={step.slackDays}
              onChange={(slackDays) => set(i, { slackDays })}
            />
            <Button
              kind="quiet"
              aria-label={`Leave ${step.name} out`}
              onPress={() => setSteps(steps.filter((_, n) => n !== i))}
            >
              Leave out
            </Button>
          </Row>
        ))}
        <Row>
          <Button onPress={() => setSteps([...steps, { kind: 'give', name: '', daysBefore: '', slackDays: '3' }])}>
            Add a step
          </Button>
        </Row>
        {problem ? <p role="alert">{problem}</p> : null}
        <Row>
          <Button kind="main" onPress={() => void keep()}>
            Keep the steps
          </Button>
          <Button kind="quiet" onPress={() => setSteps(SPECIES_TABLE[species].carryingSteps.map(formOf))}>
            Show the shipped ones
          </Button>
        </Row>
      </Stack>
    </Sheet>
  );
}
