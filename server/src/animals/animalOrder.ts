import type { AnimalSort } from '@yaylak/contract';
import { mainIdentifier, SPECIES, type AnimalFacts } from '@yaylak/core';

const number = new Intl.Collator('en', { numeric: true });

interface Derived {
  readonly groupName: (facts: AnimalFacts) => string;
  /** As it is shown: the day's surest, guesses set right. */
  readonly lastKg: (facts: AnimalFacts) => number | undefined;
  readonly gain: (facts: AnimalFacts) => number | undefined;
}

type Key = string | number | undefined;

/** Compares by a sort key read once an animal; without a value last in either direction, then by number, then by id. */
export function compareBy(
  sort: AnimalSort,
  direction: 'up' | 'down',
  derived: Derived,
): (a: AnimalFacts, b: AnimalFacts) => number {
  const numbers = remembered((f) => mainIdentifier(f)?.identifier.text);
  const key = remembered(KEYS[sort](derived));
  const sign = direction === 'up' ? 1 : -1;
  return (a, b) => {
    const x = key(a);
    const y = key(b);
    if (x === undefined || y === undefined) {
      if (x !== y) return x === undefined ? 1 : -1;
    } else {
      const order = typeof x === 'string' ? number.compare(x, String(y)) : x - (y as number);
      if (order !== 0) return sign * order;
    }
    return number.compare(String(numbers(a) ?? ''), String(numbers(b) ?? '')) || (a.record.id < b.record.id ? -1 : 1);
  };
}

const KEYS: Readonly<Record<AnimalSort, (derived: Derived) => (facts: AnimalFacts) => Key>> = {
  number: () => (f) => mainIdentifier(f)?.identifier.text,
  species: () => (f) => SPECIES.indexOf(f.record.species),
  group: (d) => (f) => d.groupName(f) || undefined,
  // Youngest first when rising: a later birth is a smaller age.
  age: () => (f) => (f.record.bornOn === undefined ? undefined : -Number(f.record.bornOn)),
  weight: (d) => d.lastKg,
  weighed: () => (f) => f.weights.at(-1)?.on,
  gain: (d) => d.gain,
};

function remembered(read: (facts: AnimalFacts) => Key): (facts: AnimalFacts) => Key {
  const known = new Map<AnimalFacts, Key>();
  return (facts) => {
    if (!known.has(facts)) known.set(facts, read(facts));
    return known.get(facts);
  };
}
