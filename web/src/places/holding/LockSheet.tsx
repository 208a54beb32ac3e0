import { LEAST_PASSPHRASE, say, type CopiesView, type LockedView } from '@yaylak/contract';
import { useState, type FormEvent } from 'react';
import styled, { createGlobalStyle } from 'styled-components';
import { ask } from '../../api/client';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { NotePanel, Row, Small, Stack } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Tick } from '../../parts/Tick';
import { phone, space } from '../../theme/tokens';

interface Props {
  /** It is encrypted already: another passphrase takes the place of the one there is. */
  readonly isLocked: boolean;
  readonly onLocked: (view: CopiesView) => void;
  readonly onClose: () => void;
}

/** Has what goes to the second place be encrypted, and shows once the words that open it as well. */
export function LockSheet({ isLocked: isLockedNow, onLocked, onClose }: Props) {
  // As it was when the sheet was opened: it goes on to say what was done.
  const [isLocked] = useState(isLockedNow);
  const [words, setWords] = useState<readonly string[]>();
  const [hasWords, setHasWords] = useState(false);
  const [isAsked, setAsked] = useState(false);
  const locked = ({ copies, words: shown }: LockedView): void => {
    onLocked(copies);
    setWords(shown);
  };
  const close = (): void => (words === undefined || hasWords ? onClose() : setAsked(true));
  return (
    <Sheet
      title={isLocked ? say('A new passphrase') : say('Encrypt the second place')}
      isOpen
      onClose={close}
      isForLooking
    >
      {words === undefined ? (
        <Passphrase isLocked={isLocked} onLocked={locked} />
      ) : (
        <Stack>
          <PrintAlone />
          <p>
            {say(
              'What goes there is encrypted. These 24 words open it as the passphrase does. They are shown now and never again: copy them onto paper or print them, and keep the paper away from the stick.',
            )}
          </p>
          <Words>
            {words.map((word, i) => (
              <li key={`${i} ${word}`}>{word}</li>
            ))}
          </Words>
          <div className="no-print">
            <Tick label={say('The words are on paper')} isSelected={hasWords} onChange={setHasWords} />
            {isAsked && !hasWords ? (
              <p role="alert">
                {say('Copy the words onto paper first, and tick that you have. They cannot be shown again.')}
              </p>
            ) : null}
          </div>
          <Row className="no-print">
            <Button onPress={() => window.print()}>{say('Print the words')}</Button>
            <Button kind="main" isDisabled={!hasWords} onPress={onClose}>
              {say('Done')}
            </Button>
          </Row>
        </Stack>
      )}
    </Sheet>
  );
}

function Passphrase({
  isLocked,
  onLocked,
}: {
  readonly isLocked: boolean;
  readonly onLocked: (v: LockedView) => void;
}) {
  const [passphrase, setPassphrase] = useState('');
  const [again, setAgain] = useState('');
  const [problem, setProblem] = useState<string>();
  const [isUnderWay, setUnderWay] = useState(false);
  const lock = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    if (passphrase !== again) return setProblem(say('The two are not the same. Type the passphrase once more.'));
    setUnderWay(true);
    setProblem(undefined);
    try {
      onLocked(await ask<LockedView>('/api/copies/second/lock', { method: 'PUT', body: { passphrase } }));
    } catch (e) {
      setProblem((e as Error).message);
      setUnderWay(false);
    }
  };
  return (
    <form noValidate onSubmit={(e) => void lock(e)}>
      <Stack>
        <p>
          {isLocked
            ? say(
                'The newest copy goes there again under the new passphrase, and those under the old one are taken out: it and its 24 words open nothing from then on.',
              )
            : say(
                'Whoever finds the stick can then read nothing on it. Choose four or five words that nobody guesses.',
              )}
        </p>
        <NotePanel $tone="weld">
          {say(
            'Without the passphrase, or the 24 words that are shown next, nobody can read these copies again. Copies that lie there now go once the first encrypted one is whole; those beside the book stay as they are.',
          )}
        </NotePanel>
        <Field
          label={say('Passphrase')}
          type="password"
          autoComplete="new-password"
          value={passphrase}
          onChange={setPassphrase}
          hint={say('{least} characters at least', { least: LEAST_PASSPHRASE })}
        />
        <Field
          label={say('The same once more')}
          type="password"
          autoComplete="new-password"
          value={again}
          onChange={setAgain}
          error={problem}
        />
        <Row>
          <Button type="submit" kind="main" isDisabled={isUnderWay || passphrase.length < LEAST_PASSPHRASE}>
            {isUnderWay ? say('Encrypting…') : say('Encrypt')}
          </Button>
          {isUnderWay ? (
            <Small>{say('A moment: this is slow on purpose, so that a passphrase is hard to guess.')}</Small>
          ) : null}
        </Row>
      </Stack>
    </form>
  );
}

/** On paper the words alone. */
const PrintAlone = createGlobalStyle`
  @media print { #root { display: none; } }
`;
const Words = styled.ol`
  columns: 3;
  margin: 0;
  padding-left: ${space(8)};
  font-weight: 600;
  li {
    padding-block: 2px;
  }
  ${phone} {
    columns: 2;
  }
`;
