import type { AnimalView } from '@yaylak/contract';
import { ENTRY_CLASSES, say } from '@yaylak/contract';
import type { CheckFact } from '@yaylak/core';
import type { EntryDraft } from '../../outbox/useRecord';
import { FormChoice, FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { madeEntry } from '../../parts/form/useEntryForm';
import { useTypedForm } from '../../parts/form/useTypedForm';
import { Sheet } from '../../parts/Sheet';
import { useWrite } from '../../parts/useWrite';
import { CHECK_WORDS } from '../../words/condition';

interface Props {
  readonly view: AnimalView;
  readonly today: string;
  readonly onClose: () => void;
}

/** What is seen of one animal on the way past and counts when it is chosen. */
const SEEN: readonly CheckFact['what'][] = ['teeth', 'feet', 'udder', 'prolapse', 'temper'];
const OF_FEMALES: readonly CheckFact['what'][] = ['udder', 'prolapse'];

interface Typed {
  readonly on: string;
  readonly what: string;
  readonly words: string;
}

/** Something seen of one animal, found wanting or found sound again. */
export function SeenSheet({ view, today, onClose }: Props) {
  const write = useWrite();
  const asked = SEEN.filter((what) => view.row.sex === 'female' || !OF_FEMALES.includes(what));
  const draftOf = ({ on, what, words }: Typed): EntryDraft => {
    const [kind = '', found] = what.split(' ');
    return {
      type: 'check',
      animalId: view.row.tag.animalId,
      on,
      what: kind as CheckFact['what'],
      isFound: found === 'found',
      ...(words.trim() === '' ? {} : { words: words.trim() }),
    };
  };
  const form = useTypedForm<Typed>({
    start: { on: today, what: '', words: '' },
    made: (typed) => [madeEntry(ENTRY_CLASSES.check, draftOf(typed))],
    words: {
      on: say('Give the day.'),
      what: say('Choose what was seen.'),
      words: say('That is too long for a remark.'),
    },
  });
  return (
    <Sheet title={say('Something seen')} isOpen onClose={onClose}>
      <SendForm
        form={form}
        send={(typed) => write([draftOf(typed)], say('Saved.'))}
        onDone={onClose}
        submit={say('Save')}
      >
        <FormChoice
          name="what"
          label={say('What')}
          options={[
            ['', say('choose')],
            ...asked.map((what) => [`${what} found`, CHECK_WORDS[what].found] as const),
            ...asked.map((what) => [`${what} clear`, CHECK_WORDS[what].clear] as const),
          ]}
        />
        <FormField name="words" label={say('Remark')} />
        <FormField name="on" label={say('On')} type="date" />
      </SendForm>
    </Sheet>
  );
}
