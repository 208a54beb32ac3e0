import type { FieldFault } from '@yaylak/contract';
import {
  readTemplate,
  SPECIES,
  SPECIES_TABLE,
  type Species,
  type SpeciesOverrides,
  type SpeciesSettings,
} from '@yaylak/core';

const LARGEST = 100_000;

/** What is wrong with a holding's own species figures: each field must have the shape of the table's, within bounds. */
export function overrideFaults(overrides: SpeciesOverrides): FieldFault[] {
  const faults: FieldFault[] = [];
  for (const [species, fields] of Object.entries(overrides)) {
    if (!SPECIES.includes(species as Species)) {
      faults.push({ field: `species.${species}`, message: `“${species.slice(0, 40)}” is no species of the table.` });
      continue;
    }
    for (const [name, value] of Object.entries(fields ?? {})) {
      const field = `species.${species}.${name}`;
      const shipped = SPECIES_TABLE[species as Species][name as keyof SpeciesSettings];
      if (shipped === undefined) faults.push({ field, message: `“${name.slice(0, 40)}” is no figure of the table.` });
      else faults.push(...unlike(shipped, value, field));
    }
  }
  return faults;
}

function unlike(shipped: unknown, value: unknown, field: string): FieldFault[] {
  if (typeof shipped === 'number')
    return typeof value === 'number' && Number.isFinite(value) && value >= 0 && value <= LARGEST
      ? []
      : [{ field, message: `${field} must be a number from 0 to ${LARGEST}, not “${String(value).slice(0, 40)}”.` }];
  if (typeof shipped === 'string') {
    if (typeof value !== 'string') return [{ field, message: `${field} must be text.` }];
    if (!field.endsWith('numberTemplate'))
      return value.length <= 120 ? [] : [{ field, message: `${field} is too long.` }];
    const template = readTemplate(value);
    return template.kind === 'template'
      ? []
      : [
          {
            field,
            message: `“${template.part}” cannot be a number template: ${template.reason.replaceAll('-', ' ')}. Use text, {YY}, {YYYY}, {SPECIES}, {SEX} and one {NNNN}.`,
          },
        ];
  }
  if (Array.isArray(shipped)) {
    if (!Array.isArray(value) || value.length === 0 || value.length > 40)
      return [{ field, message: `${field} must be a list of 1 to 40.` }];
    return value.flatMap((v, i) =>
      typeof shipped[0] === 'object' ? stepFaults(v, `${field}.${i}`) : unlike(shipped[0], v, `${field}.${i}`),
    );
  }
  if (typeof value !== 'object' || value === null) return [{ field, message: `${field} has the wrong shape.` }];
  return Object.entries(shipped as Record<string, unknown>).flatMap(([key, s]) =>
    unlike(s, (value as Record<string, unknown>)[key], `${field}.${key}`),
  );
}

/** A step of the weighing rhythm is one of two shapes. */
function stepFaults(value: unknown, field: string): FieldFault[] {
  const step = value as { kind?: unknown; name?: unknown; window?: unknown };
  if (typeof step?.name !== 'string' || step.name === '') return [{ field, message: `${field} needs a name.` }];
  if (step.kind === 'at-age') {
    const faults = unlike({ opens: 0, bestFrom: 0, bestTo: 0, closes: 0 }, step.window, `${field}.window`);
    const w = step.window as { opens: number; bestFrom: number; bestTo: number; closes: number };
    if (faults.length === 0 && !(w.opens <= w.bestFrom && w.bestFrom <= w.bestTo && w.bestTo <= w.closes))
      faults.push({ field, message: `${step.name}: a weighing opens, is best and closes in that order.` });
    return faults;
  }
  if (step.kind === 'every') return unlike({ fromDays: 0, toDays: 0, everyDays: 1 }, value, field);
  return [{ field, message: `${field} must be a weighing at an age or every so many days.` }];
}
