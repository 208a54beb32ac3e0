import type { Day } from '../calendar';
import type { Sex, Species } from '../species';
import { mean } from '../statistics';
import type { GroupId, Kilograms } from '../units';

/** Births further apart than this are not contemporaries. */
export const CONTEMPORARY_DAYS = 35;
/** Groups smaller than this say so. */
export const SMALL_GROUP = 5;

export interface Contemporary {
  readonly id: string;
  readonly species: Species;
  readonly sex: Sex;
  readonly groupId: GroupId | undefined;
  readonly bornOn: Day;
}

/** Which animals may be contemporaries at all: those of one species, management group and sex. */
export const herdKey = ({ species, groupId, sex }: Contemporary): string => `${species} ${groupId ?? '-'} ${sex}`;

export interface ContemporaryGroup<T extends Contemporary> {
  readonly key: string;
  readonly members: readonly T[];
  readonly bornFrom: Day;
  readonly bornTo: Day;
}

/**
 * Animals of one species, management group and sex born within 35 days: births in order, a new group starts with the
 * first birth more than 35 days after the group's first.
 */
export function contemporaryGroups<T extends Contemporary>(animals: readonly T[]): ContemporaryGroup<T>[] {
  const herds = new Map<string, T[]>();
  for (const animal of animals) {
    const key = herdKey(animal);
    const herd = herds.get(key);
    if (herd) herd.push(animal);
    else herds.set(key, [animal]);
  }
  const groups: ContemporaryGroup<T>[] = [];
  for (const [key, herd] of herds) {
    herd.sort((a, b) => a.bornOn - b.bornOn || (a.id < b.id ? -1 : 1));
    let members: T[] = [];
    const close = (): void => {
      const first = members[0];
      const last = members.at(-1);
      if (first && last)
        groups.push({ key: `${key} ${first.bornOn}`, members, bornFrom: first.bornOn, bornTo: last.bornOn });
      members = [];
    };
    for (const animal of herd) {
      if (members[0] && animal.bornOn - members[0].bornOn > CONTEMPORARY_DAYS) close();
      members.push(animal);
    }
    close();
  }
  return groups;
}

export interface LikeForLikeRatio {
  /** 100 is the group's mean. */
  readonly ratio: number;
  readonly groupSize: number;
  readonly isSmallGroup: boolean;
}

/**
 * Adjusted weights as per cent of their contemporaries' mean, each one's own included. The mean is taken once: asked
 * for every member of a large group, a mean each time would be quadratic.
 * @param groupKgs adjusted weights of the whole group
 * @returns a function of one's own adjusted weight; undefined without weights
 */
export function likeForLikeRatios(groupKgs: readonly number[]): ((ownKg: Kilograms) => LikeForLikeRatio) | undefined {
  const average = mean(groupKgs);
  if (average === undefined || average <= 0) return undefined;
  const groupSize = groupKgs.length;
  return (ownKg) => ({ ratio: (100 * ownKg) / average, groupSize, isSmallGroup: groupSize < SMALL_GROUP });
}
