import type { GateChoice, RosterAnimal } from '@yaylak/contract';
import type { Passage } from './raceLog';
import { say } from '@yaylak/contract';

export interface PenAnimal {
  readonly animal: RosterAnimal;
  /** As weighed in the job. */
  readonly kg: number | undefined;
}

/** What stands behind a gate after the job. */
export interface Pen {
  readonly name: string;
  /** The gate as the job has it; none of one that has another name by now. */
  readonly gate: GateChoice | undefined;
  /** By number. */
  readonly inside: readonly PenAnimal[];
}

/** The pens of a job, each with who went in by its gate; who went through twice stands where it went last. */
export function jobPens(
  gates: readonly GateChoice[],
  passages: readonly Passage[],
  animals: ReadonlyMap<string, RosterAnimal>,
): readonly Pen[] {
  const last = new Map(passages.map((p) => [p.animalId, p]));
  const inside = new Map<string, PenAnimal[]>(gates.map((g) => [g.name, []]));
  for (const { animalId, gate, kg } of last.values()) {
    const animal = animals.get(animalId);
    if (gate === undefined || !animal) continue;
    const pen = inside.get(gate);
    if (pen) pen.push({ animal, kg });
    else inside.set(gate, [{ animal, kg }]);
  }
  return [...inside].map(([name, all]) => ({
    name,
    gate: gates.find((g) => g.name === name),
    inside: all.sort((a, b) => a.animal.tag.text.localeCompare(b.animal.tag.text, undefined, { numeric: true })),
  }));
}

/** What the heads counted in a pen say of those that went in by its gate. */
export function countedText(counted: number, through: number): string {
  const apart = counted - through;
  if (apart === 0) return 'agrees';
  return apart < 0
    ? say('{value} short. Count again, then read the pen list.', { value: -apart })
    : say('{apart} too many. Count again, then read the pen list for who went in by another gate.', { apart });
}
