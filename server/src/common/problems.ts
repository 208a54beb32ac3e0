import { HttpException } from '@nestjs/common';
import { faultText, type BrokenRule, type FieldFault, type Problem, say } from '@yaylak/contract';
import { getMetadataStorage, type ValidationError } from 'class-validator';

/** A failure that is known, with the words for it. */
export class ProblemException extends HttpException {
  constructor(readonly problem: Problem) {
    super(problem, problem.status);
  }
}

const problem = (status: number, type: string, title: string, more: Partial<Problem> = {}): ProblemException =>
  new ProblemException({ type: `/problems/${type}`, title, status, ...more });

export const notFound = (what: string): ProblemException =>
  problem(404, 'not-found', say('There is no such {what}.', { what }), {
    detail: say('It may have been struck out. Go back to the list.'),
  });

export const staleVersion = (what: string, current: unknown): ProblemException =>
  problem(409, 'changed-meanwhile', say('This {what} was changed meanwhile.', { what }), {
    detail: say('Somebody else, or another window, saved a change first. Look at what it says now and save again.'),
    current,
  });

export const badFields = (fields: readonly FieldFault[]): ProblemException =>
  problem(400, 'bad-fields', say('Some fields cannot be taken as they are.'), {
    detail: fields.map((f) => f.message).join(' '),
    fields,
  });

export const conflict = (title: string, detail: string): ProblemException =>
  problem(409, 'conflict', title, { detail });

/** A file of JSON that cannot be read as such. */
export const notJson = (detail: string): ProblemException =>
  problem(400, 'not-json', say('That is not a whole JSON file.'), { detail });

export const tooLarge = (detail: string): ProblemException =>
  problem(413, 'too-large', say('That is too much in one piece.'), { detail });

/** class-validator's findings as a flat list of fields in words, one for each field: the first rule it breaks. */
export function fieldFaults(errors: readonly ValidationError[], under = ''): FieldFault[] {
  return errors.flatMap((error) => {
    const field = under ? `${under}.${error.property}` : error.property;
    const own = brokenRule(error);
    return [
      ...(own === undefined ? [] : [{ field, message: faultText({ ...own, field, value: error.value as unknown }) }]),
      ...fieldFaults(error.children ?? [], field),
    ];
  });
}

/** Of several rules that one value breaks, what kind of thing it is comes before how large it is. */
const KINDS_FIRST =
  /^(isString|isNumber|isInt|isBoolean|isArray|isOneObject|isListOfObjects|isCalendarDate|isUuid|isIn)$/;

function brokenRule({ constraints, target, property }: ValidationError): Pick<BrokenRule, 'rule' | 'args'> | undefined {
  const rules = Object.keys(constraints ?? {});
  const rule = rules.find((r) => KINDS_FIRST.test(r)) ?? rules[0];
  if (rule === undefined) return undefined;
  const all =
    target === undefined ? [] : getMetadataStorage().getTargetValidationMetadatas(target.constructor, '', false, false);
  const args = all.find((m) => m.propertyName === property && (m.name ?? m.type) === rule)?.constraints as
    readonly unknown[] | undefined;
  return { rule, args: args ?? [] };
}
