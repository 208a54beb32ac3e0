import { useQuery } from '@tanstack/react-query';
import { ENTRY_CLASSES, type AnimalView, say } from '@yaylak/contract';
import { readTypedWeight, scaleUnit, toKg, type ScaleUnit, type WeighingMethod } from '@yaylak/core';
import { useState } from 'react';
import { groupsQuery } from '../../api/queries';
import { useDoubts } from '../../outbox/useDoubts';
import type { EntryDraft } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormChoice, FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { madeEntry } from '../../parts/form/useEntryForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { Sheet } from '../../parts/Sheet';
import { TreatSheet } from '../../shared/remedies/TreatSheet';
import { useWrite } from '../../parts/useWrite';
import { LeaveSheet } from './LeaveSheet';
import { ReserveSheet } from './ReserveSheet';
import { SeenSheet } from './SeenSheet';
import { Asked } from '../../parts/Asked';
import { checkReadingText } from '../../words/doubts';
import { useWeightUnit } from '../../words/useHolding';

interface Props {
  readonly view: AnimalView;
  readonly today: string;
}

type What = 'weight' | 'move' | 'note';
const TITLES: Readonly<Record<What, string>> = {
  weight: say('Record a weight'),
  move: say('Move'),
  note: say('Write a note'),
};

/** Writes a fact of one animal down, away from the race. */
export function WriteDown({ view, today }: Props) {
  const [what, setWhat] = useState<What>();
  const [isTreating, setTreating] = useState(false);
  const [isLeaving, setLeaving] = useState(false);
  const [isReserving, setReserving] = useState(false);
  const [isSeen, setSeen] = useState(false);
  return (
    <>
      {isTreating ? <TreatSheet animalIds={[view.row.tag.animalId]} onClose={() => setTreating(false)} /> : null}
      <Button kind="main" onPress={() => setWhat('weight')}>
        {say('Weight')}
      </Button>
      <Button onPress={() => setTreating(true)}>{say('Treat')}</Button>
      <Button onPress={() => setWhat('move')}>{say('Move')}</Button>
      <Button onPress={() => setWhat('note')}>{say('Note')}</Button>
      {view.departed ? null : <Button onPress={() => setSeen(true)}>{say('Seen')}</Button>}
      {view.departed || view.reservation ? null : <Button onPress={() => setReserving(true)}>{say('Reserve')}</Button>}
      {view.departed ? null : <Button onPress={() => setLeaving(true)}>{say('Left')}</Button>}
      {isSeen ? <SeenSheet view={view} today={today} onClose={() => setSeen(false)} /> : null}
      {isReserving ? <ReserveSheet tags={[view.row.tag]} today={today} onClose={() => setReserving(false)} /> : null}
      {isLeaving ? <LeaveSheet view={view} today={today} onClose={() => setLeaving(false)} /> : null}
      <Sheet title={what ? TITLES[what] : ''} isOpen={what !== undefined} onClose={() => setWhat(undefined)}>
        {what ? <Form what={what} view={view} today={today} onClose={() => setWhat(undefined)} /> : null}
      </Sheet>
    </>
  );
}

interface Typed {
  readonly on: string;
  readonly text: string;
  readonly method: WeighingMethod;
  readonly groupId: string;
}

function Form({ what, view, today, onClose }: Props & { readonly what: What; readonly onClose: () => void }) {
  const unit = useWeightUnit();
  const { data: groups } = useQuery(groupsQuery);
  const scale = scaleUnit(view.row.species, unit);
  const write = useWrite();
  const doubts = useDoubts();
  const [question, setQuestion] = useState<string>();
  /** What the question was about: another figure is asked about anew. */
  const [asked, setAsked] = useState<string>();
  const draftOf = ({ on, text, method, groupId }: Typed): EntryDraft => {
    const base = { animalId: view.row.tag.animalId, on };
    switch (what) {
      case 'weight': {
        const typed = readTypedWeight(text, scale);
        return { type: 'weight', ...base, kg: typed.kind === 'number' ? toKg(typed.value, scale) : NaN, method };
      }
      case 'move':
        return { type: 'move', ...base, groupId };
      case 'note':
        return { type: 'note', ...base, text: text.trim() };
    }
  };
  const form = useTypedForm<Typed>({
    start: { on: today, text: '', method: 'scale', groupId: '' },
    made: (typed) => [madeEntry(ENTRY_CLASSES[what], draftOf(typed))],
    words: {
      on: say('Give the day.'),
      kg: say('Type what the scale says, as 27.2 or 27,2, in {scale}.', { scale }),
      text: say('The note is empty, or too long.'),
      groupId: say('Choose a group.'),
    },
    also: (typed): Against => (what === 'weight' ? weightFault(typed, scale) : {}),
    fieldOf: { kg: 'text' },
  });
  const send = async (typed: Typed): Promise<readonly string[] | 'asked'> => {
    const draft = draftOf(typed);
    const [doubt] = draft.type === 'weight' && asked !== typed.text ? await doubts([draft]) : [];
    if (doubt && draft.type === 'weight') {
      setQuestion(checkReadingText(draft.kg, doubt, unit, view.row.species));
      setAsked(typed.text);
      return 'asked';
    }
    return write([draft], say('Saved.'));
  };
  return (
    <SendForm form={form} send={send} onDone={onClose} submit={say('Save')}>
      {what === 'weight' ? (
        <FieldRow $gap={3}>
          <FormField name="text" label={say('Weight, {scale}', { scale })} inputMode="decimal" autoFocus />
          <FormChoice
            name="method"
            label={say('By')}
            options={[
              ['scale', say('scale')],
              ['crate', say('crate')],
              ['tape', say('tape')],
              ['estimate', say('eye')],
            ]}
          />
        </FieldRow>
      ) : null}
      {what === 'move' ? (
        <FormChoice
          name="groupId"
          label={say('To')}
          options={[['', say('choose a group')], ...(groups ?? []).map((g) => [g.id, g.name] as const)]}
        />
      ) : null}
      {what === 'note' ? <FormField name="text" label={say('Note')} autoFocus /> : null}
      <FormField name="on" label={say('On')} type="date" />
      <Asked
        questions={question === undefined ? [] : [question]}
        again={say('Correct it, or press again to keep it, marked.')}
      />
    </SendForm>
  );
}

/** A figure that cannot be read is shown as it was typed. */
function weightFault({ text }: Typed, scale: ScaleUnit): Against {
  const typed = readTypedWeight(text, scale);
  if (typed.kind === 'number') return {};
  return {
    text:
      typed.reason === 'empty'
        ? say('Type what the scale says.')
        : say('“{text}” is not a number. Write it as 27.2 or 27,2.', { text }),
  };
}
