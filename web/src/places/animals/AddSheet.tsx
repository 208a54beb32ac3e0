import { useQuery } from '@tanstack/react-query';
import type { NextNumbers } from '@yaylak/contract';
import { SEXES, SPECIES, SPECIES_WORDS, TAG_COLOURS, type Sex, type Species, type TagColour } from '@yaylak/core';
import { useState } from 'react';
import { ask } from '../../api/client';
import { groupsQuery, holdingQuery, identifiersQuery } from '../../api/queries';
import type { EntryDraft } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';
import { countText } from '../../words/format';
import { newId } from '../../words/ids';
import { parentNamed } from './parentNamed';
import { Problem } from './SelectionBar';

interface Draft {
  readonly species: Species;
  readonly sex: Sex;
  readonly count: string;
  readonly number: string;
  readonly colour: TagColour;
  readonly electronic: string;
  readonly bornOn: string;
  readonly dam: string;
  readonly sire: string;
  readonly birthType: string;
  readonly groupId: string;
}

const EMPTY: Draft = {
  species: 'sheep',
  sex: 'female',
  count: '1',
  number: '',
  colour: 'yellow',
  electronic: '',
  bornOn: '',
  dam: '',
  sire: '',
  birthType: '',
  groupId: '',
};
const MOST_AT_ONCE = 200;

/** Adds one animal, or a run of them with the next free numbers. */
export function AddSheet({ isOpen, onClose }: { readonly isOpen: boolean; readonly onClose: () => void }) {
  return (
    <Sheet title="Add animals" isOpen={isOpen} onClose={onClose} width={680}>
      <AddForm onClose={onClose} />
    </Sheet>
  );
}

