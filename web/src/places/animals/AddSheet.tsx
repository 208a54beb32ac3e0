import { useQuery } from '@tanstack/react-query';
import { ENTRY_CLASSES, type NextNumbers } from '@yaylak/contract';
import { SEXES, SPECIES, SPECIES_WORDS, TAG_COLOURS, type Sex, type Species, type TagColour } from '@yaylak/core';
import { useWatch } from 'react-hook-form';
import { ask } from '../../api/client';
import { groupsQuery, holdingQuery, identifiersQuery } from '../../api/queries';
import type { EntryDraft } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { FormChoice, FormField } from '../../parts/form/fields';
import { FieldRow } from '../../parts/form/FieldRow';
import { SendForm } from '../../parts/form/SendForm';
import { madeEntry } from '../../parts/form/useEntryForm';
import { useTypedForm } from '../../parts/form/useTypedForm';
import { Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';
import { countText } from '../../words/format';
import { newId } from '../../words/ids';
import { parentNamed } from './parentNamed';

interface Typed {
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

const EMPTY: Typed = {
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
const isCount = (count: number): boolean => Number.isInteger(count) && count >= 1 && count <= MOST_AT_ONCE;
/** Stands for the next free number as long as none is typed. */
const ANY_NUMBER = '1';

type Parents = Readonly<Record<'dam' | 'sire', ReturnType<typeof parentNamed>>>;

/** Adds one animal, or a run of them with the next free numbers. */
export function AddSheet({ isOpen, onClose }: { readonly isOpen: boolean; readonly onClose: () => void }) {
  return (
    <Sheet title="Add animals" isOpen={isOpen} onClose={onClose} width={680}>
      <AddForm onClose={onClose} />
    </Sheet>
  );
}

function AddForm({ onClose }: { readonly onClose: () => void }) {
  const { data: holding } = useQuery(holdingQuery);
  const { data: groups } = useQuery(groupsQuery);
  const { data: identifiers } = useQuery(identifiersQuery);
  const write = useWrite();
  const today = holding?.today ?? '';
  const parentsOf = (typed: Typed): Parents => {
    const of = (role: 'dam' | 'sire') => parentNamed(identifiers ?? [], role, typed[role]);
    return { dam: of('dam'), sire: of('sire') };
  };
  const form = useTypedForm<Typed>({
    start: EMPTY,
    made: (typed) =>
      draftsFor(typed.number.trim() || ANY_NUMBER, typed, parentsOf(typed), today).map((draft) =>
        madeEntry(ENTRY_CLASSES[draft.type], draft),
      ),
    words: { bornOn: 'Give the day it was born, or leave it empty.', text: 'That is no number of an animal.' },
    also: (typed) => {
      const wrong: Record<string, string> = {};
      if (!isCount(Number(typed.count)))
        wrong.count = `How many: give a whole number from 1 to ${MOST_AT_ONCE}, not “${typed.count}”.`;
      for (const [role, named] of Object.entries(parentsOf(typed)))
        if (named.kind === 'unclear') wrong[role] = named.message;
      return wrong;
    },
    fieldOf: { text: 'number' },
  });
  const [species, sex, counted] = useWatch({ control: form.control, name: ['species', 'sex', 'count'] });
  const count = Number(counted);
  const isMany = count > 1;
  const { data: next } = useQuery({
    queryKey: ['next-numbers', species, sex, count],
    queryFn: () => ask<NextNumbers>(`/api/holding/next-numbers/${species}?sex=${sex}&count=${count}`),
    enabled: isCount(count),
  });
  const send = (typed: Typed): Promise<readonly string[]> => {
    const numbers = isMany ? (next?.numbers ?? []) : [typed.number.trim() || (next?.numbers[0] ?? '')];
    const drafts = numbers.flatMap((number) => draftsFor(number, typed, parentsOf(typed), today));
    return write(drafts, `Added ${isMany ? countText(numbers.length, 'animal', 'animals') : (numbers[0] ?? '')}`);
  };

  return (
    <SendForm
      form={form}
      send={send}
      onDone={onClose}
      submit={isMany ? `Add ${count}` : 'Add it'}
      more={<Button onPress={onClose}>Not now</Button>}
    >
      <FieldRow $gap={3}>
        <FormChoice name="species" label="Species" options={SPECIES.map((s) => [s, SPECIES_WORDS[s].name])} />
        <FormChoice name="sex" label="Sex" options={SEXES.map((s) => [s, s])} />
        <FormField name="count" label="How many" inputMode="numeric" style={{ width: 90 }} />
        <FormChoice
          name="groupId"
          label="Group"
          options={[
            ['', 'no group yet'],
            ...(groups ?? []).filter((g) => !g.isClosed).map((g) => [g.id, g.name] as const),
          ]}
        />
      </FieldRow>
      <FieldRow $gap={3}>
        {isMany ? (
          <Small>
            Numbers {next?.numbers[0] ?? '…'} to {next?.numbers.at(-1) ?? '…'}
          </Small>
        ) : (
          <FormField
            name="number"
            label="Number"
            placeholder={next?.numbers[0] ?? ''}
            hint="left empty: the next free one"
          />
        )}
        <FormChoice name="colour" label="Tag colour" options={TAG_COLOURS.map((c) => [c, c])} />
        {isMany ? null : <FormField name="electronic" label="Electronic number" hint="15 digits, may be empty" />}
      </FieldRow>
      <FieldRow $gap={3}>
        <FormField name="bornOn" label="Born on" type="date" />
        <FormField name="dam" label="Dam" placeholder="number" style={{ width: 140 }} />
        <FormField name="sire" label="Sire" placeholder="number" style={{ width: 140 }} />
        <FormChoice
          name="birthType"
          label="Born as"
          options={[
            ['', 'not known'],
            ['1', 'single'],
            ['2', 'twin'],
            ['3', 'triplet'],
            ...[4, 5, 6, 7, 8, 9, 10, 11, 12].map((n) => [String(n), `one of ${n}`] as const),
          ]}
        />
      </FieldRow>
    </SendForm>
  );
}

function draftsFor(number: string, draft: Typed, { dam, sire }: Parents, today: string): EntryDraft[] {
  const animalId = newId();
  const on = today;
  const birthType =
    draft.birthType === '' ? {} : { birthType: Number(draft.birthType), rearingType: Number(draft.birthType) };
  return [
    {
      type: 'arrival',
      animalId,
      on,
      how: dam.kind === 'animal' ? 'born' : 'bought',
      species: draft.species,
      sex: draft.sex,
      ...(draft.bornOn ? { bornOn: draft.bornOn } : {}),
      ...(dam.kind === 'animal' ? { damId: dam.id } : {}),
      ...(sire.kind === 'animal' ? { sireId: sire.id } : {}),
      ...birthType,
    },
    { type: 'identifier', animalId, on, kind: 'visual', text: number, colour: draft.colour },
    ...(draft.electronic.trim() === ''
      ? []
      : [{ type: 'identifier', animalId, on, kind: 'electronic', text: draft.electronic.trim() } as const]),
    ...(draft.groupId === '' ? [] : [{ type: 'move', animalId, on, groupId: draft.groupId } as const]),
  ];
}
