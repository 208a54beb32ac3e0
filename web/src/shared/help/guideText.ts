import type { HelpTopic, Keys } from './topic';
import { say } from '@yaylak/contract';

const list = (rows: readonly string[], mark: (i: number) => string): string =>
  rows.map((row, i) => `${mark(i)} ${row}`).join('\n');
const points = (rows: readonly string[]): string => list(rows, () => '-');
const keyRows = (keys: Keys): string => points(keys.map(([key, what]) => `\`${key}\`: ${what}`));

/** The help as one text of headings and lists (Markdown), topic by topic. */
export function guideText(topics: readonly HelpTopic[], everywhere: Keys): string {
  const parts = topics.flatMap(({ title, forWhat, steps, schools = [], cautions = [], keys = [] }) => [
    `## ${title}`,
    forWhat,
    list(steps, (i) => `${i + 1}.`),
    ...(cautions.length > 0 ? [`### ${say('Safety')}`, points(cautions)] : []),
    ...schools.flatMap(({ question, ways, setAt }) => [
      `### ${question}`,
      points(ways),
      say('Yours is set under {words}.', { words: setAt.words }),
    ]),
    ...(keys.length > 0 ? [`### ${say('Keys')}`, keyRows(keys)] : []),
  ]);
  const head = say(
    'The same texts stand beside each place in the application (press `F1`), and can be printed from there.',
  );
  return `${[`# ${say('Yaylak: the guide')}`, head, ...parts, `## ${say('Keys that do the same everywhere')}`, keyRows(everywhere)].join('\n\n')}\n`;
}
