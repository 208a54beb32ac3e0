import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import Ajv, { type ValidateFunction } from 'ajv';
import type { ApiDocument } from './fuzzer';

/** Has what the routes answer read from the sources as they are now. */
export const ensureAnswers = (): void => {
  execFileSync(process.execPath, [join(__dirname, '../../../scripts/answers.mjs')], { stdio: 'inherit' });
};

interface Told {
  readonly responses: Readonly<Record<string, { readonly content?: Readonly<Record<string, object>> }>>;
}

const escaped = (part: string): string => part.replaceAll('~', '~0').replaceAll('/', '~1');

/** Holds an answer against what the API's document says of it. @returns what does not fit, or nothing */
export function createAnswerCheck(document: ApiDocument) {
  const ajv = new Ajv({ strict: false, verbose: true, validateFormats: false, allErrors: false });
  ajv.addSchema(document, 'api');
  const compiled = new Map<string, ValidateFunction>();
  const paths = Object.keys(document.paths).map((path) => ({
    path,
    isMeant: new RegExp(`^${path.replaceAll('.', '\\.').replaceAll(/\{\w+\}/g, '[^/]+')}$`),
  }));

  return (method: string, url: string, status: number, type: string, text: string): string | undefined => {
    const found = paths.find(({ isMeant }) => isMeant.test((url.split('?')[0] ?? '').replace(/\/$/, '')));
    const told = found && (document.paths[found.path]?.[method] as unknown as Told | undefined);
    // What is no route is refused, as not there or for what was sent along.
    if (!found || !told) return status >= 400 ? undefined : `nothing is said of ${method} ${url}`;
    const as = told.responses[status] ? String(status) : status < 400 ? undefined : 'default';
    if (as === undefined) return `${status} is not among its answers`;
    const [[asType] = []] = Object.entries(told.responses[as]?.content ?? {});
    if (asType === undefined) return text === '' ? undefined : 'it has a body and should have none';
    if (!type.startsWith(asType)) return `it is ${type}, not ${asType}`;
    if (!asType.includes('json')) return undefined;
    const ref = `api#/paths/${escaped(found.path)}/${method}/responses/${as}/content/${escaped(asType)}/schema`;
    const validate = compiled.get(ref) ?? ajv.compile({ $ref: ref });
    compiled.set(ref, validate);
    if (validate(JSON.parse(text))) return undefined;
    return (validate.errors ?? [])
      .map(
        (e) =>
          `${e.instancePath} ${e.message ?? ''} ${JSON.stringify(e.params)} ${JSON.stringify(e.data)?.slice(0, 200)}`,
      )
      .join('; ');
  };
}
