/** Animals opened on this device, to be found again without typing. */
const KEY = 'yaylak-recent-animals';
const KEPT = 8;

/** Ids of the animals opened last, the latest first; none where nothing can be kept. */
export function recentAnimals(): readonly string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return Array.isArray(kept) ? kept.filter((id) => typeof id === 'string').slice(0, KEPT) : [];
  } catch {
    return [];
  }
}

/** Remembers that an animal was opened just now. */
export function rememberAnimal(animalId: string): void {
  const ids = [animalId, ...recentAnimals().filter((id) => id !== animalId)].slice(0, KEPT);
  try {
    localStorage.setItem(KEY, JSON.stringify(ids));
  } catch {
    // A private window keeps nothing: the finder is then empty at first, and finds as before.
  }
}
