import { useQuery, useQueryClient } from '@tanstack/react-query';
import { fieldWord, say, SPECIES_WORDS, type GroupView, type HoldingView } from '@yaylak/contract';
import {
  dayOf,
  readPastedAnimals,
  SEXES,
  TAG_COLOURS,
  type PastedAnimal,
  type Sex,
  type Species,
  type TagColour,
} from '@yaylak/core';
import { useMemo, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { useReadings } from '../../adapters/readings/useReadings';
import { ask } from '../../api/client';
import { groupsQuery } from '../../api/queries';
import { readAgain } from '../../api/readAgain';
import { Asked } from '../../parts/Asked';
import { Button } from '../../parts/Button';
import { against } from '../../parts/form/against';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormChoice, FormField } from '../../parts/form/fields';
import { FormLines } from '../../parts/form/FormLines';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm, type Against } from '../../parts/form/useTypedForm';
import { LineTable } from '../../parts/LineTable';
import { useFirst } from '../../parts/useFirst';
import { useWrite } from '../../parts/useWrite';
import { Wrong } from '../../parts/Wrong';
import { useTagQuestions } from '../../shared/tags/useTagQuestions';
import { birthDate } from '../../words/dates';
import { newId } from '../../words/ids';
import { useFirstSpecies, useSpeciesOptions } from '../../words/useHolding';
import { pastedDrafts, pastedFaultText } from './pasted';

interface Props {
  readonly holding: HoldingView;
  /** How many are in the book. */
  readonly here: number;
  readonly onDone: () => void;
}

interface Typed {
  readonly species: Species;
  readonly sex: Exclude<Sex, 'unknown'>;
  readonly colour: TagColour;
  readonly group: string;
  readonly groupName: string;
  /** One animal a line. */
  readonly lines: string;
}

const NEW_GROUP = 'new';
const SHOWN = 8;

