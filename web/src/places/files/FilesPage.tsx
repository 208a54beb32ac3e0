import { Link } from 'react-router';
import { Page } from '../../parts/Page';
import { Panel, Small, Stack } from '../../parts/Panel';
import { LinkButton } from '../../parts/LinkButton';
import { BookIn } from './BookIn';
import { ImportFlow } from './ImportFlow';
import { PassportIn } from './PassportIn';
import { say } from '@yaylak/contract';

/** Files in and out. */
export function FilesPage() {
  return (
    <Page
      title={say('In and out')}
      actions={
        <LinkButton as={Link} to="/holding">
          {say('Back to Holding')}
        </LinkButton>
      }
      lead={say('Everything in the book can leave it as open files, and lists you have elsewhere can come in.')}
      aside={
        <>
          <Panel>
            <h2>{say('Out')}</h2>
            <Stack $gap={2} style={{ marginTop: 12 }}>
              <LinkButton href="/api/files/animals.csv?presence=all" download="animals.csv">
                {say('All animals as CSV')}
              </LinkButton>
              <LinkButton href="/api/files/weights.csv" download="weights.csv">
                {say('All weights as CSV')}
              </LinkButton>
              <LinkButton href="/api/book" download="yaylak-book.json">
                {say('The whole book, one file')}
              </LinkButton>
              <Small>
                {say(
                  'The whole book is a JSON file with every entry, struck ones too. Keep one somewhere else as a copy.',
                )}
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
