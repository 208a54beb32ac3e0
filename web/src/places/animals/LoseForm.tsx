import { ENTRY_CLASSES, type IdentifierView, say } from '@yaylak/contract';
import { EARS } from '@yaylak/core';
import type { EntryDraft } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormChoice, FormField, FormTick } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { madeEntry } from '../../parts/form/useEntryForm';
import { useTypedForm } from '../../parts/form/useTypedForm';
import { useWrite } from '../../parts/useWrite';

interface Props {
  readonly animalId: string;
  readonly identifier: IdentifierView;
  readonly words: string;
  readonly today: string;
  readonly onDone: () => void;
}

interface Typed {
  readonly how: 'lost' | 'removed';
  readonly on: string;
  readonly reason: string;
  readonly isReplaced: boolean;
}

/** Writes an identifier down as lost or taken out, and the same number fitted again if it was. */
export function LoseForm({ animalId, identifier, words, today, onDone }: Props) {
  const write = useWrite();
  const { entryId: identifierId, kind, text, colour } = identifier;
  const ear = EARS.find((e) => e === identifier.ear);
  const draftsOf = ({ how, on, reason, isReplaced }: Typed): EntryDraft[] => [
    {
      type: 'identifier-end',
      animalId,
      on,
      identifierId,
      how,
      ...(reason.trim() === '' ? {} : { reason: reason.trim() }),
    },
    ...(isReplaced
      ? [
          {
            type: 'identifier' as const,
            animalId,
            on,
            kind,
            text,
            ...(colour === null ? {} : { colour }),
            ...(ear === undefined ? {} : { ear }),
          },
        ]
      : []),
  ];
  const form = useTypedForm<Typed>({
    start: { how: 'lost', on: today, reason: '', isReplaced: false },
    made: (typed) => draftsOf(typed).map((draft) => madeEntry(ENTRY_CLASSES[draft.type], draft)),
    words: { on: say('Give the day.'), reason: say('Say why in fewer words.') },
  });
  const send = (typed: Typed): Promise<readonly string[]> => {
    const { how, isReplaced } = typed;
    const done = `${how === 'lost' ? say('Lost') : say('Taken out')}: ${words}${isReplaced ? say(', fitted again') : ''}`;
    return write(draftsOf(typed), done);
  };
  return (
    <SendForm
      form={form}
      send={send}
      onDone={onDone}
      submit={say('Save')}
      more={<Button onPress={onDone}>{say('Not now')}</Button>}
    >
      <FieldRow $gap={3}>
        <FormChoice
          name="how"
          label={say('What happened')}
          options={[
            ['lost', say('lost')],
            ['removed', say('taken out')],
          ]}
        />
        <FormField name="on" label={say('On')} type="date" />
      </FieldRow>
      <FormField name="reason" label={say('Why, if you know')} placeholder={say('caught in the fence')} />
      <FormTick name="isReplaced" label={say('The same number is fitted again')} />
    </SendForm>
  );
}
