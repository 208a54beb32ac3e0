import type { ReadingBook } from '@yaylak/contract';
import { FilePick } from '../../parts/FilePick';
import { NotePanel, Panel, Row, Small } from '../../parts/Panel';
import { Progress } from '../../parts/Progress';
import { useBookIn } from './useBookIn';
import { say, fixedText } from '@yaylak/contract';

const megabytes = (bytes: number): string => fixedText(bytes / 1_000_000, 1);
const PHASE_WORDS: Readonly<Record<ReadingBook['phase'], (progress: ReadingBook) => string>> = {
  reading: ({ done, of }) =>
    say('Checked {megabytes} of {megabytes2} MB', { megabytes: megabytes(done), megabytes2: megabytes(of) }),
  writing: ({ done, of }) => say('Written {done} of {of} entries', { done, of }),
  opening: () => say('Opening the book'),
};

/** A whole book into an empty holding, with how far it has come. */
export function BookIn() {
  const { said, progress, read, stop } = useBookIn();
  return (
    <Panel>
      <h2>{say('A whole book, in')}</h2>
      <Small>{say('Only into an empty holding, whole or not at all.')}</Small>
      <Row style={{ margin: '12px 0' }}>
        {progress ? null : (
          <FilePick label={say('Choose a book file')} accept=".json" onPick={(file) => void read(file)} />
        )}
      </Row>
      {progress ? <Progress words={PHASE_WORDS[progress.phase](progress)} {...progress} onStop={stop} /> : null}
      {said ? (
        <NotePanel $tone={said.isGood ? 'moss' : 'madder'} role="status">
          {said.words}
        </NotePanel>
      ) : null}
    </Panel>
  );
}