/** Who is here: typed, pasted or scanned, a line each; or out of a file. */
export function AnimalsStep({ holding, here, onDone }: Props) {
  const { data: groups } = useQuery(groupsQuery);
  const client = useQueryClient();
  const navigate = useNavigate();
  const write = useWrite();
  const questions = useTagQuestions();
  const speciesOptions = useSpeciesOptions();
  const [asked, setAsked] = useState<readonly string[]>([]);
  const [added, setAdded] = useState<string>();
  const { dateOrder, today } = holding;
  const read = (lines: string) => readPastedAnimals(lines, { dateOrder, latest: dayOf(today) });
  const form = useTypedForm<Typed>({
    start: { species: useFirstSpecies(), sex: 'female', colour: 'yellow', group: '', groupName: '', lines: '' },
    // Each line is held against the book as the others are read.
    made: () => [],
    also: ({ lines, group, groupName }): Against => {
      const { animals, faults } = read(lines);
      const wrong = faults.map(pastedFaultText);
      if (animals.length === 0 && wrong.length === 0) wrong.push(say('Type a number or a name, one animal a line.'));
      return {
        ...(wrong.length > 0 ? { lines: wrong.join(' ') } : {}),
        ...(group === NEW_GROUP && groupName.trim() === ''
          ? { groupName: say('Give the new group a name, or choose another.') }
          : {}),
      };
    },
  });
  const [species, sex, group, lines] = useWatch({ control: form.control, name: ['species', 'sex', 'group', 'lines'] });
  useReadings({
    onNumber: (digits) => {
      const before = form.getValues('lines').trimEnd();
      form.setValue('lines', `${before}${before === '' ? '' : '\n'}${digits}\n`, { shouldDirty: true });
    },
    onBadNumber: (text) =>
      form.setError('lines', {
        message: say('The stick read “{read}”, which is not a tag number. Read it again.', { read: text }),
      }),
    onWeight: () => undefined,
  });
  const { animals, faults } = useMemo(
    () => readPastedAnimals(lines, { dateOrder, latest: dayOf(today) }),
    [lines, dateOrder, today],
  );

  const { shown, more } = useFirst(animals, SHOWN);

  const groupFor = async (typed: Typed): Promise<string> => {
    if (typed.group !== NEW_GROUP) return typed.group;
    const made = await ask<GroupView>('/api/groups', {
      method: 'POST',
      body: { id: newId(), name: typed.groupName.trim(), species: typed.species },
    });
    // Made now: sent again, the animals go to it, and no second one is made.
    form.setValue('group', made.id);
    void readAgain(client);
    return made.id;
  };
  const add = async (typed: Typed): Promise<readonly string[] | 'asked'> => {
    setAdded(undefined);
    const common = { species: typed.species, sex: typed.sex, colour: typed.colour, on: today };
    const now = questions(pastedDrafts(animals, { ...common, groupId: undefined }));
    if (now.join() !== asked.join()) {
      setAsked(now);
      if (now.length > 0) return 'asked';
    }
    let groupId = '';
    const refused = await against(groupFor(typed).then((id) => (groupId = id)));
    if (refused.length > 0) return refused;
    return write(
      pastedDrafts(animals, { ...common, groupId: groupId === '' ? undefined : groupId }),
      say('Added {said}', { said: saidOf(animals) }),
    );
  };
  const goOn = (typed: Typed): void => {
    setAdded(say('Added {said}. The next ones, or go on.', { said: saidOf(animals) }));
    form.reset({ ...typed, group: form.getValues('group'), groupName: '', lines: '' });
    setAsked([]);
  };
  const isDoneTyping = here > 0 && lines.trim() === '';
  return (
    <SendForm
      form={form}
      send={add}
      onDone={goOn}
      submit={
        animals.length === 0
          ? say('Add them')
          : say('Add {n} {n, plural, one {animal} other {animals}}', { n: animals.length })
      }
      isSecond={isDoneTyping}
      more={
        <>
          <Button onPress={() => void navigate('/holding/files')}>{say('Bring in a file')}</Button>
          {here > 0 ? (
            <Button kind={isDoneTyping ? 'main' : 'plain'} onPress={onDone}>
              {say('Go on with {here} {here, plural, one {animal} other {animals}}', { here })}
            </Button>
          ) : null}
        </>
      }
    >
      <FieldRow $gap={3}>
        <FormChoice name="species" label={say('Species')} options={speciesOptions} />
        <FormChoice
          name="sex"
          label={say('Sex, where a line does not say')}
          options={SEXES.flatMap((s) => (s === 'unknown' ? [] : [[s, SPECIES_WORDS[species].grown[s][1]] as const]))}
        />
        <FormChoice name="colour" label={say('Tag colour')} options={TAG_COLOURS.map((c) => [c, say(c)])} />
        <FormChoice
          name="group"
          label={say('Group')}
          options={[
            ['', say('no group yet')],
            ...(groups ?? []).map((g) => [g.id, g.name] as const),
            [NEW_GROUP, say('a new group …')],
          ]}
        />
        {group === NEW_GROUP ? <FormField name="groupName" label={say('Name of the group')} /> : null}
      </FieldRow>
      <FormLines
        name="lines"
        label={say('One animal a line')}
        rows={7}
        isWide
        placeholder={'24-0012, ewe, 3.2024\n24-0013\nNergis, 2021'}
        hint={say(
          'A number or a name first; then, if you like, its birth, its sex, an electronic number. Type, paste a column of a spreadsheet, or scan one tag after the other.',
        )}
      />
      {animals.length > 0 ? (
        <LineTable aria-label={say('As they are understood')}>
          <thead>
            <tr>
              <th>{say('Number')}</th>
              <th>{say('Name')}</th>
              <th>{say('Sex')}</th>
              <th>{say('Born')}</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((a) => (
              <tr key={a.line}>
                <td>{a.number ?? a.electronic ?? say('none')}</td>
                <td>{a.name ?? ''}</td>
                <td>
                  {fieldWord(
                    { species, sex: a.sex ?? sex },
                    a.bornOn === undefined ? undefined : dayOf(today) - dayOf(a.bornOn),
                  )}
                </td>
                <td>{a.bornOn === undefined ? say('not known') : birthDate(a.bornOn, a.birthKnownTo)}</td>
              </tr>
            ))}
          </tbody>
        </LineTable>
      ) : null}
      {more}
      {form.formState.errors.lines
        ? null
        : faults.map((fault) => (
            <Wrong key={fault.line} role="alert">
              {pastedFaultText(fault)}
            </Wrong>
          ))}
      <Asked questions={asked} again={say('Press again if it is so.')} />
      {added ? <p role="status">{added}</p> : null}
    </SendForm>
  );
}

const saidOf = (animals: readonly PastedAnimal[]): string =>
  say('{n} {n, plural, one {animal} other {animals}}', { n: animals.length });
