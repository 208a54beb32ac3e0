import { STATIONS, type DueWork } from '@yaylak/contract';

/** Stations that harm nobody when one more animal passes them. */
const HARMLESS = ['weigh', 'score', 'look'];

/** Done day by day in the field: what is done once or twice a year does not wait for it, nor go along each time. */
const BY_THE_DAY = 'raddle';

/**
 * Open work on the same animals as one job: who has to come through the race anyway is weighed and scored in one go.
 * Work is put together where one list holds nearly all of the other and its stations only measure; a remedy, a sample
 * or a mark joins only a list that is the very same.
 * @param due in order of importance; the first of two keeps its place
 */
export function mergeDue(due: readonly DueWork[]): DueWork[] {
  const merged: DueWork[] = [];
  for (const work of due) {
    const at = merged.findIndex((other) => canJoin(other, work));
    const other = merged[at];
    if (other) merged[at] = joined(other, work);
    else merged.push(work);
  }
  return merged;
}

function canJoin(a: DueWork, b: DueWork): boolean {
  if (!a.job || !b.job || !a.isOpen || !b.isOpen || a.species !== b.species || a.group?.id !== b.group?.id)
    return false;
  if ([a.job, b.job].some((job) => job?.stations.includes(BY_THE_DAY))) return false;
  const subjects = [a.job.settings.subject, b.job.settings.subject];
  if (subjects.some((s) => s !== undefined && s !== 'each')) return false;
  const own = new Set(a.animalIds);
  const both = b.animalIds.filter((id) => own.has(id)).length;
  const isSame = both === own.size && both === b.animalIds.length;
  const isHarmless = [...a.job.stations, ...b.job.stations].every((s) => HARMLESS.includes(s));
  return isSame || (isHarmless && both >= MOST_SHARED * Math.min(own.size, b.animalIds.length));
}

/** So much of the smaller list stands in the larger one. */
const MOST_SHARED = 0.8;

function joined(a: DueWork, b: DueWork): DueWork {
  if (!a.job || !b.job) return a;
  const stations = STATIONS.filter((s) => a.job?.stations.includes(s) || b.job?.stations.includes(s));
  const productIds = [...(a.job.settings.treat?.productIds ?? []), ...(b.job.settings.treat?.productIds ?? [])];
  const animalIds = [...new Set([...a.animalIds, ...b.animalIds])];
  const larger = a.animalIds.length >= b.animalIds.length ? a : b;
  return {
    ...a,
    key: `${a.key} + ${b.key}`,
    does: [...new Set([...a.does, ...b.does])],
    who: larger.who && 'count' in larger.who ? { ...larger.who, count: animalIds.length } : larger.who,
    why: [...a.why, ...b.why],
    animalIds,
    window: {
      opens: a.window.opens < b.window.opens ? a.window.opens : b.window.opens,
      bestFrom: a.window.bestFrom < b.window.bestFrom ? a.window.bestFrom : b.window.bestFrom,
      bestTo: a.window.bestTo < b.window.bestTo ? a.window.bestTo : b.window.bestTo,
      closes: a.window.closes < b.window.closes ? a.window.closes : b.window.closes,
    },
    job: {
      name: a.job.name,
      stations,
      settings: {
        ...a.job.settings,
        ...b.job.settings,
        ...(productIds.length > 0 ? { treat: { ...a.job.settings.treat, ...b.job.settings.treat, productIds } } : {}),
      },
      gates: [],
    },
    steps: [...a.steps, ...b.steps],
  };
}
