import { useQuery } from '@tanstack/react-query';
import type { HoldingView } from '@yaylak/contract';
import { dayOf, firstFigures } from '@yaylak/core';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { rosterQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { How } from '../../parts/How';
import { NotePanel, Row, Small, Stack } from '../../parts/Panel';
import { Failed, Loading } from '../../parts/States';
import { firstFigureText } from '../../words/firstFigures';
import { say } from '@yaylak/contract';

/** What can be worked out already, and where to go from here. */
export function FoundStep({ holding }: { readonly holding: HoldingView }) {
  const navigate = useNavigate();
  const { data: roster, error, refetch } = useQuery(rosterQuery);
  const figures = useMemo(
    () =>
      firstFigures(
        (roster?.animals ?? []).map((a) => ({
          animalId: a.tag.animalId,
          species: a.species,
          sex: a.sex,
          bornOn: a.bornOn === null ? undefined : dayOf(a.bornOn),
          kg: a.weights.at(-1)?.[1],
        })),
        holding.species,
        dayOf(holding.today),
      ),
    [roster, holding],
  );
  if (!roster) return error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />;
  const names = new Map(roster.animals.map((a) => [a.tag.animalId, a.tag.text]));
  const nameOf = (id: string): string => names.get(id) ?? 'one';
  return (
    <Stack $gap={3}>
      {figures.length === 0 ? (
        <p>{say('Nothing yet. Add a few grown females, or weigh three of a kind, and look here again.')}</p>
      ) : (
        figures.map((figure) => {
          const { of, said, how } = firstFigureText(figure, { unit: holding.unit, nameOf });
          return (
            <NotePanel key={`${figure.kind} ${figure.species}`} $tone="moss">
              <p>
                {said} <How of={of}>{how}</How>
              </p>
            </NotePanel>
          );
        })
      )}
      <Small>{say('From here on each weighing, score and service adds to it. Help stands beside every place.')}</Small>
      <Row $gap={3}>
        <Button kind="main" onPress={() => void navigate('/')}>
          {say('Go to Today')}
        </Button>
        <Button onPress={() => void navigate('/year')}>{say('Plan the year')}</Button>
        <Button onPress={() => void navigate('/condition')}>{say('Score condition')}</Button>
      </Row>
    </Stack>
  );
}
