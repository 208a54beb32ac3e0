import type { NestExpressApplication } from '@nestjs/platform-express';
import { RouteParamtypes } from '@nestjs/common/enums/route-paramtypes.enum';
import { ROUTE_ARGS_METADATA } from '@nestjs/common/constants';
import type { OpenAPIObject } from '@nestjs/swagger';
import { methodsOf, operationsOf } from './operations';

type ClassOf = new () => object;
interface Schema {
  readonly properties?: Readonly<Record<string, object>>;
  readonly required?: readonly string[];
}

/** A query's class has its fields as parameters, each with the rules the class checks. */
export function addQueries(document: OpenAPIObject, app: NestExpressApplication): void {
  const operations = operationsOf(document);
  for (const [operationId, query] of queriesOf(app)) {
    const operation = operations.get(operationId);
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

/** The query class of each operation, by the operation's id. */
function queriesOf(app: NestExpressApplication): [operationId: string, query: ClassOf][] {
  return methodsOf(app).flatMap(({ id, controller, method }) => {
    const args = (Reflect.getMetadata(ROUTE_ARGS_METADATA, controller, method) ?? {}) as Record<
      string,
      { data?: unknown }
    >;
    const types = (Reflect.getMetadata('design:paramtypes', controller.prototype as object, method) ?? []) as ClassOf[];
    return Object.entries(args).flatMap(([key, { data }]): [string, ClassOf][] => {
      const [kind, index] = key.split(':').map(Number);
      const type = types[index as number];
      return kind === RouteParamtypes.QUERY && data === undefined && type ? [[id, type]] : [];
    });
  });
}
