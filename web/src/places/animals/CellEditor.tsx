import { useQuery } from '@tanstack/react-query';
import type { AnimalRow } from '@yaylak/contract';
import { SEXES, type DateOrder } from '@yaylak/core';
import { useRef, useState, type FocusEvent, type KeyboardEvent } from 'react';
import styled from 'styled-components';
import { groupsQuery, holdingQuery, identifiersQuery } from '../../api/queries';
import { CellChoice } from '../../parts/CellChoice';
import { fieldLook } from '../../parts/fieldLook';
import { useWrite } from '../../parts/useWrite';
import { colour, radius, space, touch } from '../../theme/tokens';
import { birthOf, birthTyped } from '../../words/birth';
import { parentNamed } from './parentNamed';
import { useChangeRecord, type RecordChange } from './useChangeRecord';
import { say } from '@yaylak/contract';

/** Facts that can be changed in their cell of the list. */
export type EditableFact = 'sex' | 'group' | 'bornOn' | 'bornAs' | 'dam' | 'sire';

interface Props {
  readonly row: AnimalRow;
  readonly fact: EditableFact;
  /** Saved, or left as it was; by a key, or by going elsewhere. */
  readonly onDone: (by: 'key' | 'leaving') => void;
}

const textsOf = (row: AnimalRow, fact: EditableFact): readonly string[] => {
  switch (fact) {
    case 'sex':
      return [row.sex];
    case 'group':
      return [row.group?.id ?? ''];
    case 'bornOn':
      return [birthTyped(row.bornOn, row.birthKnownTo)];
    case 'bornAs':
      return [String(row.birthType ?? ''), String(row.rearingType ?? '')];
    case 'dam':
    case 'sire':
      return [row[fact]?.text ?? ''];
  }
};

/** A cell of the list while it is changed: Enter, a choice or leaving it saves, Escape leaves it as it was. */
export function CellEditor({ row, fact, onDone }: Props) {
  const [texts, setTexts] = useState(() => textsOf(row, fact));
  const [before] = useState(texts);
  const [problem, setProblem] = useState<string>();
  /** While it is saved and after it was: going elsewhere then must not save it again. */
  const isSettled = useRef(false);
  const { data: groups } = useQuery(groupsQuery);
  const { data: holding } = useQuery(holdingQuery);
  const { data: identifiers } = useQuery({ ...identifiersQuery, enabled: fact === 'dam' || fact === 'sire' });
  const changeRecord = useChangeRecord();
  const write = useWrite();

  /** @returns what stands against it */
  const send = async (next: readonly string[]): Promise<string | undefined> => {
    const text = next[0] ?? '';
    if (fact === 'group') {
      const group = groups?.find((g) => g.id === text);
      if (!group) return say('Choose a group.');
      const move = { type: 'move', animalId: row.tag.animalId, on: holding?.today ?? '', groupId: group.id } as const;
      return (
        (await write([move], say('Moved {text} to {name}', { text: row.tag.text, name: group.name }))).join(' ') ||
        undefined
      );
    }
    const change = changeOf(fact, next, {
      named: (role) => parentNamed(identifiers ?? [], role, text),
      order: holding?.dateOrder ?? 'day-month',
    });
    return typeof change === 'string' ? change : changeRecord(row, change);
  };
  const save = async (by: 'key' | 'leaving', next = texts): Promise<void> => {
    if (isSettled.current) return;
    isSettled.current = true;
    const refused = next.every((t, i) => t === before[i]) ? undefined : await send(next);
    isSettled.current = refused === undefined;
    setProblem(refused);
    if (refused === undefined) onDone(by);
  };
  const leave = (): void => {
    isSettled.current = true;
    onDone('key');
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.key === 'Enter') void save('key');
    else if (event.key === 'Escape') leave();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const onBlur = (event: FocusEvent): void => {
    if (!event.currentTarget.contains(event.relatedTarget)) void save('leaving');
  };
  const words = LABELS[fact];
  const field = (i: number, label: string, props: { readonly type?: string; readonly inputMode?: 'numeric' } = {}) => (
    <input
      {...props}
      aria-label={say('{label} of {text}', { label, text: row.tag.text })}
      aria-invalid={problem !== undefined}
      autoFocus={i === 0}
      value={texts[i]}
      onChange={(e) => setTexts(texts.map((t, j) => (j === i ? e.target.value : t)))}
    />
  );
  const choice = (options: readonly (readonly [value: string, words: string])[]) => (
    <CellChoice
      label={say('{words} of {text}', { words, text: row.tag.text })}
      value={texts[0] ?? ''}
      options={options}
      onChoose={(value) => {
        setTexts([value]);
        void save('key', [value]);
      }}
      onLeave={leave}
      isOpenAtOnce
    />
  );
  return (
    <Editing onKeyDown={onKeyDown} onBlur={onBlur}>
      {fact === 'sex' ? choice(SEXES.map((s) => [s, s])) : null}
      {fact === 'group'
        ? choice([
            ...(row.group ? [] : [['', say('no group')] as const]),
            ...(groups ?? []).filter((g) => !g.isClosed).map((g) => [g.id, g.name] as const),
          ])
        : null}
      {fact === 'bornOn' ? field(0, words) : null}
      {fact === 'dam' || fact === 'sire' ? field(0, words) : null}
      {fact === 'bornAs' ? (
        <>
          {field(0, say('Born as one of'), { inputMode: 'numeric' })}
          {field(1, say('Reared as one of'), { inputMode: 'numeric' })}
        </>
      ) : null}
      {problem ? <Against role="alert">{problem}</Against> : null}
    </Editing>
  );
}

