import { UNKNOWN, type Pedigree } from './arrays';

/**
 * Share of an animal's additive variance that is its own Mendelian sampling, given the inbreeding of its parents:
 * 1 without parents, 3/4 less F/4 with one, 1/2 less their mean F/2 with two (Henderson 1976, Biometrics 32: 69).
 */
export function samplingVariance({ sire, dam }: Pedigree, inbreeding: Float64Array, i: number): number {
  const s = sire[i] as number;
  const d = dam[i] as number;
  let variance = 1;
  if (s !== UNKNOWN) variance -= (1 + (inbreeding[s] as number)) / 4;
  if (d !== UNKNOWN) variance -= (1 + (inbreeding[d] as number)) / 4;
  return variance;
}

/**
 * The parents of a pedigree alone, in the same order: whoever has no young hands nothing on and need not be gone
 * through. Place 0 is the unknown parent, who always has 0, so that the sweeps need not ask.
 */
class Parents {
  readonly place: Int32Array;
  readonly sire: Int32Array;
  readonly dam: Int32Array;
  readonly variance: Float64Array;
  readonly row: Float64Array;

  constructor(private readonly pedigree: Pedigree) {
    const { sire, dam } = pedigree;
    const n = sire.length;
    this.place = new Int32Array(n);
    for (let i = 0; i < n; i++)
      for (const p of [sire[i] as number, dam[i] as number]) if (p !== UNKNOWN) this.place[p] = 1;
    let count = 1;
    for (let i = 0; i < n; i++) if (this.place[i] === 1) this.place[i] = count++;
    this.sire = new Int32Array(count);
    this.dam = new Int32Array(count);
    this.variance = new Float64Array(count);
    this.row = new Float64Array(count);
    for (let i = 0; i < n; i++) {
      const at = this.place[i] as number;
      if (at === 0) continue;
      this.sire[at] = this.placeOf(sire[i] as number);
      this.dam[at] = this.placeOf(dam[i] as number);
    }
  }

  /** 0 for an unknown animal and for one without young. */
  placeOf(animal: number): number {
    return animal === UNKNOWN ? 0 : (this.place[animal] as number);
  }

  setVariance(i: number, inbreeding: Float64Array): void {
    const at = this.place[i] as number;
    if (at > 0) this.variance[at] = samplingVariance(this.pedigree, inbreeding, i);
  }

  /**
   * Additive relationships of a parent with all up to place `last`, by one sweep up and one down (Colleau 2002, Genet.
   * Sel. Evol. 34: 409-421): A = T D T', so A e = T (D (T' e)). Left in `row`. Cost `last`.
   */
  sweep(from: number, last: number): void {
    const { sire, dam, variance, row } = this;
    row.fill(0, 0, Math.max(from, last) + 1);
    row[from] = 1;
    for (let i = from; i > 0; i--) {
      const share = row[i] as number;
      if (share === 0) continue;
      const half = share / 2;
      const s = sire[i] as number;
      const d = dam[i] as number;
      row[s] = (row[s] as number) + half;
      row[d] = (row[d] as number) + half;
      row[i] = share * (variance[i] as number);
    }
    row[0] = 0;
    for (let i = 1; i <= last; i++)
      row[i] = (row[i] as number) + ((row[sire[i] as number] as number) + (row[dam[i] as number] as number)) / 2;
  }
}

/** Sums of halves and quarters end this near to zero where there is no inbreeding. */
const ROUNDING = 1e-12;
/** A step of a trace, which jumps about in memory, costs so many steps of a sweep. Measured. */
const TRACE_STEP_COST = 3;

/**
 * Inbreeding coefficients of all animals, 0 to 1, in the pedigree's order. Unknown parents are unrelated animals of
 * the base. Each pair of parents is traced once by Meuwissen & Luo (1992, Genet. Sel. Evol. 24: 305-313); where one
 * sire has so many mates in a generation that tracing each would cost more, his row of relationships is swept instead
 * (Colleau 2002), which gives the same figures.
 * Cost about n times the ancestors of an animal, or the number of parents a sire; memory some 100 bytes an animal.
 */
