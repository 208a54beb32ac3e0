import { useQuery, useQueryClient } from '@tanstack/react-query';
import {
  guessColumns,
  guessUnit,
  type ColumnMapping,
  type DateOrder,
  type ImportKind,
  type WeightUnit,
} from '@yaylak/core';
import { useState } from 'react';
import { groupsQuery, holdingQuery, identifiersQuery } from '../../api/queries';
import { readAgain } from '../../api/readAgain';
import { useUndo } from '../../parts/Undo';

import type { Preview } from './importer';
import { importWorker } from './importWorkerClient';
import type { Encoding, FileTable } from '../../adapters/files/readTable';
import { refusedWords } from '../../adapters/files/refusedWords';
import { telling } from '../../adapters/telling';
import type { RowOutcome } from './sendRows';
import { writerOf } from '../../words/writer';
import { say } from '@yaylak/contract';

interface Opened {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly table: FileTable;
  readonly sample: FileTable['rows'];
}

interface Choices {
  readonly kind: ImportKind;
  readonly mapping: ColumnMapping;
  readonly unit: WeightUnit;
  readonly dateOrder: DateOrder;
  readonly takesAgain: boolean;
  /** Whether dams and sires that are nowhere else are kept as known by their number. */
  readonly takesParents: boolean;
}

export interface ImportState {
  readonly choices: Choices;
  readonly opened: Opened | undefined;
  readonly preview: Preview | undefined;
  readonly done: Preview | undefined;
  readonly progress: { readonly done: number; readonly of: number } | undefined;
  readonly problem: string | undefined;
  /** Lines with a doubted weight that are to be taken as they stand. */
  readonly taken: ReadonlySet<number>;
  readonly take: (lines: readonly number[], isTaken: boolean) => void;
  /** Reads a file; its columns are guessed, or remembered from the last file with the same headings. */
  readonly open: (
    file: { readonly name: string; readonly bytes: Uint8Array },
    as?: { kind?: ImportKind; encoding?: Encoding },
  ) => Promise<void>;
  /** Changes what the file means; what was looked at before no longer holds. */
  readonly choose: (change: Partial<Choices>) => void;
  /** Asks the book about every row, or writes them. */
  readonly run: (mode: 'check' | 'keep') => Promise<void>;
  readonly takeBack: () => Promise<void>;
  /** Ends the work after the batch that is on its way. */
  readonly stop: () => void;
}

/** A file that was brought in, as something to take back. */
const undoKey = ({ keptIds }: Preview): string => say('import {n}', { n: keptIds[0] ?? '' });
const mappingKey = (kind: ImportKind, headings: readonly string[]): string =>
  `yaylak-import ${kind} ${headings.join('|')}`;

