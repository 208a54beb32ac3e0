import type { BookFinding } from '@yaylak/contract';
import { NotePanel, Small } from '../../parts/Panel';
import { say } from '@yaylak/contract';

const RECORD_WORDS: Readonly<Record<BookFinding['record'], string>> = {
  setting: say('Setting'),
  product: say('Product'),
  plan: say('Plan of the year'),
  template: say('Job template'),
  job: say('Job'),
  entry: say('Entry'),
  link: say('Table'),
  clock: say('Clock'),
};

/** What in the book cannot be used as it is stored, with what to do; nothing while all of it stands. */
export function Findings({ findings }: { readonly findings: readonly BookFinding[] }) {
  if (findings.length === 0) return null;
  return (
    <NotePanel $tone="madder" role="region" aria-label={say('Check the book')}>
      <h2>{say('Check the book')}</h2>
      <ul>
        {findings.map(({ record, id, message }) => (
          <li key={`${record} ${id}`}>
            <b>{RECORD_WORDS[record]}</b> <code>{id}</code>: {message}
          </li>
        ))}
      </ul>
      <Small>
        {say(
          'Each is left out; the rest of the book stands. Record it again, or put back a copy from the backups folder.',
        )}
      </Small>
    </NotePanel>
  );
}
