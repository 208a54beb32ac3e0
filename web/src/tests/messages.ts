import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { keyIn, MARK_COLOURS, MARK_PLACES, SAMPLE_PURPOSES } from '@yaylak/contract';
import {
  ARRIVAL_WAYS,
  CARE_METHODS,
  DEPARTURE_WAYS,
  EARS,
  FEEL_GUIDES,
  HEAT_SIGNS,
  IDENTIFIER_KINDS,
  PRODUCT_KINDS,
  RELIABILITY_WORDS,
  SEXES,
  SOURCE_NOTES,
  SPECIES,
  SPECIES_TABLE,
  SPECIES_WORDS,
  TAG_COLOURS,
  TAG_SHAPES,
  USUAL_STANDARDS,
  WEIGHING_METHODS,
} from '@yaylak/core';
import ts from 'typescript';

const ROOT = join(__dirname, '../../..');
/** Where what is said for people stands. */
const ROOMS = ['contract/src', 'server/src', 'web/src'];
/**
 * Where a sentence that is not said is a fault. The server's other folders speak to the database, to programs that read
 * its files and to whoever starts it.
 */
const SAID_ROOMS = [
  'contract/src',
  'web/src',
  ...[
    'births',
    'calendar',
    'carrying',
    'choosing',
    'doors',
    'due',
    'jobs',
    'mating',
    'rearing',
    'season',
    'selling',
  ].map((folder) => `server/src/${folder}`),
];
/** All texts of a table, however deep. */
const textsIn = (table: unknown): string[] =>
  typeof table === 'string' ? [table] : typeof table === 'object' && table ? Object.values(table).flatMap(textsIn) : [];

/** Words that two species have, as they are said of each of them. */
function wordsOfTwo(): string[] {
  const of = SPECIES.map((s) => [s, textsIn(SPECIES_WORDS[s])] as const);
  return of.flatMap(([s, words]) =>
    words.filter((w) => of.some(([t, others]) => t !== s && others.includes(w))).map((w) => keyIn(s, w)),
  );
}

/** Texts that stand in tables of core and codes that are words as they stand: said where they are shown. */
const tableTexts = (): string[] =>
  [
    textsIn(SPECIES_WORDS),
    wordsOfTwo(),
    textsIn([FEEL_GUIDES, SOURCE_NOTES, CARE_METHODS]),
    Object.values(HEAT_SIGNS).map((sign) => sign.words),
    textsIn(USUAL_STANDARDS.map(({ name, fails }) => [name, fails])),
    SPECIES.flatMap((s) => [
      ...SPECIES_TABLE[s].carryingSteps.map((step) => step.name),
      ...SPECIES_TABLE[s].weighing.map((step) => step.name),
    ]),
    [...TAG_COLOURS, ...TAG_SHAPES, ...MARK_COLOURS, ...MARK_PLACES, ...SAMPLE_PURPOSES],
    [...IDENTIFIER_KINDS, ...EARS, ...PRODUCT_KINDS],
    [...WEIGHING_METHODS, ...RELIABILITY_WORDS, ...SEXES, ...SPECIES, ...ARRIVAL_WAYS, ...DEPARTURE_WAYS],
  ].flat();

/** The sources of these folders, as paths from the root; tests, what only they use, and what moves an old book are none. */
export const sourcesOf = (rooms: readonly string[]): string[] =>
  rooms.flatMap((room) =>
    readdirSync(join(ROOT, room), { recursive: true, encoding: 'utf8' })
      .filter(
        (name) =>
          /\.tsx?$/.test(name) &&
          !/(\.(test|d)|testViews|testKit)\.tsx?$/.test(name) &&
          !/(^|\/)(tests|migrations)\//.test(name),
      )
      .map((name) => join(room, name)),
  );

export const parsed = (file: string, text = readFileSync(join(ROOT, file), 'utf8')): ts.SourceFile =>
  ts.createSourceFile(
    file,
    text,
    ts.ScriptTarget.Latest,
    true,
    file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );

/** Calls whose texts are said: at once, from a table, or where they are shown. */
const SAYS = ['say', 'told', 'message'];
const isSaid = (node: ts.Node): boolean => ts.isCallExpression(node) && SAYS.includes(node.expression.getText());
/** The text of a sentence with elements in it. */
const isSaidText = (node: ts.Node): boolean =>
  ts.isJsxAttribute(node) &&
  node.name.getText() === 'text' &&
  /^Said$/.test((node.parent.parent as ts.JsxSelfClosingElement).tagName.getText());

