import { say, type CopiesView, type SecondPlaceView } from '@yaylak/contract';
import { useState } from 'react';
import { ask } from '../../api/client';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { NotePanel, Panel, Row, Small, Stack } from '../../parts/Panel';
import { useUnsaved } from '../../parts/unsaved';
import { timeText } from '../../words/dates';
import { secondPlaceText } from '../../words/copies';

interface Props {
  readonly second: SecondPlaceView | null;
  readonly onNamed: (view: CopiesView) => void;
}

/** Where copies go besides: a disk that dies takes a book and the copies beside it together. */
export function SecondPlace({ second, onNamed }: Props) {
  const [path, setPath] = useState(second?.path ?? '');
  const [error, setError] = useState<string>();
  const [isUnderWay, setUnderWay] = useState(false);
  useUnsaved(path !== (second?.path ?? ''));
  const name = async (wanted: string): Promise<void> => {
    setUnderWay(true);
    setError(undefined);
    try {
      onNamed(await ask<CopiesView>('/api/copies/second', { method: 'PUT', body: { path: wanted } }));
    } catch (e) {
      setError((e as Error).message);
    } finally {
      setUnderWay(false);
    }
  };
  return (
    <Panel>
      <form
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          void name(path);
        }}
      >
        <Stack>
          <h2>{say('A second place')}</h2>
          <Small>
            {say(
              'A folder on another disk, a stick, or another computer’s shared folder. Each copy goes there too, with the pictures: a disk that dies takes the book and the copies beside it together.',
            )}
          </Small>
          {second ? (
            second.state === 'there' ? (
              <p>
                {second.lastAt === null
                  ? say('There, with no copy on it yet.')
                  : say('There, with the copy of {at}.', { at: timeText(second.lastAt) })}
              </p>
            ) : (
              <NotePanel $tone="madder" role="status">
                {secondPlaceText(second)}
              </NotePanel>
            )
          ) : null}
          <Field
            label={say('Folder')}
            placeholder="/media/stick/copies"
            value={path}
            onChange={setPath}
            error={error}
          />
          <Row>
            <Button type="submit" isDisabled={isUnderWay || path.trim() === ''}>
              {isUnderWay ? say('Copying…') : say('Save')}
            </Button>
            {second ? (
              <Button kind="quiet" isDisabled={isUnderWay} onPress={() => void name('')}>
                {say('Do without')}
              </Button>
            ) : null}
          </Row>
        </Stack>
      </form>
    </Panel>
  );
}
