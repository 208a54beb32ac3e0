import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { ask, ProblemError } from '../../api/client';
import { readAgain } from '../../api/readAgain';
import { Page } from '../../parts/Page';
import { NotePanel, Panel, Row, Small, Stack } from '../../parts/Panel';
import { LinkButton } from '../../parts/LinkButton';
import { FilePick } from '../../parts/FilePick';
import { ImportFlow } from './ImportFlow';

/** Files in and out. */
export function FilesPage() {
  return (
    <Page
      title="In and out"
      actions={<Link to="/holding">Back to Holding</Link>}
      lead="Everything in the book can leave it as open files, and lists you have elsewhere can come in."
      aside={
        <>
          <Panel>
            <h2>Out</h2>
            <Stack $gap={2} style={{ marginTop: 12 }}>
              <LinkButton href="/api/files/animals.csv?presence=all" download="animals.csv">
                All animals as CSV
              </LinkButton>
              <LinkButton href="/api/files/weights.csv" download="weights.csv">
                All weights as CSV
              </LinkButton>
              <LinkButton href="/api/book" download="yaylak-book.json">
                The whole book, one file
              </LinkButton>
              <Small>
                The whole book is a JSON file with every entry, struck ones too. Keep one somewhere else as a copy.
              </Small>
            </Stack>
          </Panel>
          <WholeBookIn />
        </>
      }
    >
      <ImportFlow />
    </Page>
  );
}

/** What the server takes of a book. */
const MOST_BOOK_BYTES = 96_000_000;

/** Reads a whole book into an empty holding. */
function WholeBookIn() {
  const [said, setSaid] = useState<{ readonly isGood: boolean; readonly words: string }>();
  const client = useQueryClient();
  const read = async (file: File): Promise<void> => {
    if (file.size > MOST_BOOK_BYTES)
      return setSaid({
        isGood: false,
        words: `“${file.name}” has ${Math.round(file.size / 1_000_000)} MB; a book has up to ${MOST_BOOK_BYTES / 1_000_000}. Choose the file that was written with “The whole book”.`,
      });
    setSaid({ isGood: true, words: 'Reading …' });
    try {
      // Sent as it lies on the disk: a page that read sixty megabytes itself would stand still meanwhile.
      const done = await ask<{ animals: number; entries: number }>('/api/book', { method: 'POST', file });
      await readAgain(client);
      setSaid({ isGood: true, words: `Read in: ${done.animals} animals, ${done.entries} entries.` });
    } catch (error) {
      const isCut = error instanceof ProblemError && error.problem.type === '/problems/not-json';
      const words = isCut
        ? `“${file.name}” is not a whole JSON file. It may have been cut off; write it out again.`
        : (error as Error).message;
      setSaid({ isGood: false, words });
    }
  };
  return (
    <Panel>
      <h2>A whole book, in</h2>
      <Small>Only into an empty holding, whole or not at all.</Small>
      <Row style={{ marginTop: 12 }}>
        <FilePick label="Choose a book file" accept=".json" onPick={(f) => void read(f)} />
      </Row>
      {said ? (
        <NotePanel $tone={said.isGood ? 'moss' : 'madder'} role="status" style={{ marginTop: 12 }}>
          {said.words}
        </NotePanel>
      ) : null}
    </Panel>
  );
}
