import { parse, unparse } from 'papaparse';

/** A tube as it came with the holding's sheet. */
interface Tube {
  readonly tube: string;
  readonly animal: string;
  readonly isGene: boolean;
}

interface Answer {
  readonly tube: string;
  readonly animal: string;
  readonly result: string;
  readonly gene: string;
}

/** How the laboratory stands in: without a slip, or with each that happens. */
export const LABORATORY_MOODS = ['careful', 'slips'] as const;
export type LaboratoryMood = (typeof LABORATORY_MOODS)[number];

const HEADINGS = ['tube', 'animal', 'result', 'gene'] as const;
/** A made-up disorder. */
const GENE = 'wry jaw';
/** One in so many is empty. */
const EMPTY_EVERY = 5;

/**
 * What a laboratory writes back for a sheet of tubes (the holding's CSV: tube, sample, number). It knows nothing of
 * the animals: every fifth is empty, the others are in young, genes are free. With slips the first two change
 * animals, the third is in doubt, the fourth is missing, and a tube of another holding is among them.
 * @returns undefined when the file has no column for the tube
 */
export function laboratoryAnswers(sheet: string, mood: LaboratoryMood = 'careful'): string | undefined {
  const tubes = readSheet(sheet);
  if (!tubes) return undefined;
  const answers = tubes.map((t, i): Answer => ({
    tube: t.tube,
    animal: t.animal,
    result: t.isGene ? 'free' : (i + 1) % EMPTY_EVERY === 0 ? 'negative' : 'positive',
    gene: t.isGene ? GENE : '',
  }));
  const told = mood === 'careful' ? answers : withSlips(answers);
  return `${unparse({ fields: [...HEADINGS], data: told.map((a) => HEADINGS.map((h) => a[h])) }, { newline: '\r\n' })}\r\n`;
}

function readSheet(sheet: string): Tube[] | undefined {
  const { data, meta } = parse<Record<string, string>>(sheet.replace(/^\ufeff/, ''), {
    header: true,
    skipEmptyLines: true,
    transformHeader: (h) => h.trim().toLowerCase(),
  });
  if (!meta.fields?.includes('tube')) return undefined;
  return data.flatMap((row) => {
    const tube = row.tube?.trim() ?? '';
    return tube === '' ? [] : [{ tube, animal: row.number?.trim() ?? '', isGene: row.sample?.trim() === 'gene' }];
  });
}

function withSlips(answers: readonly Answer[]): Answer[] {
  const [first, second, third, , ...rest] = answers;
  return [
    ...(first ? [{ ...first, animal: second?.animal ?? first.animal }] : []),
    ...(first && second ? [{ ...second, animal: first.animal }] : []),
    ...(third ? [{ ...third, result: 'repeat' }] : []),
    ...rest,
    { tube: 'X-907', animal: '', result: 'positive', gene: '' },
  ];
}
