import { IDENTIFIER_KINDS, TAG_COLOURS, type IdentifierKind, type TagColour } from '@yaylak/core';
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
  const [problem, setProblem] = useState<string>();
  const write = useWrite();
  const fit = async (): Promise<void> => {
    const refused = await write(
      [{ type: 'identifier', animalId, on: today, kind, text: text.trim(), ...(kind === 'visual' ? { colour } : {}) }],
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
            <Choice label="Colour" value={colour} options={TAG_COLOURS.map((c) => [c, c])} onChange={setColour} />
          ) : null}
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