/** The state of bringing a file in: opened, looked at, taken in, taken back. */
export function useImport(first: ImportKind): ImportState {
  const { data: holding } = useQuery(holdingQuery);
  const { data: identifiers } = useQuery(identifiersQuery);
  const { data: groups } = useQuery(groupsQuery);
  const client = useQueryClient();
  const undo = useUndo();
  const [chosen, setChosen] = useState<Partial<Choices>>({});
  const [opened, setOpened] = useState<Opened>();
  const [preview, setPreview] = useState<Preview>();
  const [done, setDone] = useState<Preview>();
  const [progress, setProgress] = useState<ImportState['progress']>();
  const [problem, setProblem] = useState<string>();
  const [taken, setTaken] = useState<ReadonlySet<number>>(new Set());
  const choices: Choices = {
    kind: first,
    mapping: {},
    unit: holding?.unit ?? 'kg',
    dateOrder: holding?.dateOrder === 'month-day' ? 'month-day' : 'day-month',
    takesAgain: false,
    takesParents: true,
    ...chosen,
  };

  const startOver = (): void => {
    setPreview(undefined);
    setDone(undefined);
    setProblem(undefined);
    setTaken(new Set());
  };
  const withProgress = async <T>(
    work: (onProgress: (n: number, of: number) => void) => Promise<T>,
  ): Promise<T | undefined> => {
    setProgress({ done: 0, of: 1 });
    setProblem(undefined);
    try {
      return await telling((n: number, of: number) => setProgress({ done: n, of }), work);
    } catch (error) {
      setProblem(
        say('{message} What was taken in before stays; the same file again takes the rest.', {
          message: (error as Error).message,
        }),
      );
      return undefined;
    } finally {
      setProgress(undefined);
    }
  };

  const open: ImportState['open'] = async ({ name, bytes }, as = {}) => {
    startOver();
    const kind = as.kind ?? choices.kind;
    const answer = await importWorker().read(bytes, as.encoding);
    if (answer.kind === 'refused') {
      setOpened(undefined);
      setProblem(`“${name}” ${refusedWords(answer)}`);
      return;
    }
    setOpened({ name, bytes, table: answer.table, sample: answer.sample ?? [] });
    const remembered = localStorage.getItem(mappingKey(kind, answer.table.headings));
    const { headings } = answer.table;
    const mapping = remembered ? (JSON.parse(remembered) as ColumnMapping) : guessColumns(kind, headings);
    const unit = guessUnit(mapping, headings);
    setChosen((c) => ({ ...c, kind, mapping, ...(unit === undefined ? {} : { unit }) }));
  };

  const run: ImportState['run'] = async (mode) => {
    if (!opened) return;
    const { kind, mapping, dateOrder, takesAgain, takesParents } = choices;
    localStorage.setItem(mappingKey(kind, opened.table.headings), JSON.stringify(mapping));
    const skipLines =
      mode === 'keep' ? [...linesOf(preview, 'refused'), ...doubtfulLines(preview).filter((l) => !taken.has(l))] : [];
    const result = await withProgress(async (onProgress) => {
      // Judged by the settings and against all numbers there are: while they are still being read, every row would speak
      // of nobody.
      const [here, known, all] = await Promise.all([
        holding ?? client.ensureQueryData({ ...holdingQuery }).then((read) => holdingQuery.select(read)),
        identifiers ?? client.ensureQueryData(identifiersQuery),
        groups ?? client.ensureQueryData(groupsQuery),
      ]);
      const context = {
        kind,
        mapping,
        choices: { unit: chosen.unit ?? here.unit, dateOrder },
        identifiers: known.map(({ animalId, text, isPresent, isWorn, colour, species, sex }) => ({
          animalId,
          text,
          isPresent,
          isWorn,
          colour,
          species,
          sex,
        })),
        groups: all.map(({ id, name }) => ({ id, name })),
        takesParents,
        today: here.today,
        writtenBy: writerOf(here),
      };
      return importWorker().run(context, { mode, skipLines, takesAgain }, onProgress);
    });
    if (!result) return;
    if (mode === 'check') return setPreview(result);
    setDone(result);
    if (result.keptIds.length > 0)
      undo.keep({
        done: say('Took in {n} {n, plural, one {row} other {rows}} of “{name}”', {
          n: linesOf(result, 'kept').length,
          name: opened.name,
        }),
        undo: { kind: 'strike', entries: result.keptIds.map((id) => ({ id, on: holding?.today ?? '' })) },
        key: undoKey(result),
      });
    void readAgain(client);
  };

  const takeBack = async (): Promise<void> => {
    if (!holding) return;
    const stamp = { on: holding.today, writtenBy: writerOf(holding) };
    const back = await withProgress((onProgress) => importWorker().takeBack(stamp, onProgress));
    if (!back) return;
    startOver();
    if (done) undo.forget(undoKey(done));
    undo.say(
      say('Taken back: {struck} {struck, plural, one {entry} other {entries}} of the file struck out.{value}', {
        struck: back.struck,
        value: back.refused.length > 0 ? ` ${say('Some stay. {list}', { list: back.refused.join(' ') })}` : '',
      }),
    );
    void readAgain(client);
  };

  return {
    choices,
    opened,
    preview,
    done,
    progress,
    problem,
    taken,
    take: (lines, isTaken) =>
      setTaken((before) => {
        const after = new Set(before);
        for (const line of lines)
          if (isTaken) after.add(line);
          else after.delete(line);
        return after;
      }),
    open,
    choose: (change) => {
      startOver();
      setChosen((c) => ({ ...c, ...change }));
    },
    run,
    takeBack,
    stop: () => void importWorker().cancel(),
  };
}

/** Lines of a result that ended one way. */
export const linesOf = (result: Preview | undefined, status: RowOutcome['status']): number[] =>
  (result?.outcomes ?? []).flatMap((o) => (o.status === status ? [o.line] : []));

/** Lines with a weight that the book doubts. */
export const doubtfulLines = (result: Preview | undefined): number[] =>
  (result?.outcomes ?? []).flatMap((o) => (o.doubtful ? [o.line] : []));
