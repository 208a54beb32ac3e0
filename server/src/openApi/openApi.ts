import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import * as contract from '@yaylak/contract';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { addAnswers } from './addAnswers';
import { addQueries } from './addQueries';
import { addNulls, RULE_SCHEMAS } from './ruleSchemas';
// oxlint-disable-next-line typescript/no-require-imports -- the library's own metadata storage has no typed export for this
const { defaultMetadataStorage } = require('class-transformer/cjs/storage') as { defaultMetadataStorage: never };

/** The API's page at /api/docs, with the contract's own classes as its schemas. */
export function serveApiPage(app: NestExpressApplication): void {
  // Made when it is first asked for: it is not needed to start.
  SwaggerModule.setup('api/docs', app, () => documentOf(app));
}

function documentOf(app: NestExpressApplication): OpenAPIObject {
  const document = SwaggerModule.createDocument(
    app,
    new DocumentBuilder()
      .setTitle('Yaylak')
      .setDescription('The stock book: facts come in by POST /api/entries, everything else is read from them.')
      .setVersion('0.1.0')
      // Its schemas are JSON Schema as it is.
      .setOpenAPIVersion('3.1.0')
      .build(),
  );
  const schemas = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage,
    refPointerPrefix: '#/components/schemas/',
    additionalConverters: RULE_SCHEMAS,
  });
  addNulls(schemas as Parameters<typeof addNulls>[0], contract);
  document.components = {
    ...document.components,
    schemas: { ...document.components?.schemas, ...(schemas as object) },
  };
  addQueries(document, app);
  addAnswers(document, app);
  const batch = document.paths['/api/entries']?.post;
  if (batch) {
    const entry = {
      oneOf: Object.values(contract.ENTRY_CLASSES).map((c) => ({ $ref: `#/components/schemas/${c.name}` })),
    };
    batch.requestBody = {
      required: true,
      content: {
        'application/json': {
          schema: {
            type: 'object',
            required: ['entries'],
            properties: { entries: { type: 'array', maxItems: contract.MAX_BATCH, items: entry } },
          },
        },
      },
    };
  }
  const book = document.paths['/api/book']?.post;
  if (book)
    book.requestBody = {
      required: true,
      content: { 'application/json': { schema: { $ref: '#/components/schemas/BookFile' } } },
    };
  return document;
}
