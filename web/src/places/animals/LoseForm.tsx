import type { IdentifierView } from '@yaylak/contract';
import { EARS } from '@yaylak/core';
import { useState } from 'react';
import type { EntryDraft } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { Choice, Field } from '../../parts/Field';
import { Row, Stack } from '../../parts/Panel';
import { Tick } from '../../parts/Tick';
import { useWrite } from '../../parts/useWrite';
import { Problem } from './SelectionBar';

interface Props {
  readonly animalId: string;
  readonly identifier: IdentifierView;
  readonly words: string;
  readonly today: string;
  readonly onDone: () => void;
}

/** Writes an identifier down as lost or taken out, and the same number fitted again if it was. */
export function LoseForm({ animalId, identifier, words, today, onDone }: Props) {
  const [how, setHow] = useState<'lost' | 'removed'>('lost');
  const [on, setOn] = useState(today);
  const [reason, setReason] = useState('');
  const [isReplaced, setReplaced] = useState(false);
  const [problem, setProblem] = useState<string>();
  const write = useWrite();
  const save = async (): Promise<void> => {
    const { entryId: identifierId, kind, text, colour } = identifier;
    const ear = EARS.find((e) => e === identifier.ear);
    const drafts: EntryDraft[] = [
      {
        type: 'identifier-end',
        animalId,
        on,
        identifierId,
        how,
        ...(reason.trim() === '' ? {} : { reason: reason.trim() }),
      },
    ];
    if (isReplaced)
      drafts.push({
        type: 'identifier',
        animalId,
        on,
        kind,
        text,
        ...(colour === null ? {} : { colour }),
        ...(ear === undefined ? {} : { ear }),
      });
    const done = `${how === 'lost' ? 'Lost' : 'Taken out'}: ${words}${isReplaced ? ', fitted again' : ''}`;
    const refused = await write(drafts, done);
    setProblem(refused.join(' ') || undefined);
    if (refused.length === 0) onDone();
  };
  return (
    <form
      style={{ marginTop: 8 }}
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <Stack $gap={2}>
        <Row $gap={3} style={{ alignItems: 'flex-end' }}>
          <Choice
            label="What happened"
            value={how}
            options={[
              ['lost', 'lost'],
              ['removed', 'taken out'],
            ]}
            onChange={setHow}
          />
          <Field label="On" type="date" value={on} onChange={setOn} />
        </Row>
        <Field label="Why, if you know" placeholder="caught in the fence" value={reason} onChange={setReason} />
        <Tick label="The same number is fitted again" isSelected={isReplaced} onChange={setReplaced} />
        {problem ? <Problem role="alert">{problem}</Problem> : null}
        <Row>
          <Button type="submit" kind="main">
            Write it down
          </Button>
          <Button onPress={onDone}>Not now</Button>
        </Row>
      </Stack>
    </form>
  );
}
