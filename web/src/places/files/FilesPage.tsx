import { Link } from 'react-router';
import { Page } from '../../parts/Page';
import { Panel, Small, Stack } from '../../parts/Panel';
import { LinkButton } from '../../parts/LinkButton';
import { BookIn } from './BookIn';
import { ImportFlow } from './ImportFlow';
import { PassportIn } from './PassportIn';

/** Files in and out. */
export function FilesPage() {
  return (
    <Page
      title="In and out"
      actions={
        <LinkButton as={Link} to="/holding">
          Back to Holding
        </LinkButton>
      }
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
          <PassportIn />
          <BookIn />
        </>
      }
    >
      <ImportFlow />
    </Page>
  );
}
