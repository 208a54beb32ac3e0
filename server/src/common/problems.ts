import { HttpException } from '@nestjs/common';
import type { FieldFault, Problem } from '@yaylak/contract';
import type { ValidationError } from 'class-validator';

/** A failure that is known, with the words for it. */
export class ProblemException extends HttpException {
  constructor(readonly problem: Problem) {
    super(problem, problem.status);
  }
}

const problem = (status: number, type: string, title: string, more: Partial<Problem> = {}): ProblemException =>
  new ProblemException({ type: `/problems/${type}`, title, status, ...more });

export const notFound = (what: string): ProblemException =>
  problem(404, 'not-found', `There is no such ${what}.`, {
    detail: 'It may have been struck out. Go back to the list.',
  });

export const staleVersion = (what: string, current: unknown): ProblemException =>
  problem(409, 'changed-meanwhile', `This ${what} was changed meanwhile.`, {
    detail: 'Somebody else, or another window, saved a change first. Look at what it says now and save again.',
    current,
  });

export const badFields = (fields: readonly FieldFault[]): ProblemException =>
  problem(400, 'bad-fields', 'Some fields cannot be taken as they are.', {
    detail: fields.map((f) => f.message).join(' '),
    fields,
  });

export const conflict = (title: string, detail: string): ProblemException =>
  problem(409, 'conflict', title, { detail });

/** A file of JSON that cannot be read as such. */
export const notJson = (detail: string): ProblemException =>
  problem(400, 'not-json', 'That is not a whole JSON file.', { detail });

export const tooLarge = (detail: string): ProblemException =>
  problem(413, 'too-large', 'That is too much in one piece.', { detail });

/** class-validator's findings as a flat list of fields in words. */
export function fieldFaults(errors: readonly ValidationError[], under = ''): FieldFault[] {
  return errors.flatMap((error) => {
    const field = under ? `${under}.${error.property}` : error.property;
    const own = Object.values(error.constraints ?? {}).map((message) => ({
      field,
      message: `${withValue(message, error.value)}.`,
    }));
    return [...own, ...fieldFaults(error.children ?? [], field)];
  });
}

function withValue(message: string, value: unknown): string {
  if (typeof value !== 'string' && typeof value !== 'number' && typeof value !== 'boolean') return message;
  return `${message} (got “${String(value).slice(0, 60)}”)`;
}
