import { useQuery } from '@tanstack/react-query';
import type { TubeOutView } from '@yaylak/contract';
import { matchResults, type ReadResult, type ResultMatch, type ResultRow, type TubeSent } from '@yaylak/core';
import { useState } from 'react';
import styled from 'styled-components';
import { tubesOutQuery } from '../../api/queries';
import { refusedWords } from '../../adapters/files/refusedWords';
import type { EntryDraft } from '../../outbox/useRecord';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { FilePick } from '../../parts/FilePick';
import { LineTable } from '../../parts/LineTable';
import { Row, Small } from '../../parts/Panel';
import { Sheet } from '../../parts/Sheet';
import { Failed, Loading } from '../../parts/States';
import { Tag } from '../../parts/Tag';
import { useWrite } from '../../parts/useWrite';
import { colour } from '../../theme/tokens';
import { TEST_RESULT_WORDS } from '../../words/carrying';
import { shortDate } from '../../words/dates';
import { readResults, sentOf } from './readResults';
import { say } from '@yaylak/contract';

/** What is made of a line that needs a look: nothing until somebody says. */
type Verdict = 'hold' | 'as-said' | 'exchange';

/** Results of a laboratory by the number on the tube: what fits is written down, what does not is held for a look. */
export function ResultsSheet({ onClose }: { readonly onClose: () => void }) {
  const write = useWrite();
  const { data: tubes, error, refetch } = useQuery(tubesOutQuery);
  const [file, setFile] = useState<{ readonly name: string; readonly rows: readonly ResultRow[] }>();
  const [laboratory, setLaboratory] = useState('');
  const [verdicts, setVerdicts] = useState<Readonly<Record<string, Verdict>>>({});
  const [problem, setProblem] = useState<string>();
  if (!tubes)
    return (
      <Sheet title={say('Read in results')} isOpen onClose={onClose}>
        {error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading rows={3} />}
      </Sheet>
    );
  const byId = new Map(tubes.map((t) => [t.sampleId, t]));
  const pick = async (picked: File): Promise<void> => {
    setVerdicts({});
    const read = await readResults(new Uint8Array(await picked.arrayBuffer()));
    if (read.kind === 'refused') return setProblem(`${picked.name} ${refusedWords(read)}`);
    if (read.kind === 'no-columns')
      return setProblem(
        say(
          '{name} has no column “{list}”; its headings are {list2}. Name the columns tube, result, and if there are any animal and gene.',
          { name: picked.name, list: read.missing.join(say('” and no “')), list2: read.headings.join(', ') },
        ),
      );
    setProblem(undefined);
    setFile({ name: picked.name, rows: read.rows });
  };
  // Held against the tubes as they are known now: what this device kept may be older than the parcel.
  const rows: readonly ResultMatch[] = file ? matchResults(tubes.map(sentOf), file.rows) : [];
  const good = rows.filter((m) => m.kind === 'good');
  const looks = rows.filter((m) => m.kind === 'look');
  const drafts = rows.flatMap((m) => draftOf(m, verdicts, byId, laboratory.trim()));
  const submit = async (): Promise<void> => {
    const refused = await write(
      drafts,
      say('Recorded {n} {n, plural, one {result} other {results}} from {n2}', {
        n: drafts.length,
        n2: file?.name ?? say('a file'),
      }),
    );
    if (refused.length > 0) return setProblem(refused.join(' '));
    onClose();
  };
  return (
    <Sheet title={say('Read in results')} isOpen onClose={onClose} width={920}>
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <FilePick
          label={say('Choose the laboratory’s file')}
          accept=".csv,.txt,.xlsx,text/csv"
          onPick={(f) => void pick(f)}
        />
        <Field label={say('Laboratory (may be left empty)')} value={laboratory} onChange={setLaboratory} />
      </Row>
      {file ? null : (
        <>
          <Small>
            {say(
              'A CSV with the columns tube and result; animal and gene where it has them. Results: in young, empty, doubtful; of a gene free, carrier, affected.',
            )}
          </Small>
          <Small>
            {tubes.length === 0
              ? say('No tube is out.')
              : say('{n} {n, plural, one {tube is} other {tubes are}} out: {list}.', {
                  n: tubes.length,
                  list: tubes.map((t) => say('{tube} of {date}', { tube: t.tube, date: shortDate(t.on) })).join(', '),
                })}
          </Small>
        </>
      )}
      {file ? (
        <>
          <p role="status">
            <b>{file.name}</b>:{' '}
            {say('{n} {n, plural, one {fits its tube} other {fit their tubes}}', { n: good.length })},{' '}
            {looks.length > 0
              ? `${say('{n} {n, plural, one {needs a look} other {need a look}}', { n: looks.length })}`
              : say('none needs a look')}
            {count(rows, 'unknown-tube') > 0
              ? say(', {count} of no tube of ours', { count: count(rows, 'unknown-tube') })
              : ''}
            {count(rows, 'missing') > 0
              ? say(', {count} {count, plural, one {tube} other {tubes}} without an answer', {
                  count: count(rows, 'missing'),
                })
              : ''}
            .
          </p>
          <LineTable>
            <thead>
              <tr>
                <th>{say('Tube')}</th>
                <th>{say('Animal')}</th>
                <th>{say('They say')}</th>
                <th>{say('What fits')}</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((m, i) => (
                <MatchRow
                  key={`${m.kind} ${i}`}
                  match={m}
                  byId={byId}
                  verdict={m.kind === 'look' ? (verdicts[keyOf(m)] ?? 'hold') : undefined}
                  onVerdict={(v) => m.kind === 'look' && setVerdicts({ ...verdicts, [keyOf(m)]: v })}
                />
              ))}
            </tbody>
          </LineTable>
        </>
      ) : null}
      {problem ? <p role="alert">{problem}</p> : null}
      {file ? (
        <Row>
          <Button kind="main" isDisabled={drafts.length === 0} onPress={() => void submit()}>
            {say('Record {n} {n, plural, one {result} other {results}}', { n: drafts.length })}
          </Button>
          <Small>{say('What is held stays out: the tube is asked for again with the next file.')}</Small>
        </Row>
      ) : null}
    </Sheet>
  );
}

