import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { LANGUAGES } from '@yaylak/contract';
import { compileMessage } from '@lingui/message-utils/compileMessage';
import { allMessages, allUnsaid, messagesIn, messagesOf, parsed, unsaidOf } from '../tests/messages';

const FOLDER = join(__dirname, '../../../contract/languages');
const fileOf = (language: string): string => join(FOLDER, `${language}.json`);
const readOf = (language: string): Readonly<Record<string, string>> =>
  JSON.parse(readFileSync(fileOf(language), 'utf8')) as Record<string, string>;

const messages = allMessages();

/** `npm run words` writes the English file anew. */
if (process.env.WRITE_WORDS)
  writeFileSync(
    fileOf('en'),
    `${JSON.stringify(Object.fromEntries(messages.map((m) => [m, m.replace(/ \((sheep|goat|rabbit|cattle)\)$/, '')])), undefined, 2)}\n`,
  );

it('holds all that is said: the English file is the sources’ own', () => {
  expect(Object.keys(readOf('en'))).toEqual(messages);
});

it('is where every sentence of a page or a refusal comes from', () => {
  expect(allUnsaid()).toEqual([]);
});

/** The names in braces of a message and the elements in it, those a plural only counts by apart; what it says is no name. */
function slots(message: string): { readonly shown: readonly string[]; readonly all: readonly string[] } {
  const counts = /, (plural|selectordinal),/.test(message);
  const plain = counts ? message.replaceAll(/\b(?:one|two|few|many|other)\s*\{([^{}]*)\}/g, '$1') : message;
  const all = [...plain.matchAll(/\{(\w+)(?<end>[},])|<\/?\d+\/?>/g)];
  return {
    shown: all.filter((m) => m.groups?.end !== ',').map((m) => m[0]),
    all: all.map((m) => m[1] ?? m[0]),
  };
}

/** A text may count where the other does not; all else that is shown of one is shown of both. */
const saysTheSame = (english: string, text: string): boolean => {
  const [asked, given] = [slots(english), slots(text)];
  return asked.shown.every((s) => given.shown.includes(s)) && given.all.every((s) => asked.all.includes(s));
};

describe.each(LANGUAGES.filter((l) => l !== 'en'))('the file of %s', (language) => {
  const said = readOf(language);

  it('says nothing that the book does not', () => {
    expect(Object.keys(said).filter((message) => !messages.includes(message))).toEqual([]);
  });

  it('puts in what the English puts in, and reads as a message', () => {
    const wrong = Object.entries(said).filter(([message, text]) => {
      compileMessage(text);
      return text === '' || !saysTheSame(message, text);
    });
    expect(wrong).toEqual([]);
  });
});

/** Today, the race, an animal, the finder and births, and what they share with others. */
const TURKISH_ROOMS = [
  'contract/src',
  ...['app', 'outbox', 'parts', 'words', 'places/today', 'places/race', 'places/animals', 'places/births'].map(
    (folder) => `web/src/${folder}`,
  ),
];
// Somebody’s name.
const SAME_IN_TURKISH = ['Kerem'];

it('says all of the places that are promised in Turkish', () => {
  const said = readOf('tr');
  expect(messagesIn(TURKISH_ROOMS).filter((m) => !(m in said) && !SAME_IN_TURKISH.includes(m))).toEqual([]);
});

describe('what is said', () => {
  it.each([
    ["say('Save')", ['Save']],
    ["say(a ? 'Sell' : 'Keep', { n })", ['Sell', 'Keep']],
    ["const T = told({ vet: 'vet', young: ['lamb', 'lambs'] });", ['vet', 'lamb', 'lambs']],
    ["[{ id: 'weigh', name: message('Weigh') }]", ['Weigh']],
    ["say('{n} due{late}', { n, late: say(', {n} late', { n }) })", ['{n} due{late}', ', {n} late']],
    ["<Said text={'Under <0>Year plan</0>.'} parts={[<Link to='/year' />]} />", ['Under <0>Year plan</0>.']],
  ])('is found in %s', (source, found) => {
    expect(messagesOf(parsed('a.tsx', source))).toEqual(found);
  });
});

describe('what is not said', () => {
  it.each([
    ['<p>Weigh them</p>', 'Weigh them'],
    ["<Field label='Weight' />", 'Weight'],
    ["const a = 'Weigh them first.';", 'Weigh them first.'],
    ['const a = `Weigh ${x} first.`;', 'Weigh … first.'],
    ["say('{a}', { a: 'of the ewes' })", 'of the ewes'],
  ])('is found in %s', (source, found) => {
    expect(unsaidOf(parsed('a.tsx', source))).toEqual([`a.tsx:1: ${found}`]);
  });

  it.each([
    "import { a } from 'a place';",
    "throw new Error('no such thing');",
    'const A = styled.p`color: red; border: 1px solid;`;',
    "const a: 'in a group' | 'alone' = b;",
    "<a href='/the place' className='A b'>{say('Go')}</a>",
  ])('is none of %s', (source) => {
    expect(unsaidOf(parsed('a.tsx', source))).toEqual([]);
  });
});
