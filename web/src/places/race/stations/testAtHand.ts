import { SPECIES_TABLE, USUAL_BY_SPECIES } from '@yaylak/core';
import { aRosterAnimal } from '../../../tests/builders';
import type { AtHand } from '.';
import { say } from '@yaylak/contract';

/** A grown ewe at hand in a job of 23 November 2026, for the tests of the stations. */
export const anAtHand = (change: Partial<AtHand> = {}): AtHand => ({
  job: { stations: [], gates: [], on: '2026-11-23', settings: {} },
  animal: aRosterAnimal('22-0001'),
  species: 'sheep',
  sex: 'female',
  ageDays: 1600,
  settings: SPECIES_TABLE.sheep,
  unit: 'kg',
  standards: [],
  roster: { products: [], lastTubes: {}, biases: [], outlets: [], habits: [], killingOut: USUAL_BY_SPECIES },
  nextNumbers: () => [],
  now: '2026-11-23T09:00',
  weighedBy: say('Kerem'),
  wearerOf: () => undefined,
  formerWearerOf: () => undefined,
  fitted: [],
  isPouredOn: false,
  tubes: new Map(),
  ...change,
});
