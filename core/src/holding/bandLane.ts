import { yearBandBlocks, type BandBlock } from '../births';
import type { AnimalFacts } from '../book';
import { yearOf, type Day } from '../calendar';
import type { CarryingBlock } from '../pregnancy';
import { plannedBlocks, type PlannedStretch, type PlanStep } from '../season';
import type { Species, SpeciesSettings } from '../species';

/** One species' year: what was born and reared, who carries, and what the plans want. */
export interface BandLane<Carried extends CarryingBlock> {
  readonly blocks: readonly BandBlock[];
  readonly carrying: readonly Carried[];
  readonly planned: readonly (PlannedStretch & { readonly planId: string })[];
}

/**
 * The stretches of a species' lane that reach into a year. Young count where their dam is known and they were born in
 * it or the year before, whose rearing may go on.
 */
export function bandLane<Carried extends CarryingBlock>(
  of: {
    readonly species: Species;
    /** Animals of the species that ever were. */
    readonly all: readonly AnimalFacts[];
    /** From services and tests; see `carryingBlocks`. */
    readonly carrying: readonly Carried[];
    readonly plans: readonly { readonly id: string; readonly steps: readonly PlanStep[] }[];
  },
  settings: SpeciesSettings,
  year: number,
): BandLane<Carried> {
  const reaches = ({ from, to }: { readonly from: Day; readonly to: Day }): boolean =>
    yearOf(to) >= year && yearOf(from) <= year;
  const born = of.all.flatMap(({ record: { id, bornOn, damId } }) =>
    bornOn !== undefined && damId !== undefined && yearOf(bornOn) >= year - 1
      ? [{ id, species: of.species, bornOn, damId }]
      : [],
  );
  return {
    blocks: yearBandBlocks(born, settings).filter(reaches),
    carrying: of.carrying.filter(reaches),
    planned: of.plans.flatMap(({ id, steps }) =>
      plannedBlocks(steps).flatMap((stretch) => (reaches(stretch) ? [{ ...stretch, planId: id }] : [])),
    ),
  };
}
