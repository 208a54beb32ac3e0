import { useQuery } from '@tanstack/react-query';
import type { IdentifierIndexRow } from '@yaylak/contract';
import { searchIdentifiers } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { identifiersQuery } from '../api/queries';
import { colour, radius, space } from '../theme/tokens';
import { Field } from './Field';
import { Tag } from './Tag';
import { PlainList } from './PlainList';
import { say } from '@yaylak/contract';

interface Props {
  readonly label: string;
  /** Who may be chosen; all that are here where it is left out. */
  readonly among?: ReadonlySet<string>;
  readonly onChoose: (animalId: string) => void;
  readonly autoFocus?: boolean;
}

const SHOWN = 6;

/** Finds one animal that is here by any part of what it wears; Enter takes the first. */
export function FindOne({ label, among, onChoose, autoFocus = false }: Props) {
  const { data: all } = useQuery(identifiersQuery);
  const [typed, setTyped] = useState('');
  const fitting = (row: IdentifierIndexRow): boolean => row.isPresent && (!among || among.has(row.animalId));
  const matches = searchIdentifiers((all ?? []).filter(fitting), typed, SHOWN);
  const first = matches[0]?.found.animalId;
  return (
    <div>
      <Field
        label={label}
        value={typed}
        onChange={setTyped}
        autoFocus={autoFocus}
        autoComplete="off"
        onKeyDown={(e) => {
          if (e.key === 'Enter' && first) onChoose(first);
          else e.continuePropagation();
        }}
      />
      {typed.trim() === '' ? null : (
        <Found aria-label={say('Found')}>
          {matches.map(({ found }) => (
            <li key={found.animalId}>
              <button type="button" onClick={() => onChoose(found.animalId)}>
                <Tag
                  isStatic
                  tag={{
                    animalId: found.animalId,
                    text: found.text,
                    kind: found.kind,
                    colour: found.colour,
                    name: null,
                    hasElectronic: false,
                    isWorn: found.isWorn,
                  }}
                />
              </button>
            </li>
          ))}
          {matches.length === 0 ? <li>{say('No animal here is tagged “{typed}”.', { typed })}</li> : null}
        </Found>
      )}
    </div>
  );
}

const Found = styled(PlainList)`
  margin: ${space(2)} 0 0;
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
  button {
    min-height: 44px;
    padding: 0 ${space(2)};
    border: 1px solid ${colour('line')};
    border-radius: ${radius};
    background: ${colour('panel')};
    cursor: pointer;
  }
`;
