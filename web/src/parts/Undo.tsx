import type { Entry } from '@yaylak/contract';
import { createContext, use, useCallback, useEffect, useMemo, useState, type ReactNode } from 'react';
import styled from 'styled-components';
import { strikesOf } from '../outbox/useRecord';
import { useGoBack, type WayBack } from '../outbox/wayBack';
import { colour, radius, space } from '../theme/tokens';
import { Button } from './Button';
import { useWindowKey } from './useWindowKey';
import { say, uncapital } from '@yaylak/contract';

interface Undoable {
  /** What was done, in words: "Moved 3 animals". */
  readonly done: string;
  /** As data it outlives a reload; what only a function can do is taken back as long as the page stands. */
  readonly undo: WayBack | (() => Promise<void>);
  /** What was done to: a newer deed of the same one takes its place. */
  readonly key?: string;
}

interface Undoing {
  /** Says what was done and offers to take it back. */
  offer(undoable: Undoable): void;
  /** Can be taken back as well, without a word about it: one of many, as at the race. */
  keep(undoable: Undoable): void;
  /** Takes the newest back: for a sheet that lies over the bar. */
  takeBack(): Promise<void>;
  /** What was done under this key has been taken back by another way. */
  forget(key: string): void;
  /** Says something that cannot be taken back. */
  say(message: string): void;
}

const UndoContext = createContext<Undoing | undefined>(undefined);

export function useUndo(): Undoing {
  const undoing = use(UndoContext);
  if (!undoing) throw new Error('useUndo wants an <UndoProvider> above it');
  return undoing;
}

/** Keeps the last actions; Ctrl+Z takes back the newest everywhere, and a bar says what happened. */
export function UndoProvider({ children }: { readonly children: ReactNode }) {
  const [stack, setStack] = useState(keptStack);
  const [message, setMessage] = useState<string>();
  const goBack = useGoBack();
  const top = stack.at(-1);

  // The browser's storage is outside React.
  useEffect(() => keepStack(stack), [stack]);

  const add = useCallback(
    (undoable: Undoable): void =>
      setStack((s) => [
        ...s.filter((u) => undoable.key === undefined || u.key !== undoable.key).slice(1 - MOST_KEPT),
        undoable,
      ]),
    [],
  );

  const takeBack = useCallback(async () => {
    if (!top) return setMessage(say('There is nothing to take back.'));
    setStack((s) => s.filter((u) => u !== top));
    try {
      if (typeof top.undo === 'function') await top.undo();
      else {
        const again = await goBack(top.undo);
        // What was written down anew can be taken back in its turn.
        if (again.length > 0) add({ done: top.done, undo: strikesOfWay(top.undo, again) });
      }
      setMessage(say('Taken back: {done}', { done: uncapital(top.done) }));
    } catch (error) {
      setMessage(say('Could not take back. {message}', { message: (error as Error).message }));
    }
  }, [top, goBack, add]);

  useWindowKey((event) => {
    if (!(event.ctrlKey || event.metaKey) || event.shiftKey || event.key.toLowerCase() !== 'z') return;
    event.preventDefault();
    void takeBack();
  });

  const undoing = useMemo<Undoing>(
    () => ({
      offer: (undoable) => {
        add(undoable);
        setMessage(undoable.done);
      },
      keep: (undoable) => {
        add(undoable);
        setMessage(undefined);
      },
      takeBack,
      forget: (key) => setStack((s) => s.filter((u) => u.key !== key)),
      say: (words) => setMessage(words),
    }),
    [add, takeBack],
  );
  return (
    <UndoContext value={undoing}>
      {children}
      <Bar role="status" className="no-print" data-shown={message !== undefined || undefined}>
        {message ? (
          <>
            <span>{message}</span>
            {top && message === top.done ? (
              <Button onPress={() => void takeBack()}>{say('Take back (Ctrl+Z)')}</Button>
            ) : null}
            <Button kind="quiet" onPress={() => setMessage(undefined)}>
              {say('Close')}
            </Button>
          </>
        ) : null}
      </Bar>
    </UndoContext>
  );
}

/** So many are kept. */
const MOST_KEPT = 20;
/** A deed of more entries is no longer written away: it is taken back as long as the page stands. */
const MOST_ENTRIES = 4_000;
const STACK = 'yaylak-undo';

function keptStack(): readonly Undoable[] {
  try {
    return JSON.parse(sessionStorage.getItem(STACK) ?? '[]') as Undoable[];
  } catch {
    return [];
  }
}

function keepStack(stack: readonly Undoable[]): void {
  const isLasting = ({ undo }: Undoable): boolean =>
    typeof undo !== 'function' && (undo.kind !== 'strike' || undo.entries.length <= MOST_ENTRIES);
  try {
    sessionStorage.setItem(STACK, JSON.stringify(stack.filter(isLasting)));
  } catch {
    // Without storage it is kept as long as the page stands.
  }
}

/** Strikes what was written down anew on a way back. */
const strikesOfWay = (way: WayBack, entries: readonly Entry[]): WayBack =>
  way.kind === 'race'
    ? { ...way, drafts: strikesOf(entries, say('taken back at the race')) }
    : { kind: 'strike', entries };

const Bar = styled.div`
  position: fixed;
  left: 50%;
  bottom: ${space(4)};
  transform: translateX(-50%);
  z-index: 30;
  max-width: calc(100vw - 32px);
  &[data-shown] {
    display: flex;
    align-items: center;
    flex-wrap: wrap;
    gap: ${space(3)};
    padding: ${space(2)} ${space(2)} ${space(2)} ${space(4)};
    background: ${colour('panel')};
    border: 2px solid ${colour('ink')};
    border-radius: ${radius};
  }
`;