function AddForm({ onClose }: { readonly onClose: () => void }) {
  const [draft, setDraft] = useState(EMPTY);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [isBusy, setBusy] = useState(false);
  const { data: holding } = useQuery(holdingQuery);
  const { data: groups } = useQuery(groupsQuery);
  const { data: identifiers } = useQuery(identifiersQuery);
  const write = useWrite();
  const count = Number(draft.count);
  const isMany = count > 1;
  const { data: next } = useQuery({
    queryKey: ['next-numbers', draft.species, draft.sex, count],
    queryFn: () => ask<NextNumbers>(`/api/holding/next-numbers/${draft.species}?sex=${draft.sex}&count=${count}`),
    enabled: Number.isInteger(count) && count >= 1 && count <= MOST_AT_ONCE,
  });
  const put = (change: Partial<Draft>): void => setDraft((now) => ({ ...now, ...change }));

  const submit = async (): Promise<void> => {
    const today = holding?.today ?? '';
    if (!Number.isInteger(count) || count < 1 || count > MOST_AT_ONCE)
      return setProblems([`How many: give a whole number from 1 to ${MOST_AT_ONCE}, not “${draft.count}”.`]);
    const parents: { damId?: string; sireId?: string } = {};
    for (const role of ['dam', 'sire'] as const) {
      const named = parentNamed(identifiers ?? [], role, draft[role]);
      if (named.kind === 'unclear') return setProblems([named.message]);
      if (named.kind === 'animal') parents[`${role}Id`] = named.id;
    }
    const numbers = isMany ? (next?.numbers ?? []) : [draft.number.trim() || (next?.numbers[0] ?? '')];
    const drafts = numbers.flatMap((number) => draftsFor(number, draft, parents, today));
    setBusy(true);
    const refused = await write(
      drafts,
      `Added ${isMany ? countText(numbers.length, 'animal', 'animals') : (numbers[0] ?? '')}`,
    );
    setBusy(false);
    setProblems(refused);
    if (refused.length === 0) onClose();
  };

  return (
    <form
      style={{ display: 'flex', flexDirection: 'column', gap: 16 }}
      onSubmit={(e) => {
        e.preventDefault();
        void submit();
      }}
    >
      <Row $gap={3}>
        <Choice
          label="Species"
          value={draft.species}
          options={SPECIES.map((s) => [s, SPECIES_WORDS[s].name])}
          onChange={(species) => put({ species })}
        />
        <Choice label="Sex" value={draft.sex} options={SEXES.map((s) => [s, s])} onChange={(sex) => put({ sex })} />
        <Field
          label="How many"
          value={draft.count}
          onChange={(v) => put({ count: v })}
          inputMode="numeric"
          style={{ width: 90 }}
        />
        <Choice
          label="Group"
          value={draft.groupId}
          options={[
            ['', 'no group yet'],
            ...(groups ?? []).filter((g) => !g.isClosed).map((g) => [g.id, g.name] as const),
          ]}
          onChange={(groupId) => put({ groupId })}
        />
      </Row>
      <Row $gap={3} style={{ alignItems: 'flex-start' }}>
        {isMany ? (
          <Small>
            Numbers {next?.numbers[0] ?? '…'} to {next?.numbers.at(-1) ?? '…'}
          </Small>
        ) : (
          <Field
            label="Number"
            placeholder={next?.numbers[0] ?? ''}
            hint="left empty: the next free one"
            value={draft.number}
            onChange={(number) => put({ number })}
          />
        )}
        <Choice
          label="Tag colour"
          value={draft.colour}
          options={TAG_COLOURS.map((c) => [c, c])}
          onChange={(colour) => put({ colour })}
        />
        {isMany ? null : (
          <Field
            label="Electronic number"
            hint="15 digits, may be empty"
            value={draft.electronic}
            onChange={(electronic) => put({ electronic })}
          />
        )}
      </Row>
      <Row $gap={3}>
        <Field label="Born on" type="date" value={draft.bornOn} onChange={(bornOn) => put({ bornOn })} />
        <Field
          label="Dam"
          placeholder="number"
          value={draft.dam}
          onChange={(dam) => put({ dam })}
          style={{ width: 140 }}
        />
        <Field
          label="Sire"
          placeholder="number"
          value={draft.sire}
          onChange={(sire) => put({ sire })}
          style={{ width: 140 }}
        />
        <Choice
          label="Born as"
          value={draft.birthType}
          options={[
            ['', 'not known'],
            ['1', 'single'],
            ['2', 'twin'],
            ['3', 'triplet'],
            ...[4, 5, 6, 7, 8, 9, 10, 11, 12].map((n) => [String(n), `one of ${n}`] as const),
          ]}
          onChange={(birthType) => put({ birthType })}
        />
      </Row>
      {problems.map((p) => (
        <Problem key={p} role="alert">
          {p}
        </Problem>
      ))}
      <Row>
        <Button kind="main" type="submit" isDisabled={isBusy}>
          {isMany ? `Add ${count}` : 'Add it'}
        </Button>
        <Button onPress={onClose}>Not now</Button>
      </Row>
    </form>
  );
}

function draftsFor(
  number: string,
  draft: Draft,
  parents: { damId?: string; sireId?: string },
  today: string,
): EntryDraft[] {
  const animalId = newId();
  const on = today;
  const birthType =
    draft.birthType === '' ? {} : { birthType: Number(draft.birthType), rearingType: Number(draft.birthType) };
  return [
    {
      type: 'arrival',
      animalId,
      on,
      how: parents.damId ? 'born' : 'bought',
      species: draft.species,
      sex: draft.sex,
      ...(draft.bornOn ? { bornOn: draft.bornOn } : {}),
      ...parents,
      ...birthType,
    },
    { type: 'identifier', animalId, on, kind: 'visual', text: number, colour: draft.colour },
    ...(draft.electronic.trim() === ''
      ? []
      : [{ type: 'identifier', animalId, on, kind: 'electronic', text: draft.electronic.trim() } as const]),
    ...(draft.groupId === '' ? [] : [{ type: 'move', animalId, on, groupId: draft.groupId } as const]),
  ];
}
