import { say, type ChangedThing } from '@yaylak/contract';
import { History } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Button } from '../../parts/Button';

const HistorySheet = lazy(async () => ({ default: (await import('./HistorySheet')).HistorySheet }));

export interface HistoryProps {
  readonly what: ChangedThing;
  /** Of one of them; left out, of all. */
  readonly thingId?: string;
  /** What it is called here. */
  readonly name: string;
}

/** Opens who changed what of a thing, and when. `isShort`: one of many in a list, told by its sign. */
export function HistoryButton({ isShort = false, ...props }: HistoryProps & { readonly isShort?: boolean }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button
        kind="quiet"
        aria-label={say('Changes of {name}', { name: props.name })}
        onPress={() => setOpen(true)}
        {...(isShort ? SHORT : {})}
      >
        <History size={18} aria-hidden />
        {isShort ? null : say('Changes')}
      </Button>
      {isOpen ? (
        <Suspense fallback={null}>
          <HistorySheet {...props} onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </>
  );
}

const SHORT = { style: { paddingInline: 12 } };
