import { youngAffected, type Genotype, type Pedigreed } from '../pedigree';
import type { PairingRules } from '../species';
import type { AnimalId } from '../units';

/** What one animal is to another, by their parents and grandparents. */
export type Relation = 'parent' | 'young' | 'full-sib' | 'half-sib' | 'grandparent' | 'grandyoung';

/** What pairing has to know of an animal's family. */
export type FamilyOf = (id: string) => Pick<Pedigreed, 'id' | 'damId' | 'sireId'> | undefined;

/** What `b` is to `a`, the nearest first; undefined beyond grandparents and half sibs. */
export function relationOf(a: string, b: string, family: FamilyOf): Relation | undefined {
  const parents = (id: string): string[] => {
    const own = family(id);
    return [own?.damId, own?.sireId].filter((p): p is string => p !== undefined);
  };
  const [ofA, ofB] = [parents(a), parents(b)];
  if (ofA.includes(b)) return 'parent';
  if (ofB.includes(a)) return 'young';
  const shared = ofA.filter((p) => ofB.includes(p)).length;
  if (shared === 2) return 'full-sib';
  if (shared === 1) return 'half-sib';
  const isGrandparent = (old: string, of: readonly string[]): boolean => of.some((p) => parents(p).includes(old));
  if (isGrandparent(b, ofA)) return 'grandparent';
  return isGrandparent(a, ofB) ? 'grandyoung' : undefined;
}

/** Why a pair is forbidden. */
export type PairRefusal =
  | { readonly code: 'relation'; readonly relation: Relation }
  | { readonly code: 'inbreeding'; readonly most: number }
  | { readonly code: 'carriers'; readonly gene: string; readonly affected: number };

/** Genotypes of one gene by animal. */
export interface GeneOf {
  readonly gene: string;
  readonly of: (id: string) => Genotype | undefined;
}

/** Equal to the limit is allowed; sums of halves end this near to it. */
const ROUNDING = 1e-9;

/** The first reason two animals are not put together; undefined where none speaks against it. */
export function pairRefusal(
  pair: { readonly femaleId: AnimalId; readonly maleId: AnimalId; readonly inbreeding: number },
  rules: PairingRules,
  family: FamilyOf,
  genes: readonly GeneOf[],
): PairRefusal | undefined {
  const { femaleId, maleId, inbreeding } = pair;
  const relation = relationOf(femaleId, maleId, family);
  const isGrand = relation === 'grandparent' || relation === 'grandyoung';
  if (relation && (!isGrand || rules.grandparents === 'forbidden')) return { code: 'relation', relation };
  if (inbreeding > rules.inbreedingMost + ROUNDING) return { code: 'inbreeding', most: rules.inbreedingMost };
  for (const { gene, of } of genes) {
    const [her, his] = [of(femaleId), of(maleId)];
    const affected = her && his ? youngAffected(his, her) : 0;
    if (affected >= rules.affectedLeast) return { code: 'carriers', gene, affected };
  }
  return undefined;
}
