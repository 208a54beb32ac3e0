/** A herd of so many over twelve years, a male to 25 animals, most recorded once, littermates and groups of thirty. */
export function herd(size) {
  let state = 12_345;
  const random = () => (state = (state * 1103515245 + 12345) % 2147483648) / 2147483648;
  const aYear = Math.ceil(size / 12);
  const yearOf = (i) => Math.floor(i / aYear);
  const parent = (year, isMale) => {
    const from = Math.max(0, (year - 4) * aYear);
    for (;;) {
      const i = from + Math.floor(random() * (year * aYear - from));
      if (isMale ? i % 25 === 0 : i % 25 !== 0 && i % 2 === 1) return `a${i}`;
    }
  };
  const animals = Array.from({ length: size }, (_, i) => {
    const year = yearOf(i);
    return {
      id: `a${i}`,
      ...(year > 0 && random() < 0.9 ? { sireId: parent(year, true) } : {}),
      ...(year > 0 && random() < 0.95 ? { damId: parent(year, false) } : {}),
    };
  });
  const records = animals.flatMap(({ id, damId }, i) =>
    yearOf(i) > 0 && random() < 0.92
      ? [
          {
            animalId: id,
            value: 30 + random() * 15,
            effects: [`${Math.floor(i / 30)}`],
            sharedBy: `${damId ?? id} ${yearOf(i)}`,
          },
        ]
      : [],
  );
  return { animals, records, base: new Set(animals.slice(-5 * aYear).map((a) => a.id)) };
}

/** The best of three: the first run of either would pay for the engine's warming up. */
const timed = (work) => {
  let answer;
  let seconds = Infinity;
  for (let i = 0; i < 3; i++) {
    const from = performance.now();
    answer = work();
    seconds = Math.min(seconds, (performance.now() - from) / 1000);
  }
  return { answer, seconds };
};

/** Values of a trait with exact reliabilities, beside one factorisation and solve of the same equations. */
export async function breedingRows(core) {
  const { equationsOf } = await import('../core/dist/breeding-values/mixedModel.js');
  const { factorise, solve } = await import('../core/dist/breeding-values/factorise.js');
  const shares = { heritability: 0.25, other: 0.1 };
  return [1_000, 5_000, 10_000, 100_000].map((size) => {
    const { animals, records, base } = herd(size);
    const { answer, seconds } = timed(() => core.breedingValues({ animals, records, shares, base }));
    if (answer.kind !== 'values') throw new Error(answer.kind);
    const { pedigree } = core.pedigreeOf(animals);
    const numbers = new Map();
    const numbered = (levelOf) =>
      Int32Array.from(records, (r) => {
        const level = levelOf(r);
        if (!numbers.has(level)) numbers.set(level, numbers.size);
        return numbers.get(level);
      });
    const model = {
      animal: Int32Array.from(records, (r) => pedigree.indexOf.get(r.animalId)),
      value: Float64Array.from(records, (r) => r.value),
      fixed: [numbered((r) => r.effects[0])],
      other: (numbers.clear(), numbered((r) => r.sharedBy)),
    };
    const { matrix, right } = equationsOf(pedigree, core.inbreedingOf(pedigree), model, shares);
    const goal = { 5_000: ' (goal 1.5 s, and 1.5 x)', 100_000: ' (goal 6 s)' }[size] ?? '';
    // Nothing is factored of the largest: the floor is setting its equations up.
    const isExact = answer.isExact;
    const floor = isExact
      ? timed(() => solve(factorise(matrix), right)).seconds
      : timed(() => equationsOf(pedigree, core.inbreedingOf(pedigree), model, shares)).seconds;
    return {
      name: `breeding values of ${size.toLocaleString('en')} animals, ${records.length.toLocaleString('en')} records${goal}`,
      figure: `${seconds.toFixed(2)} s`,
      floor: `${floor.toFixed(2)} s ${isExact ? 'factorising and solving' : 'setting the equations up'}`,
      ratio: seconds / floor,
    };
  });
}