const keyOf = (m: Extract<ResultMatch, { kind: 'look' }>): string => `${m.row.line} ${m.sent.sampleId}`;
const count = (rows: readonly ResultMatch[], kind: ResultMatch['kind']): number =>
  rows.filter((m) => m.kind === kind).length;

const readText = (read: ReadResult | undefined, said: string): string =>
  read === undefined ? `“${said}”` : read.kind === 'gene' ? read.result : TEST_RESULT_WORDS[read.result];

interface RowProps {
  readonly match: ResultMatch;
  readonly byId: ReadonlyMap<string, TubeOutView>;
  readonly verdict: Verdict | undefined;
  readonly onVerdict: (verdict: Verdict) => void;
}

function MatchRow({ match: m, byId, verdict, onVerdict }: RowProps) {
  if (m.kind === 'unknown-tube')
    return (
      <tr>
        <td>{m.row.tube || say('none')}</td>
        <td>{m.row.animal}</td>
        <td>{m.row.result}</td>
        <Warn>{say('no tube of this number is out; not taken (line {line})', { line: m.row.line })}</Warn>
      </tr>
    );
  const tube = byId.get(m.sent.sampleId);
  const tag = tube ? <Tag tag={tube.tag} isStatic /> : null;
  if (m.kind === 'missing')
    return (
      <tr>
        <td>{m.sent.tube}</td>
        <td>{tag}</td>
        <td>{say('nothing')}</td>
        <Warn>{say('not in this file: ask the laboratory')}</Warn>
      </tr>
    );
  const said = (
    <>
      <b>{readText(m.read, m.row.result)}</b>
      {m.row.gene ? <Small>{m.row.gene}</Small> : null}
    </>
  );
  if (m.kind === 'good')
    return (
      <tr>
        <td>{m.sent.tube}</td>
        <td>{tag}</td>
        <td>{said}</td>
        <td>{tube?.isTooSoon ? say('fits; taken too soon, so it counts as doubtful') : say('fits')}</td>
      </tr>
    );
  const other = 'other' in m.doubt ? m.doubt.other : undefined;
  return (
    <tr>
      <td>{m.sent.tube}</td>
      <td>{tag}</td>
      <td>{said}</td>
      <td>
        <WarnText>{doubtText(m, other && byId.get(other.sampleId))}</WarnText>
        {m.read?.kind === 'gene' && m.read.result === 'doubtful' ? null : m.read === undefined ? (
          <Small>{say('On hold: correct the word in the file, or record it by hand.')}</Small>
        ) : (
          <Choice
            label={say('Line {line}', { line: m.row.line })}
            isLabelHidden
            value={verdict ?? 'hold'}
            options={[
              ['hold', say('hold it, look at the tubes')],
              ['as-said', say('take it for {n}', { n: tube?.tag.text ?? say('her') })],
              ...(other
                ? [['exchange', say('it is {n}’s', { n: byId.get(other.sampleId)?.tag.text ?? other.tube })] as const]
                : []),
            ]}
            onChange={onVerdict}
          />
        )}
      </td>
    </tr>
  );
}

