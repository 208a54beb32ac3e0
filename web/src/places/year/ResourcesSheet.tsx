import { ResourcesSetting, type HoldingView, say, SPECIES_WORDS, capital } from '@yaylak/contract';
import { bySpecies, readTypedNumber, SPECIES, type Species } from '@yaylak/core';
import { useFieldArray } from 'react-hook-form';
import { Button } from '../../parts/Button';
import { FormField } from '../../parts/form/fields';
import { FieldRow } from '../../parts/form/FieldRow';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { Row, Small, Stack } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useSaveHolding } from '../../parts/useSaveHolding';

interface Props {
  readonly holding: HoldingView;
  readonly onClose: () => void;
}

interface Stretch {
  readonly from: string;
  readonly to: string;
  readonly why: string;
}

interface Typed {
  readonly days: string;
  readonly pens: Readonly<Record<Species, string>>;
  readonly away: readonly Stretch[];
  readonly lean: readonly Stretch[];
  readonly hot: readonly Stretch[];
}

const LISTS = ['away', 'lean', 'hot'] as const;

function resourcesOf({ days, pens, away, lean, hot }: Typed): ResourcesSetting {
  const work = readTypedNumber(days);
  return {
    ...(work.kind === 'number' ? { workDaysPerWeek: work.value } : {}),
    birthPens: SPECIES.flatMap((species) => (pens[species] ? [{ species, pens: Number(pens[species]) }] : [])),
    away: away.map((a) => ({ ...a })),
    lean: lean.map((l) => ({ ...l })),
    ...(hot.length > 0 ? { hot: hot.map((h) => ({ ...h })) } : {}),
  };
}

function against(typed: Typed): Against {
  const wrong: Record<string, string> = {};
  if (typed.days !== '' && readTypedNumber(typed.days).kind === 'refused')
    wrong.days = say('“{days}” is not a number of days.', { days: typed.days });
  for (const s of SPECIES)
    if (typed.pens[s] !== '' && !/^\d+$/.test(typed.pens[s]))
      wrong[`pens.${s}`] = say('“{value}” is not a number of pens.', { value: typed.pens[s] });
  for (const list of LISTS)
    typed[list].forEach((stretch, i) => {
      for (const field of ['from', 'to', 'why'] as const)
        if (stretch[field].trim() === '') wrong[`${list}.${i}.${field}`] = say('Needed, or leave the stretch out.');
    });
  return wrong;
}

/** Hands, pens, days away and lean stretches: what plans are held against. */
export function ResourcesSheet({ holding, onClose }: Props) {
  const save = useSaveHolding();
  const before = holding.resources;
  const form = useTypedForm<Typed>({
    start: {
      days: before.workDaysPerWeek === undefined ? '' : String(before.workDaysPerWeek),
      pens: bySpecies((s) => String(before.birthPens.find((p) => p.species === s)?.pens ?? '')),
      away: [...before.away],
      lean: [...before.lean],
      hot: [...(before.hot ?? [])],
    },
    made: (typed) => [{ shape: ResourcesSetting, value: resourcesOf(typed) }],
    words: {
      workDaysPerWeek: say('That is more work than there are days.'),
      birthPens: say('That is not a number of pens.'),
      away: say('Each day is a date: 2027-06-05.'),
      lean: say('Month and day, such as 07-20.'),
      hot: say('Each day is a date: 2027-06-05.'),
    },
    also: against,
    fieldOf: { workDaysPerWeek: 'days', birthPens: 'pens' },
  });
  const send = async (typed: Typed): Promise<readonly string[]> => {
    const wrong = await save({ resources: resourcesOf(typed) });
    return wrong === undefined ? [] : [wrong];
  };
  return (
    <Sheet title={say('Hands, pens and feed')} isOpen onClose={onClose} width={780}>
      <SendForm form={form} send={send} onDone={onClose} submit={say('Keep')}>
        <FormField
          name="days"
          label={say('Days of work there are in a week, all hands together')}
          inputMode="decimal"
          hint={say('Left empty, work is not looked at. A day is eight hours of one person.')}
        />
        <Row $gap={3}>
          {SPECIES.filter((s) => holding.species[s].rearing.bondingDays > 0).map((s) => (
            <FormField
              key={s}
              name={`pens.${s}`}
              label={say('{birth} pens', {
                birth: capital(SPECIES_WORDS[s].birth),
              })}
              inputMode="numeric"
            />
          ))}
        </Row>
        <Stretches
          title={say('Days nobody is here')}
          name="away"
          type="date"
          hint={say('A wedding, a journey, the harvest.')}
        />
        <Stretches
          title={say('Feed is short, each year')}
          name="lean"
          type="text"
          hint={say('Month and day, such as 07-20.')}
        />
        <Stretches
          title={say('Heat waves')}
          name="hot"
          type="date"
          hint={say('Seed suffers in them and for seven weeks after; the record of matings marks it.')}
        />
      </SendForm>
    </Sheet>
  );
}

interface StretchesProps {
  readonly title: string;
  readonly hint: string;
  readonly name: (typeof LISTS)[number];
  readonly type: 'date' | 'text';
}

function Stretches({ title, hint, name, type }: StretchesProps) {
  const { fields, append, remove } = useFieldArray<Typed>({ name });
  return (
    <Stack $gap={2} role="group" aria-label={title}>
      <h3>{title}</h3>
      {fields.map(({ id }, i) => (
        <FieldRow key={id} $gap={2}>
          <FormField name={`${name}.${i}.from`} label={say('From')} type={type} />
          <FormField name={`${name}.${i}.to`} label={say('To')} type={type} />
          <FormField name={`${name}.${i}.why`} label={say('Why')} />
          <Button kind="quiet" onPress={() => remove(i)}>
            {say('Leave out')}
          </Button>
        </FieldRow>
      ))}
      <Row>
        <Button onPress={() => append({ from: '', to: '', why: '' })}>{say('Add')}</Button>
        <Small>{hint}</Small>
      </Row>
    </Stack>
  );
}
