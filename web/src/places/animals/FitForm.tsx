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
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Row, Stack } from '../../parts/Panel';
import { useWrite } from '../../parts/useWrite';
import { Problem } from './SelectionBar';

interface Props {
  readonly animalId: string;
  readonly today: string;
  readonly onDone: () => void;
}

/** Fits an identifier today. */
export function FitForm({ animalId, today, onDone }: Props) {
  const [kind, setKind] = useState<IdentifierKind>('visual');
  const [text, setText] = useState('');
  const [colour, setColour] = useState<TagColour>('yellow');
  const [ear, setEar] = useState<Ear | ''>('');
  const [shape, setShape] = useState<TagShape | ''>('');
  const [problem, setProblem] = useState<string>();
  const write = useWrite();
  const fit = async (): Promise<void> => {
    const refused = await write(
      [
        {
          type: 'identifier',
          animalId,
          on: today,
          kind,
          text: text.trim(),
          ...(kind === 'visual' ? { colour } : {}),
          ...(kind === 'name' || ear === '' ? {} : { ear }),
          ...(kind === 'visual' && shape !== '' ? { shape } : {}),
        },
      ],
      `Fitted ${text.trim()}`,
    );
    setProblem(refused.join(' ') || undefined);
    if (refused.length === 0) onDone();
  };
  return (
    <form
      style={{ marginTop: 8 }}
      onSubmit={(e) => {
        e.preventDefault();
        void fit();
      }}
    >
      <Stack $gap={2}>
        <Row>
          <Choice label="Kind" value={kind} options={IDENTIFIER_KINDS.map((k) => [k, k])} onChange={setKind} />
          {kind === 'visual' ? (
            <>
              <Choice label="Colour" value={colour} options={TAG_COLOURS.map((c) => [c, c])} onChange={setColour} />
              <Choice
                label="Shape"
                value={shape}
                options={[['', 'not said'], ...TAG_SHAPES.map((s) => [s, s] as const)]}
                onChange={setShape}
              />
            </>
          ) : null}
          {kind === 'name' ? null : (
            <Choice
              label="Ear"
              value={ear}
              options={[['', 'not said'], ...EARS.map((e) => [e, e] as const)]}
              onChange={setEar}
            />
          )}
        </Row>
        <Field label="Number or name" value={text} onChange={setText} autoFocus />
        {problem ? <Problem role="alert">{problem}</Problem> : null}
        <Row>
          <Button type="submit" kind="main" isDisabled={text.trim() === ''}>
            Fit it
          </Button>
          <Button onPress={onDone}>Not now</Button>
        </Row>
      </Stack>
    </form>
  );
}