/** Looks of an element, and what draws a line. */
const isLook = (text: string): boolean =>
  /[:;]\s*(…|[\w-]+);|gradient\(|minmax\(|^@media |=\(self\)|:not\(|^M … /.test(text);
/**
 * Ends of names, a class of the browser, languages as they call themselves, and a way of caring as the book keeps it,
 * which is said where it is shown.
 */
const CODES = /^(KgPerDay|Minor|PerDay|Kg|Cm|Ml|Days|Hours|Months|Years|AudioContext|…?Id|hot iron|English|Türkçe)$/;

const reads = (text: string): boolean =>
  !CODES.test(text) && !isLook(text) && (isSentence(text) || /^\s*\p{Lu}\p{Ll}/u.test(text));
const isSentence = (text: string): boolean => /\p{L}[\p{L}’,.;:)“”%]*\s+\S*\p{L}/u.test(text);

/** All that a file says: what stands in its `say`, `told`, `message` and `Said`. */
export function messagesOf(source: ts.SourceFile): string[] {
  const found: string[] = [];
  const take = (node: ts.Node): void => {
    if (ts.isStringLiteralLike(node) && !isName(node)) found.push(node.text);
    ts.forEachChild(node, take);
  };
  const visit = (node: ts.Node): void => {
    if (isSaid(node) || isSaidText(node)) {
      const [first] = ts.isCallExpression(node) ? node.arguments : [(node as ts.JsxAttribute).initializer as ts.Node];
      if (first) take(first);
      if (ts.isCallExpression(node)) node.arguments.slice(1).forEach(visit);
      return;
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found.filter((text) => /\p{L}/u.test(text) && !text.startsWith('/'));
}

/** Examples for whoever writes a program against the book: made-up facts, as a keeper would type them. */
const isExample = (file: string): boolean => /contract\/src\/(entries\/|examples)/.test(file);

/** What is not said and should be, of all files. */
export const allUnsaid = (): string[] =>
  sourcesOf(SAID_ROOMS)
    .filter((file) => !isExample(file))
    .flatMap((file) => unsaidOf(parsed(file)));

/** All that the book says to people, in English, each once and in order. */
export function allMessages(): string[] {
  const found = new Set([
    ...sourcesOf(ROOMS).flatMap((file) => messagesOf(parsed(file))),
    ...tableTexts().filter((text) => /\p{L}{2}/u.test(text)),
  ]);
  return [...found].sort();
}

/** What the sources of these folders say, but for the words of a contract about its fields. */
export const messagesIn = (rooms: readonly string[]): string[] =>
  [...new Set(sourcesOf(rooms).flatMap((file) => messagesOf(parsed(file))))].filter(
    (text) => !text.includes('$property'),
  );

/** It names a thing of the program: a property, a file, what something is compared with. */
function isName(node: ts.Node): boolean {
  const { parent } = node;
  return (
    ts.isImportDeclaration(parent) ||
    ts.isExportDeclaration(parent) ||
    ts.isLiteralTypeNode(parent) ||
    ts.isCaseClause(parent) ||
    ts.isElementAccessExpression(parent) ||
    ((ts.isPropertyAssignment(parent) || ts.isPropertySignature(parent)) && parent.name === node) ||
    (ts.isBinaryExpression(parent) && /^[!=]==$/.test(parent.operatorToken.getText()))
  );
}

/** Attributes of elements that nobody reads. */
const UNREAD =
  /^(className|id|key|type|to|href|src|style|viewBox|d|fill|stroke|transform|points|dataKey|placement|strokeDasharray|data-.+|\$.+)$/;
/** What a text is given to and does not come out of: a programmer's error, a name of a place to store or to ask, what
 * an id is made of, which is the same in every language. */
const UNSAID =
  /Error$|(^|\.)(idOf|Worker|createContext|css|keyframes|getItem|setItem|removeItem|querySelector|querySelectorAll|addEventListener|removeEventListener|matchMedia|startsWith|endsWith|includes|split|Matches|ValidateBy|buildMessage|ApiProperty)$/;

/** Texts of a file that read like something for people and are not said, as `file:line: text`. */
export function unsaidOf(source: ts.SourceFile): string[] {
  const found: string[] = [];
  const fault = (node: ts.Node, text: string): void => {
    const { line } = source.getLineAndCharacterOfPosition(node.getStart());
    found.push(`${relative(ROOT, join(ROOT, source.fileName))}:${line + 1}: ${text.replace(/\s+/g, ' ').trim()}`);
  };
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isTaggedTemplateExpression(node) || ts.isDecorator(node)) return;
    if (isSaidText(node) || (ts.isJsxAttribute(node) && UNREAD.test(node.name.getText()))) return;
    if (isSaid(node)) return (node as ts.CallExpression).arguments.slice(1).forEach(visit);
    if ((ts.isCallExpression(node) || ts.isNewExpression(node)) && UNSAID.test(node.expression.getText())) return;
    if (ts.isJsxText(node) && /\p{L}/u.test(node.text)) fault(node, node.text);
    if (ts.isStringLiteralLike(node) && !isName(node) && reads(node.text)) fault(node, node.text);
    if (ts.isTemplateExpression(node)) {
      const text = node.head.text + node.templateSpans.map((span) => `…${span.literal.text}`).join('');
      if (!text.startsWith('/') && reads(text) && reads(text.replaceAll('…', ''))) fault(node, text);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}
