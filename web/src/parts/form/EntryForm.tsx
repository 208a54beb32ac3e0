import type { ComponentProps } from 'react';
import type { FieldValues } from 'react-hook-form';
import { useWrite } from '../useWrite';
import { SendForm } from './SendForm';
import type { EntryFormState } from './useEntryForm';

type Parts = Pick<ComponentProps<typeof SendForm>, 'children' | 'against' | 'more'>;

interface Props<Typed extends FieldValues> extends EntryFormState<Typed>, Parts {
  /** What is said when it is kept. */
  readonly done: (typed: Typed) => string;
  readonly onDone: () => void;
  readonly submit?: string;
}

/** Writes one entry down. */
export function EntryForm<Typed extends FieldValues>({ read, done, submit = 'Write it down', ...form }: Props<Typed>) {
  const write = useWrite();
  return <SendForm {...form} submit={submit} send={(typed) => write([read(typed)], done(typed))} />;
}