function doubtText(m: Extract<ResultMatch, { kind: 'look' }>, other: TubeOutView | undefined): string {
  const { doubt } = m;
  switch (doubt.kind) {
    case 'doubtful':
      return say('The laboratory is in doubt: fill a new tube.');
    case 'other-animal':
      return other
        ? say('Looks swapped: they have {animal}, and that one is tube {tube}.', {
            animal: doubt.animal,
            tube: other.tube,
          })
        : say('They have {animal}, and this tube was filled from another.', { animal: doubt.animal });
    case 'looks-swapped':
      return say(
        'Looks swapped with tube {tube}{value}: both answers go against all that is known, and exchanged both would fit.',
        { tube: doubt.other.tube, value: other ? ` (${other.tag.text})` : '' },
      );
    case 'twice':
      return say('Stands in the file twice with two answers; see line {otherLine}.', { otherLine: doubt.otherLine });
    case 'unreadable':
      return say('“{result}”{value} is not an answer to what this tube was taken for.', {
        result: m.row.result,
        value: m.row.gene ? ` ${say('for {gene}', { gene: m.row.gene })}` : '',
      });
  }
}

/** What a line comes to as an entry; nothing for what is held. */
function draftOf(
  m: ResultMatch,
  verdicts: Readonly<Record<string, Verdict>>,
  byId: ReadonlyMap<string, TubeOutView>,
  laboratory: string,
): EntryDraft[] {
  if (m.kind !== 'good' && m.kind !== 'look') return [];
  const verdict = m.kind === 'good' ? 'as-said' : (verdicts[keyOf(m)] ?? 'hold');
  const other = m.kind === 'look' && 'other' in m.doubt ? m.doubt.other : undefined;
  const sent: TubeSent | undefined = verdict === 'exchange' ? other : m.sent;
  const on = sent && byId.get(sent.sampleId)?.on;
  if (verdict === 'hold' || !sent || !m.read || on === undefined) return [];
  const base = { animalId: sent.animalId, on, sampleId: sent.sampleId, ...(laboratory === '' ? {} : { laboratory }) };
  if (m.read.kind === 'pregnancy') return [{ type: 'pregnancy-test', ...base, way: 'blood', result: m.read.result }];
  // A gene's test has no doubtful answer: it is filled anew.
  return m.read.result === 'doubtful'
    ? []
    : [{ type: 'gene-test', ...base, gene: m.row.gene.trim(), result: m.read.result }];
}

const WarnText = styled.p`
  color: ${colour('madder')};
  font-size: 14px;
`;
const Warn = styled.td`
  color: ${colour('madder')};
`;
