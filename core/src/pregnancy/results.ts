import { normalised } from '../identity';
import type { GeneResult } from '../pedigree';
import type { TestResult } from './probability';
import type { AnimalId } from '../units';

/** A tube that went to a laboratory and is not answered yet. */
export interface TubeSent {
  readonly sampleId: string;
  readonly tube: string;
  readonly animalId: AnimalId;
  /** All numbers the animal wears, as the laboratory may have copied them. */
  readonly numbers: readonly string[];
  readonly purpose: 'pregnancy' | 'gene';
  /** How likely she was in young before; undefined where that is not known. */
  readonly probability: number | undefined;
}

/** A line of the laboratory's answer. */
export interface ResultRow {
  readonly line: number;
  readonly tube: string;
  /** The animal as the laboratory has it; empty where its file does not say. */
  readonly animal: string;
  readonly result: string;
  /** Of a gene test; empty for the others. */
  readonly gene: string;
}

export type ReadResult =
  | { readonly kind: 'pregnancy'; readonly result: TestResult }
  | { readonly kind: 'gene'; readonly result: GeneResult | 'doubtful' };

/** What stands against writing a line down as it is. */
export type ResultDoubt =
  | { readonly kind: 'doubtful' }
  /** The laboratory names another animal than the tube was filled from; `other` is the tube that one had. */
  | { readonly kind: 'other-animal'; readonly animal: string; readonly other: TubeSent | undefined }
  /** Against all that is known, as is a neighbour's: exchanged, both would fit. */
  | { readonly kind: 'looks-swapped'; readonly other: TubeSent }
  /** The same tube stands in the file twice with two results. */
  | { readonly kind: 'twice'; readonly otherLine: number }
  | { readonly kind: 'unreadable' };

/** Each line of a file of results, and each tube without one, with what is to be made of it. */
export type ResultMatch =
  | { readonly kind: 'good'; readonly row: ResultRow; readonly sent: TubeSent; readonly read: ReadResult }
  | {
      readonly kind: 'look';
      readonly row: ResultRow;
      readonly sent: TubeSent;
      readonly read: ReadResult | undefined;
      readonly doubt: ResultDoubt;
    }
  /** No tube of this number went out, or it is answered already. */
  | { readonly kind: 'unknown-tube'; readonly row: ResultRow }
  | { readonly kind: 'missing'; readonly sent: TubeSent };

const WORDS: Readonly<Record<TestResult, readonly string[]>> = {
  carrying: ['in young', 'carrying', 'pregnant', 'positive', 'pos', '+', 'yes'],
  empty: ['not in young', 'empty', 'open', 'not pregnant', 'negative', 'neg', '-', 'no'],
  doubtful: ['doubtful', 'repeat', 'again', 'unclear', 'not clear', '?'],
};
const GENE_WORDS: Readonly<Record<GeneResult | 'doubtful', readonly string[]>> = {
  free: ['free', 'clear', 'not carried'],
  carrier: ['carrier', 'carries'],
  affected: ['affected'],
  unaffected: ['unaffected', 'not affected'],
  doubtful: WORDS.doubtful,
};

/** A result in a laboratory's words. @returns undefined for a word not known */
export function readResult({ result, gene }: Pick<ResultRow, 'result' | 'gene'>): ReadResult | undefined {
  const plain = result.trim().toLowerCase().replaceAll(/\s+/g, ' ');
  const isIn = (words: readonly string[]): boolean => words.includes(plain);
  if (gene.trim() !== '') {
    const found = (Object.keys(GENE_WORDS) as (keyof typeof GENE_WORDS)[]).find((r) => isIn(GENE_WORDS[r]));
    return found && { kind: 'gene', result: found };
  }
  const found = (Object.keys(WORDS) as TestResult[]).find((r) => isIn(WORDS[r]));
  return found && { kind: 'pregnancy', result: found };
}

/** A result is against all that is known where the other was so much likelier. */
const UNLIKELY = 0.1;

/**
 * Holds the laboratory's lines against the tubes that went out, by tube number, in the order of the file; tubes
 * without a line come last. Nothing that does not fit is dropped or guessed.
 */
export function matchResults(sent: readonly TubeSent[], rows: readonly ResultRow[]): ResultMatch[] {
  const byTube = new Map(sent.map((s) => [normalised(s.tube), s]));
  const firstLine = new Map<string, ResultRow>();
  const answered = new Set<string>();
  const matches = rows.flatMap((row): ResultMatch[] => {
    const tube = byTube.get(normalised(row.tube));
    if (!tube) return [{ kind: 'unknown-tube', row }];
    const before = firstLine.get(tube.sampleId);
    // The same line again says nothing new.
    if (before && before.result.trim() === row.result.trim() && before.animal.trim() === row.animal.trim()) return [];
    if (!before) firstLine.set(tube.sampleId, row);
    answered.add(tube.sampleId);
    const read = readResult(row);
    const doubt: ResultDoubt | undefined = before
      ? { kind: 'twice', otherLine: before.line }
      : doubtOf(row, tube, read, sent);
    if (doubt || !read) return [{ kind: 'look', row, sent: tube, read, doubt: doubt ?? { kind: 'unreadable' } }];
    return [{ kind: 'good', row, sent: tube, read }];
  });
  const missing = sent.filter((s) => !answered.has(s.sampleId)).map((s): ResultMatch => ({ kind: 'missing', sent: s }));
  return [...withSwaps(matches), ...missing];
}

function doubtOf(
  row: ResultRow,
  tube: TubeSent,
  read: ReadResult | undefined,
  sent: readonly TubeSent[],
): ResultDoubt | undefined {
  if (!read || read.kind !== tube.purpose) return { kind: 'unreadable' };
  const animal = normalised(row.animal);
  const wears = (s: TubeSent): boolean => s.numbers.some((n) => normalised(n) === animal);
  if (animal !== '' && !wears(tube)) return { kind: 'other-animal', animal: row.animal, other: sent.find(wears) };
  return read.result === 'doubtful' ? { kind: 'doubtful' } : undefined;
}

/** Neighbours whose results both go against what is known, and would both fit if exchanged, are held for a look. */
function withSwaps(matches: readonly ResultMatch[]): ResultMatch[] {
  const against = (m: ResultMatch | undefined): 'carrying' | 'empty' | undefined => {
    if (m?.kind !== 'good' || m.read.kind !== 'pregnancy' || m.sent.probability === undefined) return undefined;
    const { probability } = m.sent;
    if (m.read.result === 'carrying' && probability < UNLIKELY) return 'carrying';
    return m.read.result === 'empty' && probability > 1 - UNLIKELY ? 'empty' : undefined;
  };
  return matches.map((m, i): ResultMatch => {
    const own = against(m);
    const other = [matches[i - 1], matches[i + 1]].find((n) => {
      const theirs = against(n);
      return own !== undefined && theirs !== undefined && theirs !== own;
    });
    return m.kind === 'good' && other?.kind === 'good'
      ? { kind: 'look', row: m.row, sent: m.sent, read: m.read, doubt: { kind: 'looks-swapped', other: other.sent } }
      : m;
  });
}
