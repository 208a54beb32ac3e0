import { useQuery, useQueryClient } from '@tanstack/react-query';
import { say, type CopiesView, type CopyView } from '@yaylak/contract';
import { useState } from 'react';
import styled from 'styled-components';
import { ask, AwayError } from '../../api/client';
import { copyLossQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { NotePanel, Row, Small, Stack } from '../../parts/Panel';
import { PlainList } from '../../parts/PlainList';
import { Sheet } from '../../parts/Sheet';
import { Failed, Loading } from '../../parts/States';
import { useUndo } from '../../parts/Undo';
import { WrittenLine } from '../../parts/WrittenLine';
import { space } from '../../theme/tokens';
import { timeText } from '../../words/dates';
import { newId } from '../../words/ids';

interface Props {
  readonly copy: CopyView;
  readonly onClose: () => void;
}

const LOOK_MS = 500;
/** A book of 400,000 entries is closed, copied and opened in a fifth of it. */
const PATIENCE_MS = 120_000;

/** What would be lost if a copy took the book's place; and has it do so. */
export function PutBackSheet({ copy, onClose }: Props) {
  const { data: loss, error } = useQuery(copyLossQuery(copy.name));
  const client = useQueryClient();
  const undo = useUndo();
  const [isUnderWay, setUnderWay] = useState(false);
  const [problem, setProblem] = useState<string>();
  const at = timeText(copy.at);
  const putBack = async (): Promise<void> => {
    setUnderWay(true);
    setProblem(undefined);
    try {
      const id = newId();
      const { putBack: before } = await ask<CopiesView>(`/api/copies/${copy.name}/put-back`, {
        method: 'POST',
        body: { id },
      });
      const failed = await howItWent(id, before?.id);
      if (failed !== null)
        throw new Error(say('The copy could not be put back: {failed}. The book is as it was.', { failed }));
      await client.resetQueries();
      undo.say(say('The book is as it was at {at}. The book from before is kept as the newest copy.', { at }));
      onClose();
    } catch (e) {
      setProblem((e as Error).message);
    } finally {
      setUnderWay(false);
    }
  };
  return (
    <Sheet title={say('Put back the copy of {at}', { at })} isOpen onClose={onClose} isForLooking>
      {loss ? (
        <Stack>
          {loss.gone.entries + loss.gone.animals === 0 ? (
            <p>{say('Nothing was written since: no entry and no animal would be lost.')}</p>
          ) : (
            <>
              <NotePanel $tone="madder">
                {say(
                  '{entries, plural, one {One entry was} other {# entries were}} written since and would be lost{animals, plural, =0 {} one {, with one animal} other {, with # animals}}.',
                  { ...loss.gone },
                )}
              </NotePanel>
              <Lines aria-label={say('The last of them')}>
                {loss.newest.map((entry) => (
                  <li key={entry.id}>
                    <WrittenLine entry={entry} />
                  </li>
                ))}
              </Lines>
              {loss.gone.entries > loss.newest.length ? (
                <Small>{say('and {n} more', { n: loss.gone.entries - loss.newest.length })}</Small>
              ) : null}
            </>
          )}
          {loss.back.entries > 0 ? (
            <p>
              {say(
                '{entries, plural, one {One entry} other {# entries}} that the book no longer has would come back{animals, plural, =0 {} one {, with one animal} other {, with # animals}}.',
                { ...loss.back },
              )}
            </p>
          ) : null}
          <Small>
            {say(
              'Records, settings, labels and plans go back to what they were then as well; pictures stay. The book as it stands now is copied first, so you can put it back the same way. For a few seconds nobody can read or write; what is typed on other devices waits there.',
            )}
          </Small>
          {problem ? <p role="alert">{problem}</p> : null}
          <Row>
            <Button kind="danger" isDisabled={isUnderWay} onPress={() => void putBack()}>
              {isUnderWay ? say('Putting it back…') : say('Put it back')}
            </Button>
            <Button isDisabled={isUnderWay} onPress={onClose}>
              {say('Leave the book as it is')}
            </Button>
          </Row>
        </Stack>
      ) : error ? (
        <Failed error={error} />
      ) : (
        <Loading rows={4} />
      )}
    </Sheet>
  );
}

const Lines = styled(PlainList)`
  display: flex;
  flex-direction: column;
  gap: ${space(3)};
`;

/**
 * Waits until the book is open again.
 * @param before the one that was put back before this one
 * @returns what the machine said where it went wrong
 * @throws Error in words when it does not come back
 */
async function howItWent(id: string, before: string | undefined): Promise<string | null> {
  for (let waited = 0; waited < PATIENCE_MS; waited += LOOK_MS) {
    await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
    // No answer: it is closed at this moment.
    const view = await ask<CopiesView>('/api/copies').catch((e: unknown) => {
      if (e instanceof AwayError) return undefined;
      throw e;
    });
    if (view?.putBack?.id === id) return view.putBack.failed;
    if (view?.putBack && view.putBack.id !== before)
      throw new Error(say('Meanwhile another copy was put back from another window. Look at the copies again.'));
  }
  throw new Error(say('Yaylak has not come back yet. Look at the computer it runs on, then reload this page.'));
}
