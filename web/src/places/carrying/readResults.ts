import type { TubeOutView } from '@yaylak/contract';
import { normalised, type ResultRow, type TubeSent } from '@yaylak/core';
import { readFile } from '../../adapters/files/readFile';
import type { FileTableAnswer } from '../../adapters/files/readTable';

/** Headings a laboratory may use, by what they mean. */
const HEADINGS: Readonly<Record<'tube' | 'animal' | 'result' | 'gene', readonly string[]>> = {
  tube: ['tube', 'tubenumber', 'tubeno', 'sample', 'samplenumber', 'sampleno'],
  animal: ['animal', 'number', 'animalnumber', 'eartag', 'tag', 'electronic'],
  result: ['result', 'answer', 'finding', 'outcome'],
  gene: ['gene', 'disorder', 'test', 'marker'],
};

export type ResultsRead =
  | { readonly kind: 'rows'; readonly rows: readonly ResultRow[] }
  | { readonly kind: 'no-columns'; readonly missing: readonly string[]; readonly headings: readonly string[] }
  | Extract<FileTableAnswer, { kind: 'refused' }>;

/** A laboratory's file as lines of results; the columns are found by their headings. */
export async function readResults(bytes: Uint8Array): Promise<ResultsRead> {
  const answer = await readFile(bytes);
  if (answer.kind === 'refused') return answer;
  const { headings, rows } = answer.table;
  const plain = headings.map((h) => normalised(h).toLowerCase());
  const at = (name: keyof typeof HEADINGS): number => plain.findIndex((h) => HEADINGS[name].includes(h));
  const missing = (['tube', 'result'] as const).filter((name) => at(name) < 0);
  if (missing.length > 0) return { kind: 'no-columns', missing, headings };
  const cell = (row: readonly string[], name: keyof typeof HEADINGS): string => row[at(name)]?.trim() ?? '';
  return {
    kind: 'rows',
    rows: rows.flatMap((row, i) =>
      row.every((c) => c.trim() === '')
        ? []
        : [
            {
              line: i + 2,
              tube: cell(row, 'tube'),
              animal: cell(row, 'animal'),
              result: cell(row, 'result'),
              gene: cell(row, 'gene'),
            },
          ],
    ),
  };
}

/** A tube that is out, as core holds results against it. */
export const sentOf = ({ sampleId, tube, tag, numbers, purpose, probability }: TubeOutView): TubeSent => ({
  sampleId,
  tube,
  animalId: tag.animalId,
  numbers,
  purpose,
  probability: probability ?? undefined,
});
