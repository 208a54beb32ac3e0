const timed = (work) => {
  const from = performance.now();
  const answer = work();
  return { answer, seconds: (performance.now() - from) / 1000 };
};
const inSeconds = (s) => `${s.toFixed(2)} s`;

/** A pedigree of four sires to a generation, the last of which are the candidates. */
function kinOf(core, size) {
  const random = core.seededRandom(5).next;
  const ids = Array.from({ length: 4 * size }, (_, i) => `a${i}`);
  const animals = ids.map((id, i) => {
    const from = Math.floor(i / size) - 1;
    if (from < 0) return { id };
    const parent = (isMale) => ids[from * size + Math.floor(random() * (isMale ? 4 : size))];
    return { id, sireId: parent(true), damId: parent(false) };
  });
  return { animals, candidates: ids.slice(-size) };
}

/** The best to keep together of so many, beside one kinship matrix of them; and the herd ahead, beside its plain matrix. */
export function choosingRows(core) {
  const together = [100, 300, 600].map((size) => {
    const { animals, candidates } = kinOf(core, size);
    const { pedigree } = core.pedigreeOf(animals);
    const inbreeding = core.inbreedingOf(pedigree);
    const matrix = timed(() => core.kinshipTable(pedigree, inbreeding, candidates, candidates).values);
    const random = core.seededRandom(9);
    const question = {
      candidates: candidates
        .map((id, i) => ({ id, index: 50 + 10 * random.normal(0, 1), sireId: animals.at(i - size).sireId }))
        .sort((a, b) => b.index - a.index),
      kinship: matrix.answer,
      withMates: undefined,
      keep: Math.round(size / 3),
      pointsPerPercent: 1,
    };
    const { seconds } = timed(() => core.chooseTogether(question));
    return {
      name: `choice with kinship, ${size} candidates (goal at 300: 1 s)`,
      figure: inSeconds(seconds),
      floor: `${inSeconds(matrix.seconds)} their kinship matrix`,
      ratio: seconds / matrix.seconds,
    };
  });
  const table = { died: 0.04, culled: 0.15, young: 0.6 };
  const classes = Array.from({ length: 9 }, () =>
    core.sharesOf({ head: 40, years: 30, died: 1, culled: 4, young: 20, table }),
  );
  const herd = { classes, wanted: 360, matedAt: 1, coming: [120] };
  const plain = timed(() => core.projectHerd(herd)).seconds;
  const drawn = timed(() => core.herdBands(herd)).seconds;
  return [
    ...together,
    {
      name: 'herd of 360 five years ahead, 1,000 runs (goal 0.5 s)',
      figure: inSeconds(drawn),
      floor: `${(1000 * plain).toFixed(2)} ms one run by its means`,
      ratio: drawn / plain,
    },
  ];
}
