import type { ReactNode } from 'react';
import { FormProvider, type FieldValues } from 'react-hook-form';
import { Button } from '../Button';
import { Row } from '../Panel';
import { useWrite } from '../useWrite';
import type { EntryFormState } from './useEntryForm';

interface Props<Typed extends FieldValues> extends EntryFormState<Typed> {
  /** What is said when it is kept. */
  readonly done: (typed: Typed) => string;
  readonly onDone: () => void;
  readonly submit?: string;
  readonly children: ReactNode;
  /** Below what the book has against it: a field for a reason. */
  readonly against?: ReactNode;
  /** Beside the button that sends it. */
  readonly more?: ReactNode;
}

/** Writes one entry down: its fields, what the book has against it, and the button. */
export function EntryForm<Typed extends FieldValues>({
  form,
  read,
  done,
  onDone,
  submit = 'Write it down',
  children,
  against,
  more,
}: Props<Typed>) {
  const write = useWrite();
  const {
    errors: { root },
    isSubmitting,
  } = form.formState;
  const send = form.handleSubmit(async (typed) => {
    const refused = await write([read(typed)], done(typed));
    if (refused.length > 0) return form.setError('root', { message: refused.join(' ') });
    onDone();
  });
  return (
    <FormProvider {...form}>
      <form noValidate style={{ display: 'contents' }} onSubmit={(e) => void send(e)}>
        {children}
        {root ? <p role="alert">{root.message}</p> : null}
        {root ? against : null}
        <Row>
          {/* Pressed twice, it is written once. */}
          <Button type="submit" kind="main" isDisabled={isSubmitting}>
            {submit}
          </Button>
          {more}
        </Row>
      </form>
    </FormProvider>
  );
}
