import { IdentifierEntry } from '@yaylak/contract';
import {
  EARS,
  IDENTIFIER_KINDS,
  TAG_COLOURS,
  TAG_SHAPES,
  type Ear,
  type IdentifierKind,
  type TagColour,
  type TagShape,
} from '@yaylak/core';
import { useWatch } from 'react-hook-form';
import { Button } from '../../parts/Button';
import { EntryForm } from '../../parts/form/EntryForm';
import { FormChoice, FormField } from '../../parts/form/fields';
import { useEntryForm } from '../../parts/form/useEntryForm';
import { Row, Stack } from '../../parts/Panel';

interface Props {
  readonly animalId: string;
  readonly today: string;
  readonly onDone: () => void;
}

interface Typed {
  readonly kind: IdentifierKind;
  readonly text: string;
  readonly colour: TagColour;
  readonly ear: Ear | '';
  readonly shape: TagShape | '';
}

const same = <T extends string>(values: readonly T[]): (readonly [T, string])[] => values.map((v) => [v, v] as const);

/** Fits an identifier today. */
export function FitForm({ animalId, today, onDone }: Props) {
  const asked = useEntryForm<Typed>({
    of: () => IdentifierEntry,
    start: { kind: 'visual', text: '', colour: 'yellow', ear: '', shape: '' },
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
    words: { text: 'Type what stands on it.' },
  });
  const kind = useWatch({ control: asked.form.control, name: 'kind' });
  return (
    <Stack $gap={2} style={{ marginTop: 8 }}>
      <EntryForm
        {...asked}
        done={({ text }) => `Fitted ${text.trim()}`}
        onDone={onDone}
        submit="Fit it"
        more={<Button onPress={onDone}>Not now</Button>}
      >
        <Row>
          <FormChoice name="kind" label="Kind" options={same(IDENTIFIER_KINDS)} />
          {kind === 'visual' ? (
            <>
              <FormChoice name="colour" label="Colour" options={same(TAG_COLOURS)} />
              <FormChoice name="shape" label="Shape" options={[['', 'not said'], ...same(TAG_SHAPES)]} />
            </>
          ) : null}
          {kind === 'name' ? null : <FormChoice name="ear" label="Ear" options={[['', 'not said'], ...same(EARS)]} />}
        </Row>
        <FormField name="text" label="Number or name" autoFocus />
      </EntryForm>
    </Stack>
  );
}
