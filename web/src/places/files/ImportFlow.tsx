import { useQuery, useQueryClient } from '@tanstack/react-query';
import {
  guessColumns,
  IMPORT_FIELDS,
  REQUIRED_FIELDS,
  type ColumnMapping,
  type DateOrder,
  type ImportField,
  type ImportKind,
  type WeightUnit,
} from '@yaylak/core';
import { proxy } from 'comlink';
import { useState } from 'react';
import styled from 'styled-components';
import { groupsQuery, holdingQuery, identifiersQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Field';
import { NotePanel, Panel, Row, Small, Stack } from '../../parts/Panel';
import { colour, space } from '../../theme/tokens';
import { countText } from '../../words/format';
import { entryFieldWord, faultWords, fieldWord } from './faultWords';
import { FilePick } from './FilePick';
import type { Preview } from './import.worker';
import { ENCODINGS, MOST_MEGABYTES, type Encoding, type FileTable } from './readTable';
import { importWorker } from './importWorkerClient';

interface Opened {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly table: FileTable;
  readonly sample: readonly (readonly string[])[];
}

const REFUSED_WORDS = {
  empty: 'is empty. Choose another file.',
  'only-headings': 'has headings and no rows. Choose another file.',
  'not-text': 'is not a text file. Save it as CSV first.',
} as const;

const mappingKey = (kind: ImportKind, headings: readonly string[]): string =>
  `yaylak-import ${kind} ${headings.join('|')}`;

/** From a file to the book: choose, say what its columns are, look at what would happen, take it in. */
export function ImportFlow() {
  const [kind, setKind] = useState<ImportKind>('weights');
  const [opened, setOpened] = useState<Opened>();
  const [mapping, setMapping] = useState<ColumnMapping>({});
  const [unit, setUnit] = useState<WeightUnit>();
  const [dateOrder, setDateOrder] = useState<DateOrder>('day-month');
  const [preview, setPreview] = useState<Preview>();
  const [done, setDone] = useState<Preview>();
  const [progress, setProgress] = useState<{ readonly done: number; readonly of: number }>();
  const [problem, setProblem] = useState<string>();
  const { data: holding } = useQuery(holdingQuery);
  const { data: identifiers } = useQuery(identifiersQuery);
  const { data: groups } = useQuery(groupsQuery);
  const client = useQueryClient();
  const shownUnit = unit ?? holding?.unit ?? 'kg';

  const startOver = (): void => {
    setPreview(undefined);
    setDone(undefined);
    setProblem(undefined);
  };
  const open = async (name: string, bytes: Uint8Array, asKind: ImportKind, encoding?: Encoding): Promise<void> => {
    startOver();
    const answer = await importWorker().read(bytes, encoding);
    if (answer.kind === 'refused') {
      setOpened(undefined);
      setProblem(
        `“${name}” ${answer.reason === 'too-large' ? `has ${answer.megabytes.toFixed(0)} MB; up to ${MOST_MEGABYTES} MB are read at a time. Split it into parts.` : REFUSED_WORDS[answer.reason]}`,
      );
      return;
    }
    setOpened({ name, bytes, table: answer.table, sample: answer.sample ?? [] });
    const remembered = localStorage.getItem(mappingKey(asKind, answer.table.headings));
    setMapping(remembered ? (JSON.parse(remembered) as ColumnMapping) : guessColumns(asKind, answer.table.headings));
  };
  const run = async (mode: 'check' | 'keep'): Promise<void> => {
    if (!opened || !holding) return;
    setProblem(undefined);
    localStorage.setItem(mappingKey(kind, opened.table.headings), JSON.stringify(mapping));
    const context = {
      kind,
      mapping,
      choices: { unit: shownUnit, dateOrder },
      identifiers: (identifiers ?? []).map(({ animalId, text, isPresent, isWorn }) => ({
        animalId,
        text,
        isPresent,
        isWorn,
      })),
      groups: (groups ?? []).map(({ id, name }) => ({ id, name })),
      today: holding.today,
      writtenBy: holding.keeper,
    };
    const skip = (preview?.outcomes ?? []).filter((o) => o.status === 'refused').map((o) => o.line);
    setProgress({ done: 0, of: 1 });
    try {
      const result = await importWorker().run(
        context,
        mode,
        mode === 'keep' ? skip : [],
        proxy((n: number, of: number) => setProgress({ done: n, of })),
      );
      if (mode === 'check') setPreview(result);
      else {
        setDone(result);
        await client.invalidateQueries();
      }
    } catch (error) {
      setProblem(`${(error as Error).message} What was taken in before stays; the same file again takes the rest.`);
    } finally {
      setProgress(undefined);
    }
  };
  const missing = REQUIRED_FIELDS[kind].filter((f) => mapping[f] === undefined);
  const refused = preview?.outcomes.filter((o) => o.status === 'refused') ?? [];
  const fresh = preview?.outcomes.filter((o) => o.status === 'kept') ?? [];
  const known = preview?.outcomes.filter((o) => o.status === 'already-kept') ?? [];
  const badCount = (preview?.bad.length ?? 0) + refused.length;

  return (
    <Stack>
      <Panel>
        <h2>1. A file to bring in</h2>
        <Row $gap={3} style={{ marginTop: 12, alignItems: 'flex-end' }}>
          <Choice
            label="It holds"
            value={kind}
            options={[
              ['weights', 'weights'],
              ['animals', 'animals'],
            ]}
            onChange={(next) => {
              setKind(next);
              if (opened) void open(opened.name, opened.bytes, next, opened.table.encoding);
            }}
          />
          <FilePick
            label="Choose a CSV file"
            accept=".csv,.txt,text/csv"
            onPick={(file) => void file.arrayBuffer().then((b) => open(file.name, new Uint8Array(b), kind))}
          />
          {opened ? (
            <b>{opened.name}</b>
          ) : (
            <Small>Commas, semicolons or tabs; the first line holds the headings.</Small>
          )}
        </Row>
        {problem ? (
          <NotePanel $tone="madder" role="alert" style={{ marginTop: 12 }}>
            {problem}
          </NotePanel>
        ) : null}
      </Panel>
      {opened ? (
        <Panel>
          <h2>2. What its columns are</h2>
          <Columns>
            {IMPORT_FIELDS[kind].map((field: ImportField) => (
              <Choice
                key={field}
                label={`${fieldWord(field)}${REQUIRED_FIELDS[kind].includes(field) ? ' (needed)' : ''}`}
                value={String(mapping[field] ?? '')}
                options={[
                  ['', 'not in the file'],
                  ...opened.table.headings.map((h, i) => [String(i), h || `column ${i + 1}`] as const),
                ]}
                onChange={(v) => {
                  startOver();
                  setMapping((m) => {
                    const next = { ...m };
                    if (v === '') delete next[field];
                    else next[field] = Number(v);
                    return next;
                  });
                }}
              />
            ))}
          </Columns>
          <Row $gap={3} style={{ alignItems: 'flex-end' }}>
            {kind === 'weights' ? (
              <Choice
                label="Weights are in"
                value={shownUnit}
                options={[
                  ['kg', 'kilograms'],
                  ['lb', 'pounds'],
                ]}
                onChange={(u) => {
                  startOver();
                  setUnit(u);
                }}
              />
            ) : null}
            <Choice
              label="31/3 or 3/31"
              value={dateOrder}
              options={[
                ['day-month', 'day first'],
                ['month-day', 'month first'],
              ]}
              onChange={(o) => {
                startOver();
                setDateOrder(o);
              }}
            />
            <Choice
              label="Letters are written as"
              value={opened.table.encoding}
              options={ENCODINGS.map((e) => [e, e])}
              onChange={(e) => void open(opened.name, opened.bytes, kind, e)}
            />
          </Row>
          <SampleFrame>
            <Sample>
              <thead>
                <tr>
                  {opened.table.headings.map((h, i) => (
                    <th key={i}>{h}</th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {opened.sample.map((cells, i) => (
                  <tr key={i}>
                    {cells.map((c, j) => (
                      <td key={j}>{c}</td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </Sample>
          </SampleFrame>
          <Row>
            <Button
              kind={preview ? 'plain' : 'main'}
              isDisabled={missing.length > 0 || progress !== undefined}
              onPress={() => void run('check')}
            >
              Look at what would happen
            </Button>
            {missing.length > 0 ? (
              <Small>Say which column is the {missing.map(fieldWord).join(' and the ')}.</Small>
            ) : null}
          </Row>
        </Panel>
      ) : null}
      {progress ? (
        <Panel role="status">
          <progress aria-label="Progress" value={progress.done} max={progress.of} style={{ width: '100%' }} />
          <Row>
            <span>
              {progress.done} of {progress.of} rows
            </span>
            <Button onPress={() => void importWorker().cancel()}>Stop</Button>
          </Row>
        </Panel>
      ) : null}
      {preview && !done ? (
        <Panel>
          <h2>3. What would happen</h2>
          <p>
            Of {countText(preview.rows, 'row', 'rows')}: <b>{fresh.length} new</b>, {known.length} in the book already,{' '}
            <b>{badCount} cannot be taken</b>.
          </p>
          <BadRows bad={preview.bad} refused={refused} />
          <Row style={{ marginTop: 12 }}>
            <Button
              kind="main"
              isDisabled={fresh.length === 0 || progress !== undefined}
              onPress={() => void run('keep')}
            >
              Take in {fresh.length}
            </Button>
          </Row>
        </Panel>
      ) : null}
      {done ? (
        <NotePanel $tone="moss" role="status">
          <h2>
            {done.outcomes.filter((o) => o.status === 'kept').length} taken in{done.isWhole ? '' : ', then stopped'}
          </h2>
          <p>
            {done.outcomes.filter((o) => o.status === 'already-kept').length} were in the book already. {badCount} left
            out.
          </p>
          <BadRows bad={done.bad} refused={[...refused, ...done.outcomes.filter((o) => o.status === 'refused')]} />
        </NotePanel>
      ) : null}
    </Stack>
  );
}

const MOST_SHOWN = 200;

/** Every row that cannot be taken, with its line, column, value and reason. */
function BadRows({ bad, refused }: { readonly bad: Preview['bad']; readonly refused: Preview['outcomes'] }) {
  const lines = [
    ...bad.map((b) => ({ line: b.line, column: fieldWord(b.fault.field), words: faultWords(b.fault) })),
    ...refused.map((r) => ({ line: r.line, column: entryFieldWord(r.field), words: r.message ?? '' })),
  ].sort((a, b) => a.line - b.line);
  if (lines.length === 0) return null;
  return (
    <Sample data-testid="bad-rows">
      <thead>
        <tr>
          <th>Line</th>
          <th>Column</th>
          <th>Why</th>
        </tr>
      </thead>
      <tbody>
        {lines.slice(0, MOST_SHOWN).map((l) => (
          <tr key={`${l.line} ${l.column}`}>
            <td>{l.line}</td>
            <td>{l.column}</td>
            <td>{l.words}</td>
          </tr>
        ))}
      </tbody>
      {lines.length > MOST_SHOWN ? <caption>and {lines.length - MOST_SHOWN} more</caption> : null}
    </Sample>
  );
}

const Columns = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: ${space(3)};
  margin: ${space(3)} 0;
`;
const SampleFrame = styled.div`
  overflow-x: auto;
  margin: ${space(3)} 0;
`;
const Sample = styled.table`
  th,
  td {
    text-align: left;
    padding: ${space(1)} ${space(3)} ${space(1)} 0;
    border-bottom: 1px solid ${colour('line')};
    font-size: 14px;
  }
  th {
    color: ${colour('inkSoft')};
  }
  caption {
    caption-side: bottom;
    text-align: left;
  }
`;
