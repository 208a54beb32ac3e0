import { useQuery } from '@tanstack/react-query';
import type { AnimalView } from '@yaylak/contract';
import { readTypedNumber, scaleUnit, toKg, type WeighingMethod, type WeightUnit } from '@yaylak/core';
import { useState } from 'react';
import { groupsQuery } from '../../api/queries';
import type { EntryDraft, RecordOutcome } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Row } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { TreatSheet } from '../../shared/remedies/TreatSheet';
import { useWrite } from '../../parts/useWrite';
import { weightText } from '../../words/format';
import { useWeightUnit } from '../../words/useUnits';
import { Problem } from './SelectionBar';

interface Props {
  readonly view: AnimalView;
  readonly today: string;
}

type What = 'weight' | 'move' | 'note' | 'departure';
const TITLES: Readonly<Record<What, string>> = {
  weight: 'Write down a weight',
  move: 'Move',
  note: 'Write a note',
  departure: 'It left the holding',
};

/** Writes a fact of one animal down, away from the race. */
export function WriteDown({ view, today }: Props) {
  const [what, setWhat] = useState<What>();
  const [isTreating, setTreating] = useState(false);
  return (
    <>
      {isTreating ? <TreatSheet animalIds={[view.row.tag.animalId]} onClose={() => setTreating(false)} /> : null}
      <Button kind="main" onPress={() => setWhat('weight')}>
        Weight
      </Button>
      <Button onPress={() => setTreating(true)}>Treat</Button>
      <Button onPress={() => setWhat('move')}>Move</Button>
      <Button onPress={() => setWhat('note')}>Note</Button>
      {view.departed ? null : <Button onPress={() => setWhat('departure')}>Left</Button>}
      <Sheet title={what ? TITLES[what] : ''} isOpen={what !== undefined} onClose={() => setWhat(undefined)}>
        {what ? <Form what={what} view={view} today={today} onClose={() => setWhat(undefined)} /> : null}
      </Sheet>
    </>
  );
}

function Form({ what, view, today, onClose }: Props & { readonly what: What; readonly onClose: () => void }) {
  const unit = useWeightUnit();
  const { data: groups } = useQuery(groupsQuery);
  const typedIn = scaleUnit(view.row.species, unit);
  const [on, setOn] = useState(today);
  const [text, setText] = useState('');
  const [method, setMethod] = useState<WeighingMethod>('scale');
  const [groupId, setGroupId] = useState('');
  const [how, setHow] = useState<'died' | 'sold' | 'slaughtered' | 'lost'>('sold');
  const [problem, setProblem] = useState<string>();
  const write = useWrite();

  const draft = (): EntryDraft | string => {
    const base = { animalId: view.row.tag.animalId, on };
    switch (what) {
      case 'weight': {
        const typed = readTypedNumber(text);
        if (typed.kind === 'refused')
          return typed.reason === 'empty'
            ? 'Weight: type what the scale says.'
            : `Weight: “${text}” is not a number. Write it as 27.2 or 27,2.`;
        return { type: 'weight', ...base, kg: toKg(typed.value, typedIn), method };
      }
      case 'move':
        return groupId === '' ? 'Choose a group.' : { type: 'move', ...base, groupId };
      case 'note':
        return text.trim() === '' ? 'The note is empty.' : { type: 'note', ...base, text: text.trim() };
      case 'departure':
        return { type: 'departure', ...base, how, ...(text.trim() ? { reason: text.trim() } : {}) };
    }
  };
  const submit = async (): Promise<void> => {
    const made = draft();
    if (typeof made === 'string') return setProblem(made);
    const refused = await write([made], (kept) => `Written down.${doubtWords(kept, unit)}`);
    if (refused.length > 0) return setProblem(refused.join(' '));
    onClose();
  };
  return (
    <form
      style={{ display: 'flex', flexDirection: 'column', gap: 16 }}
      onSubmit={(e) => {
        e.preventDefault();
        void submit();
      }}
    >
      {what === 'weight' ? (
        <Row $gap={3}>
          <Field label={`Weight, ${typedIn}`} inputMode="decimal" value={text} onChange={setText} autoFocus />
          <Choice
            label="By"
            value={method}
            options={[
              ['scale', 'scale'],
              ['crate', 'crate'],
              ['tape', 'tape'],
              ['estimate', 'eye'],
            ]}
            onChange={setMethod}
          />
        </Row>
      ) : null}
      {what === 'move' ? (
        <Choice
          label="To"
          value={groupId}
          options={[['', 'choose a group'], ...(groups ?? []).map((g) => [g.id, g.name] as const)]}
          onChange={setGroupId}
        />
      ) : null}
      {what === 'note' ? <Field label="Note" value={text} onChange={setText} autoFocus /> : null}
      {what === 'departure' ? (
        <Row $gap={3}>
          <Choice
            label="How"
            value={how}
            options={[
              ['sold', 'sold'],
              ['slaughtered', 'slaughtered'],
              ['died', 'died'],
              ['lost', 'lost'],
            ]}
            onChange={setHow}
          />
          <Field label="Why" value={text} onChange={setText} />
        </Row>
      ) : null}
      <Field label="On" type="date" value={on} onChange={setOn} />
      {problem ? <Problem role="alert">{problem}</Problem> : null}
      <Row>
        <Button kind="main" type="submit">
          Write it down
        </Button>
      </Row>
    </form>
  );
}

/** The book's doubt about a weight it kept, if it has one. */
function doubtWords(kept: RecordOutcome, unit: WeightUnit): string {
  const answer = kept.kind === 'kept' ? kept.answers[0] : undefined;
  if (answer?.status !== 'kept' || !answer.doubt) return '';
  const { kind, fromKg, days } = answer.doubt;
  return ` Check the reading: a ${kind} from ${weightText(fromKg, unit)} in ${days} days`;
}
