import { useQuery, useQueryClient } from '@tanstack/react-query';
import { PASSPORT_FORMAT, type PassportFile, type PassportsRead, say, fieldWord } from '@yaylak/contract';
import { dayOf } from '@yaylak/core';
import { useState } from 'react';
import { ask } from '../../api/client';
import { holdingQuery } from '../../api/queries';
import { readAgain } from '../../api/readAgain';
import { Button } from '../../parts/Button';
import { FilePick } from '../../parts/FilePick';
import { NotePanel, Panel, Row, Small } from '../../parts/Panel';
import { useUndo } from '../../parts/Undo';
import { fullDate } from '../../words/dates';
import { PlainTable } from './PlainTable';
import { takeBackEntries } from './sendRows';
import { writerOf } from '../../words/writer';

/** As much fits through the door in one go. */
const MOST_BYTES = 4_000_000;

interface Looked {
  readonly file: unknown;
  readonly read: PassportsRead;
  readonly isDone: boolean;
}

const STATUS_WORDS = { new: say('comes in'), here: say('already recorded'), refused: say('cannot come in') } as const;

/** Passports of animals that were bought: looked at first, then taken in, each whole or not at all. */
export function PassportIn() {
  const { data: holding } = useQuery(holdingQuery);
  const client = useQueryClient();
  const undo = useUndo();
  const [looked, setLooked] = useState<Looked>();
  const [problem, setProblem] = useState<string>();
  const [isBusy, setBusy] = useState(false);
  const send = async (file: unknown, mode: 'check' | 'keep'): Promise<void> => {
    setBusy(true);
    setProblem(undefined);
    try {
      const read = await ask<PassportsRead>(`/api/passports?mode=${mode}`, { method: 'POST', body: file as object });
      setLooked({ file, read, isDone: mode === 'keep' });
      if (mode === 'check') return;
      void readAgain(client);
      if (read.keptIds.length > 0)
        undo.offer({
          done: say('Took in {count} {count, plural, one {animal} other {animals}} from {from}', {
            count: countOf(read, 'new'),
            from: read.from,
          }),
          undo: async () => {
            const stamp = { on: holding?.today ?? '', writtenBy: writerOf(holding) };
            const back = await takeBackEntries(read.keptIds.toReversed(), {
              ...stamp,
              onProgress: () => undefined,
              isCancelled: () => false,
            });
            if (back.refused.length > 0) throw new Error(back.refused.join(' '));
            setLooked(undefined);
            await readAgain(client);
          },
        });
    } catch (error) {
      setLooked(undefined);
      setProblem((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  const open = async (file: File): Promise<void> => {
    if (file.size > MOST_BYTES)
      return setProblem(
        say('“{name}” is larger than passports can be (4 MB). Ask for it in two files.', { name: file.name }),
      );
    setLooked(undefined);
    const read = readJson(await file.text());
    if ((read as Partial<PassportFile> | null | undefined)?.format !== PASSPORT_FORMAT)
      return setProblem(
        say('“{name}” is not a passport file. Choose the file the seller gave you.', { name: file.name }),
      );
    await send(read, 'check');
  };
  return (
    <Panel>
      <h2>{say('Passports, in')}</h2>
      <Small>{say('Animals you bought, with their history, from a file another Yaylak wrote.')}</Small>
      <Row style={{ margin: '12px 0' }}>
        <FilePick label={say('Choose a passport file')} accept=".json" onPick={(file) => void open(file)} />
      </Row>
      {problem ? (
        <NotePanel $tone="madder" role="alert">
          {problem}
        </NotePanel>
      ) : null}
      {looked ? <What looked={looked} isBusy={isBusy} onTake={() => void send(looked.file, 'keep')} /> : null}
    </Panel>
  );
}

function readJson(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}

const countOf = ({ animals }: PassportsRead, status: PassportsRead['animals'][number]['status']): number =>
  animals.filter((a) => a.status === status).length;

interface WhatProps {
  readonly looked: Looked;
  readonly isBusy: boolean;
  readonly onTake: () => void;
}

function What({ looked: { read, isDone }, isBusy, onTake }: WhatProps) {
  const fresh = countOf(read, 'new');
  return (
    <>
      <p role="status">
        {say('From {value}, {date}. {value2}', {
          value: read.from === '' ? say('a holding without a name') : read.from,
          date: fullDate(read.madeOn),
          value2: isDone
            ? say('{fresh} taken in, as bought today.', { fresh })
            : say('{fresh} of {n} can come in.', { fresh, n: read.animals.length }),
        })}
      </p>
      <PlainTable>
        <thead>
          <tr>
            <th>{say('Animal')}</th>
            <th>{say('What happens')}</th>
          </tr>
        </thead>
        <tbody>
          {read.animals.map((a) => (
            <tr key={a.id}>
              <td>
                {a.number}
                <Small>
                  {fieldWord(a, a.bornOn === null ? undefined : dayOf(read.madeOn) - dayOf(a.bornOn))}
                  {a.bornOn === null ? '' : say(', born {date}', { date: fullDate(a.bornOn) })}
                </Small>
              </td>
              <td>
                {isDone && a.status === 'new' ? say('taken in') : STATUS_WORDS[a.status]}
                {a.status === 'new'
                  ? say(', {history} {history, plural, one {entry} other {entries}} of history', { history: a.history })
                  : ''}
                {a.message === null ? null : <Small>{a.message}</Small>}
              </td>
            </tr>
          ))}
        </tbody>
      </PlainTable>
      {isDone ? null : (
        <Row style={{ marginTop: 12 }}>
          <Button kind="main" isDisabled={fresh === 0 || isBusy} onPress={onTake}>
            {say('Take in {fresh} {fresh, plural, one {animal} other {animals}}', { fresh })}
          </Button>
        </Row>
      )}
    </>
  );
}
