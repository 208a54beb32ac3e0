import { useQuery } from '@tanstack/react-query';
import { ChangeAnimal, type AnimalView, say } from '@yaylak/contract';
import { SEXES, type Sex } from '@yaylak/core';
import { useState } from 'react';
import { holdingQuery, identifiersQuery, strainsQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { FormChoice, FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { Panel, Row } from '../../parts/Panel';
import { HistoryButton } from '../../shared/history/HistoryButton';
import { BIRTH_ASKED, BIRTH_HINTS, birthOf, birthTyped } from '../../words/birth';
import { minorTyped } from '../../words/typed';
import { useDateOrder } from '../../words/useHolding';
import { parentNamed } from './parentNamed';
import { useChangeRecord, type RecordChange } from './useChangeRecord';

interface Typed {
  readonly sex: Sex;
  readonly bornOn: string;
  readonly dam: string;
  readonly donor: string;
  readonly sire: string;
  readonly birthType: string;
  readonly rearingType: string;
  readonly strain: string;
  readonly bought: string;
}

const ROLES = ['dam', 'donor', 'sire'] as const;

/** The animal's record, edited where it is shown; a change made meanwhile elsewhere is said and shown. */
export function RecordEditor({ view }: { readonly view: AnimalView }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Panel>
      <h2>{say('Record')}</h2>
      {isOpen ? (
        <RecordForm view={view} onDone={() => setOpen(false)} />
      ) : (
        <Row style={{ marginTop: 8 }}>
          <Button onPress={() => setOpen(true)}>{say('Correct the record')}</Button>
          <HistoryButton what="animal" thingId={view.row.tag.animalId} name={say('the record')} />
        </Row>
      )}
    </Panel>
  );
}

function RecordForm({
  view: { row, strain, boughtMinor },
  onDone,
}: {
  readonly view: AnimalView;
  readonly onDone: () => void;
}) {
  const { data: holding } = useQuery(holdingQuery);
  const { data: identifiers } = useQuery(identifiersQuery);
  const { data: strains = [] } = useQuery(strainsQuery);
  const changeRecord = useChangeRecord();
  const order = useDateOrder();
  const shown: Typed = {
    sex: row.sex,
    bornOn: birthTyped(row.bornOn, row.birthKnownTo),
    dam: row.dam?.text ?? '',
    donor: row.donor?.text ?? '',
    sire: row.sire?.text ?? '',
    birthType: row.birthType === null ? '' : String(row.birthType),
    rearingType: row.rearingType === null ? '' : String(row.rearingType),
    strain: strain ?? '',
    bought: boughtMinor === null ? '' : (boughtMinor / 100).toFixed(2),
  };
  /** Only what is another than it was: two who change other fields do not stand in each other's way. */
  const changeOf = (typed: Typed): RecordChange => {
    const change: RecordChange = {};
    if (typed.sex !== shown.sex) change.sex = typed.sex;
    if (typed.bornOn !== shown.bornOn) Object.assign(change, birthOf(typed.bornOn, order));
    if (typed.strain !== shown.strain) change.strain = typed.strain.trim() === '' ? null : typed.strain.trim();
    if (typed.bought !== shown.bought)
      change.boughtMinor = typed.bought.trim() === '' ? null : minorTyped(typed.bought);
    for (const field of ['birthType', 'rearingType'] as const)
      if (typed[field] !== shown[field]) change[field] = typed[field] === '' ? null : Number(typed[field]);
    for (const role of ROLES) {
      if (typed[role] === shown[role]) continue;
      const named = parentNamed(identifiers ?? [], role, typed[role]);
      change[`${role}Id`] = named.kind === 'animal' ? named.id : null;
    }
    return change;
  };
  const form = useTypedForm<Typed>({
    start: shown,
    made: (typed) => [{ shape: ChangeAnimal, value: { version: row.version, ...changeOf(typed) } }],
    words: {
      bornOn: BIRTH_ASKED,
      birthType: say('How many were born with it, itself too: a whole number.'),
      rearingType: say('How many were reared with it, itself too: a whole number.'),
      boughtMinor: say('Type what was paid for it, such as 140.00, or leave it empty.'),
    },
    fieldOf: { boughtMinor: 'bought' },
    also: (typed): Against =>
      Object.fromEntries(
        ROLES.flatMap((role) => {
          const named = typed[role] === shown[role] ? undefined : parentNamed(identifiers ?? [], role, typed[role]);
          return named?.kind === 'unclear' ? [[role, named.message]] : [];
        }),
      ),
  });
  const send = async (typed: Typed): Promise<readonly string[]> => {
    const refused = await changeRecord(row, changeOf(typed));
    return refused === undefined ? [] : [refused];
  };
  return (
    <SendForm
      form={form}
      send={send}
      onDone={onDone}
      submit={say('Save')}
      more={<Button onPress={onDone}>{say('Leave it')}</Button>}
    >
      <FormChoice name="sex" label={say('Sex')} options={SEXES.map((s) => [s, s] as const)} />
      <FormField name="bornOn" label={say('Born')} hint={BIRTH_HINTS[order]} />
      <FormField name="dam" label={say('Dam')} />
      <FormField name="donor" label={say('Embryo of')} hint={say('only where another female carried it')} />
      <FormField name="sire" label={say('Sire')} />
      <FormField name="birthType" label={say('Born as one of')} inputMode="numeric" />
      <FormField name="rearingType" label={say('Reared as one of')} inputMode="numeric" />
      <FormField name="bought" label={say('Bought for, {n}', { n: holding?.currency ?? '' })} inputMode="decimal" />
      <FormField name="strain" label={say('Breed or kind')} list="record-strains" />
      <datalist id="record-strains">
        {strains.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
    </SendForm>
  );
}
