import type { HelpTopic } from './topic';
import { ANIMALS_HELP } from './topics/animals';
import { BIRTHS_HELP } from './topics/births';
import { CARRYING_HELP } from './topics/carrying';
import { CHOOSING_HELP } from './topics/choosing';
import { CONDITION_HELP } from './topics/condition';
import { HOLDING_HELP } from './topics/holding';
import { MATING_HELP } from './topics/mating';
import { RACE_HELP, RACE_START_HELP } from './topics/race';
import { REARING_HELP } from './topics/rearing';
import { REMEDIES_HELP } from './topics/remedies';
import { SELLING_HELP } from './topics/selling';
import { START_HELP } from './topics/start';
import { TAGS_HELP } from './topics/tags';
import { TODAY_HELP } from './topics/today';
import { YEAR_HELP } from './topics/year';

/** Help with every place, in the order of the rail. */
export const TOPICS: readonly HelpTopic[] = [
  TODAY_HELP,
  START_HELP,
  RACE_START_HELP,
  RACE_HELP,
  YEAR_HELP,
  CONDITION_HELP,
  MATING_HELP,
  CARRYING_HELP,
  BIRTHS_HELP,
  REARING_HELP,
  CHOOSING_HELP,
  SELLING_HELP,
  ANIMALS_HELP,
  REMEDIES_HELP,
  TAGS_HELP,
  HOLDING_HELP,
];

/** The topic of an address: of those it begins with, the one that says most; Today's where none does. */
export function topicAt(pathname: string): HelpTopic {
  const fits = TOPICS.filter(({ at }) => pathname === at || (at !== '/' && pathname.startsWith(at)));
  return fits.toSorted((a, b) => b.at.length - a.at.length)[0] ?? TODAY_HELP;
}

/** Every sentence of a topic, in the order it is read. */
export const sentencesOf = (topic: HelpTopic): readonly string[] => [
  topic.title,
  topic.forWhat,
  ...topic.steps,
  ...(topic.schools ?? []).flatMap((s) => [s.question, ...s.ways]),
  ...(topic.cautions ?? []),
  ...(topic.keys ?? []).map(([, what]) => what),
];

export interface HelpFound {
  readonly topic: HelpTopic;
  /** The first sentence that holds what was looked for. */
  readonly sentence: string;
}

/** Topics with words that begin as those typed, those with it in their title first; nothing for nothing typed. */
export function searchHelp(typed: string): readonly HelpFound[] {
  const wanted = typed.trim().toLowerCase().split(/\s+/);
  if (wanted[0] === '') return [];
  // From the beginning of a word: `red` is not looked for in `scored`.
  const holds = (text: string, word: string): boolean =>
    text
      .toLowerCase()
      .split(/[^\p{L}\d]+/u)
      .some((own) => own.startsWith(word));
  return TOPICS.flatMap((topic) => {
    const sentences = sentencesOf(topic);
    if (!wanted.every((word) => sentences.some((s) => holds(s, word)))) return [];
    const best =
      sentences.find((s) => wanted.every((word) => holds(s, word))) ?? sentences.find((s) => holds(s, wanted[0] ?? ''));
    return [{ topic, sentence: best ?? topic.forWhat }];
  }).toSorted((a, b) => Number(b.sentence === b.topic.title) - Number(a.sentence === a.topic.title));
}
