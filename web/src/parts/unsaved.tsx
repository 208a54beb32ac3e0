import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useId,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { UNSAFE_DataRouterContext as DataRouterContext, useBlocker } from 'react-router';
import styled from 'styled-components';
import { colour, space } from '../theme/tokens';
import { Button } from './Button';
import { Row } from './Panel';
import { say } from '@yaylak/contract';

interface Unsaved {
  /** Says whether a form has something typed in it that is nowhere else; `undefined` when the form is gone. */
  readonly mark: (form: string, isUnsaved: boolean | undefined) => void;
}
const UnsavedContext = createContext<Unsaved>({ mark: () => undefined });
/** Stands for what is typed where no form tells what became of it. */
const TYPED = 'typed';

/** Told by a form: what is typed in it would be lost if its sheet were put away. @returns says that it is saved now */
export function useUnsaved(isUnsaved: boolean): () => void {
  const { mark } = useContext(UnsavedContext);
  const form = useId();
  useEffect(() => {
    mark(form, isUnsaved);
    return () => mark(form, undefined);
  }, [mark, form, isUnsaved]);
  return useCallback(() => mark(form, false), [mark, form]);
}

interface Guard {
  /** Puts the sheet away, or asks first where something typed would be lost. */
  readonly close: () => void;
  /** Around what the sheet shows. */
  readonly wrap: (children: ReactNode) => ReactNode;
  /** Something is typed or chosen in it: it counts as not saved where no form in it says what is. */
  readonly onTyped: () => void;
}

/** Keeps a sheet with something typed in it from being put away, left by Back or lost by a reload without a word. */
export function useUnsavedGuard(onClose: () => void): Guard {
  /** Forms that tell, and whether they hold something unsaved. */
  const forms = useRef(new Map<string, boolean>());
  const [isUnsaved, setUnsaved] = useState(false);
  const [isAsking, setAsking] = useState(false);
  const isAnyUnsaved = useCallback(() => [...forms.current.values()].includes(true), []);
  const mark = useCallback(
    (form: string, isIt: boolean | undefined): void => {
      if (isIt === undefined) forms.current.delete(form);
      else forms.current.set(form, isIt);
      setUnsaved(isAnyUnsaved());
      if (!isAnyUnsaved()) setAsking(false);
    },
    [isAnyUnsaved],
  );
  const onTyped = useCallback((): void => {
    if ([...forms.current.keys()].every((form) => form === TYPED)) mark(TYPED, true);
  }, [mark]);
  const unsaved = useMemo(() => ({ mark }), [mark]);
  // The browser asks by itself before a reload; what it says is its own.
  useEffect(() => {
    if (!isUnsaved) return undefined;
    const ask = (event: BeforeUnloadEvent): void => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [isUnsaved]);
  const typedIn = useRef<Element | null>(null);
  const keep = (): void => {
    setAsking(false);
    if (typedIn.current instanceof HTMLElement) typedIn.current.focus();
  };
  // A page that is tested by itself stands in a router that knows no blockers.
  const hasRouter = useContext(DataRouterContext) !== null;
  return {
    onTyped,
    close: () => {
      // Asked already, Escape goes back to what is being typed.
      if (isAsking) keep();
      else if (isUnsaved) {
        typedIn.current = document.activeElement;
        setAsking(true);
      } else onClose();
    },
    wrap: (children) => (
      <UnsavedContext value={unsaved}>
        {isAsking ? <Ask onKeep={keep} onLeave={onClose} /> : null}
        {hasRouter && isUnsaved ? <BackGuard isAnyUnsaved={isAnyUnsaved} /> : null}
        {children}
      </UnsavedContext>
    ),
  };
}

/** A page with forms of its own: what is typed in them is not lost by Back, a link or a reload without a word. */
export function PageGuard({ children }: { readonly children: ReactNode }) {
  return useUnsavedGuard(() => undefined).wrap(children);
}

/** Back, or a link: held until it is said what becomes of what was typed. */
function BackGuard({ isAnyUnsaved }: { readonly isAnyUnsaved: () => boolean }) {
  const blocker = useBlocker(isAnyUnsaved);
  return blocker.state === 'blocked' ? <Ask onKeep={() => blocker.reset()} onLeave={() => blocker.proceed()} /> : null;
}

function Ask({ onKeep, onLeave }: { readonly onKeep: () => void; readonly onLeave: () => void }) {
  return (
    <Asked role="alert">
      <p>{say('What you typed is not saved yet.')}</p>
      <Row>
        <Button kind="main" autoFocus onPress={onKeep}>
          {say('Keep editing')}
        </Button>
        <Button kind="danger" onPress={onLeave}>
          {say('Leave without saving')}
        </Button>
      </Row>
    </Asked>
  );
}

const Asked = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${space(2)};
  padding: ${space(3)};
  background: ${colour('weldWash')};
  border-left: 5px solid ${colour('weldFill')};
`;
