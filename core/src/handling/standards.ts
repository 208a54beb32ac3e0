import type { Sex, Species } from '../species';

/** What an animal is looked over for. */
export interface Standard {
  readonly id: string;
  readonly species: Species;
  /** Whom it is asked of. */
  readonly sexes: readonly Sex[];
  readonly name: string;
  /** What failing looks like, in a few words. */
  readonly fails: string;
  /** Go or no-go, or 0 to 5 points with the mark it is failed under. */
  readonly kind: 'go' | 'points';
}

export const LOOK_POINTS = 5;

/** What was found of one standard. */
export type LookGrade = 'pass' | 'fail' | number;

const ALL: readonly Sex[] = ['female', 'male', 'castrate', 'unknown'];
const standard = (
  species: Species,
  name: string,
  fails: string,
  sexes: readonly Sex[] = ALL,
  kind: Standard['kind'] = 'go',
): Standard => ({ id: `${species}-${name.toLowerCase().replace(/[^a-z]+/g, '-')}`, species, sexes, name, fails, kind });

/** Standards a new holding begins with; each holding makes its own of them. */
export const USUAL_STANDARDS: readonly Standard[] = (['sheep', 'goat', 'cattle'] as const)
  .flatMap((species) => [
    standard(species, 'Mouth', 'teeth off the pad, gaps, over- or undershot'),
    standard(species, 'Legs', 'bowed, sickle-hocked, weak pasterns'),
    standard(species, 'Feet', 'overgrown, rotten, lame'),
    standard(species, 'Udder', 'uneven, hard, extra or damaged teats', ['female']),
    standard(species, 'Testicles', 'one missing, uneven, soft or lumpy', ['male']),
    standard(species, 'Colour', 'off the holding’s colour'),
    standard(species, 'Temper', 'wild, or comes at people'),
    standard(species, 'Frame', '0 narrow and short, 5 long and deep', ALL, 'points'),
  ])
  .concat([
    standard('rabbit', 'Mouth', 'teeth long, crooked or broken'),
    standard('rabbit', 'Eyes', 'weeping, clouded'),
    standard('rabbit', 'Ears', 'crusted, torn, carried low'),
    standard('rabbit', 'Feet', 'sore hocks'),
    standard('rabbit', 'Temper', 'bites, or cannot be handled'),
    standard('rabbit', 'Frame', '0 narrow over the loin, 5 broad and full', ALL, 'points'),
  ]);

/** The standards asked of an animal. */
export const standardsFor = (
  all: readonly Standard[],
  animal: { readonly species: Species; readonly sex: Sex },
): Standard[] => all.filter((s) => s.species === animal.species && s.sexes.includes(animal.sex));

/**
 * The grade after one more press of a standard's key: fails, passes, not looked at; or 3, 4, 5, 0, 1, 2 from the middle.
 */
export function nextGrade(kind: Standard['kind'], grade: LookGrade | undefined): LookGrade | undefined {
  if (kind === 'go') return grade === undefined ? 'fail' : grade === 'fail' ? 'pass' : undefined;
  return typeof grade === 'number' ? (grade + 1) % (LOOK_POINTS + 1) : 3;
}

/** Names of the go-or-no-go standards that were failed when each was last looked at. @param looks oldest first */
export function failedAtLast(
  standards: readonly Standard[],
  looks: readonly { readonly grades: Readonly<Record<string, LookGrade>> }[],
): string[] {
  return standards.flatMap(({ id, kind, name }) => {
    const last = looks.findLast(({ grades }) => grades[id] !== undefined)?.grades[id];
    return kind === 'go' && last === 'fail' ? [name] : [];
  });
}

/**
 * A letter for each name: its first that is still free, else any free one. Names in order; the first asked wins.
 * @param taken letters that mean something else already
 */
export function letterKeys(names: readonly string[], taken: Iterable<string> = []): string[] {
  const used = new Set([...taken].map((l) => l.toLowerCase()));
  return names.map((name) => {
    const plain = name
      .toLowerCase()
      .normalize('NFD')
      .replace(/[^a-z]/g, '');
    const letter = [...plain, ...'abcdefghijklmnopqrstuvwxyz'].find((l) => !used.has(l)) ?? '';
    if (letter) used.add(letter);
    return letter;
  });
}
