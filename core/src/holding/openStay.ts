import { isPresent, type AnimalFacts } from '../book';
import type { Day } from '../calendar';

/** Whether a stay goes on today. */
export const isOpenStay = (facts: AnimalFacts, stayId: string, today: Day): boolean =>
  isPresent(facts, today) && !facts.stayEnds.some((e) => e.stayId === stayId);
