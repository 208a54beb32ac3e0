import { createAnswerCheck, ensureAnswers } from '../tests/answerCheck';
import { idsOf, type ApiDocument } from '../tests/fuzzer';
import { pagesOf } from '../tests/pages';
import { demoInto, testApp, type TestApp } from '../tests/testApp';

let t: TestApp;
let document: ApiDocument;
beforeAll(async () => {
  ensureAnswers();
  t = await testApp();
  await demoInto(t, 1);
  document = (await t.http().get('/api/docs-json').expect(200)).body as ApiDocument;
});
afterAll(() => t.close());

interface Operation {
  readonly summary?: string;
  readonly requestBody?: object;
  readonly responses: Readonly<Record<string, { readonly content?: Readonly<Record<string, { schema: object }>> }>>;
}
const operations = (): [string, Operation][] =>
  Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.entries(methods).map(([method, o]): [string, Operation] => [`${method} ${path}`, o as unknown as Operation]),
  );

it('says of every route what it is for, what it takes, what it answers and how it refuses', () => {
  expect(operations().length).toBeGreaterThan(60);
  const lacking = operations().flatMap(([name, { summary, requestBody, responses }]) => {
    const [[status, good] = ['', {}]] = Object.entries(responses);
    const isSilent = status === '204' || good.content !== undefined;
    const takes = !/^(post|put|patch)/.test(name) || requestBody !== undefined;
    const refuses = responses.default?.content?.['application/problem+json'] !== undefined;
    return summary && isSilent && takes && refuses ? [] : [name];
  });
  expect(lacking).toEqual([]);
});

it('has every schema that it speaks of, under names a document may have', () => {
  const { schemas } = document.components;
  const spoken = [...JSON.stringify(document).matchAll(/"#\/components\/schemas\/([^"]+)"/g)].map(([, name]) => name);
  expect([...new Set(spoken)].filter((name) => !((name as string) in schemas))).toEqual([]);
  expect(Object.keys(schemas).filter((name) => !/^[\w.-]+$/.test(name))).toEqual([]);
});

it('is what the routes really answer', async () => {
  const check = createAnswerCheck(document);
  const ids = idsOf((await t.http().get('/api/book')).body as object);
  const ofOne = Object.entries(document.paths).flatMap(([path, methods]) =>
    path.includes('{id}') && 'get' in methods
      ? (ids[/(\w+)\/\{id\}/.exec(path)?.[1] ?? ''] ?? ids.animals ?? [])
          .filter((_, i, all) => i % Math.ceil(all.length / 8) === 0)
          .map((id) => path.replace('{id}', id))
      : [],
  );
  const wrong: string[] = [];
  for (const path of [...pagesOf(document), ...ofOne, '/api/animals/none', '/api/animals?limit=x']) {
    const { status, text, headers } = await t.http().get(path);
    const fault = check('get', path, status, headers['content-type'] ?? '', text);
    if (fault !== undefined) wrong.push(`${path} ${status}: ${fault}`);
  }
  expect(wrong).toEqual([]);
});

it('would notice an answer with a field too few, too many or of another kind', async () => {
  const check = createAnswerCheck(document);
  const { body } = await t.http().get('/api/groups');
  const [group] = body as object[];
  const say = (change: object): string | undefined =>
    check('get', '/api/groups', 200, 'application/json', JSON.stringify([{ ...group, ...change }]));
  expect(say({})).toBeUndefined();
  expect(say({ wings: 2 })).toContain('wings');
  expect(say({ name: 7 })).toContain('string');
  expect(say({ name: undefined })).toContain('name');
  expect(check('get', '/api/groups', 200, 'text/html', '')).toContain('text/html');
  expect(check('get', '/api/groups', 404, 'application/problem+json', '{"title":"x"}')).toContain('required');
});
