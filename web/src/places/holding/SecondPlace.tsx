import { say, type CopiesView, type LockedView, type SecondPlaceView } from '@yaylak/contract';
import { useState } from 'react';
import { ask } from '../../api/client';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { NotePanel, Panel, Row, Small, Stack } from '../../parts/Panel';
import { useUnsaved } from '../../parts/unsaved';
import { timeText } from '../../words/dates';
import { secondPlaceText } from '../../words/copies';
import { LockSheet } from './LockSheet';

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
      {second ? <Locked second={second} onLocked={onNamed} /> : null}
    </Panel>
  );
}

/** Whether what goes there can be read by who finds it. */
function Locked({
  second: { isLocked, isUnderWay: isBeingWritten, path },
  onLocked,
}: {
  readonly second: SecondPlaceView;
  readonly onLocked: (view: CopiesView) => void;
}) {
  const [isLocking, setLocking] = useState(false);
  const [isUnderWay, setUnderWay] = useState(false);
  const [problem, setProblem] = useState<string>();
  const unlock = async (): Promise<void> => {
    setUnderWay(true);
    setProblem(undefined);
    try {
      const { copies } = await ask<LockedView>('/api/copies/second/lock', { method: 'PUT', body: { passphrase: '' } });
      onLocked(copies);
    } catch (e) {
      setProblem((e as Error).message);
    } finally {
      setUnderWay(false);
    }
  };
  return (
    <Stack style={{ marginTop: 16 }}>
      <Small>
        {isLocked
          ? say(
              'What goes there is encrypted. With Yaylak on any computer, npm run unlock -- {path} and a new folder gets the book back out of it; it asks for the passphrase or the 24 words.',
              { path },
            )
          : say('Whoever finds the stick can read the whole book on it.')}
      </Small>
      {isBeingWritten ? (
        <p role="status">
          {say('What is there is being brought up to date. Leave the stick in until this line is gone.')}
        </p>
      ) : null}
      {problem ? <p role="alert">{problem}</p> : null}
      <Row>
        <Button isDisabled={isUnderWay} onPress={() => setLocking(true)}>
          {isLocked ? say('New passphrase') : say('Encrypt what goes there')}
        </Button>
        {isLocked ? (
          <Button kind="quiet" isDisabled={isUnderWay} onPress={() => void unlock()}>
            {isUnderWay ? say('Copying…') : say('Stop encrypting')}
          </Button>
        ) : null}
      </Row>
      {isLocking ? <LockSheet isLocked={isLocked} onLocked={onLocked} onClose={() => setLocking(false)} /> : null}
    </Stack>
  );
}
