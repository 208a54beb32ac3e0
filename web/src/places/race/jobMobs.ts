import type { RosterAnimal } from '@yaylak/contract';
import { mean, MOBS, type Mob } from '@yaylak/core';
import type { Passage } from './raceLog';
import { say } from '@yaylak/contract';

export interface MobMember {
  readonly animal: RosterAnimal;
  /** Mean of the scores of this job; undefined where only the mob was written down. */
  readonly score: number | undefined;
  readonly before: number | undefined;
  /** The spray it got with its mob. */
  readonly spray: string | undefined;
}

/** Who of a job went to which feed mob, by their last way through, in the order of their numbers. */
export function jobMobs(
  passages: readonly Passage[],
  animals: ReadonlyMap<string, RosterAnimal>,
): Readonly<Record<Mob, readonly MobMember[]>> {
  const last = new Map<string, { readonly mob: Mob; readonly member: MobMember }>();
  for (const { animalId, entries } of passages) {
    const animal = animals.get(animalId);
    const put = entries.find((e) => e.type === 'mob');
    if (!animal || put?.type !== 'mob') continue;
    const mark = entries.find((e) => e.type === 'mark');
    const member: MobMember = {
      animal,
      score: mean(entries.flatMap((e) => (e.type === 'score' ? [e.score] : []))),
      before: animal.scores.findLast(([day]) => day < put.on)?.[1],
      spray:
        mark?.type === 'mark'
          ? say('{colour} on the {place}', { colour: say(mark.colour), place: say(mark.place) })
          : undefined,
    };
    last.set(animalId, { mob: put.mob, member });
  }
  const of = (mob: Mob): MobMember[] =>
    [...last.values()]
      .flatMap((l) => (l.mob === mob ? [l.member] : []))
      .sort((a, b) => a.animal.tag.text.localeCompare(b.animal.tag.text));
  return Object.fromEntries(MOBS.map((mob) => [mob, of(mob)])) as unknown as Record<Mob, MobMember[]>;
}
