/** A table over some variables of three states each; the first variable turns slowest. */
export interface Factor {
  readonly variables: readonly number[];
  readonly values: Float64Array;
}

/** How far apart in a table two neighbours in a variable stand; 0 for a variable it does not have. */
export const strideOf = ({ variables }: Pick<Factor, 'variables'>, variable: number): number => {
  const at = variables.indexOf(variable);
  return at < 0 ? 0 : 3 ** (variables.length - 1 - at);
};

/**
 * Multiplies a table into another that has all its variables.
 * @throws RangeError when the other lacks one
 */
export function multiplyInPlace(target: Factor, by: Factor): void {
  if (by.variables.some((v) => !target.variables.includes(v)))
    throw new RangeError('a table can be multiplied only into one that has all its variables');
  walk(target.variables, by, (at, other) => {
    target.values[at] = (target.values[at] as number) * (by.values[other] as number);
  });
}

/** Sums a table over all variables but these. */
export function marginal(of: Factor, variables: readonly number[]): Factor {
  const found: Factor = { variables, values: new Float64Array(3 ** variables.length) };
  walk(of.variables, found, (at, other) => {
    found.values[other] = (found.values[other] as number) + (of.values[at] as number);
  });
  return found;
}

/** Goes through a table of these variables, with the place in another table that has some of them. */
function walk(variables: readonly number[], other: Factor, visit: (at: number, other: number) => void): void {
  const strides = variables.map((v) => strideOf(other, v));
  const states = new Uint8Array(variables.length);
  const size = 3 ** variables.length;
  let place = 0;
  for (let at = 0; at < size; at++) {
    visit(at, place);
    // Counts on by one, the last variable first; a full turn goes back by two steps and carries over.
    for (let v = variables.length - 1; v >= 0; v--) {
      const stride = strides[v] as number;
      if ((states[v] as number) < 2) {
        states[v] = (states[v] as number) + 1;
        place += stride;
        break;
      }
      states[v] = 0;
      place -= 2 * stride;
    }
  }
}

/** Scales a table to a sum of 1. @returns false where all is 0: nothing of it can be */
export function normaliseInPlace({ values }: Factor): boolean {
  const sum = values.reduce((s, v) => s + v, 0);
  if (!(sum > 0)) return false;
  for (let i = 0; i < values.length; i++) values[i] = (values[i] as number) / sum;
  return true;
}

export const uniform = (variables: readonly number[]): Factor => ({
  variables,
  values: new Float64Array(3 ** variables.length).fill(1),
});
