import { median } from '../statistics';
import { contemporaryGroups, herdKey, type ContemporaryGroup } from './contemporaryGroup';
import { notGrowingLine, type WithGain } from './notGrowing';
import type { KilogramsPerDay } from '../units';

/** Contemporaries with what their gains are held against. */
export interface GrowthGroup extends ContemporaryGroup<WithGain> {
  /** Half their median gain; undefined of one alone, or where nobody's gain is known. */
  readonly lineKgPerDay: KilogramsPerDay | undefined;
}

interface Herd {
  /** In order of birth once they were grouped: a few that changed since at the end cost little to sort in. */
  animals: Map<string, WithGain>;
  isInOrder: boolean;
  /** Worked out when it is asked for; put aside by each change of the herd. */
  groups: readonly GrowthGroup[] | undefined;
}

/**
 * Contemporaries as animals come, change and go: each change groups its own herd anew and no other, and that only when
 * it is asked for.
 */
export class Herds {
  private readonly herds = new Map<string, Herd>();
  private readonly herdOf = new Map<string, string>();

  /** Takes an animal in as it is now, or out. */
  set(id: string, animal: WithGain | undefined): void {
    const key = this.herdOf.get(id);
    const before = key === undefined ? undefined : this.herds.get(key);
    if (before) {
      before.animals.delete(id);
      before.groups = undefined;
      this.herdOf.delete(id);
    }
    if (!animal) return;
    const own = herdKey(animal);
    const herd = this.herds.get(own) ?? { animals: new Map(), isInOrder: false, groups: undefined };
    herd.animals.set(id, animal);
    herd.groups = undefined;
    this.herds.set(own, herd);
    this.herdOf.set(id, own);
  }

  /** An animal's contemporaries, itself among them. */
  groupOf(id: string): GrowthGroup | undefined {
    const herd = this.herds.get(this.herdOf.get(id) ?? '');
    const bornOn = herd?.animals.get(id)?.bornOn;
    if (!herd || bornOn === undefined) return undefined;
    return groupsOf(herd).find((g) => g.bornFrom <= bornOn && bornOn <= g.bornTo);
  }

  /** All groups there are. */
  groups(): GrowthGroup[] {
    return [...this.herds.values()].flatMap((herd) => [...groupsOf(herd)]);
  }
}

function groupsOf(herd: Herd): readonly GrowthGroup[] {
  if (herd.groups) return herd.groups;
  const groups = contemporaryGroups([...herd.animals.values()]).map((group): GrowthGroup => {
    const middle = median(group.members.flatMap((m) => (m.gain.kind === 'gain' ? [m.gain.kgPerDay] : [])));
    const isJudged = middle !== undefined && group.members.length > 1;
    return { ...group, lineKgPerDay: isJudged ? notGrowingLine(middle) : undefined };
  });
  if (!herd.isInOrder) herd.animals = new Map(groups.flatMap((g) => g.members.map((m) => [m.id, m])));
  herd.isInOrder = true;
  return (herd.groups = groups);
}
