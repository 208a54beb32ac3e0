import type { RosterAnimal } from '@yaylak/contract';
import type { Match } from '@yaylak/core';
import { useEffect, useRef, type KeyboardEvent } from 'react';
import styled from 'styled-components';
import { Tag } from '../../parts/Tag';
import { isTyping } from '../../parts/useWindowKey';
import { colour, radius, space, touchRace } from '../../theme/tokens';
import type { RaceNumber } from './answers';
import type { Draft } from './draft';
import { Ask, BigInput } from './fields';
import { Unnumbered } from './Unnumbered';
import { PlainList } from '../../parts/PlainList';
import { say } from '@yaylak/contract';

interface Props {
  readonly draft: Draft;
  readonly matches: readonly Match<RaceNumber>[];
  readonly animals: ReadonlyMap<string, RosterAnimal>;
  readonly label: string;
  /** Those that wear nothing, in a job where they are given something. */
  readonly unnumbered: readonly RosterAnimal[];
  readonly on: string;
  readonly onType: (change: Partial<Draft>) => void;
  readonly onChoose: (animalId: string) => void;
  readonly onEnter: () => void;
  readonly onTakeBack: () => void;
}

/** Who comes: a number, and whom it may mean. */
export function NumberStation({
  draft,
  matches,
  animals,
  label,
  unnumbered,
  on,
  onType,
  onChoose,
  onEnter,
  onTakeBack,
}: Props) {
  const input = useRef<HTMLInputElement>(null);
  // Focus is outside React: the next animal's number has the keyboard, and a digit typed beside any field is one.
  useEffect(() => {
    input.current?.focus();
    const onKey = (event: globalThis.KeyboardEvent): void => {
      if (/^\d$/.test(event.key) && !isTyping(event.target)) input.current?.focus();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  const onKeyDown = (e: KeyboardEvent): void => {
    if (e.key === 'Enter') onEnter();
    else if (e.key === 'ArrowDown') onType({ marked: Math.min(matches.length - 1, (draft.marked ?? -1) + 1) });
    else if (e.key === 'ArrowUp') onType({ marked: Math.max(0, (draft.marked ?? 1) - 1) });
    // Held down to clear the field, the key must not go on and take animals back.
    else if (e.key === 'Backspace' && draft.number === '' && !e.repeat) onTakeBack();
    else return;
    e.preventDefault();
  };
  return (
    <Ask>
      <label htmlFor="race-number">{label}</label>
      <BigInput
        id="race-number"
        data-waiting
        ref={input}
        autoComplete="off"
        inputMode="numeric"
        value={draft.number}
        onChange={(e) => onType({ number: e.target.value, marked: undefined })}
        onKeyDown={onKeyDown}
      />
      <Matches role="listbox" aria-label={say('Animals that fit')}>
        {matches.map((m, i) => {
          const found = animals.get(m.found.animalId);
          return found ? (
            <li
              key={m.found.animalId}
              role="option"
              aria-selected={i === draft.marked}
              onClick={() => onChoose(m.found.animalId)}
              onKeyDown={() => undefined}
            >
              <Tag tag={found.tag} isStatic />
              <span>
                {found.groupName ?? ''}
                {m.found.isListed ? '' : say(', not on the list')}
                {m.found.isWorn ? '' : say(', wore {text} before', { text: m.found.text })}
              </span>
            </li>
          ) : null;
        })}
      </Matches>
      <Unnumbered animals={unnumbered} typed={draft.number} on={on} onChoose={onChoose} />
    </Ask>
  );
}

const Matches = styled(PlainList)`
  margin: ${space(2)} 0 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: ${space(1)};
  min-height: 112px;
  align-content: start;
  li {
    display: flex;
    gap: ${space(2)};
    align-items: center;
    min-height: ${touchRace};
    padding: 0 ${space(2)};
    border-radius: ${radius};
    border: 1px solid ${colour('line')};
    cursor: pointer;
    font-size: 13px;
  }
  li[aria-selected='true'] {
    background: ${colour('indigoWash')};
    border-color: ${colour('indigo')};
  }
`;
