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
  /** Go or no-go, or 0 to 5 points. */
  readonly kind: 'go' | 'points';
  /** Points under which it is failed; none fails where it is not set. */
  readonly least?: number;
  /** Whether a breed's rules ask for it or the holding itself; both where it is not set. */
  readonly rule?: StandardRule;
  /** Taken out: not asked and not counted any more. Its name stays for what was seen under it. */
  readonly isOut?: boolean;
}

/** Whose rule a standard is: without it an animal cannot be written into a herd book, or it is just not wanted here. */
export const STANDARD_RULES = ['pedigree', 'own'] as const;
export type StandardRule = (typeof STANDARD_RULES)[number];

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
  rule: StandardRule = 'own',
): Standard => ({
  id: `${species}-${name.toLowerCase().replace(/[^a-z]+/g, '-')}`,
  species,
  sexes,
  name,
  fails,
  kind,
  rule,
});

/** What hoofed animals are all looked over for. */
const hoofed = (species: Species): Standard[] => [
  standard(species, 'Mouth', 'teeth off the pad, gaps, worn'),
  standard(species, 'Bite', 'over- or undershot'),
  standard(species, 'Legs', 'bowed, sickle-hocked'),
  standard(species, 'Pasterns', 'weak, down on the dewclaws, or upright'),
  standard(species, 'Feet', 'overgrown, rotten, lame'),
  standard(species, 'Udder', 'uneven, hard, extra or damaged teats', ['female']),
  standard(species, 'Testicles', 'one missing, uneven, soft or lumpy', ['male']),
  standard(species, 'Colour', 'off the holding’s colour', ALL, 'go', 'pedigree'),
  standard(species, 'Temper', 'wild, or comes at people'),
];

/** Standards a new holding begins with; each holding makes its own of them. */
export const USUAL_STANDARDS: readonly Standard[] = [
  ...hoofed('sheep'),
  standard('sheep', 'Nose and skin', 'pink or spotted where it should be dark', ALL, 'go', 'pedigree'),
  standard('sheep', 'Ears', 'torn, folded, carried low', ALL, 'go', 'pedigree'),
  standard('sheep', 'Fleece', 'hairy at the britch, black fibres, open'),
  standard('sheep', 'Frame', '0 narrow and short, 5 long and deep', ALL, 'points'),
  ...hoofed('goat'),
  standard('goat', 'Ears', 'torn, off the breed’s set', ALL, 'go', 'pedigree'),
  standard('goat', 'Frame', '0 narrow and short, 5 long and deep', ALL, 'points'),
  ...hoofed('cattle'),
  standard('cattle', 'Frame', '0 narrow and short, 5 long and deep', ALL, 'points'),
  standard('rabbit', 'Mouth', 'teeth long, crooked or broken'),
  standard('rabbit', 'Eyes', 'weeping, clouded'),
  standard('rabbit', 'Ears', 'crusted, torn, carried low'),
  standard('rabbit', 'Feet', 'sore hocks'),
  standard('rabbit', 'Colour', 'off the holding’s colour', ALL, 'go', 'pedigree'),
  standard('rabbit', 'Testicles', 'one missing, uneven', ['male']),
  standard('rabbit', 'Temper', 'bites, or cannot be handled'),
  standard('rabbit', 'Frame', '0 narrow over the loin, 5 broad and full', ALL, 'points'),
];

/** The standards asked of an animal. */
export const standardsFor = (
  all: readonly Standard[],
  animal: { readonly species: Species; readonly sex: Sex },
): Standard[] => all.filter((s) => !s.isOut && s.species === animal.species && s.sexes.includes(animal.sex));

/**
 * The grade after one more press of a standard's key: fails, passes, not looked at; or 3, 4, 5, 0, 1, 2 from the middle.
 */
export function nextGrade(kind: Standard['kind'], grade: LookGrade | undefined): LookGrade | undefined {
  if (kind === 'go') return grade === undefined ? 'fail' : grade === 'fail' ? 'pass' : undefined;
  return typeof grade === 'number' ? (grade + 1) % (LOOK_POINTS + 1) : 3;
}

/**
 * A letter for each name: its first that is still free; names in order, the first asked wins. Those with none of their
 * own left take any free letter after all others have theirs.
 * @param taken letters that mean something else already
 */
export function letterKeys(names: readonly string[], taken: Iterable<string> = []): string[] {
  const used = new Set([...taken].map((l) => l.toLowerCase()));
  const take = (letters: Iterable<string>): string | undefined => {
    for (const letter of letters) {
      if (used.has(letter)) continue;
      used.add(letter);
      return letter;
    }
    return undefined;
  };
  const own = names.map((name) =>
    take(
      name
        .toLowerCase()
        .normalize('NFD')
        .replace(/[^a-z]/g, ''),
    ),
  );
  return own.map((letter) => letter ?? take('abcdefghijklmnopqrstuvwxyz') ?? '');
}