const LABELS: Readonly<Record<EditableFact, string>> = {
  sex: say('Sex'),
  group: say('Group'),
  bornOn: say('Born'),
  bornAs: say('Born as'),
  dam: say('Dam'),
  sire: say('Sire'),
};

/** The change of the record that the typed texts mean, or what is wrong with them. */
function changeOf(
  fact: Exclude<EditableFact, 'group'>,
  texts: readonly string[],
  {
    named,
    order,
  }: {
    readonly named: (role: 'dam' | 'sire') => ReturnType<typeof parentNamed>;
    readonly order: DateOrder;
  },
): RecordChange | string {
  const text = texts[0] ?? '';
  switch (fact) {
    case 'sex':
      return { sex: SEXES.find((s) => s === text) ?? 'unknown' };
    case 'bornOn':
      return birthOf(text, order);
    case 'bornAs': {
      const counts = texts.map((t) => (t.trim() === '' ? null : Number(t)));
      const bad = counts.findIndex((n) => n !== null && (!Number.isInteger(n) || n < 1 || n > 20));
      if (bad >= 0)
        return say('{value} as one of “{n}”: write 1 for a single, 2 for a twin, up to 20.', {
          value: bad === 0 ? say('Born') : say('Reared'),
          n: texts[bad] ?? '',
        });
      return { birthType: counts[0] ?? null, rearingType: counts[1] ?? null };
    }
    case 'dam':
    case 'sire': {
      const parent = named(fact);
      if (parent.kind === 'unclear') return parent.message;
      return { [`${fact}Id`]: parent.kind === 'animal' ? parent.id : null };
    }
  }
}

const Editing = styled.div`
  display: flex;
  gap: ${space(1)};
  position: relative;
  input,
  button {
    ${fieldLook}
    min-height: ${touch};
    padding: 0 ${space(1)};
    width: 100%;
    font: inherit;
  }
  [aria-invalid='true'] {
    border-color: ${colour('madder')};
  }
`;
const Against = styled.p`
  position: absolute;
  top: 38px;
  left: 0;
  z-index: 3;
  width: max-content;
  max-width: 340px;
  padding: ${space(2)} ${space(3)};
  white-space: normal;
  background: ${colour('madderWash')};
  border: 1px solid ${colour('madder')};
  border-radius: ${radius};
  color: ${colour('ink')};
`;
