import { useQuery } from '@tanstack/react-query';
import { say, type Entry } from '@yaylak/contract';
import { useMemo } from 'react';
import { groupsQuery, holdingQuery, rosterQuery } from '../api/queries';
import { fullDate } from '../words/dates';
import { entryWords } from '../words/entryWords';
import { useWeightUnit } from '../words/useHolding';
import { Row, Small } from './Panel';
import { Tag } from './Tag';

/** An entry in a line: what was written, of whom, when and by whom. */
export function WrittenLine({ entry }: { readonly entry: Entry }) {
  const unit = useWeightUnit();
  const { data: holding } = useQuery(holdingQuery);
  const { data: roster } = useQuery({ ...rosterQuery, staleTime: Infinity });
  const { data: groups } = useQuery(groupsQuery);
  const animals = useMemo(() => new Map(roster?.animals.map((a) => [a.tag.animalId, a])), [roster]);
  const animal = entry.type === 'strike' ? undefined : animals.get(entry.animalId ?? '');
  return (
    <Row $gap={3}>
      {animal ? <Tag tag={animal.tag} isStatic /> : null}
      <span>
        {entryWords(entry, {
          species: animal?.species,
          unit,
          currency: holding?.currency ?? '',
          standards: holding?.standards ?? [],
          groupName: entry.type === 'move' ? groups?.find((g) => g.id === entry.groupId)?.name : undefined,
          productName:
            entry.type === 'treatment' ? roster?.products.find((p) => p.id === entry.productId)?.facts.name : undefined,
        })}
        <Small>
          {say('{date}, written by {writtenBy} at {part}', {
            date: fullDate(entry.on),
            writtenBy: entry.writtenBy,
            part: new Date(entry.writtenAt).toTimeString().slice(0, 5),
          })}
        </Small>
      </span>
    </Row>
  );
}
