import type { HoldingView } from '@yaylak/contract';
import { WEEK_STARTS, type DateOrder, type WeekStart, type WeightUnit } from '@yaylak/core';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Wrong } from '../../parts/Wrong';
import { Field } from '../../parts/Field';
import { LanguageButtons } from '../../parts/LanguageButton';
import { Row, Small, Stack } from '../../parts/Panel';
import { useUnsaved } from '../../parts/unsaved';
import { useSaveHolding } from '../../parts/useSaveHolding';
import { SpeciesTicks } from '../../shared/holding/SpeciesTicks';
import { WEEK_START_WORDS } from '../../words/week';
import { say } from '@yaylak/contract';

interface Props {
  readonly holding: HoldingView;
  readonly onDone: () => void;
}

/** Who writes, what is kept, and how weights, dates and money are written. */
export function AboutStep({ holding, onDone }: Props) {
  const save = useSaveHolding();
  const { name, keeper, unit, dateOrder, weekStart, currency, keeps } = holding;
  const start = { name, keeper, unit, dateOrder, weekStart, currency, keeps: [...keeps] };
  const [draft, setDraft] = useState(start);
  const [problem, setProblem] = useState<string>();
  const saved = useUnsaved(JSON.stringify(draft) !== JSON.stringify(start));
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void save(draft).then((refused) => {
          setProblem(refused);
          if (refused !== undefined) return;
          saved();
          onDone();
        });
      }}
    >
      <Stack $gap={4}>
        <Row $gap={3}>
          <LanguageButtons />
        </Row>
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <Field label={say('Your name')} value={draft.keeper} onChange={(v) => setDraft({ ...draft, keeper: v })} />
          <Field
            label={say('Name of the holding')}
            value={draft.name}
            onChange={(v) => setDraft({ ...draft, name: v })}
          />
        </Row>
        <div>
          <h3>{say('What do you keep?')}</h3>
          <SpeciesTicks value={draft.keeps} onChange={(v) => setDraft({ ...draft, keeps: [...v] })} />
          <Small>{say('The others stay out of sight until one comes.')}</Small>
        </div>
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <Choice
            label={say('Weights in')}
            value={draft.unit}
            options={[
              ['kg', say('kilograms')],
              ['lb', say('pounds')],
            ]}
            onChange={(v: WeightUnit) => setDraft({ ...draft, unit: v })}
          />
          <Choice
            label={say('Dates written as')}
            value={draft.dateOrder}
            options={[
              ['day-month', say('day, month, year')],
              ['month-day', say('month, day, year')],
              ['year-month', say('year, month, day')],
            ]}
            onChange={(v: DateOrder) => setDraft({ ...draft, dateOrder: v })}
          />
          <Choice
            label={say('The week begins on')}
            value={draft.weekStart}
            options={WEEK_STARTS.map((d) => [d, WEEK_START_WORDS[d]])}
            onChange={(v: WeekStart) => setDraft({ ...draft, weekStart: v })}
          />
          <Field
            label={say('Currency')}
            value={draft.currency}
            onChange={(v) => setDraft({ ...draft, currency: v.toUpperCase() })}
            style={{ width: 90 }}
          />
        </Row>
        {problem ? <Wrong role="alert">{problem}</Wrong> : null}
        <Row>
          <Button type="submit" kind="main">
            {say('Save and go on')}
          </Button>
        </Row>
      </Stack>
    </form>
  );
}
