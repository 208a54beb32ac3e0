/** Seconds of the best of a few runs. */
function seconds(work, times = 3) {
  let best = Infinity;
  for (let i = 0; i < times; i++) {
    const from = process.hrtime.bigint();
    work();
    best = Math.min(best, Number(process.hrtime.bigint() - from) / 1e9);
  }
  return best;
}

/** Twenty generations of 5,000, a male to 25 females, as a flock-book would have them. */
function pedigree() {
  let state = 1;
  const random = (below) => {
    state = (state * 1103515245 + 12345) % 2147483648;
    return Math.floor((state / 2147483648) * below);
  };
  return Array.from({ length: 100_000 }, (_, i) => {
    const before = Math.floor(i / 5000 - 1) * 5000;
    return i < 5000
      ? { id: String(i) }
      : { id: String(i), sireId: String(before + random(100)), damId: String(before + 2500 + random(2500)) };
  });
}

/** Inbreeding of 100,000 animals, kinship of 1,000 females with 20 males, and the plan of who goes to whom. */
export function matingRows(core) {
  const rows = [];
  const animals = pedigree();
  const { pedigree: read } = core.pedigreeOf(animals);
  const onePass = seconds(() => {
    let sum = 0;
    for (let i = 0; i < read.sire.length; i++) sum += read.sire[i] + read.dam[i];
    return sum;
  });
  const before = process.memoryUsage();
  let inbreeding;
  const inbred = seconds(() => {
    inbreeding = core.inbreedingOf(read);
  });
  const grown = process.memoryUsage();
  const memory = (grown.heapUsed + grown.arrayBuffers - before.heapUsed - before.arrayBuffers) / 1e6;
  rows.push({
    name: 'inbreeding of 100,000 animals (goal 1.5 s)',
    figure: `${inbred.toFixed(2)} s`,
    floor: `${(onePass * 1000).toFixed(1)} ms one pass over the arrays`,
    ratio: inbred / 1.5,
  });
  rows.push({
    name: 'its memory (goal 200 MB)',
    figure: `${Math.max(0, memory).toFixed(0)} MB`,
    floor: '',
    ratio: memory / 200,
  });
  const males = read.ids.slice(-5000, -4980);
  const females = read.ids.slice(-1000);
  const kin = seconds(() => core.kinshipTable(read, inbreeding, males, females));
  rows.push({
    name: 'kinship of 1,000 females with 20 males',
    figure: `${(kin * 1000).toFixed(0)} ms`,
    floor: `${(onePass * 20_000).toFixed(1)} ms, twenty passes`,
    ratio: kin / (20 * onePass),
  });
  const costs = Float64Array.from({ length: 20_000 }, (_, i) => (i % 7 === 0 ? Infinity : ((i * 7919) % 1000) / 1000));
  const plan = seconds(() => core.assign({ costs, females: 1000, capacities: new Array(20).fill(50) }));
  rows.push({
    name: 'plan of 1,000 females and 20 males (goal 0.5 s)',
    figure: `${(plan * 1000).toFixed(0)} ms`,
    floor: '',
    ratio: plan / 0.5,
  });
  return rows;
}
