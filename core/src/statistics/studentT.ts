/**
 * Quantiles of Student's t, for any number of degrees of freedom that is 1 or more, whole or not: the distribution by
 * the regularised incomplete beta function (Abramowitz & Stegun 1964, 26.7.1), inverted by Newton's method. Over zero the
 * distribution is concave, so that from the normal's quantile, which is the smaller, every step stays under the answer
 * and comes nearer.
 * @param share  of the distribution under the answer, from 0.5 to under 1
 * @throws RangeError under 1 degree of freedom
 */
export function studentQuantile(share: number, degreesOfFreedom: number, normalQuantile: number): number {
  if (!(degreesOfFreedom >= 1))
    throw new RangeError(`an interval needs at least 1 degree of freedom, not ${degreesOfFreedom}`);
  const v = degreesOfFreedom;
  const lnScale = lnGamma((v + 1) / 2) - lnGamma(v / 2) - 0.5 * Math.log(v * Math.PI);
  let t = normalQuantile;
  for (let i = 0; i < MOST_STEPS; i++) {
    const density = Math.exp(lnScale - ((v + 1) / 2) * Math.log1p((t * t) / v));
    const step = (share - (1 - incompleteBeta(v / (v + t * t), v / 2, 0.5) / 2)) / density;
    t += step;
    if (Math.abs(step) < CLOSE) break;
  }
  return t;
}
const MOST_STEPS = 60;
const CLOSE = 1e-11;

/** Regularised incomplete beta function I_x(a, b), by its continued fraction (A&S 26.5.8) on the side it converges. */
function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0 || x >= 1) return x <= 0 ? 0 : 1;
  const front = Math.exp(lnGamma(a + b) - lnGamma(a) - lnGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  return x < (a + 1) / (a + b + 2) ? (front * fraction(x, a, b)) / a : 1 - (front * fraction(1 - x, b, a)) / b;
}

/** The continued fraction by Lentz's method: a denominator of nought is kept just off it. */
function fraction(x: number, a: number, b: number): number {
  const offNought = (n: number): number => (Math.abs(n) < 1e-300 ? 1e-300 : n);
  let c = 1;
  let d = 1 / offNought(1 - ((a + b) * x) / (a + 1));
  let value = d;
  for (let m = 1; m < 1000; m++) {
    for (const part of [
      (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m)),
      (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1)),
    ]) {
      d = 1 / offNought(1 + part * d);
      c = offNought(1 + part / c);
      value *= d * c;
    }
    if (Math.abs(d * c - 1) < 1e-15) break;
  }
  return value;
}

/** Natural logarithm of the gamma function over 0 (Lanczos 1964, g = 7, nine terms; relative error under 1e-14). */
function lnGamma(z: number): number {
  if (z < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * z)) - lnGamma(1 - z);
  const series = LANCZOS.reduce((sum, term, i) => (i === 0 ? term : sum + term / (z - 1 + i)), 0);
  const base = z + 6.5;
  return 0.5 * Math.log(2 * Math.PI) + (z - 0.5) * Math.log(base) - base + Math.log(series);
}
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
] as const;
