import { useQuery } from '@tanstack/react-query';
import { dayOf, fieldWord, searchAnimals } from '@yaylak/core';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { holdingQuery, identifiersQuery, mentionsQuery } from '../api/queries';
import { colour, radius, space } from '../theme/tokens';
import { shortDate } from '../words/format';
import { fieldLook } from './Field';
import { Sheet } from './Sheet';
import { Tag } from './Tag';
import { useWindowKey } from './useWindowKey';
import { PlainList } from './PlainList';

/** Opens on digits typed outside a field, or on `/`; finds by any part of anything ever worn. */
export function TagFinder() {
  const [typed, setTyped] = useState<string>();
  // A digit anywhere is the beginning of a tag, but where a place has keys of its own.
  useWindowKey((event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || !/^[0-9/]$/.test(event.key)) return;
    if ((event.target as Partial<HTMLElement>).closest?.('[role=dialog], [data-own-keys]')) return;
    event.preventDefault();
    // Digits typed faster than the sheet opens belong to the same number.
    setTyped((before = '') => before + (event.key === '/' ? '' : event.key));
  });
  return (
    <Sheet isForLooking title="Find an animal" isOpen={typed !== undefined} onClose={() => setTyped(undefined)}>
      {typed === undefined ? null : <Finder typed={typed} onType={setTyped} onClose={() => setTyped(undefined)} />}
    </Sheet>
  );
}

interface FinderProps {
  readonly typed: string;
  readonly onType: (typed: string) => void;
  readonly onClose: () => void;
}

function Finder({ typed, onType, onClose }: FinderProps) {
  const [at, setAt] = useState(0);
  const navigate = useNavigate();
  const { data: all, isPending } = useQuery(identifiersQuery);
  const { data: holding } = useQuery(holdingQuery);
  const today = holding?.today;
  const rows = useMemo(
    () =>
      (all ?? []).map((row) => ({
        ...row,
        ageDays: row.bornOn && today ? dayOf(today) - dayOf(row.bornOn) : undefined,
      })),
    [all, today],
  );
  const matches = searchAnimals(rows, typed, 12);
  const words = typed.trim();
  const { data: mentions } = useQuery({ ...mentionsQuery(words), enabled: words.length >= LEAST_MENTIONED });
  const open = (animalId: string): void => {
    onClose();
    void navigate(`/animals/${animalId}`);
  };
  const openRecord = (animalId: string): void => {
    onClose();
    void navigate(`/rearing/life/${animalId}`);
  };
  return (
    <>
      <Input
        autoFocus
        aria-label="Any part of a number, name or electronic number"
        aria-controls="finder-list"
        value={typed}
        onChange={(e) => {
          onType(e.target.value);
          setAt(0);
        }}
        onKeyDown={(e) => {
          if (e.key === 'ArrowDown') setAt(Math.min(matches.length - 1, at + 1));
          else if (e.key === 'ArrowUp') setAt(Math.max(0, at - 1));
          else if (e.key === 'Enter' && matches[at]) (e.shiftKey ? openRecord : open)(matches[at].found.animalId);
          else return;
          e.preventDefault();
        }}
      />
      <List id="finder-list" role="listbox" aria-label="Animals found">
        {matches.map(({ found, rank }, i) => (
          <li
            key={found.animalId}
            role="option"
            aria-selected={i === at}
            onClick={() => open(found.animalId)}
            onKeyDown={() => undefined}
          >
            <Tag
              isStatic
              tag={{
                animalId: found.animalId,
                text: found.text,
                kind: found.kind,
                colour: found.colour,
                name: null,
                hasElectronic: found.kind === 'electronic',
                isWorn: found.isWorn,
              }}
            />
            <span>
              {fieldWord(found, found.ageDays)}
              {found.bornOn ? `, born ${found.bornOn.slice(0, 4)}` : ''}
              {found.groupName ? `, ${found.groupName}` : ''}
            </span>
            <em>{found.isPresent ? (rank === 'exact' ? 'exact' : '') : 'gone'}</em>
          </li>
        ))}
      </List>
      {mentions !== undefined && mentions.length > 0 ? (
        <>
          <h3>Tubes and notes</h3>
          <Mentioned aria-label="Tubes and notes">
            {mentions.map(({ tag, kind, text, on }) => (
              <li key={`${kind} ${tag.animalId} ${on} ${text}`}>
                <button type="button" onClick={() => open(tag.animalId)}>
                  <Tag isStatic tag={tag} />
                  <span>
                    {kind === 'tube' ? `tube ${text}` : text}, {shortDate(on)}
                  </span>
                </button>
              </li>
            ))}
          </Mentioned>
        </>
      ) : null}
      {matches.length === 0 && (mentions ?? []).length === 0 && typed !== '' && !isPending ? (
        <p>No animal ever wore “{typed}”. Try fewer digits.</p>
      ) : null}
    </>
  );
}

/** A single letter stands in every note. */
const LEAST_MENTIONED = 2;
const Input = styled.input`
  ${fieldLook}
  font-size: 22px;
  min-height: 52px;
`;
const List = styled(PlainList)`
  li {
    display: flex;
    align-items: center;
    gap: ${space(3)};
    padding: ${space(2)};
    min-height: 44px;
    border-radius: ${radius};
    cursor: pointer;
  }
  li[aria-selected='true'] {
    background: ${colour('indigoWash')};
  }
  em {
    margin-left: auto;
    color: ${colour('inkSoft')};
  }
`;
const Mentioned = styled(PlainList)`
  button {
    display: flex;
    align-items: center;
    gap: ${space(3)};
    width: 100%;
    min-height: 44px;
    padding: ${space(1)} ${space(2)};
    border: 0;
    border-radius: ${radius};
    background: none;
    color: inherit;
    font: inherit;
    text-align: left;
    cursor: pointer;
  }
`;
