import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { GroupView } from '@yaylak/contract';
import type { Species } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { ask } from '../../api/client';
import { groupsQuery } from '../../api/queries';
import { readAgain } from '../../api/readAgain';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { space } from '../../theme/tokens';
import { newId } from '../../words/ids';
import { say } from '@yaylak/contract';

interface Props {
  readonly label: string;
  readonly value: string;
  /** What choosing none means. */
  readonly none: string;
  /** Not this one. */
  readonly but?: string | undefined;
  /** Only groups of this species and of all. */
  readonly species?: Species | undefined;
  readonly onChange: (groupId: string) => void;
  readonly error?: string | undefined;
}

/** Stands for a group that is made where it is chosen. */
const NEW = 'new';

/** A group to choose, or to make at once. */
export function GroupField({ label, value, none, but, species, onChange, error }: Props) {
  const { data: groups = [] } = useQuery(groupsQuery);
  const client = useQueryClient();
  const [isMaking, setMaking] = useState(false);
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string>();
  const isOffered = (g: GroupView): boolean =>
    !g.isClosed && g.id !== but && (species === undefined || g.species === null || g.species === species);
  const make = async (): Promise<void> => {
    const wanted = name.trim();
    if (wanted === '') return setProblem(say('Type the name of the group.'));
    try {
      const made = await ask<GroupView>('/api/groups', { method: 'POST', body: { id: newId(), name: wanted } });
      client.setQueryData(groupsQuery.queryKey, (before: GroupView[] = []) => [...before, made]);
      void readAgain(client, { queryKey: groupsQuery.queryKey });
      onChange(made.id);
      setMaking(false);
      setName('');
      setProblem(undefined);
    } catch (problemFound) {
      setProblem((problemFound as Error).message);
    }
  };
  return (
    <Box>
      <Choice
        label={label}
        value={isMaking ? NEW : value}
        options={[
          ['', none],
          ...groups.filter(isOffered).map((g) => [g.id, g.name] as const),
          [NEW, say('a new group …')],
        ]}
        onChange={(chosen) => {
          setMaking(chosen === NEW);
          if (chosen !== NEW) onChange(chosen);
        }}
        error={error}
      />
      {isMaking ? (
        <>
          <Field
            label={say('Name of the new group')}
            value={name}
            onChange={setName}
            error={problem}
            autoFocus
            onKeyDown={(e) => {
              // Inside another form Enter makes the group, and does not send the form.
              if (e.key === 'Enter') {
                e.preventDefault();
                void make();
              } else e.continuePropagation();
            }}
          />
          <Button onPress={() => void make()}>{say('Make the group')}</Button>
        </>
      ) : null}
    </Box>
  );
}

const Box = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: ${space(2)};
`;
