import { useQuery } from '@tanstack/react-query';
import type { AnimalView } from '@yaylak/contract';
import { SEXES, type Sex } from '@yaylak/core';
import { useState } from 'react';
import { identifiersQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Panel, Row } from '../../parts/Panel';
import { parentNamed } from './parentNamed';
import { Problem } from './SelectionBar';
import { useChangeRecord } from './useChangeRecord';

/** The animal's record, edited where it is shown; a change made meanwhile elsewhere is said and shown. */
export function RecordEditor({ view }: { readonly view: AnimalView }) {
  const { row } = view;
  const shown = {
    sex: row.sex,
    bornOn: row.bornOn ?? '',
    dam: row.dam?.text ?? '',
    donor: row.donor?.text ?? '',
    sire: row.sire?.text ?? '',
    birthType: row.birthType === null ? '' : String(row.birthType),
    rearingType: row.rearingType === null ? '' : String(row.rearingType),
  };
  const [draft, setDraft] = useState(shown);
  const [isOpen, setOpen] = useState(false);
  const [problem, setProblem] = useState<string>();
  const { data: identifiers } = useQuery({ ...identifiersQuery, enabled: isOpen });
  const changeRecord = useChangeRecord();

  const count = (field: 'birthType' | 'rearingType'): number | null =>
    draft[field] === '' ? null : Number(draft[field]);
  const save = async (): Promise<void> => {
    const parents: { damId?: string | null; donorId?: string | null; sireId?: string | null } = {};
    for (const role of ['dam', 'donor', 'sire'] as const) {
      if (draft[role] === shown[role]) continue;
      const named = parentNamed(identifiers ?? [], role, draft[role]);
      if (named.kind === 'unclear') return setProblem(named.message);
      parents[`${role}Id`] = named.kind === 'animal' ? named.id : null;
    }
    const refused = await changeRecord(row, {
      ...(draft.sex === shown.sex ? {} : { sex: draft.sex }),
      ...(draft.bornOn === shown.bornOn ? {} : { bornOn: draft.bornOn === '' ? null : draft.bornOn }),
      ...parents,
      ...(draft.birthType === shown.birthType ? {} : { birthType: count('birthType') }),
      ...(draft.rearingType === shown.rearingType ? {} : { rearingType: count('rearingType') }),
    });
    setProblem(refused);
    if (refused === undefined) setOpen(false);
  };
  if (!isOpen)
    return (
      <Panel>
        <h2>Record</h2>
        <Button style={{ marginTop: 8 }} onPress={() => setOpen(true)}>
          Change sex, birth or parents
        </Button>
      </Panel>
    );
  return (
    <Panel>
      <h2>Record</h2>
      <form
        style={{ display: 'flex', flexDirection: 'column', gap: 8, marginTop: 8 }}
        onSubmit={(e) => {
          e.preventDefault();
          void save();
        }}
      >
        <Choice
          label="Sex"
          value={draft.sex}
          options={SEXES.map((s) => [s, s] as [Sex, string])}
          onChange={(sex) => setDraft({ ...draft, sex })}
        />
        <Field label="Born on" type="date" value={draft.bornOn} onChange={(bornOn) => setDraft({ ...draft, bornOn })} />
        <Field label="Dam" value={draft.dam} onChange={(dam) => setDraft({ ...draft, dam })} />
        <Field
          label="Embryo of"
          hint="only where another female carried it"
          value={draft.donor}
          onChange={(donor) => setDraft({ ...draft, donor })}
        />
        <Field label="Sire" value={draft.sire} onChange={(sire) => setDraft({ ...draft, sire })} />
        <Field
          label="Born as one of"
          inputMode="numeric"
          value={draft.birthType}
          onChange={(birthType) => setDraft({ ...draft, birthType })}
        />
        <Field
          label="Reared as one of"
          inputMode="numeric"
          value={draft.rearingType}
          onChange={(rearingType) => setDraft({ ...draft, rearingType })}
        />
        {problem ? <Problem role="alert">{problem}</Problem> : null}
        <Row>
          <Button type="submit" kind="main">
            Save
          </Button>
          <Button onPress={() => setOpen(false)}>Leave it</Button>
        </Row>
      </form>
    </Panel>
  );
}