export function inbreedingOf(pedigree: Pedigree): Float64Array {
  const { sire, dam, generationStarts: starts } = pedigree;
  const found = new Float64Array(sire.length);
  const parents = new Parents(pedigree);
  const trace = ancestorTrace(parents, pedigree);
  for (let g = 0; g + 1 < starts.length; g++) {
    const from = starts[g] as number;
    const to = starts[g + 1] as number;
    if (g > 0) ofGeneration(from, to);
    for (let i = from; i < to; i++) parents.setVariance(i, found);
  }
  return found;

  function ofGeneration(from: number, to: number): void {
    // By sire and dam, so that a sire's mates stand together and full sibs are reckoned once.
    const young: number[] = [];
    for (let i = from; i < to; i++) if (sire[i] !== UNKNOWN && dam[i] !== UNKNOWN) young.push(i);
    young.sort((a, b) => (sire[a] as number) - (sire[b] as number) || (dam[a] as number) - (dam[b] as number));
    for (let at = 0; at < young.length;) {
      const own = sire[young[at] as number] as number;
      const s = parents.placeOf(own);
      let end = at;
      let mates = 0;
      let last = s;
      for (let before = UNKNOWN; end < young.length && sire[young[end] as number] === own; end++) {
        const d = parents.placeOf(dam[young[end] as number] as number);
        if (d !== before) mates++;
        if (d > last) last = d;
        before = d;
      }
      const isSwept = mates * trace.usualSteps() * TRACE_STEP_COST > 2 * last;
      if (isSwept) parents.sweep(s, last);
      let coefficient = 0;
      for (let before = UNKNOWN; at < end; at++) {
        const i = young[at] as number;
        const d = parents.placeOf(dam[i] as number);
        if (d !== before) {
          const exact = isSwept
            ? (parents.row[d] as number) / 2
            : trace.varianceHandedOn(s, d) + samplingVariance(pedigree, found, i) - 1;
          coefficient = exact < ROUNDING ? 0 : exact;
        }
        found[i] = coefficient;
        before = d;
      }
    }
  }
}

/** Traces the ancestors of a pair, generation by generation; its work space is kept between pairs. */
function ancestorTrace({ place, sire, dam, variance }: Parents, { generationStarts: starts }: Pedigree) {
  const n = sire.length;
  const share = new Float64Array(n);
  const generation = new Int32Array(n);
  for (let g = 0; g + 1 < starts.length; g++)
    for (let i = starts[g] as number; i < (starts[g + 1] as number); i++) generation[place[i] as number] = g;
  // Those that wait, as a chain a generation: within one the order does not matter, as nobody's parent stands there.
  const first = new Int32Array(Math.max(1, starts.length - 1));
  const next = new Int32Array(n);
  let steps = 0;
  let pairs = 0;

  const put = (i: number, part: number): void => {
    if (i === 0) return;
    if (share[i] === 0) {
      const g = generation[i] as number;
      next[i] = first[g] as number;
      first[g] = i;
    }
    share[i] = (share[i] as number) + part;
  };
  return {
    /** Of a young of these two: the sum over its ancestors of (share of each)^2 x the own variance of each. */
    varianceHandedOn(s: number, d: number): number {
      pairs++;
      put(s, 0.5);
      put(d, 0.5);
      let sum = 0;
      for (let g = Math.max(generation[s] as number, generation[d] as number); g >= 0; g--) {
        for (let i = first[g] as number; i !== 0; i = next[i] as number) {
          steps++;
          const part = share[i] as number;
          share[i] = 0;
          sum += part * part * (variance[i] as number);
          put(sire[i] as number, part / 2);
          put(dam[i] as number, part / 2);
        }
        first[g] = 0;
      }
      return sum;
    },
    /** Steps a pair has taken so far, on average. */
    usualSteps: (): number => (pairs === 0 ? 2 : steps / pairs),
  };
}

/**
 * A function that gives an animal's additive relationships with others, both by their place in the order (UNKNOWN is
 * related to nobody): one sweep a call, two where the animal has no young.
 */
export function relationshipsWith(
  pedigree: Pedigree,
  inbreeding: Float64Array,
): (animal: number, others: Int32Array) => Float64Array {
  const parents = new Parents(pedigree);
  for (let i = 0; i < inbreeding.length; i++) parents.setVariance(i, inbreeding);
  const { sire, dam } = pedigree;
  const last = parents.row.length - 1;
  const own = (animal: number): number => 1 + (inbreeding[animal] as number);

  /** Of another with the parent the last sweep started from. */
  const withSwept = (other: number, from: number): number => {
    if (other === UNKNOWN) return 0;
    if (other === from) return own(other);
    const at = parents.placeOf(other);
    if (at > 0) return parents.row[at] as number;
    // Who has no young is related through its parents alone.
    const s = parents.placeOf(sire[other] as number);
    const d = parents.placeOf(dam[other] as number);
    return ((parents.row[s] as number) + (parents.row[d] as number)) / 2;
  };

  return (animal, others) => {
    const hasYoung = parents.placeOf(animal) > 0;
    const row = new Float64Array(others.length);
    for (const from of hasYoung ? [animal] : [sire[animal] as number, dam[animal] as number]) {
      if (from === UNKNOWN) continue;
      parents.sweep(parents.placeOf(from), last);
      for (let k = 0; k < others.length; k++)
        row[k] = (row[k] as number) + withSwept(others[k] as number, from) / (hasYoung ? 1 : 2);
    }
    for (let k = 0; k < others.length; k++) if (others[k] === animal) row[k] = own(animal);
    return row;
  };
}
