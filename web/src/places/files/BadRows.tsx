import { useFirst } from '../../parts/useFirst';
import { entryFieldWord, faultWords, fieldWord } from './faultWords';
import type { Preview } from './importer';
import { PlainTable } from './PlainTable';
import { say } from '@yaylak/contract';

const MOST_SHOWN = 200;

interface Props {
  readonly bad: Preview['bad'];
  readonly refused: Preview['outcomes'];
}

/** Every row that cannot be taken, with its line, column, value and reason. */
export function BadRows({ bad, refused }: Props) {
  const lines = [
    ...bad.map((b) => ({ line: b.line, column: fieldWord(b.fault.field), words: faultWords(b.fault) })),
    ...refused.map((r) => ({ line: r.line, column: entryFieldWord(r.field), words: r.message ?? '' })),
  ].sort((a, b) => a.line - b.line);
  const { shown, more } = useFirst(lines, MOST_SHOWN);
  if (lines.length === 0) return null;
  return (
    <>
      <PlainTable data-testid="bad-rows">
        <thead>
          <tr>
            <th>{say('Line')}</th>
            <th>{say('Column')}</th>
            <th>{say('Why')}</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((l) => (
            <tr key={`${l.line} ${l.column}`}>
              <td>{l.line}</td>
              <td>{l.column}</td>
              <td>{l.words}</td>
            </tr>
          ))}
        </tbody>
      </PlainTable>
      {more}
    </>
  );
}
