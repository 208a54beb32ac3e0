import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { hashOf, root } from './lib.mjs';

/*
 * What each route of the API answers, as JSON Schema, and what it is for: read from the controllers' own types and
 * comments into server/dist/answers.json, from which the server makes its page of the API. Nothing is done when no
 * source has changed.
 */
const source = join(root, 'server/src');
const out = join(root, 'server/dist/answers.json');
const ROUTE = /^@(Get|Post|Put|Patch|Delete)\(/;

const now = hashOf(['core/src', 'contract/src', 'server/src', 'scripts/answers.mjs', 'package-lock.json']);
const isFresh = existsSync(out) && JSON.parse(readFileSync(out, 'utf8')).from === now;
if (!isFresh) write(answers((await import('typescript-json-schema')).default));

function answers(TJS) {
  const { ts } = TJS;
  const routes = readdirSync(source, { recursive: true })
    .filter((file) => file.endsWith('.controller.ts'))
    .flatMap((file) => routesOf(ts, join(source, file)));
  const silent = routes.filter(({ summary }) => summary === '').map(({ id }) => id);
  if (silent.length > 0) throw new Error(`Say in a comment what these routes are for: ${silent.join(', ')}`);
  // A file of its own names the type of each answer; it is there only while it is read.
  const cache = join(root, '.cache');
  mkdirSync(cache, { recursive: true });
  const named = join(cache, `answers.${process.pid}.ts`);
  writeFileSync(named, routes.map(({ line }) => line).join('\n'));
  try {
    const options = JSON.parse(readFileSync(join(root, 'tsconfig.base.json'), 'utf8')).compilerOptions;
    const program = TJS.getProgramFromFiles(
      [named],
      { ...options, lib: ['lib.es2023.d.ts'], types: ['node'], composite: false, declaration: false },
      root,
    );
    const checker = program.getTypeChecker();
    const types = new Map(
      program
        .getSourceFile(named)
        .statements.filter(ts.isTypeAliasDeclaration)
        .map(({ name }) => [name.text, checker.getTypeAtLocation(name)]),
    );
    const isTold = ({ id }) => {
      const type = types.get(id);
      return !(type.flags & ts.TypeFlags.Void) && checker.typeToString(type) !== 'StreamableFile';
    };
    asJson(TJS, checker);
    const generator = TJS.buildGenerator(program, {
      required: true,
      noExtraProps: true,
      aliasRef: false,
      topRef: true,
      strictNullChecks: true,
      // The sources are checked by the compiler itself, in its own version.
      ignoreErrors: true,
    });
    const told = routes.filter(isTold).map(({ id }) => id);
    const { definitions } = generator.getSchemaForSymbols([...told, 'Problem', 'BookFile'], true);
    return {
      from: now,
      summaries: Object.fromEntries(routes.map(({ id, summary }) => [id, summary])),
      answers: Object.fromEntries(told.map((id) => [id, definitions[id]])),
      definitions: Object.fromEntries(Object.entries(definitions).filter(([name]) => !told.includes(name))),
    };
  } finally {
    rmSync(named);
  }
}

/**
 * What the library does not say of a type as it stands in JSON: the values of a record by any text, that a field that
 * may be undefined is left out, and what a branded number is.
 */
function asJson({ ts, JsonSchemaGenerator }, checker) {
  const { getClassDefinition, getTypeDefinition } = JsonSchemaGenerator.prototype;
  const mayLack = (type) => type.isUnion() && type.types.some((one) => one.flags & ts.TypeFlags.Undefined);
  const isOf = (type, flag) => type.isIntersection() && type.types.some((one) => one.flags & flag);
  // A number or text with a brand: the brand stands in the code alone.
  JsonSchemaGenerator.prototype.getTypeDefinition = function (type, ...rest) {
    if (isOf(type, ts.TypeFlags.NumberLike)) return { type: 'number' };
    if (isOf(type, ts.TypeFlags.StringLike)) return { type: 'string' };
    return getTypeDefinition.call(this, type, ...rest);
  };
  JsonSchemaGenerator.prototype.getClassDefinition = function (type, definition) {
    const made = getClassDefinition.call(this, type, definition);
    const values = type.getStringIndexType();
    if (values) made.additionalProperties = this.getTypeDefinition(values);
    made.required = made.required?.filter((name) => !mayLack(checker.getTypeOfSymbol(type.getProperty(name))));
    if (made.required?.length === 0) delete made.required;
    return made;
  };
}

/** The routes of a controller: what it is for, and a line that names the type of its answer. */
function routesOf(ts, file) {
  const parsed = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.ES2022, true);
  return parsed.statements.filter(ts.isClassDeclaration).flatMap((controller) =>
    controller.members
      .filter((m) => ts.isMethodDeclaration(m) && (ts.getDecorators(m) ?? []).some((d) => ROUTE.test(d.getText())))
      .map((method) => {
        const [of, name] = [controller.name.text, method.name.text];
        const comment = ts.getJSDocCommentsAndTags(method)[0]?.comment;
        return {
          id: `${of}_${name}`,
          summary: ts.getTextOfJSDocComment(comment) ?? '',
          line: `export type ${of}_${name} = Awaited<ReturnType<import('${file.replace(/\.ts$/, '')}').${of}['${name}']>>;`,
        };
      }),
  );
}

/** Written aside and renamed: two that make it at once do not mix. */
function write(made) {
  mkdirSync(join(root, 'server/dist'), { recursive: true });
  writeFileSync(`${out}.${process.pid}`, JSON.stringify(made));
  renameSync(`${out}.${process.pid}`, out);
}
