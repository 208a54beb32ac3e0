import { MARK_COLOURS, MARK_PLACES, MarkEntry, say, type TagView } from '@yaylak/contract';
import type { EntryDraft } from '../../outbox/useRecord';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormChoice, FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { madeEntry } from '../../parts/form/useEntryForm';
import { useTypedForm } from '../../parts/form/useTypedForm';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';

interface Props {
  readonly tags: readonly TagView[];
  readonly today: string;
  readonly onClose: () => void;
  readonly onDone: () => void;
}

interface Typed {
  readonly colour: (typeof MARK_COLOURS)[number];
  readonly place: (typeof MARK_PLACES)[number];
  readonly purpose: string;
  readonly until: string;
}

/** A spray on several at once, and what it means. */
export function MarkSheet({ tags, today, onClose, onDone }: Props) {
  const write = useWrite();
  const many = say('{n} {n, plural, one {animal} other {animals}}', { n: tags.length });
  const draftsOf = ({ until, purpose, ...mark }: Typed): readonly EntryDraft[] =>
    tags.map(({ animalId }) => ({
      type: 'mark',
      animalId,
      on: today,
      ...mark,
      purpose: purpose.trim(),
      // A mark without an end has none.
      ...(until === '' ? {} : { until }),
    }));
  const form = useTypedForm<Typed>({
    start: { colour: 'blue', place: 'rump', purpose: '', until: '' },
    made: (typed) =>
      draftsOf(typed)
        .slice(0, 1)
        .map((draft) => madeEntry(MarkEntry, draft)),
    words: { purpose: say('Say what the mark means.') },
  });
  return (
    <Sheet title={say('Mark {many}', { many })} isOpen onClose={onClose}>
      <SendForm
        form={form}
        send={(typed) =>
          write(
            draftsOf(typed),
            say('Marked {many} {colour} on the {place}', { many, colour: say(typed.colour), place: say(typed.place) }),
          )
        }
        onDone={() => {
          onClose();
          onDone();
        }}
        submit={say('Record the mark')}
      >
        <FieldRow $gap={3}>
          <FormChoice
            name="colour"
            label={say('Spray colour')}
            options={MARK_COLOURS.map((c) => [c, say(c)] as const)}
          />
          <FormChoice
            name="place"
            label={say('Place on the body')}
            options={MARK_PLACES.map((p) => [p, say(p)] as const)}
          />
        </FieldRow>
        <FormField name="purpose" label={say('What it means')} placeholder={say('second string')} />
        <FormField name="until" label={say('Until (may be left empty)')} type="date" />
      </SendForm>
    </Sheet>
  );
}
