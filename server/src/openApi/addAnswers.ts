import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { HEADERS_METADATA } from '@nestjs/common/constants';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { OpenAPIObject } from '@nestjs/swagger';
import { methodsOf, operationsOf } from './operations';

/** What `scripts/answers.mjs` read from the controllers: the build makes it, beside the server's own code. */
interface Answers {
  readonly summaries: Readonly<Record<string, string>>;
  readonly answers: Readonly<Record<string, object>>;
  readonly definitions: Readonly<Record<string, object>>;
}
const FILE = join(__dirname, '../../dist/answers.json');

/** Says of every operation what it is for, what it answers, and how a refusal looks. */
export function addAnswers(document: OpenAPIObject, app: NestExpressApplication): void {
  if (!existsSync(FILE)) return;
  const text = readFileSync(FILE, 'utf8').replaceAll(
    /"#\/definitions\/([^"]+)"/g,
    (_, name: string) => `"#/components/schemas/${nameOf(decodeURIComponent(name))}"`,
  );
  const { summaries, answers, definitions } = JSON.parse(text) as Answers;
  const named = Object.fromEntries(Object.entries(definitions).map(([name, schema]) => [nameOf(name), schema]));
  // A class that is also asked for says more: what is taken at most and at least.
  document.components = { ...document.components, schemas: { ...named, ...document.components?.schemas } };
  const types = contentTypes(app);
  for (const [id, operation] of operationsOf(document)) {
    const summary = summaries[id] ?? '';
    operation.summary = summary;
    const [[, good] = []] = Object.entries(operation.responses);
    if (good) {
      good.description = summary;
      const schema = STREAMED[id] ?? answers[id];
      if (schema) good.content = { [types.get(id) ?? 'application/json']: { schema } };
    }
    operation.responses.default = {
      description: 'Refused, or not to be had: why, in words, and which fields.',
      content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
    };
  }
}

/** What is sent as it is read, by operation: its type says nothing of what is in it. */
const STREAMED: Readonly<Record<string, object>> = {
  ExchangeController_export: { $ref: '#/components/schemas/BookFile' },
  PhotosController_picture: { type: 'string', contentEncoding: 'binary' },
};

/** Content types other than JSON, by operation. */
function contentTypes(app: NestExpressApplication): ReadonlyMap<string, string> {
  return new Map(
    methodsOf(app).flatMap(({ id, controller, method }) => {
      const handler = (controller.prototype as Record<string, object | undefined>)[method];
      const headers = ((handler && Reflect.getMetadata(HEADERS_METADATA, handler)) ?? []) as {
        readonly name: string;
        readonly value: string;
      }[];
      const type = headers.find(({ name }) => name === 'content-type')?.value.split(';')[0];
      return type === undefined ? [] : [[id, type] as const];
    }),
  );
}

/** A name as a document may have it: a type's own, without what only code may say. */
const nameOf = (name: string): string => name.replaceAll(/[^\w.-]+/g, '_').replaceAll(/^_+|_+$/g, '');
