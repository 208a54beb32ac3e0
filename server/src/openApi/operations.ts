import type { NestExpressApplication } from '@nestjs/platform-express';
import { ModulesContainer } from '@nestjs/core';
import type { OpenAPIObject } from '@nestjs/swagger';

export interface Operation {
  readonly operationId?: string;
  summary?: string;
  parameters?: object[];
  responses: Record<string, { description: string; content?: Record<string, { schema: object }> }>;
}

/** The operations of a document by their ids. */
export function operationsOf(document: OpenAPIObject): ReadonlyMap<string, Operation> {
  const all = Object.values(document.paths).flatMap((path) => Object.values(path as Record<string, Operation>));
  return new Map(all.flatMap((o) => (o.operationId === undefined ? [] : [[o.operationId, o] as const])));
}

/** A method of a controller, with the id of its operation. */
export interface ControllerMethod {
  readonly id: string;
  readonly controller: new () => object;
  readonly method: string;
}

/** Every method of every controller. */
export function methodsOf(app: NestExpressApplication): ControllerMethod[] {
  const controllers = [...app.get(ModulesContainer).values()].flatMap((m) => [...m.controllers.values()]);
  return controllers.flatMap(({ metatype }) =>
    typeof metatype === 'function'
      ? Object.getOwnPropertyNames(metatype.prototype).map((method) => ({
          id: `${metatype.name}_${method}`,
          controller: metatype as new () => object,
          method,
        }))
      : [],
  );
}
