import type { Day } from '../calendar';
import { CARRYING_FROM, type RanUnmarked } from '../mating';
import { EMPTY_UNDER, VERY_LIKELY } from '../pregnancy';
import type { SpeciesSettings } from '../species';
import type { CarryingNow, Unanswered } from './carryingOf';
import type { FemaleHistory } from './femaleHistory';

/**
 * How it stands with a female: told and in young; likely so by what is known; too soon to say; doubtful; told empty or
 * all but certainly so; not served; ran with a male that marks and wears no mark; has lost it; over her time; told in
 * young, and nobody said what came of it.
 */
export type CarryingState =
  | 'in-young'
  | 'likely'
  | 'too-soon'
  | 'doubtful'
  | 'empty'
  | 'not-served'
  | 'not-marked'
  | 'lost'
  | 'over-time'
  | 'unanswered';

/** Where two signs contradict each other, only what is all but certain is taken as known. */
const CONTRADICTED = { over: 0.02, under: 0.98 };

interface KnownOf {
  readonly unanswered: Unanswered | undefined;
  /** See `unmarkedOf`. */
  readonly unmarked: RanUnmarked | undefined;
  readonly settings: Pick<SpeciesSettings, 'heatCycleDays'>;
  readonly today: Day;
}

/** How it stands with a female, by what she may be carrying (`carryingOf`). */
export function carryingState(
  found: CarryingNow | undefined,
  { unanswered, unmarked, settings, today }: KnownOf,
): CarryingState {
  if (!found) return unanswered ? 'unanswered' : unmarked ? 'not-marked' : 'not-served';
  const { spell, chance, beforeWaiting: probability } = found;
  const { story } = chance;
  if (story.some((s) => s.kind === 'lost')) return 'lost';
  if (today > found.window.closes && probability >= CARRYING_FROM) return 'over-time';
  const isTested = story.some((s) => s.kind === 'tested' && s.weight !== 1);
  const { heatCycleDays: cycle } = settings;
  if (chance.contradictions.length > 0 && probability > CONTRADICTED.over && probability < CONTRADICTED.under)
    return 'doubtful';
  if (probability >= VERY_LIKELY && isTested) return 'in-young';
  if (probability < EMPTY_UNDER) return 'empty';
  if (isTested || story.some((s) => s.kind === 'returned')) return probability >= CARRYING_FROM ? 'likely' : 'doubtful';
  // Without a test only a full cycle says anything.
  return today - spell.lastOn > cycle.to && cycle.mean > 0 ? 'likely' : 'too-soon';
}

/** Her stretch with a male that marks, where she wears no mark and nothing since says more; see `ranUnmarked`. */
export const unmarkedOf = ({ unmarked, spells }: FemaleHistory): RanUnmarked | undefined =>
  unmarked && spells.some((s) => s.on >= unmarked.from) ? undefined : unmarked;
