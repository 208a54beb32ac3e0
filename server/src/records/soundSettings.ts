import { ChangeHolding, type BookFinding } from '@yaylak/contract';
import type { SpeciesOverrides } from '@yaylak/core';
import { faultsOf } from '../common/faultsOf';
import { blankFaults, standardFaults } from './listFaults';
import { fromOlder } from './olderFigures';
import { overrideFaults } from './overrideFaults';

/** Fields that are looked at one by one: a bad one is left out, the others stand. */
const FIELDS = [
  'unit',
  'dateOrder',
  'weekStart',
  'keeps',
  'currency',
  'pointsWeights',
  'standards',
  'blankTags',
  'scorers',
  'resources',
  'calendar',
  'decisionMarks',
  'choosing',
] as const;

/** Settings as they are stored: anything may stand in a field. */
export type Stored = Readonly<Partial<Record<(typeof FIELDS)[number] | 'species', unknown>>>;

/**
 * What of the stored settings can be used, and what cannot: the names of the fields to leave out, the species' figures
 * less the bad ones, and a finding for each.
 */
export function soundSettings(stored: Stored): {
  readonly leftOut: readonly (typeof FIELDS)[number][];
  readonly species: SpeciesOverrides;
  readonly findings: readonly BookFinding[];
} {
  const findings: BookFinding[] = [];
  const leftOut = FIELDS.filter((field) => {
    const value = stored[field] ?? undefined;
    if (value === undefined) return false;
    const faults = faultsOf(ChangeHolding, { version: 1, [field]: value });
    if (faults.length === 0 && field === 'standards') faults.push(...standardFaults(value as never));
    if (faults.length === 0 && field === 'blankTags') faults.push(...blankFaults(value as never));
    const [fault] = faults;
    if (fault) findings.push({ record: 'setting', id: field, message: fault.message });
    return fault !== undefined;
  });
  const species = usable(fromOlder(stored.species), findings);
  return { leftOut, species, findings };
}

function usable(species: unknown, findings: BookFinding[]): SpeciesOverrides {
  const good: Record<string, Record<string, unknown>> = {};
  for (const [name, fields] of Object.entries(species ?? {}) as [string, unknown][])
    for (const [field, value] of Object.entries(fields ?? {}) as [string, unknown][]) {
      const [fault] = overrideFaults({ [name]: { [field]: value } } as SpeciesOverrides);
      if (fault) findings.push({ record: 'setting', id: fault.field, message: fault.message });
      else (good[name] ??= {})[field] = value;
    }
  return good as SpeciesOverrides;
}
