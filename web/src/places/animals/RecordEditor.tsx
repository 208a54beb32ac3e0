import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { AnimalRow, AnimalView, ChangeAnimal } from '@yaylak/contract';
import { resolveIdentifier, SEXES, type Sex } from '@yaylak/core';
import { useState } from 'react';
import { ask, ProblemError } from '../../api/client';
import { identifiersQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Panel, Row } from '../../parts/Panel';
import { useUndo } from '../../parts/Undo';
import { Problem } from './SelectionBar';

/** The animal's record, edited where it is shown; a change made meanwhile elsewhere is said and shown. */
export function RecordEditor({ view }: { readonly view: AnimalView }) {
  const { row } = view;
  const shown = {
    sex: row.sex,
    bornOn: row.bornOn ?? '',
    dam: row.dam?.text ?? '',
    sire: row.sire?.text ?? '',
    birthType: row.birthType === null ? '' : String(row.birthType),
    rearingType: row.rearingType === null ? '' : String(row.rearingType),
  };
  const [draft, setDraft] = useState(shown);
  const [isOpen, setOpen] = useState(false);
  const [problem, setProblem] = useState<string>();
  const { data: identifiers } = useQuery({ ...identifiersQuery, enabled: isOpen });
  const client = useQueryClient();
  const undo = useUndo();

  const parentId = (role: 'dam' | 'sire'): { id: string | null | undefined; problem?: string } => {
    if (draft[role] === shown[role]) return { id: undefined };
    if (draft[role].trim() === '') return { id: null };
    const found = resolveIdentifier(identifiers ?? [], draft[role]);
    if (found.kind === 'one') return { id: found.animalId };
    return {
      id: undefined,
      problem: `${role === 'dam' ? 'Dam' : 'Sire'}: ${found.kind === 'none' ? 'no animal wears' : 'several animals wear'} “${draft[role]}”.`,
    };
  };
  const count = (field: 'birthType' | 'rearingType'): number | null =>
    draft[field] === '' ? null : Number(draft[field]);

  const save = async (): Promise<void> => {
    const dam = parentId('dam');
    const sire = parentId('sire');
    if (dam.problem ?? sire.problem) return setProblem(dam.problem ?? sire.problem);
    const change: ChangeAnimal = {
      version: row.version,
      ...(draft.sex === shown.sex ? {} : { sex: draft.sex }),
      ...(draft.bornOn === shown.bornOn ? {} : { bornOn: draft.bornOn === '' ? null : draft.bornOn }),
      ...(dam.id === undefined ? {} : { damId: dam.id }),
      ...(sire.id === undefined ? {} : { sireId: sire.id }),
      ...(draft.birthType === shown.birthType ? {} : { birthType: count('birthType') }),
      ...(draft.rearingType === shown.rearingType ? {} : { rearingType: count('rearingType') }),
    };
    try {
      const saved = await ask<AnimalRow>(`/api/animals/${row.tag.animalId}`, { method: 'PATCH', body: change });
      await client.invalidateQueries();
      undo.offer({
        done: `Changed the record of ${row.tag.text}`,
        undo: async () => {
          const back: ChangeAnimal = {
            version: saved.version,
            sex: row.sex,
            bornOn: row.bornOn,
            damId: row.dam?.animalId ?? null,
            sireId: row.sire?.animalId ?? null,
            birthType: row.birthType,
            rearingType: row.rearingType,
          };
          await ask(`/api/animals/${row.tag.animalId}`, { method: 'PATCH', body: back });
          await client.invalidateQueries();
        },
      });
    } catch (error) {
      const isStale = error instanceof ProblemError && error.problem.status === 409;
      setProblem(
        isStale
          ? `${error.message} What you typed is still here; open the page anew to see theirs.`
          : (error as Error).message,
      );
    }
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
