import type { ChoosingView } from '@yaylak/contract';
import { neutralCell } from '@yaylak/core';
import { unparse } from 'papaparse';
import { DRAFT_DECISION_WORDS } from '../../words/choosing';
import { saveFile } from '../../words/saveFile';
import { daysLeft } from '../../words/withheld';
import { choosable, decisionOf, type Choosable } from './decisions';
import { say } from '@yaylak/contract';

const COLUMNS: readonly (readonly [heading: string, cell: (a: Choosable, today: string) => string | number | null])[] =
  [
    ['choice', (a) => DRAFT_DECISION_WORDS[decisionOf(a)].toLowerCase()],
    ['number', (a) => a.tag.text],
    [say('other identifiers'), (a) => a.worn.filter((text) => text !== a.tag.text).join(' ')],
    ['colour', (a) => a.tag.colour],
    [say('born as'), (a) => a.birthType],
    [say('reared as'), (a) => a.rearingType],
    ['dam', (a) => a.dam?.text ?? null],
    ['sire', (a) => a.sire?.text ?? null],
    [say('last weight kg'), (a) => a.lastKg],
    [say('weighed on'), (a) => a.lastOn],
    ['place', (a) => ('place' in a ? a.place : null)],
    ['failed', (a) => a.eye.failed.map((f) => f.name).join(', ')],
    ['reason', (a) => a.decided?.reason ?? a.eye.letBack],
    [say('reserved for'), (a) => a.tag.reserved?.buyer ?? null],
    [say('meat withheld to'), (a) => a.tag.withheld?.meat ?? null],
    [say('days left'), (a, today) => (a.tag.withheld?.meat ? daysLeft(a.tag.withheld.meat, today) : null)],
  ];

/** Saves the choice as it stands as a file. */
export function choiceFile(view: ChoosingView, words: string, today: string): void {
  const data = choosable(view).map((a) =>
    COLUMNS.map(([, cell]) => {
      const value = cell(a, today);
      return value === null ? '' : neutralCell(String(value));
    }),
  );
  const name = `choice-${words.replace(/[^a-z0-9]+/gi, '-').toLowerCase()}-${today}.csv`;
  saveFile(name, 'text/csv', `${unparse({ fields: COLUMNS.map(([h]) => h), data }, { newline: '\r\n' })}\r\n`);
}
