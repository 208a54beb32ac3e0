import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { GroupView, HoldingView } from '@yaylak/contract';
import { dayOf, readPastedAnimals, SEXES, TAG_COLOURS, type Sex, type Species, type TagColour } from '@yaylak/core';
import { useId, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { useReadings } from '../../adapters/readings/useReadings';
import { ask } from '../../api/client';
import { groupsQuery } from '../../api/queries';
import { readAgain } from '../../api/readAgain';
import { Asked } from '../../parts/Asked';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Wrong } from '../../parts/Wrong';
import { Field } from '../../parts/Field';
import { fieldLook } from '../../parts/fieldLook';
import { LineTable } from '../../parts/LineTable';
import { Row, Small, Stack } from '../../parts/Panel';
import { useUnsaved } from '../../parts/unsaved';
import { useWrite } from '../../parts/useWrite';
import { useTagQuestions } from '../../shared/tags/useTagQuestions';
import { colour as colourOf, space } from '../../theme/tokens';
import { birthDate } from '../../words/dates';
import { newId } from '../../words/ids';
import { useFirstSpecies, useSpeciesOptions } from '../../words/useHolding';
import { pastedDrafts, pastedFaultText } from './pasted';
import { say, fieldWord, SPECIES_WORDS } from '@yaylak/contract';

interface Props {
  readonly holding: HoldingView;
  /** How many are in the book. */
  readonly here: number;
  readonly onDone: () => void;
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
  const [species, setSpecies] = useState<Species>(useFirstSpecies());
  const [sex, setSex] = useState<Sex>('female');
  const [tagColour, setTagColour] = useState<TagColour>('yellow');
  const [group, setGroup] = useState('');
  const [groupName, setGroupName] = useState('');
  const [text, setText] = useState('');
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [asked, setAsked] = useState<readonly string[]>([]);
  const [added, setAdded] = useState<string>();
  const id = useId();
  const saved = useUnsaved(text.trim() !== '');
  useReadings({
    onNumber: (digits) => setText((before) => `${before.trimEnd()}${before.trim() === '' ? '' : '\n'}${digits}\n`),
    onBadNumber: (read) =>
      setProblems([say('The stick read “{read}”, which is not a tag number. Read it again.', { read })]),
    onWeight: () => undefined,
  });
  const { animals, faults } = useMemo(
    () => readPastedAnimals(text, { dateOrder: holding.dateOrder, latest: dayOf(holding.today) }),
    [text, holding.dateOrder, holding.today],
  );

  const groupFor = async (): Promise<string | undefined> => {
    if (group !== NEW_GROUP) return group === '' ? undefined : group;
    const made = await ask<GroupView>('/api/groups', {
      method: 'POST',
      body: { id: newId(), name: groupName.trim(), species },
    });
    setGroup(made.id);
    setGroupName('');
    void readAgain(client);
    return made.id;
  };
  const add = async (): Promise<void> => {
    setAdded(undefined);
    const wrong = faults.map(pastedFaultText);
    if (group === NEW_GROUP && groupName.trim() === '')
      wrong.push(say('Give the new group a name, or choose another.'));
    setProblems(wrong);
    if (wrong.length > 0) return;
    try {
      const common = { species, sex, colour: tagColour, on: holding.today };
      const now = questions(pastedDrafts(animals, { ...common, groupId: undefined }));
      if (now.join() !== asked.join()) {
        setAsked(now);
        if (now.length > 0) return;
      }
      const drafts = pastedDrafts(animals, { ...common, groupId: await groupFor() });
      const said = say('{n} {n, plural, one {animal} other {animals}}', { n: animals.length });
      const refused = await write(drafts, say('Added {said}', { said }));
      setProblems(refused);
      if (refused.length > 0) return;
      saved();
      setText('');
      setAsked([]);
      setAdded(say('Added {said}. The next ones, or go on.', { said }));
    } catch (error) {
      setProblems([(error as Error).message]);
    }
  };
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void add();
      }}
    >
      <Stack $gap={4}>
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <Choice label={say('Species')} value={species} options={speciesOptions} onChange={setSpecies} />
          <Choice
            label={say('Sex, where a line does not say')}
            value={sex}
            options={SEXES.filter((s) => s !== 'unknown').map((s) => [s, SPECIES_WORDS[species].grown[s][1]])}
            onChange={setSex}
          />
          <Choice
            label={say('Tag colour')}
            value={tagColour}
            options={TAG_COLOURS.map((c) => [c, say(c)])}
            onChange={setTagColour}
          />
          <Choice
            label={say('Group')}
            value={group}
            options={[
              ['', say('no group yet')],
              ...(groups ?? []).map((g) => [g.id, g.name] as const),
              [NEW_GROUP, say('a new group …')],
            ]}
            onChange={setGroup}
          />
          {group === NEW_GROUP ? (
            <Field label={say('Name of the group')} value={groupName} onChange={setGroupName} />
          ) : null}
        </Row>
        <Box>
          <label htmlFor={id}>{say('One animal a line')}</label>
          <Lines
            id={id}
            rows={7}
            aria-describedby={`${id}-hint`}
            value={text}
            placeholder={'24-0012, ewe, 3.2024\n24-0013\nNergis, 2021'}
            onChange={(e) => setText(e.target.value)}
          />
          <Small id={`${id}-hint`}>
            {say(
              'A number or a name first; then, if you like, its birth, its sex, an electronic number. Type, paste a column of a spreadsheet, or scan one tag after the other.',
            )}
          </Small>
        </Box>
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
              {animals.slice(0, SHOWN).map((a) => (
                <tr key={a.line}>
                  <td>{a.number ?? a.electronic ?? say('none')}</td>
                  <td>{a.name ?? ''}</td>
                  <td>
                    {fieldWord(
                      { species, sex: a.sex ?? sex },
                      a.bornOn === undefined ? undefined : dayOf(holding.today) - dayOf(a.bornOn),
                    )}
                  </td>
                  <td>{a.bornOn === undefined ? say('not known') : birthDate(a.bornOn, a.birthKnownTo)}</td>
                </tr>
              ))}
            </tbody>
          </LineTable>
        ) : null}
        {animals.length > SHOWN ? <Small>{say('and {n} more', { n: animals.length - SHOWN })}</Small> : null}
        {(problems.length > 0 ? problems : faults.map(pastedFaultText)).map((problem) => (
          <Wrong key={problem} role="alert">
            {problem}
          </Wrong>
        ))}
        <Asked questions={asked} again={say('Press again if it is so.')} />
        {added ? <p role="status">{added}</p> : null}
        <Row $gap={3}>
          <Button
            type="submit"
            kind={here > 0 && text.trim() === '' ? 'plain' : 'main'}
            isDisabled={animals.length === 0}
          >
            {animals.length === 0
              ? say('Add them')
              : say('Add {n} {n, plural, one {animal} other {animals}}', { n: animals.length })}
          </Button>
          <Button onPress={() => void navigate('/holding/files')}>{say('Bring in a file')}</Button>
          {here > 0 ? (
            <Button kind={text.trim() === '' ? 'main' : 'plain'} onPress={onDone}>
              {say('Go on with {here} {here, plural, one {animal} other {animals}}', { here })}
            </Button>
          ) : null}
        </Row>
      </Stack>
    </form>
  );
}

const Box = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${space(1)};
  label {
    font-size: 13px;
    color: ${colourOf('inkSoft')};
  }
`;
const Lines = styled.textarea`
  ${fieldLook}
  padding: ${space(2)} ${space(3)};
  width: 100%;
  max-width: 520px;
`;
