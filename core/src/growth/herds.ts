import type { Day } from '../calendar';
import { quantileSorted, sorted } from '../statistics';
import { contemporaryGroups, herdKey, type ContemporaryGroup } from './contemporaryGroup';
import { notGrowingLine, type WithGain } from './notGrowing';
import type { KilogramsPerDay } from '../units';

/** Contemporaries with what their gains are held against. */
export interface GrowthGroup extends ContemporaryGroup<WithGain> {
  /** Half their median gain; undefined of one alone, or where nobody's gain is known. */
  readonly lineKgPerDay: KilogramsPerDay | undefined;
}

/** A group with the gains of its members in rising order. */
interface Kept {
  readonly group: GrowthGroup;
  readonly gains: readonly KilogramsPerDay[];
}

interface Herd {
  /** In order of birth once they were grouped: a few that changed since at the end cost little to sort in. */
  animals: Map<string, WithGain>;
  isInOrder: boolean;
  /** Worked out when it is asked for; put aside when one comes, goes or was born on another day. */
  kept: readonly Kept[] | undefined;
}

/**
 * Contemporaries as animals come, change and go: each change groups its own herd anew and no other, and that only when
 * it is asked for. Another gain of one that stays leaves the groups as they are: it takes its place in its own.
 */
export class Herds {
  private readonly herds = new Map<string, Herd>();
  private readonly herdOf = new Map<string, string>();

  /** Takes an animal in as it is now, or out. */
  set(id: string, animal: WithGain | undefined): void {
    const key = this.herdOf.get(id);
    const before = key === undefined ? undefined : this.herds.get(key);
    const known = before?.animals.get(id);
    const own = animal && herdKey(animal);
    if (before && known && animal && own === key && animal.bornOn === known.bornOn) {
      before.animals.set(id, animal);
      before.kept = before.kept && withAnother(before.kept, known, animal);
      return;
    }
    if (before) {
      before.animals.delete(id);
      before.kept = undefined;
      this.herdOf.delete(id);
    }
    if (!animal || own === undefined) return;
    const herd = this.herds.get(own) ?? { animals: new Map(), isInOrder: false, kept: undefined };
    herd.animals.set(id, animal);
    herd.kept = undefined;
    this.herds.set(own, herd);
    this.herdOf.set(id, own);
  }

  /** An animal's contemporaries, itself among them. */
  groupOf(id: string): GrowthGroup | undefined {
    const herd = this.herds.get(this.herdOf.get(id) ?? '');
    const bornOn = herd?.animals.get(id)?.bornOn;
    if (!herd || bornOn === undefined) return undefined;
    return keptOf(herd).find(({ group }) => isIn(group, bornOn))?.group;
  }

  /** All groups there are. */
  groups(): GrowthGroup[] {
    return [...this.herds.values()].flatMap((herd) => keptOf(herd).map(({ group }) => group));
  }
}

const isIn = ({ bornFrom, bornTo }: GrowthGroup, bornOn: Day): boolean => bornFrom <= bornOn && bornOn <= bornTo;

function keptOf(herd: Herd): readonly Kept[] {
  if (herd.kept) return herd.kept;
  const kept = contemporaryGroups([...herd.animals.values()]).map((group) =>
    judgedBy(group, sorted(group.members.flatMap(gainsOf))),
  );
  if (!herd.isInOrder) herd.animals = new Map(kept.flatMap(({ group }) => group.members.map((m) => [m.id, m])));
  herd.isInOrder = true;
  return (herd.kept = kept);
}

/** None where a gain is not known. */
const gainsOf = ({ gain }: WithGain): KilogramsPerDay[] => (gain.kind === 'gain' ? [gain.kgPerDay] : []);

function judgedBy(group: ContemporaryGroup<WithGain>, gains: readonly KilogramsPerDay[]): Kept {
  const middle = quantileSorted(gains, 0.5);
  const isJudged = middle !== undefined && group.members.length > 1;
  return { group: { ...group, lineKgPerDay: isJudged ? notGrowingLine(middle) : undefined }, gains };
}

/** The groups with one animal as it is now; the group it is in is another, since what hangs on it is. */
function withAnother(kept: readonly Kept[], before: WithGain, now: WithGain): readonly Kept[] {
  return kept.map((one) => {
    if (!isIn(one.group, now.bornOn)) return one;
    const members = [...one.group.members];
    members[placeOf(members, (m) => m.bornOn - now.bornOn || (m.id < now.id ? -1 : 1))] = now;
    const gains = [...one.gains];
    for (const gain of gainsOf(before))
      gains.splice(
        placeOf(gains, (g) => g - gain),
        1,
      );
    for (const gain of gainsOf(now))
      gains.splice(
        placeOf(gains, (g) => g - gain),
        0,
        gain,
      );
    return judgedBy({ ...one.group, members }, gains);
  });
}

/** The first place in a list in order that is not before what is looked for, by halves. @param away under 0 for what is before it */
function placeOf<T>(list: readonly T[], away: (one: T) => number): number {
  let low = 0;
  let high = list.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (away(list[middle] as T) < 0) low = middle + 1;
    else high = middle;
  }
  return low;
}
