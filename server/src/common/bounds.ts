import type { FieldFault } from '@yaylak/contract';
import type { NextFunction, Request, Response } from 'express';
import { sendProblem } from './sendProblem';
import { say } from '@yaylak/contract';

/** Levels of a body: an entry has four, a holding's figures six. */
export const MOST_DEPTH = 32;
/** A body of many records, where one bad record must not stop the others. */
const IN_PIECES = '/api/entries';
/** The longest list anything takes: the animals of a job. */
const MOST_ITEMS = 20_000;

/** Text that cannot be kept as it is: a NUL ends it for the database, half of a pair is no character at all. */
export const isWhole = (text: string): boolean => !text.includes('\u0000') && isWellFormed(text);

// ES2024; Node has it since 20.
const isWellFormed = (text: string): boolean => (text as string & { isWellFormed(): boolean }).isWellFormed();

/**
 * What no field may be, whatever its class says: nested too deep, a list too long, text that is not whole. Asked before
 * anything else looks at the value, and without recursion, since the value is what would overflow it.
 */
export function boundFault(value: unknown): FieldFault | undefined {
  const open: { readonly value: unknown; readonly path: string; readonly depth: number }[] = [
    { value, path: '', depth: 1 },
  ];
  for (let at = open.pop(); at; at = open.pop()) {
    const { path, depth } = at;
    if (typeof at.value === 'string') {
      if (!isWhole(at.value))
        return { field: path, message: say('{path} holds a character that cannot be kept. Type it again.', { path }) };
      continue;
    }
    if (typeof at.value !== 'object' || at.value === null) continue;
    if (depth > MOST_DEPTH)
      return {
        field: fieldOf(path),
        message: say('This is nested deeper than {most} levels.', { most: MOST_DEPTH }),
      };
    if (Array.isArray(at.value) && at.value.length > MOST_ITEMS)
      return {
        field: path,
        message: say('{n} has {n2} items; up to {most} are taken.', {
          n: path || say('The list'),
          n2: at.value.length,
          most: MOST_ITEMS,
        }),
      };
    for (const [key, inner] of Object.entries(at.value)) {
      if (!isWhole(key))
        return { field: fieldOf(path), message: say('The name of a field holds a character that cannot be kept.') };
      open.push({ value: inner, path: path ? `${path}.${key}` : key, depth: depth + 1 });
    }
  }
  return undefined;
}

/** The outermost fields of a long path. */
const fieldOf = (path: string): string => path.split('.').slice(0, 3).join('.');

/** Refuses a body that is out of bounds. Batches are looked at piece by piece where they are read. */
export function bounded(request: Request, response: Response, next: NextFunction): void {
  const fault = request.path === IN_PIECES ? undefined : boundFault(request.body);
  if (!fault) return next();
  sendProblem(response, {
    type: '/problems/bad-fields',
    title: say('Some fields cannot be taken as they are.'),
    status: 400,
    detail: fault.message,
    fields: [fault],
  });
}
