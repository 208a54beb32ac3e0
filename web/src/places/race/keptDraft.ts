import { FRESH, type Draft } from './draft';

/** What stands at the race between two animals: what was typed of the one at hand, and whose young it is. */
export interface AtRace {
  readonly draft: Draft;
  readonly damId: string | undefined;
  readonly bornAs: number | undefined;
}

const key = (jobId: string): string => `yaylak-draft-${jobId}`;

/** What was being typed in a job on this device when it was left; nothing that is not a draft. */
export function keptDraft(jobId: string | undefined, isKnown: (animalId: string) => boolean): AtRace | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(key(jobId ?? '')) ?? 'null') as Partial<AtRace> | null;
    const draft = kept?.draft;
    if (typeof draft?.number !== 'string' || typeof draft.fields !== 'object') return undefined;
    const { damId, bornAs } = kept ?? {};
    // An animal that is not in the book any more leaves its number to be looked up again.
    const isThere = draft.animalId === undefined || isKnown(draft.animalId);
    return isThere
      ? { draft: { ...FRESH, ...draft }, damId, bornAs }
      : { draft: { ...FRESH, number: draft.number, aside: draft.aside }, damId: undefined, bornAs: undefined };
  } catch {
    return undefined;
  }
}

export function keepDraft(jobId: string | undefined, at: AtRace): void {
  if (jobId === undefined) return;
  const isEmpty = at.damId === undefined && JSON.stringify(at.draft) === JSON.stringify(FRESH);
  try {
    if (isEmpty) localStorage.removeItem(key(jobId));
    else localStorage.setItem(key(jobId), JSON.stringify(at));
  } catch {
    // A device without room keeps it on the screen alone; what is recorded goes into the outbox and says so there.
  }
}

export const forgetDraft = (jobId: string): void => localStorage.removeItem(key(jobId));
