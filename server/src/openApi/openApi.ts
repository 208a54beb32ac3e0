import type { NestExpressApplication } from '@nestjs/platform-express';
import { RouteParamtypes } from '@nestjs/common/enums/route-paramtypes.enum';
import { ROUTE_ARGS_METADATA } from '@nestjs/common/constants';
import { ModulesContainer } from '@nestjs/core';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import * as contract from '@yaylak/contract';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
// eslint-disable-next-line @typescript-eslint/no-require-imports -- the library's own metadata storage has no typed export for this
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
      .build(),
  );
  const schemas = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage,
    refPointerPrefix: '#/components/schemas/',
  });
  document.components = {
    ...document.components,
    schemas: { ...document.components?.schemas, ...(schemas as object) },
  };
  addQueries(document, app);
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
  return document;
}

type ClassOf = new () => object;
interface Schema {
  readonly properties?: Readonly<Record<string, object>>;
  readonly required?: readonly string[];
}

/** A query's class has its fields as parameters, each with the rules the class checks. */
function addQueries(document: OpenAPIObject, app: NestExpressApplication): void {
  const operations = Object.values(document.paths).flatMap((path) => Object.values(path as Record<string, Operation>));
  for (const [operationId, query] of queriesOf(app)) {
    const operation = operations.find((o) => o.operationId === operationId);
    const schema = document.components?.schemas?.[query.name] as Schema | undefined;
    if (!operation || !schema?.properties) continue;
    operation.parameters = [
      ...(operation.parameters ?? []),
      ...Object.entries(schema.properties).map(([name, of]) => ({
        name,
        in: 'query' as const,
        required: schema.required?.includes(name) ?? false,
        schema: of,
      })),
    ];
  }
}

interface Operation {
  readonly operationId?: string;
  parameters?: object[];
}

/** The query class of each operation, by the operation's id. */
function queriesOf(app: NestExpressApplication): [operationId: string, query: ClassOf][] {
  const controllers = [...app.get(ModulesContainer).values()].flatMap((m) => [...m.controllers.values()]);
  return controllers.flatMap(({ metatype }) => {
    if (typeof metatype !== 'function') return [];
    const methods = Object.getOwnPropertyNames(metatype.prototype);
    return methods.flatMap((method): [string, ClassOf][] => {
      const args = (Reflect.getMetadata(ROUTE_ARGS_METADATA, metatype, method) ?? {}) as Record<
        string,
        { data?: unknown }
      >;
      const types = (Reflect.getMetadata('design:paramtypes', metatype.prototype as object, method) ?? []) as ClassOf[];
      return Object.entries(args).flatMap(([key, { data }]): [string, ClassOf][] => {
        const [kind, index] = key.split(':').map(Number);
        const type = types[index as number];
        return kind === RouteParamtypes.QUERY && data === undefined && type
          ? [[`${metatype.name}_${method}`, type]]
          : [];
      });
    });
  });
}
