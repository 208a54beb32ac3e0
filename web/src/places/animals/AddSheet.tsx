import { useQuery } from '@tanstack/react-query';
import { ENTRY_CLASSES, say, SPECIES_WORDS } from '@yaylak/contract';
import { SEXES, SPECIES, TAG_COLOURS } from '@yaylak/core';
import { useEffect, useId, useRef, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { holdingQuery, identifiersQuery, strainsQuery } from '../../api/queries';
import { Asked } from '../../parts/Asked';
import { Button } from '../../parts/Button';
import { FormChoice, FormField } from '../../parts/form/fields';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormLines } from '../../parts/form/FormLines';
import { SendForm } from '../../parts/form/SendForm';
import { madeEntry } from '../../parts/form/useEntryForm';
import { useTypedForm } from '../../parts/form/useTypedForm';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { useUndo } from '../../parts/Undo';
import { useWrite } from '../../parts/useWrite';
import { FormGroup } from '../../shared/groups/FormGroup';
import { useNumbersFor } from '../../shared/tags/numbersFor';
import { useTagQuestions } from '../../shared/tags/useTagQuestions';
import { BIRTH_ASKED, BIRTH_HINTS, birthOf } from '../../words/birth';
import { useDateOrder, useSpecies } from '../../words/useHolding';

import {
  addedDrafts,
  countOf,
  asTyped,
  linesOf,
  MOST_AT_ONCE,
  nextOne,
  NEW_ANIMAL,
  type AddTyped,
  type Parents,
} from './addDraft';
import { parentNamed } from './parentNamed';

/** Adds animals, one after the other or many at once, and stays open for the next. */
export function AddSheet({ isOpen, onClose }: { readonly isOpen: boolean; readonly onClose: () => void }) {
  return (
    <Sheet title={say('Add animals')} isOpen={isOpen} onClose={onClose} width={720}>
      <AddForm onClose={onClose} />
    </Sheet>
  );
}

