import type { RearedView } from '@yaylak/contract';
import { isScore, readTypedNumber, type Sex } from '@yaylak/core';
import type { EntryDraft } from '../../outbox/useRecord';
import { say } from '@yaylak/contract';

/** A weaning as it is typed. */
export interface WeanTyped {
  readonly on: string;
  readonly chosen: readonly string[];
  readonly numbers: Readonly<Record<string, string>>;
  readonly sexes: Readonly<Record<string, Sex>>;
  readonly groupId: string;
  readonly damScore: string;
  readonly udder: '' | 'pass' | 'fail';
}

interface Settled {
  readonly young: readonly RearedView[];
  readonly damId: string | undefined;
  readonly isFirstStep: boolean;
  readonly scoredBy: string;
  readonly udderId: string | undefined;
}

/** The entries of a weaning; or what is missing, in words. */
export function weanEntries(
  { on, chosen, numbers, groupId, damScore, udder }: WeanTyped,
  { young, damId, isFirstStep, scoredBy, udderId }: Settled,
): readonly EntryDraft[] | string {
  if (chosen.length === 0) return say('Tick at least one that is weaned.');
  const score = damScore.trim() === '' ? undefined : readTypedNumber(damScore);
  if (score && (score.kind !== 'number' || !isScore(score.value)))
    return say('Her condition: “{damScore}” is not a score. They go from 1 to 5 by halves or quarters.', { damScore });
  const entries: EntryDraft[] = [];
  for (const { tag } of young.filter((y) => chosen.includes(y.tag.animalId))) {
    const { animalId } = tag;
    entries.push({ type: 'weaning', animalId, on, isDone: !isFirstStep });
    const text = tag.kind === 'none' ? (numbers[animalId] ?? '').trim() : '';
    if (text !== '' && !isFirstStep) entries.push({ type: 'identifier', animalId, on, kind: 'visual', text });
    if (groupId !== '' && !isFirstStep) entries.push({ type: 'move', animalId, on, groupId });
  }
  if (damId !== undefined && score?.kind === 'number')
    entries.push({ type: 'score', animalId: damId, on, score: score.value, scoredBy });
  if (damId !== undefined && udder !== '' && udderId !== undefined)
    entries.push({ type: 'look', animalId: damId, on, grades: { [udderId]: udder } });
  return entries;
}
