import type { ProductView } from '@yaylak/contract';
import type { Standard } from '@yaylak/core';
import { amountText, countText } from '../../words/format';
import { CARE_WORDS } from '../../words/stations';
import type { Passage } from './raceLog';

/** What a job did beside weighing, a line each: doses, tubes, marks, works by hand, and what failed the look-over. */
export function jobTally(
  passages: readonly Passage[],
  products: readonly ProductView[],
  standards: readonly Standard[],
): { readonly what: string; readonly figure: string }[] {
  const heads = new Map<string, number>();
  const amounts = new Map<string, { readonly unit: string; readonly sum: number }>();
  const tubes: string[] = [];
  const count = (what: string): void => void heads.set(what, (heads.get(what) ?? 0) + 1);
  for (const { entries } of passages)
    for (const entry of entries) {
      if (entry.type === 'treatment') {
        const name = products.find((p) => p.id === entry.productId)?.facts.name ?? 'A remedy';
        count(name);
        amounts.set(name, { unit: entry.unit, sum: (amounts.get(name)?.sum ?? 0) + entry.amount });
      } else if (entry.type === 'sample') tubes.push(entry.tube);
      else if (entry.type === 'care') count(CARE_WORDS[entry.kind]);
      else if (entry.type === 'mark') count(`${entry.colour} on the ${entry.place}`);
      else if (entry.type === 'identifier') count('Tags fitted');
      else if (entry.type === 'look')
        for (const [id, grade] of Object.entries(entry.grades))
          if (grade === 'fail') count(`Fails ${(standards.find((s) => s.id === id)?.name ?? id).toLowerCase()}`);
    }
  return [
    ...[...heads].map(([what, n]) => {
      const given = amounts.get(what);
      const figure = given ? `${countText(n, 'head', 'heads')}, ${amountText(given.sum)} ${given.unit}` : String(n);
      return { what, figure };
    }),
    ...(tubes.length > 0
      ? [
          {
            what: 'Tubes',
            figure:
              tubes.length === 1 ? (tubes[0] ?? '') : `${tubes.length}: ${tubes[0] ?? ''} to ${tubes.at(-1) ?? ''}`,
          },
        ]
      : []),
  ];
}
