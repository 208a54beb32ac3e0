import { LitterWeightEntry, WeightEntry, type LitterView, type RearedView, say, SPECIES_WORDS } from '@yaylak/contract';
import {
  dayOf,
  doubtLitter,
  parseDay,
  readTypedWeight,
  scaleUnit,
  toKg,
  type ScaleUnit,
  type Species,
} from '@yaylak/core';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { holdingQuery } from '../../api/queries';
import { useDoubts } from '../../outbox/useDoubts';
import type { EntryDraft } from '../../outbox/useRecord';
import { Asked } from '../../parts/Asked';
import { FormChoice, FormField } from '../../parts/form/fields';
import { FieldRow } from '../../parts/form/FieldRow';
import { SendForm } from '../../parts/form/SendForm';
import { madeEntry } from '../../parts/form/useEntryForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';
import { checkReadingText, litterDoubtText } from '../../words/doubts';
import { fullDate } from '../../words/dates';
import { countText, weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useHolding';

interface Props {
  readonly litter: LitterView;
  readonly species: Species;
  readonly today: string;
  readonly onClose: () => void;
}

interface Typed {
  readonly how: 'together' | 'each';
  readonly on: string;
  readonly total: string;
  readonly count: string;
  /** In the order the young stand in; who was not weighed is left empty. */
  readonly each: readonly { readonly text: string }[];
}

/** Kilograms of what was typed; no number where it is none. */
function kgOf(text: string, scale: ScaleUnit): number {
  const typed = readTypedWeight(text, scale);
  return typed.kind === 'number' && typed.value > 0 ? Number(toKg(typed.value, scale).toFixed(4)) : NaN;
}

function against({ how, total, count, each }: Typed, scale: ScaleUnit): Against {
  if (how === 'together')
    return {
      ...(Number.isNaN(kgOf(total, scale)) ? { total: say('Type what the scale says in {scale}.', { scale }) } : {}),
      ...(/^[1-9]\d?$/.test(count.trim()) ? {} : { count: say('Count them: a whole number.') }),
    };
  const wrong = each.flatMap(({ text }, i) =>
    text.trim() !== '' && Number.isNaN(kgOf(text, scale))
      ? [
          [
            `each.${i}.text`,
            say('“{text}” is not a weight. Type what the scale says in {scale}.', { text, scale }),
          ] as const,
        ]
      : [],
  );
  return each.every(({ text }) => text.trim() === '')
    ? { 'each.0.text': say('Type the weight of each in {scale}; who was not weighed is left out.', { scale }) }
    : Object.fromEntries(wrong);
}

/** A litter on the scale: together, or each in its turn. */
export function WeighSheet({ litter, species, today, onClose }: Props) {
  const write = useWrite();
  const doubts = useDoubts();
  const { data: holding } = useQuery(holdingQuery);
  const [asked, setAsked] = useState<string>();
  const unit = useWeightUnit();
  const { dam, young } = litter;
  const scale = scaleUnit(species, unit);
  const words = SPECIES_WORDS[species].young;
  const name = dam?.name ?? dam?.text ?? say('those reared by hand');
  const entriesOf = ({ how, on, total, count, each }: Typed): EntryDraft[] =>
    how === 'together'
      ? [
          {
            type: 'litter-weight',
            animalId: dam?.animalId ?? '',
            on,
            totalKg: kgOf(total, scale),
            count: Number(count),
          },
        ]
      : young.flatMap((y, i): EntryDraft[] => {
          const text = each[i]?.text.trim() ?? '';
          return text === ''
            ? []
            : [{ type: 'weight', animalId: y.tag.animalId, on, kg: kgOf(text, scale), method: 'scale' }];
        });
  const form = useTypedForm<Typed>({
    start: {
      how: dam ? (litter.toWeigh ?? 'each') : 'each',
      on: today,
      total: '',
      count: String(young.length),
      each: young.map(() => ({ text: '' })),
    },
    made: (typed) =>
      entriesOf(typed).map((draft) => madeEntry(draft.type === 'weight' ? WeightEntry : LitterWeightEntry, draft)),
    words: { on: say('Give the day it was weighed.'), totalKg: say('That is not the weight of a litter.') },
    also: (typed) =>
      parseDay(typed.on) !== undefined && typed.on < litter.bornOn
        ? {
            on: say('{date} is before the birth on {date2}. Correct the date.', {
              date: fullDate(typed.on),
              date2: fullDate(litter.bornOn),
            }),
          }
        : against(typed, scale),
    fieldOf: { totalKg: 'total', kg: 'each' },
  });
  const how = useWatch({ control: form.control, name: 'how' });
  /** What is doubtful of what was typed, each in a sentence. */
  const questionsOf = async (typed: Typed, made: readonly EntryDraft[]): Promise<readonly string[]> => {
    const settings = holding?.species[species];
    if (typed.how === 'together') {
      const ageDays = dayOf(typed.on) - dayOf(litter.bornOn);
      const totalKg = kgOf(typed.total, scale);
      const found = settings
        ? doubtLitter({ totalKg, count: Number(typed.count) }, { heads: young.length, ageDays }, settings)
        : [];
      return found.map((doubt) => litterDoubtText(doubt, unit, species));
    }
    const weighed = young.flatMap((y, i) => (typed.each[i]?.text.trim() ? [labelOf(y, i)] : []));
    return (await doubts(made)).flatMap((doubt, i) => {
      const draft = made[i];
      return doubt && draft?.type === 'weight'
        ? [`${weighed[i] ?? ''}: ${checkReadingText(draft.kg, doubt, unit, species)}`]
        : [];
    });
  };
  const send = async (typed: Typed): Promise<readonly string[] | 'asked'> => {
    const made = entriesOf(typed);
    const question = (await questionsOf(typed, made)).join(' ');
    if (question !== '' && question !== asked) {
      setAsked(question);
      return 'asked';
    }
    const what = typed.how === 'together' ? say('the litter') : countText(made.length, ...words.unknown);
    return write(made, say('Weighed {what} of {name}', { what, name }));
  };
  const labelOf = (y: RearedView, i: number): string =>
    y.tag.kind === 'none' ? `${i + 1}. ${words[y.sex === 'castrate' ? 'male' : y.sex][0]}` : y.tag.text;
  return (
    <Sheet title={say('Weigh the litter of {name}', { name })} isOpen onClose={onClose}>
      <SendForm form={form} send={send} onDone={onClose} submit={say('Save')}>
        <FieldRow $gap={3}>
          {dam ? (
            <FormChoice
              name="how"
              label={say('How')}
              options={[
                ['together', say('all together')],
                ['each', say('each in turn')],
              ]}
            />
          ) : null}
          <FormField name="on" label={say('On')} type="date" />
        </FieldRow>
        {how === 'together' ? (
          <FieldRow $gap={3}>
            <FormField
              name="total"
              label={say('Together, {scale}', { scale })}
              inputMode="decimal"
              style={{ width: 150 }}
              autoFocus
            />
            <FormField name="count" label={say('How many')} inputMode="numeric" style={{ width: 100 }} />
          </FieldRow>
        ) : (
          <Row $gap={3} role="group" aria-label={say('Each')}>
            {young.map((y, i) => (
              <FormField
                key={y.tag.animalId}
                name={`each.${i}.text`}
                label={`${labelOf(y, i)}, ${scale}`}
                hint={
                  y.lastKg === null ? undefined : say('last {weight}', { weight: weightText(y.lastKg, unit, species) })
                }
                inputMode="decimal"
                style={{ width: 130 }}
                autoFocus={i === 0}
              />
            ))}
          </Row>
        )}
        <Asked
          questions={asked === undefined ? [] : [asked]}
          again={say('Correct it, or press again to keep it as it is.')}
        />
      </SendForm>
      <Small>
        {say(
          'At one hour of the day, before the doe has suckled. One school weighs the whole litter for two weeks and then each, another each from birth: set it under Holding. Kits without a mark stand here heaviest first: weigh them in that order.',
        )}
      </Small>
    </Sheet>
  );
}
