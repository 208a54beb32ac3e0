import { createContext, use, useCallback, useMemo, useState, type ReactNode } from 'react';
import styled from 'styled-components';
import { colour, radius, space } from '../theme/tokens';
import { Button } from './Button';
import { useWindowKey } from './useWindowKey';

interface Undoable {
  /** What was done, in words: "Moved 3 animals". */
  readonly done: string;
  readonly undo: () => Promise<void>;
}

interface Undoing {
  /** Says what was done and offers to take it back. */
  offer(undoable: Undoable): void;
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
  const [stack, setStack] = useState<readonly Undoable[]>([]);
  const [message, setMessage] = useState<string>();
  const top = stack.at(-1);

  const takeBack = useCallback(async () => {
    if (!top) return;
    setStack((s) => s.slice(0, -1));
    try {
      await top.undo();
      setMessage(`Taken back: ${top.done.charAt(0).toLowerCase()}${top.done.slice(1)}`);
    } catch (error) {
      setMessage(`Could not take back. ${(error as Error).message}`);
    }
  }, [top]);

  useWindowKey((event) => {
    if (!(event.ctrlKey || event.metaKey) || event.shiftKey || event.key.toLowerCase() !== 'z') return;
    event.preventDefault();
    void takeBack();
  });

  const undoing = useMemo<Undoing>(
    () => ({
      offer: (undoable) => {
        setStack((s) => [...s.slice(-19), undoable]);
        setMessage(undoable.done);
      },
      say: (words) => setMessage(words),
    }),
    [],
  );
  return (
    <UndoContext value={undoing}>
      {children}
      <Bar role="status" className="no-print" data-shown={message !== undefined || undefined}>
        {message ? (
          <>
            <span>{message}</span>
            {top && message === top.done ? <Button onPress={() => void takeBack()}>Take back (Ctrl+Z)</Button> : null}
            <Button kind="quiet" onPress={() => setMessage(undefined)}>
              Close
            </Button>
          </>
        ) : null}
      </Bar>
    </UndoContext>
  );
}

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
