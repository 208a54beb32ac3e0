import type { RosterAnimal } from '@yaylak/contract';
import { SPECIES } from '@yaylak/core';
import { say, fieldWord, SPECIES_WORDS, capital } from '@yaylak/contract';

/** A set of animals that may come. */
export interface Who {
  readonly key: string;
  readonly words: string;
  readonly animals: readonly RosterAnimal[];
}

/** Never wore anything: new-born young that go through with their dam. */
const isUnmarked = (a: RosterAnimal): boolean => a.worn.length === 0 && a.formerly.length === 0;

/**
 * Sets to choose from: those handed over, this year's and last year's young by sex, and the groups; without those that
 * nobody could call, since they wear nothing yet.
 */
export function whoSets(
  all: readonly RosterAnimal[],
  today: string,
  given: { readonly animalIds?: readonly string[] | undefined; readonly name?: string | undefined } | null,
): Who[] {
  const sets: Who[] = [];
  const animals = all.filter((a) => !isUnmarked(a));
  if (given?.animalIds) {
    const ids = new Set(given.animalIds);
    const own = all.filter((a) => ids.has(a.tag.animalId));
    sets.push({ key: 'given', words: `${given.name ?? say('Chosen animals')} (${own.length})`, animals: own });
  }
  const year = Number(today.slice(0, 4));
  for (const species of SPECIES)
    for (const sex of ['female', 'male', 'castrate'] as const)
      for (const bornIn of [year, year - 1]) {
        const own = animals.filter((a) => a.species === species && a.sex === sex && a.bornOn?.startsWith(`${bornIn}-`));
        if (own.length === 0) continue;
        const word = fieldWord({ species, sex }, 1, true);
        sets.push({
          key: `${species} ${sex} ${bornIn}`,
          words: capital(
            say('{young} of {bornIn} ({n})', {
              young: word,
              bornIn,
              n: own.length,
            }),
          ),
          animals: own,
        });
      }
  const groups = new Map<string, { name: string; animals: RosterAnimal[] }>();
  for (const a of animals) {
    if (a.groupId === null) continue;
    const group = groups.get(a.groupId) ?? { name: a.groupName ?? 'group', animals: [] };
    group.animals.push(a);
    groups.set(a.groupId, group);
  }
  for (const [id, g] of groups)
    sets.push({ key: id, words: say('Group {name} ({n})', { name: g.name, n: g.animals.length }), animals: g.animals });
  for (const species of SPECIES) {
    const own = animals.filter((a) => a.species === species);
    if (own.length > 0)
      sets.push({
        key: species,
        words: say('All {plural} ({n})', { plural: SPECIES_WORDS[species].plural, n: own.length }),
        animals: own,
      });
  }
  return sets;
}
