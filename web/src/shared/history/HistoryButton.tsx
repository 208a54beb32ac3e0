import { say, type ChangedThing } from '@yaylak/contract';
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

/** Opens who changed what of a thing, and when. */
export function HistoryButton(props: HistoryProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button kind="quiet" aria-label={say('Changes of {name}', { name: props.name })} onPress={() => setOpen(true)}>
        {say('Changes')}
      </Button>
      {isOpen ? (
        <Suspense fallback={null}>
          <HistorySheet {...props} onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </>
  );
}
