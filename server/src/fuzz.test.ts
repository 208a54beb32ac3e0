import { createAnswerCheck, ensureAnswers } from './tests/answerCheck';
import { createFuzzer, idsOf, minimised, seeded, type ApiDocument, type FuzzRequest } from './tests/fuzzer';
import { pagesOf } from './tests/pages';
import { demoInto, testApp, type TestApp } from './tests/testApp';

/** `npm run fuzz` makes all of them. */
const REQUESTS = Number(process.env.FUZZ_REQUESTS ?? 600);
const SEED = Number(process.env.FUZZ_SEED ?? 20_261_128);
/** The work one answer may take: of the processor, as the clock on the wall also counts what other tests do meanwhile. */
const HANG_MS = 5_000;
/** No answer at all by then is a hang too. */
const NO_ANSWER_MS = 60_000;
/** What the book itself grows by stays within this. */
const MOST_GROWN_MB = 100;
/** Every so many writes that were taken, all pages are asked. */
const PAGES_EVERY = Number(process.env.FUZZ_PAGES_EVERY ?? 120);

let t: TestApp;
beforeAll(async () => {
  ensureAnswers();
  t = await testApp();
  await demoInto(t, 1);
  // A demo is made in seconds, and in a minute or two where other work has the machine.
}, 180_000);
afterAll(() => t.close());

interface Answered {
  readonly status: number;
  readonly ms: number;
  readonly text: string;
  readonly type: string;
}

async function ask({ method, path, body }: FuzzRequest): Promise<Answered> {
  const from = process.cpuUsage();
  const answer = await fetch(t.url + path, {
    method: method.toUpperCase(),
    signal: AbortSignal.timeout(NO_ANSWER_MS),
    ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  });
  const text = await answer.text();
  const type = answer.headers.get('content-type') ?? '';
  const { user, system } = process.cpuUsage(from);
  return { status: answer.status, ms: (user + system) / 1000, text, type };
}

/** What is wrong with an answer, if anything is. */
type Check = (request: FuzzRequest, answer: Answered) => string | undefined;
const checkBy =
  (fits: ReturnType<typeof createAnswerCheck>): Check =>
  ({ method, path }, { status, ms, text, type }) => {
    if (status >= 500) return `${status}`;
    if (ms > HANG_MS) return `${Math.round(ms)} ms of work`;
    const fault = fits(method, path, status, type, text);
    return fault === undefined ? undefined : `${status} is not as told: ${fault}`;
  };

it(`${REQUESTS} requests of seed ${SEED} end without a 5xx or a hang, and every page answers after them`, async () => {
  const document = JSON.parse((await ask({ method: 'get', path: '/api/docs-json' })).text) as ApiDocument;
  const ids = idsOf((await (await fetch(`${t.url}/api/book`)).json()) as { entries: object[] });
  const fuzzer = createFuzzer(document, seeded(SEED), () => ids);
  const pages = pagesOf(document).filter((path) => !path.startsWith('/api/book'));
  const breach = checkBy(createAnswerCheck(document));
  const counts: Record<string, number> = {};
  const breaches: string[] = [];
  let written = 0;
  let kept = 0;
  const askPages = async (after: FuzzRequest): Promise<void> => {
    for (const path of pages) {
      const page: FuzzRequest = { method: 'get', path };
      const fault = breach(page, await ask(page));
      if (fault !== undefined) breaches.push(`GET ${path}: ${fault} after ${JSON.stringify(after).slice(0, 600)}`);
    }
  };
  await askPages({ method: 'get', path: 'nothing yet' });
  global.gc?.();
  const memoryBefore = process.memoryUsage().heapUsed;
  for (let i = 0; i < REQUESTS && breaches.length < 20; i++) {
    const request = fuzzer.next();
    const answer = await ask(request);
    counts[answer.status] = (counts[answer.status] ?? 0) + 1;
    kept += answer.text.match(/"status":"kept"/g)?.length ?? 0;
    const fault = breach(request, answer);
    if (fault !== undefined) {
      const small = await minimised(request, async (less) => breach(less, await ask(less)) !== undefined);
      breaches.push(`${fault}: ${JSON.stringify(small).slice(0, 800)}`);
    }
    const { id } = (request.body ?? {}) as { id?: unknown };
    const of = request.path.split(/[/?]/).at(-1) as string;
    if (answer.status === 201 && typeof id === 'string') (ids[of] ??= []).push(id);
    const isWrite = request.method !== 'get' && answer.status < 300;
    if (isWrite && ++written % PAGES_EVERY === 0) await askPages(request);
  }
  await askPages({ method: 'get', path: 'the end' });
  global.gc?.();
  const grownMb = (process.memoryUsage().heapUsed - memoryBefore) / 2 ** 20;
  process.stdout.write(
    `fuzz: ${JSON.stringify(counts)}, ${written} written, ${kept} entries kept, memory ${grownMb.toFixed(0)} MB more\n`,
  );
  for (const breach of breaches) process.stdout.write(`breach: ${breach}\n`);
  expect(breaches).toEqual([]);
  if (global.gc) expect(grownMb).toBeLessThan(MOST_GROWN_MB);
  // A book that was poisoned would not start again.
  t = await t.again();
  await t.http().get('/api/today').expect(200);
}, 3_600_000);
