import type { PregnancyTestEntry, ProductView } from '@yaylak/contract';
import { countedAt, scanningRate, type Standard } from '@yaylak/core';
import { amountText } from '../../words/format';
import { CARE_WORDS } from '../../words/stations';
import type { Passage } from './raceLog';
import { say, lower } from '@yaylak/contract';

/** What a job did beside weighing, a line each: doses, tubes, marks, works by hand, and what failed the look-over. */
export function jobTally(
  passages: readonly Passage[],
  products: readonly ProductView[],
  standards: readonly Standard[],
): { readonly what: string; readonly figure: string }[] {
  const heads = new Map<string, number>();
  const amounts = new Map<string, { readonly unit: string; readonly sum: number }>();
  const tubes: string[] = [];
  const scans: PregnancyTestEntry[] = [];
  const count = (what: string): void => void heads.set(what, (heads.get(what) ?? 0) + 1);
  for (const { entries } of passages)
    for (const entry of entries) {
      if (entry.type === 'treatment') {
        const name = products.find((p) => p.id === entry.productId)?.facts.name ?? say('A remedy');
        count(name);
        amounts.set(name, { unit: entry.unit, sum: (amounts.get(name)?.sum ?? 0) + entry.amount });
      } else if (entry.type === 'sample') tubes.push(entry.tube);
      else if (entry.type === 'pregnancy-test') scans.push(entry);
      else if (entry.type === 'care') count(CARE_WORDS[entry.kind]);
      else if (entry.type === 'mark')
        count(say('{colour} on the {place}', { colour: say(entry.colour), place: say(entry.place) }));
      else if (entry.type === 'identifier') count(say('Tags fitted'));
      else if (entry.type === 'look')
        for (const [id, grade] of Object.entries(entry.grades))
          if (grade === 'fail')
            count(say('Fails {word}', { word: lower(standards.find((s) => s.id === id)?.name ?? id) }));
    }
  return [
    ...scanTally(scans),
    ...[...heads].map(([what, n]) => {
      const given = amounts.get(what);
      const figure = given
        ? `${say('{n} {n, plural, one {head} other {head}}', { n })}, ${amountText(given.sum)} ${given.unit}`
        : String(n);
      return { what, figure };
    }),
    ...(tubes.length > 0
      ? [
          {
            what: say('Tubes'),
            figure:
              tubes.length === 1
                ? (tubes[0] ?? '')
                : say('{n}: {n2} to {n3}', { n: tubes.length, n2: tubes[0] ?? '', n3: tubes.at(-1) ?? '' }),
          },
        ]
      : []),
  ];
}

/** Scans of a job by count, and young for each hundred females scanned. */
function scanTally(scans: readonly PregnancyTestEntry[]): { readonly what: string; readonly figure: string }[] {
  if (scans.length === 0) return [];
  const of = (isIt: (s: PregnancyTestEntry) => boolean): number => scans.filter(isIt).length;
  const rate = scanningRate(scans.flatMap((s) => countedAt({ ...s, young: s.young }) ?? []));
  const counts = [...new Set(scans.flatMap((s) => s.young ?? []))].sort((a, b) => a - b);
  return [
    { what: say('Empty'), figure: String(of((s) => s.result === 'empty')) },
    ...counts.map((n) => ({ what: say('With {n}', { n }), figure: String(of((s) => s.young === n)) })),
    ...(of((s) => s.result === 'doubtful') > 0
      ? [{ what: say('Doubtful'), figure: String(of((s) => s.result === 'doubtful')) }]
      : []),
    ...(rate && rate.young > 0
      ? [{ what: say('Scanning % (young per 100 females)'), figure: String(Math.round(rate.per100)) }]
      : []),
  ];
}
