import type { ReadingBook } from '@yaylak/contract';
import { FilePick } from '../../parts/FilePick';
import { NotePanel, Panel, Row, Small } from '../../parts/Panel';
import { Progress } from '../../parts/Progress';
import { useBookIn } from './useBookIn';

const megabytes = (bytes: number): string => (bytes / 1_000_000).toFixed(1);
const PHASE_WORDS: Readonly<Record<ReadingBook['phase'], (progress: ReadingBook) => string>> = {
  reading: ({ done, of }) => `Checked ${megabytes(done)} of ${megabytes(of)} MB`,
  writing: ({ done, of }) => `Written ${done} of ${of} entries`,
  opening: () => 'Opening the book',
};

/** A whole book into an empty holding, with how far it has come. */
export function BookIn() {
  const { said, progress, read, stop } = useBookIn();
  return (
    <Panel>
      <h2>A whole book, in</h2>
      <Small>Only into an empty holding, whole or not at all.</Small>
      <Row style={{ margin: '12px 0' }}>
        {progress ? null : <FilePick label="Choose a book file" accept=".json" onPick={(file) => void read(file)} />}
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
