import { useRef, useState, type ReactNode, type SyntheticEvent } from 'react';
import { FormProvider, type FieldValues, type UseFormReturn } from 'react-hook-form';
import styled from 'styled-components';
import { colour, space } from '../../theme/tokens';
import { Button } from '../Button';
import { Row } from '../Panel';
import { useUnsaved } from '../unsaved';
import { ShownFields, unseenOf } from './shownFields';

interface Props<Typed extends FieldValues> {
  readonly form: UseFormReturn<Typed>;
  /**
   * Sends what was typed.
   * @returns what speaks against it, in words; nothing where it was taken; `asked` where it is only sent when the button
   * is pressed again, knowing what is asked
   * @param saved to be called where it goes elsewhere by itself once it is taken: nothing typed is lost by that
   */
  readonly send: (typed: Typed, saved: () => void) => Promise<readonly string[] | 'asked'>;
  readonly onDone: (typed: Typed) => void;
  readonly submit: string;
  /** Another button of the form is the next step. */
  readonly isSecond?: boolean;
  /** A key leads to the button by it. */
  readonly submitId?: string;
  /** The button is for a gloved hand. */
  readonly isTall?: boolean;
  readonly children: ReactNode;
  /** Below what stands against it: a field for a reason. */
  readonly against?: ReactNode;
  /** Beside the button that sends it. */
  readonly more?: ReactNode;
}

/** A form with its fields, what stands against it, and the button that sends it: pressed twice, it is sent once. */
export function SendForm<Typed extends FieldValues>({
  form,
  send,
  onDone,
  submit,
  isSecond = false,
  submitId,
  isTall,
  children,
  against,
  more,
}: Props<Typed>) {
  const {
    errors: { root },
    isSubmitting,
    isDirty,
  } = form.formState;
  const saved = useUnsaved(isDirty);
  const isSending = useRef(false);
  const [shown] = useState(() => new Set<string>());
  const [unseen, setUnseen] = useState<readonly string[]>([]);
  const submitted = form.handleSubmit(
    async (typed) => {
      setUnseen([]);
      const refused = await send(typed, saved);
      if (refused === 'asked') return;
      if (refused.length > 0) return form.setError('root', { message: refused.join(' ') });
      saved();
      onDone(typed);
    },
    (errors) => setUnseen(unseenOf(errors, shown)),
  );
  /** Enter twice comes before the button has been drawn anew. */
  const submitOnce = async (event: SyntheticEvent): Promise<void> => {
    event.preventDefault();
    if (isSending.current) return;
    isSending.current = true;
    try {
      await submitted(event);
    } finally {
      isSending.current = false;
    }
  };
  return (
    <FormProvider {...form}>
      <ShownFields.Provider value={shown}>
        <Fields noValidate onSubmit={(e) => void submitOnce(e)}>
          {children}
          {unseen.length > 0 ? <Against role="alert">{[...new Set(unseen)].join(' ')}</Against> : null}
          {root ? <Against role="alert">{root.message}</Against> : null}
          {root ? against : null}
          <Row>
            <Button
              type="submit"
              kind={isSecond ? 'plain' : 'main'}
              isDisabled={isSubmitting}
              {...(submitId === undefined ? {} : { id: submitId })}
              {...(isTall ? TALL : {})}
            >
              {submit}
            </Button>
            {more}
          </Row>
        </Fields>
      </ShownFields.Provider>
    </FormProvider>
  );
}

const TALL = { style: { minHeight: 64 } };
const Fields = styled.form`
  display: flex;
  flex-direction: column;
  gap: ${space(4)};
`;
const Against = styled.p`
  color: ${colour('madder')};
  font-weight: 600;
`;
