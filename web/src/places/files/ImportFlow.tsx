import type { ImportKind } from '@yaylak/core';
import { useSearchParams } from 'react-router';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Field';
import { NotePanel, Panel, Row, Small, Stack } from '../../parts/Panel';
import { Progress } from '../../parts/Progress';
import { Tick } from '../../parts/Tick';
import { countText } from '../../words/format';
import { BadRows } from './BadRows';
import { ColumnsPanel } from './ColumnsPanel';
import { FilePick } from '../../parts/FilePick';
import { DoubtfulRows } from './DoubtfulRows';
import type { Preview } from './importer';
import { doubtfulLines, linesOf, useImport, type ImportState } from './useImport';

const KINDS: readonly (readonly [kind: ImportKind, words: string])[] = [
  ['weights', 'weights'],
  ['animals', 'animals'],
  ['carcasses', 'a kill sheet'],
];

/** From a file to the book: choose, say what its columns are, look at what would happen, take it in. */
export function ImportFlow() {
  const [params] = useSearchParams();
  const of = params.get('of');
  const state = useImport(KINDS.find(([kind]) => kind === of)?.[0] ?? 'weights');
  const { choices, opened, preview, done, progress, problem, open } = state;
  return (
    <Stack>
      <Panel>
        <h2>1. A file to bring in</h2>
        <Row $gap={3} style={{ marginTop: 12, alignItems: 'flex-end' }}>
          <Choice
            label="It holds"
            value={choices.kind}
            options={KINDS}
            onChange={(kind) => {
              state.choose({ kind });
              if (opened) void open(opened, { kind, encoding: opened.table.encoding });
            }}
          />
          <FilePick
            label="Choose a spreadsheet or CSV file"
            accept=".csv,.txt,.xlsx,text/csv"
            onPick={(file) => void file.arrayBuffer().then((b) => open({ name: file.name, bytes: new Uint8Array(b) }))}
          />
          {opened ? (
            <b>{opened.name}</b>
          ) : (
            <Small>
              A workbook (.xlsx, its first sheet) or text with commas, semicolons or tabs; the first line holds the
              headings.
            </Small>
          )}
        </Row>
        {problem ? (
          <NotePanel $tone="madder" role="alert" style={{ marginTop: 12 }}>
            {problem}
          </NotePanel>
        ) : null}
      </Panel>
      {opened ? <ColumnsPanel state={state} opened={opened} /> : null}
      {progress ? (
        <Panel>
          <Progress words={`${progress.done} of ${progress.of}`} {...progress} onStop={state.stop} />
        </Panel>
      ) : null}
      {preview && !done ? <WouldHappen state={state} preview={preview} /> : null}
      {done ? <Happened state={state} done={done} /> : null}
    </Stack>
  );
}

/** What the book says of every row, before one is written. */
function WouldHappen({
  state,
  preview,
}: {
  readonly state: ImportState;
  readonly preview: NonNullable<ImportState['preview']>;
}) {
  const refused = preview.outcomes.filter((o) => o.status === 'refused');
  const left = doubtfulLines(preview).filter((line) => !state.taken.has(line)).length;
  const fresh = linesOf(preview, 'kept').length - left;
  const struck = linesOf(preview, 'struck-out').length;
  return (
    <Panel>
      <h2>3. What would happen</h2>
      <p>
        Of {countText(preview.rows, 'row', 'rows')}: <b>{fresh} new</b>, {linesOf(preview, 'already-kept').length} in
        the book already, <b>{preview.bad.length + refused.length} cannot be taken</b>
        {left > 0 ? (
          <>
            , <b>{countText(left, 'looks', 'look')} wrong</b>
          </>
        ) : null}
        .{preview.isWhole ? '' : ' Stopped before the end.'}
      </p>
      {struck > 0 || state.choices.takesAgain ? (
        <Tick
          label={
            state.choices.takesAgain
              ? 'Take in again what was struck out before'
              : `${countText(struck, 'row was', 'rows were')} taken in before and struck out since. Take ${struck === 1 ? 'it' : 'them'} in again`
          }
          isSelected={state.choices.takesAgain}
          onChange={(takesAgain) => state.choose({ takesAgain })}
        />
      ) : null}
      <GroupsAndParents state={state} preview={preview} />
      <DoubtfulRows outcomes={preview.outcomes} state={state} />
      <BadRows bad={preview.bad} refused={refused} />
      <Row style={{ marginTop: 12 }}>
        <Button
          kind="main"
          isDisabled={fresh === 0 || state.progress !== undefined}
          onPress={() => void state.run('keep')}
        >
          Take in {fresh}
        </Button>
      </Row>
    </Panel>
  );
}

const NAMED_FIRST = 8;

/** A list of names in a line, the rest counted. */
const namesText = (names: readonly string[]): string =>
  names.length <= NAMED_FIRST
    ? names.join(', ')
    : `${names.slice(0, NAMED_FIRST).join(', ')} and ${names.length - NAMED_FIRST} more`;

/** What the file speaks of and the book does not have: groups that are made, parents known by their number. */
function GroupsAndParents({ state, preview }: { readonly state: ImportState; readonly preview: Preview }) {
  const { newGroups, knownParents } = preview;
  return (
    <>
      {newGroups.length > 0 ? (
        <p>
          {newGroups.length === 1 ? 'A group is' : `${newGroups.length} groups are`} made:{' '}
          <b>{namesText(newGroups.map((g) => g.name))}</b>.
        </p>
      ) : null}
      {knownParents.length > 0 ? (
        <p>
          {countText(knownParents.length, 'dam or sire is', 'dams and sires are')} neither in the file nor in the book:{' '}
          {namesText(knownParents)}.
        </p>
      ) : null}
      {knownParents.length > 0 || !state.choices.takesParents ? (
        <Tick
          label="Keep such parents as known by their number, not here. Without it their young are left out."
          isSelected={state.choices.takesParents}
          onChange={(takesParents) => state.choose({ takesParents })}
        />
      ) : null}
    </>
  );
}

/** What was taken in, and the way back. */
function Happened({ state, done }: { readonly state: ImportState; readonly done: NonNullable<ImportState['done']> }) {
  const before = state.preview?.outcomes.filter((o) => o.status === 'refused') ?? [];
  const refused = [...before, ...done.outcomes.filter((o) => o.status === 'refused')];
  const doubted = doubtfulLines(state.preview).filter((line) => !state.taken.has(line)).length;
  const kept = linesOf(done, 'kept').length;
  return (
    <NotePanel $tone="moss" role="status">
      <h2>
        {kept} taken in{done.isWhole ? '' : ', then stopped'}
      </h2>
      <p>
        {linesOf(done, 'already-kept').length} were already recorded. {done.bad.length + refused.length + doubted} left
        out
        {doubted > 0 ? `, ${doubted} of them because the weight looked wrong` : ''}.
      </p>
      <BadRows bad={done.bad} refused={refused} />
      {kept > 0 ? (
        <Row style={{ marginTop: 12 }}>
          <Button isDisabled={state.progress !== undefined} onPress={() => void state.takeBack()}>
            Take the whole file back
          </Button>
        </Row>
      ) : null}
    </NotePanel>
  );
}
