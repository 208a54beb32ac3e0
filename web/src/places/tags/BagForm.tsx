import { BlankTags, say, SPECIES_WORDS } from '@yaylak/contract';
import { blanksIn, SPECIES, TAG_COLOURS, TAG_SHAPES } from '@yaylak/core';
import { useWatch } from 'react-hook-form';
import { Button } from '../../parts/Button';
import { FieldRow } from '../../parts/form/FieldRow';
import { FormChoice, FormField } from '../../parts/form/fields';
import { SendForm } from '../../parts/form/SendForm';
import { useTypedForm } from '../../parts/form/useTypedForm';
import { Small } from '../../parts/Panel';
import { newId } from '../../words/ids';

type Typed = Omit<BlankTags, 'id'>;

interface Props {
  /** @returns what speaks against it, in words; nothing where it was kept */
  readonly keep: (bag: BlankTags) => Promise<string | undefined>;
  readonly onClose: () => void;
}

const RUN = say('The same text before a running number, such as 26-0001 to 26-0080.');

/** A bag of blank tags for the drawer. */
export function BagForm({ keep, onClose }: Props) {
  const bagOf = ({ first, last, ...typed }: Typed): BlankTags => ({
    id: newId(),
    ...typed,
    first: first.trim(),
    last: last.trim(),
  });
  const form = useTypedForm<Typed>({
    start: { species: 'sheep', colour: 'yellow', shape: 'flag', first: '', last: '' },
    made: (typed) => [{ shape: BlankTags, value: bagOf(typed) }],
    also: ({ first, last }) => (blanksIn(first, last) === undefined ? { last: RUN } : {}),
  });
  const [first, last] = useWatch({ control: form.control, name: ['first', 'last'] });
  const count = blanksIn(first, last);
  return (
    <SendForm
      form={form}
      send={async (typed) => {
        const wrong = await keep(bagOf(typed));
        return wrong === undefined ? [] : [wrong];
      }}
      onDone={onClose}
      submit={say('Put it in')}
      more={<Button onPress={onClose}>{say('Not now')}</Button>}
    >
      <FieldRow>
        <FormChoice name="species" label={say('For')} options={SPECIES.map((s) => [s, SPECIES_WORDS[s].plural])} />
        <FormChoice name="colour" label={say('Tag colour')} options={TAG_COLOURS.map((c) => [c, say(c)])} />
        <FormChoice name="shape" label={say('Shape')} options={TAG_SHAPES.map((s) => [s, say(s)])} />
      </FieldRow>
      <FormField name="first" label={say('First number')} />
      <FormField name="last" label={say('Last number')} />
      {form.formState.errors.last ? null : <Small>{count === undefined ? RUN : say('{count} tags', { count })}</Small>}
    </SendForm>
  );
}