function AddForm({ onClose }: { readonly onClose: () => void }) {
  const { data: holding } = useQuery(holdingQuery);
  const { data: identifiers } = useQuery(identifiersQuery);
  const kept = useSpecies();
  // Another species may always come: those that are kept stand first.
  const species = [...kept, ...SPECIES.filter((s) => !kept.includes(s))];
  const order = useDateOrder();
  const { data: strains = [] } = useQuery(strainsQuery);
  const numbersFor = useNumbersFor();
  const questions = useTagQuestions();
  const write = useWrite();
  const undo = useUndo();
  const [added, setAdded] = useState<string>();
  const [asked, setAsked] = useState<readonly string[]>([]);
  const box = useRef<HTMLDivElement>(null);
  const strainList = useId();
  const today = holding?.today ?? '';
  const parentsOf = (typed: AddTyped): Parents => {
    const of = (role: 'dam' | 'sire') => parentNamed(identifiers ?? [], role, typed[role]);
    return { dam: of('dam'), sire: of('sire') };
  };
  const cameOn = (typed: AddTyped): string => typed.cameOn || today;
  /** The numbers to come, as many as are added: those typed, or the next free ones. */
  const numbersOf = (typed: AddTyped): readonly string[] => {
    const lines = linesOf(typed);
    if (lines.length > 0) return lines;
    const { bornOn } = birthOf(typed.born, order);
    const { species, sex, colour } = typed;
    const count = countOf(typed);
    if (count === 1 && typed.number.trim() !== '') return [typed.number.trim()];
    return (
      numbersFor?.({ species, sex, count, colour, bornOn: /^\d{4}/.test(bornOn ?? '') ? bornOn : null }).numbers ?? []
    );
  };
  const draftsOf = (typed: AddTyped, numbers: readonly string[]) =>
    addedDrafts(typed, { numbers, parents: parentsOf(typed), on: cameOn(typed), order });
  const form = useTypedForm<AddTyped>({
    start: { ...NEW_ANIMAL, species: species[0] ?? NEW_ANIMAL.species },
    made: (typed) => draftsOf(typed, asTyped(typed)).map((draft) => madeEntry(ENTRY_CLASSES[draft.type], draft)),
    words: {
      bornOn: BIRTH_ASKED,
      on: say('Give the day it came.'),
      text: say('That is not an animal number.'),
      strain: say('Give the breed in fewer words.'),
      boughtMinor: say('Type what was paid for one, such as 140.00, or leave it empty.'),
    },
    also: (typed) => {
      const wrong: Record<string, string> = {};
      const count = Number(typed.count);
      const lines = linesOf(typed);
      if (!Number.isInteger(count) || count < 1 || count > MOST_AT_ONCE)
        wrong.count = say('How many: give a whole number from 1 to {most}, not “{count}”.', {
          most: MOST_AT_ONCE,
          count: typed.count,
        });
      else if (lines.length > 0 && lines.length !== count)
        wrong.lines = say(
          'These are {n} {n, plural, one {number} other {numbers}} for {count} {count, plural, one {animal} other {animals}}. Add the ones that are missing, or change how many.',
          { n: lines.length, count },
        );
      const twice = lines.find((line, i) => lines.indexOf(line) < i);
      if (twice !== undefined) wrong.lines = say('“{twice}” stands there twice.', { twice });
      if (typed.cameOn !== '' && typed.cameOn > today) wrong.cameOn = say('Enter today or an earlier day.');
      for (const [role, named] of Object.entries(parentsOf(typed)))
        if (named.kind === 'unclear') wrong[role] = named.message;
      return wrong;
    },
    fieldOf: { text: 'number', bornOn: 'born', on: 'cameOn', boughtMinor: 'bought' },
  });
  const typedNow = useWatch({ control: form.control }) as AddTyped;
  const isMany = countOf(typedNow) > 1 || linesOf(typedNow).length > 1;
  const numbers = holding ? numbersOf(typedNow) : [];
  const hasNumber = typedNow.wears !== 'nothing';

  // Focus is outside React: the first field has the keyboard when the sheet opens.
  useEffect(() => box.current?.querySelector<HTMLElement>('[aria-haspopup=listbox]')?.focus(), []);

  const send = async (typed: AddTyped): Promise<readonly string[] | 'asked'> => {
    const given = numbersOf(typed);
    if (typed.wears !== 'nothing' && given.length < countOf(typed))
      return [say('The next free numbers are not here yet. Type the numbers, or wait a moment.')];
    const drafts = draftsOf(typed, given);
    const now = questions(drafts);
    if (now.join() !== asked.join()) {
      setAsked(now);
      if (now.length > 0) return 'asked';
    }
    return write(drafts, say('Added {said}', { said: saidOf(typed, given) }));
  };
  const saidOf = (typed: AddTyped, given: readonly string[]): string =>
    isMany
      ? say('{count} {count, plural, one {animal} other {animals}}', { count: countOf(typed) })
      : (typed.wears === 'nothing' ? typed.name.trim() : given[0]) || say('one without a number');
  const onDone = (typed: AddTyped): void => {
    setAdded(say('Added {said}', { said: saidOf(typed, numbers) }));
    setAsked([]);
    form.reset(nextOne(typed));
    const next = typed.wears === 'nothing' ? 'name' : isMany ? 'lines' : 'number';
    box.current?.querySelector<HTMLElement>(`[name="${next}"]`)?.focus();
  };

  return (
    <div ref={box}>
      <SendForm
        form={form}
        send={send}
        onDone={onDone}
        submit={isMany ? say('Add {count}', { count: countOf(typedNow) }) : say('Add it')}
        more={<Button onPress={onClose}>{added === undefined ? say('Not now') : say('Close')}</Button>}
      >
        {added === undefined ? null : (
          <Row>
            <span role="status">{say('{added}. The next one, or close.', { added })}</span>
            <Button kind="quiet" onPress={() => void undo.takeBack().then(() => setAdded(say('Taken back')))}>
              {say('Take it back')}
            </Button>
          </Row>
        )}
        <FieldRow $gap={3}>
          <FormChoice name="species" label={say('Species')} options={species.map((s) => [s, SPECIES_WORDS[s].name])} />
          <FormChoice name="sex" label={say('Sex')} options={SEXES.map((s) => [s, s])} />
          <FormField name="count" label={say('How many')} inputMode="numeric" style={{ width: 90 }} />
          <FormGroup name="groupId" label={say('Group')} none={say('no group yet')} />
        </FieldRow>
        <FieldRow $gap={3}>
          <FormChoice
            name="wears"
            label={isMany ? say('They wear') : say('It wears')}
            options={[
              ['tag', say('a tag')],
              ['tattoo', say('a tattoo')],
              ['nothing', say('nothing yet')],
            ]}
          />
          {typedNow.wears === 'tag' ? (
            <FormChoice name="colour" label={say('Tag colour')} options={TAG_COLOURS.map((c) => [c, say(c)])} />
          ) : null}
          {hasNumber && !isMany ? (
            <FormField
              name="number"
              label={say('Number')}
              placeholder={numbers[0] ?? ''}
              hint={say('left empty: the next free one')}
            />
          ) : null}
          {isMany ? null : (
            <FormField name="name" label={say('Name')} hint={say('may be empty')} style={{ width: 140 }} />
          )}
          {isMany ? null : (
            <FormField name="electronic" label={say('Electronic number')} hint={say('15 digits, may be empty')} />
          )}
        </FieldRow>
        {hasNumber && isMany ? (
          <>
            <FormLines
              name="lines"
              label={say('Their own numbers, one a line')}
              hint={say('Paste a column of a spreadsheet. Left empty: the next free ones.')}
            />
            {linesOf(typedNow).length === 0 && numbers.length > 0 ? (
              <Small>
                {say('Numbers')} {numbers[0]} {say('to')} {numbers.at(-1)}
              </Small>
            ) : null}
          </>
        ) : null}
        <FieldRow $gap={3}>
          <FormField name="born" label={say('Born')} hint={BIRTH_HINTS[order]} style={{ width: 190 }} />
          <FormField name="dam" label={say('Dam')} placeholder={say('number')} style={{ width: 130 }} />
          <FormField name="sire" label={say('Sire')} placeholder={say('number')} style={{ width: 130 }} />
          <FormChoice
            name="birthType"
            label={say('Born as')}
            options={[
              ['', say('not known')],
              ['1', say('single')],
              ['2', say('twin')],
              ['3', say('triplet')],
              ...[4, 5, 6, 7, 8, 9, 10, 11, 12].map((n) => [String(n), say('one of {n}', { n })] as const),
            ]}
          />
        </FieldRow>
        <FieldRow $gap={3}>
          <FormField name="strain" label={say('Breed')} list={strainList} style={{ width: 190 }} />
          <datalist id={strainList}>
            {strains.map((s) => (
              <option key={s} value={s} />
            ))}
          </datalist>
          <FormField name="cameOn" label={say('Came on (empty: today)')} type="date" />
          {typedNow.dam === '' ? (
            <FormField
              name="bought"
              label={say('Paid {value}, {n}', {
                value: countOf(typedNow) > 1 ? say('for each') : say('for it'),
                n: holding?.currency ?? '',
              })}
              inputMode="decimal"
              hint={say('if it was bought')}
              style={{ width: 150 }}
            />
          ) : null}
        </FieldRow>
        <Asked questions={asked} again={say('Press again if it is so.')} />
      </SendForm>
    </div>
  );
}
