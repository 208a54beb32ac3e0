import { useState, type ComponentProps } from 'react';
import type { FieldValues } from 'react-hook-form';
import type { EntryDraft } from '../../outbox/useRecord';
import { Asked } from '../Asked';
import { useWrite } from '../useWrite';
import { SendForm } from './SendForm';
import type { EntryFormState } from './useEntryForm';
import { say } from '@yaylak/contract';

type Parts = Pick<ComponentProps<typeof SendForm>, 'children' | 'against' | 'more'>;

interface Props<Typed extends FieldValues> extends EntryFormState<Typed>, Parts {
  /** What is said when it is kept. */
  readonly done: (typed: Typed) => string;
  readonly onDone: () => void;
  readonly submit?: string;
  /** What is asked of the entry before it is written down, a sentence each; pressed again it was meant so. */
  readonly questions?: (draft: EntryDraft) => readonly string[];
}

/** Writes one entry down. */
export function EntryForm<Typed extends FieldValues>({
  read,
  done,
  submit = say('Save'),
  questions,
  children,
  ...form
}: Props<Typed>) {
  const write = useWrite();
  const [asked, setAsked] = useState<readonly string[]>([]);
  const send = async (typed: Typed): Promise<readonly string[] | 'asked'> => {
    const draft = read(typed);
    const now = questions?.(draft) ?? [];
    if (now.join() !== asked.join()) {
      setAsked(now);
      if (now.length > 0) return 'asked';
    }
    return write([draft], done(typed));
  };
  return (
    <SendForm {...form} submit={submit} send={send}>
      {children}
      <Asked questions={asked} again={say('Press “{submit}” again if it is so.', { submit })} />
    </SendForm>
  );
}
