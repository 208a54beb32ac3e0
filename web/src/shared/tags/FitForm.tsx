import { IdentifierEntry, say } from '@yaylak/contract';
import {
  EARS,
  IDENTIFIER_KINDS,
  TAG_COLOURS,
  TAG_SHAPES,
  type Ear,
  type IdentifierKind,
  type Sex,
  type Species,
  type TagColour,
  type TagShape,
} from '@yaylak/core';
import { useWatch } from 'react-hook-form';
import { Button } from '../../parts/Button';
import { EntryForm } from '../../parts/form/EntryForm';
import { FormChoice, FormField } from '../../parts/form/fields';
import { useEntryForm } from '../../parts/form/useEntryForm';
import { Row, Stack } from '../../parts/Panel';
import { useNumbersFor } from './numbersFor';
import { useTagQuestions } from './useTagQuestions';

interface Props {
  readonly animal: {
    readonly tag: { readonly animalId: string };
    readonly species: Species;
    readonly sex: Sex;
    readonly bornOn: string | null;
  };
  readonly today: string;
  /** What is offered to begin with: the kind it lacks, or the tag it lost. */
  readonly start?: Partial<Pick<Typed, 'kind' | 'text' | 'colour'>>;
  readonly onDone: () => void;
}

interface Typed {
  readonly kind: IdentifierKind;
  readonly text: string;
  readonly colour: TagColour;
  readonly ear: Ear | '';
  readonly shape: TagShape | '';
}

const same = <T extends string>(values: readonly T[]): (readonly [T, string])[] =>
  values.map((v) => [v, say(v)] as const);

/** Fits an identifier today. */
export function FitForm({ animal, today, start = {}, onDone }: Props) {
  const { animalId } = animal.tag;
  const numbersFor = useNumbersFor();
  const questions = useTagQuestions();
  const asked = useEntryForm<Typed>({
    of: () => IdentifierEntry,
    start: {
      kind: 'visual',
      text: '',
      colour: numbersFor?.(animal).colour ?? 'yellow',
      ear: '',
      shape: '',
      ...start,
    },
    read: ({ kind, text, colour, ear, shape }) => ({
      type: 'identifier',
      animalId,
      on: today,
      kind,
      text: text.trim(),
      ...(kind === 'visual' ? { colour } : {}),
      ...(kind === 'name' || ear === '' ? {} : { ear }),
      ...(kind === 'visual' && shape !== '' ? { shape } : {}),
    }),
    words: { text: say('Type what stands on it.') },
  });
  const [kind, colour] = useWatch({ control: asked.form.control, name: ['kind', 'colour'] });
  const next = numbersFor?.({ ...animal, colour }).numbers[0];
  return (
    <Stack $gap={2} style={{ marginTop: 8 }}>
      <EntryForm
        {...asked}
        questions={(draft) => questions([draft])}
        done={({ text }) => say('Fitted {trim}', { trim: text.trim() })}
        onDone={onDone}
        submit={say('Fit it')}
        more={<Button onPress={onDone}>{say('Not now')}</Button>}
      >
        <Row>
          <FormChoice name="kind" label={say('Kind')} options={same(IDENTIFIER_KINDS)} />
          {kind === 'visual' ? (
            <>
              <FormChoice name="colour" label={say('Colour')} options={same(TAG_COLOURS)} />
              <FormChoice name="shape" label={say('Shape')} options={[['', say('not said')], ...same(TAG_SHAPES)]} />
            </>
          ) : null}
          {kind === 'name' ? null : (
            <FormChoice name="ear" label={say('Ear')} options={[['', say('not said')], ...same(EARS)]} />
          )}
        </Row>
        <Row style={{ alignItems: 'flex-end' }}>
          <FormField name="text" label={say('Number or name')} autoFocus />
          {kind === 'visual' && next !== undefined ? (
            <Button kind="quiet" onPress={() => asked.form.setValue('text', next, { shouldDirty: true })}>
              {say('Next free: {next}', { next })}
            </Button>
          ) : null}
        </Row>
      </EntryForm>
    </Stack>
  );
}
