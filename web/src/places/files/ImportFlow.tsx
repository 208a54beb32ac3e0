import type { ImportKind } from '@yaylak/core';
import { useSearchParams } from 'react-router';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { NotePanel, Panel, Row, Small, Stack } from '../../parts/Panel';
import { Progress } from '../../parts/Progress';
import { Tick } from '../../parts/Tick';

import { BadRows } from './BadRows';
import { ColumnsPanel } from './ColumnsPanel';
import { FilePick } from '../../parts/FilePick';
import { DoubtfulRows } from './DoubtfulRows';
import type { Preview } from './importer';
import { doubtfulLines, linesOf, useImport, type ImportState } from './useImport';
import { say } from '@yaylak/contract';
import { Said } from '../../parts/Said';

const KINDS: readonly (readonly [kind: ImportKind, words: string])[] = [
  ['weights', say('weights')],
  ['animals', say('animals')],
  ['carcasses', say('a kill sheet')],
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
        <h2>{say('1. A file to bring in')}</h2>
        <Row $gap={3} style={{ marginTop: 12, alignItems: 'flex-end' }}>
          <Choice
            label={say('It holds')}
            value={choices.kind}
            options={KINDS}
            onChange={(kind) => {
              state.choose({ kind });
              if (opened) void open(opened, { kind, encoding: opened.table.encoding });
            }}
          />
          <FilePick
            label={say('Choose a spreadsheet or CSV file')}
            accept=".csv,.txt,.xlsx,text/csv"
            onPick={(file) => void file.arrayBuffer().then((b) => open({ name: file.name, bytes: new Uint8Array(b) }))}
          />
          {opened ? (
            <b>{opened.name}</b>
          ) : (
            <Small>
              {say(
                'A workbook (.xlsx, its first sheet) or text with commas, semicolons or tabs; the first line holds the headings.',
              )}
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
          <Progress
            words={say('{done} of {of}', { done: progress.done, of: progress.of })}
            {...progress}
            onStop={state.stop}
          />
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
      <h2>{say('3. What would happen')}</h2>
      <p>
        <Said
          text={
            'Of {rows} {rows, plural, one {row} other {rows}}: <0>{fresh} new</0>, {n} in the book already, <1>{n2} cannot be taken</1>'
          }
          values={{
            rows: preview.rows,
            fresh,
            n: linesOf(preview, 'already-kept').length,
            n2: preview.bad.length + refused.length,
          }}
          parts={{ 0: <b />, 1: <b /> }}
        />
        {left > 0 ? (
          <>
            , <b>{say('{left} {left, plural, one {looks} other {look}} wrong', { left })}</b>
          </>
        ) : null}
        .{preview.isWhole ? '' : ` ${say('Stopped before the end.')}`}
      </p>
      {struck > 0 || state.choices.takesAgain ? (
        <Tick
          label={
            state.choices.takesAgain
              ? say('Take in again what was struck out before')
              : say(
                  '{struck} {struck, plural, one {row was} other {rows were}} taken in before and struck out since. Take {struck, plural, one {it} other {them}} in again',
                  { struck },
                )
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
          {say('Take in {fresh}', { fresh })}
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
    : say('{list} and {n} more', { list: names.slice(0, NAMED_FIRST).join(', '), n: names.length - NAMED_FIRST });

/** What the file speaks of and the book does not have: groups that are made, parents known by their number. */
function GroupsAndParents({ state, preview }: { readonly state: ImportState; readonly preview: Preview }) {
  const { newGroups, knownParents } = preview;
  return (
    <>
      {newGroups.length > 0 ? (
        <p>
          <Said
            text={'{value} made: <0>{names}</0>.'}
            values={{
              value: newGroups.length === 1 ? say('A group is') : say('{n} groups are', { n: newGroups.length }),
              names: namesText(newGroups.map((g) => g.name)),
            }}
            parts={{ 0: <b /> }}
          />
        </p>
      ) : null}
      {knownParents.length > 0 ? (
        <p>
          {say(
            '{n} {n, plural, one {dam or sire is} other {dams and sires are}} neither in the file nor in the book: {names}.',
            { n: knownParents.length, names: namesText(knownParents) },
          )}
        </p>
      ) : null}
      {knownParents.length > 0 || !state.choices.takesParents ? (
        <Tick
          label={say('Keep such parents as known by their number, not here. Without it their young are left out.')}
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
      <h2>{say('{kept} taken in{value}', { kept, value: done.isWhole ? '' : say(', then stopped') })}</h2>
      <p>
        {say('{n} were already recorded. {n2} left out{value}.', {
          n: linesOf(done, 'already-kept').length,
          n2: done.bad.length + refused.length + doubted,
          value: doubted > 0 ? say(', {doubted} of them because the weight looked wrong', { doubted }) : '',
        })}
      </p>
      <BadRows bad={done.bad} refused={refused} />
      {kept > 0 ? (
        <Row style={{ marginTop: 12 }}>
          <Button isDisabled={state.progress !== undefined} onPress={() => void state.takeBack()}>
            {say('Take the whole file back')}
          </Button>
        </Row>
      ) : null}
    </NotePanel>
  );
}
