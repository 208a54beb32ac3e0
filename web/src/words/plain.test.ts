import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';

const ROOT = join(__dirname, '../../..');
/** Where sentences for people are made. */
const ROOMS = ['contract/src', 'server/src', 'web/src'];

/** What a native speaker does not say at the gate; `docs/web.md` says what is said instead. */
const ODD: readonly RegExp[] = [
  /\ball the same\b/i,
  /\bmend\b/i,
  /\bwr(ite|ites|itten) (it |them )?down\b/i,
  /\bstrike (it|that|them) out first if\b/i,
  /\bis no (female|male|number|whole number|date|weight|score|figure|class|list|text|answer|amount|scan)\b/i,
  /\bcannot be[.:]/,
  /\bis still to come\b/i,
  /\bto be expected\b/i,
  /\bover (her|their) time\b/i,
  /\btill\b/i,
  /\bstands? under (Holding|Mating|Carrying|Births|Rearing|Today|Year plan|Condition)\b/i,
  /\bit is told here\b/i,
  /\bfirst milk\b/i,
  /\bnot to be put together\b/i,
  /\bbred from\b/i,
  /\bwhat weighs\b/i,
  /\bwhat this hangs on\b/i,
  /\bset right\b/i,
  /\b(no|No|several|Several) animals? wears?\b/,
  /\b(was|is) over on\b/i,
  /\bnot for the pot\b/i,
  /\bnobody is awaited\b/i,
  /\btake care\b/i,
  /\b\d+ heads\b/,
  /\bheads\b.*\bloads?\b/,
];

const sources = ROOMS.flatMap((room) =>
  readdirSync(join(ROOT, room), { recursive: true, encoding: 'utf8' })
    .filter(
      (name) => /\.tsx?$/.test(name) && !/\.(test|d)\.tsx?$/.test(name) && !/(^|\/)(tests|migrations)\//.test(name),
    )
    .map((name) => join(ROOT, room, name)),
);

/** What stands in quotes, in templates and between tags; no comment and no name. */
function literalsOf(file: string, text = readFileSync(file, 'utf8')): string[] {
  const kind = file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    // What is put into a template stands for a word of it.
    const words = ts.isTemplateExpression(node)
      ? node.head.text + node.templateSpans.map((span) => `…${span.literal.text}`).join('')
      : ts.isStringLiteralLike(node) || ts.isJsxText(node)
        ? node.text
        : '';
    if (words !== '') found.push(words.replace(/\s+/g, ' ').trim());
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile(file, text, ts.ScriptTarget.Latest, false, kind));
  // A word alone is mostly a code.
  return found.filter((words) => / /.test(words));
}

it('is what every sentence is: no phrase that nobody says stands in one', () => {
  expect(sources.length).toBeGreaterThan(500);
  const odd = sources.flatMap((file) =>
    literalsOf(file).flatMap((words) => {
      const phrase = ODD.find((o) => o.test(words));
      return phrase ? [`${relative(ROOT, file)}: ${phrase.source}: ${words.slice(0, 120)}`] : [];
    }),
  );
  expect(odd).toEqual([]);
});

it.each([
  "const a = 'Mend the sex first.';",
  'const b = `Mend ${x} first.`;',
  'const c = <p>\n  Mend it first.\n</p>;',
])('is looked for in %s, and not in what is said of the code', (code) => {
  const isOdd = (text: string): boolean =>
    literalsOf('a.tsx', text).some((words) => ODD.some((phrase) => phrase.test(words)));
  expect(isOdd(code)).toBe(true);
  expect(isOdd(`// Mend the sex first.\n${code.replaceAll('Mend', 'Correct')}`)).toBe(false);
});
