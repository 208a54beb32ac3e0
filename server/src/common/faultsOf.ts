import type { FieldFault } from '@yaylak/contract';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { boundFault } from './bounds';
import { fieldFaults } from './problems';
import { say } from '@yaylak/contract';

export type ClassOf = new () => object;

/** What of a plain value does not fit a contract's class, as the API would refuse it. */
export function faultsOf(shape: ClassOf, raw: unknown): FieldFault[] {
  const unbounded = boundFault(raw);
  if (unbounded) return [unbounded];
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
    return [{ field: '', message: say('That is not a record.') }];
  const errors = validateSync(plainToInstance(shape, raw), {
    whitelist: true,
    forbidNonWhitelisted: true,
    forbidUnknownValues: true,
  });
  return fieldFaults(errors);
}
