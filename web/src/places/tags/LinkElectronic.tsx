import { useQuery } from '@tanstack/react-query';
import { resolveIdentifier } from '@yaylak/core';
import { useRef, useState } from 'react';
import { holdingQuery, identifiersQuery } from '../../api/queries';
import { Asked } from '../../parts/Asked';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Panel, Small, Stack } from '../../parts/Panel';
import { useWrite } from '../../parts/useWrite';
import { useTagQuestions } from '../../shared/tags/useTagQuestions';
import { say } from '@yaylak/contract';

/** Links a scanned electronic number to the animal of a number that can be read: scan, Enter, number, Enter. */
export function LinkElectronic() {
  const [scanned, setScanned] = useState('');
  const [number, setNumber] = useState('');
  const [problem, setProblem] = useState<string>();
  const [asked, setAsked] = useState<readonly string[]>([]);
  const questions = useTagQuestions();
  const second = useRef<HTMLDivElement>(null);
  const first = useRef<HTMLDivElement>(null);
  const { data: holding } = useQuery(holdingQuery);
  const { data: identifiers } = useQuery(identifiersQuery);
  const write = useWrite();
  const focus = (box: HTMLDivElement | null): void => box?.querySelector('input')?.focus();

  const enter = async (): Promise<void> => {
    if (scanned.trim() === '') return focus(first.current);
    if (number.trim() === '') return focus(second.current);
    const found = resolveIdentifier(identifiers ?? [], number);
    if (found.kind !== 'one')
      return setProblem(
        found.kind === 'none'
          ? say('No animal is tagged “{trim}”. Type the whole number.', { trim: number.trim() })
          : say('Several animals are tagged “{trim}”. Fit it on the page of the one you mean.', {
              trim: number.trim(),
            }),
      );
    const drafts = [
      {
        type: 'identifier',
        animalId: found.animalId,
        on: holding?.today ?? '',
        kind: 'electronic',
        text: scanned.trim(),
      },
    ] as const;
    const now = questions(drafts);
    if (now.join() !== asked.join()) {
      setAsked(now);
      if (now.length > 0) return;
    }
    const refused = await write(
      drafts,
      say('Linked {trim} to {trim2}', { trim: scanned.trim(), trim2: number.trim() }),
    );
    setProblem(refused.join(' ') || undefined);
    if (refused.length > 0) return;
    setScanned('');
    setNumber('');
    focus(first.current);
  };
  return (
    <Panel>
      <h2>{say('Link an electronic number')}</h2>
      <Small>{say('Scan it, Enter, then the number you can read, Enter.')}</Small>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          void enter();
        }}
      >
        <Stack $gap={2} style={{ marginTop: 12 }}>
          <div ref={first}>
            <Field label={say('Scanned')} inputMode="numeric" value={scanned} onChange={setScanned} />
          </div>
          <div ref={second}>
            <Field label={say('Number on its tag')} value={number} onChange={setNumber} error={problem} />
          </div>
          <Asked questions={asked} again={say('Press “Link them” again if it is so.')} />
          <Button type="submit">{say('Link them')}</Button>
        </Stack>
      </form>
    </Panel>
  );
}
