import type { FemaleToMateView, HeatView, MaleToMateView, MatingView, PairingView } from '@yaylak/contract';
import { aTag } from '../../tests/builders';

/** Views of mating for the tests of its pages: two does, one of them on heat, and two bucks, one her half-brother. */
const tag = (animalId: string, text: string, name: string) => ({ ...aTag(text), animalId, name });
export const DOE = tag('f1', 'G-017', 'Thyme');
export const OTHER = tag('f2', 'G-021', 'Sumac');
export const BUCK = tag('m1', 'G-01B', 'Juniper');
export const STRANGER_BUCK = tag('m2', 'G-02B', 'Alder');

export const aFemale = (change: Partial<FemaleToMateView> = {}): FemaleToMateView => ({
  tag: DOE,
  groupName: 'Does',
  isReady: true,
  readyOn: null,
  reasons: [],
  lastHeatOn: null,
  nextHeat: null,
  chance: null,
  runsWith: [],
  ...change,
});
export const aHeat = (change: Partial<HeatView> = {}): HeatView => ({
  tag: DOE,
  seenAt: '2026-11-23T10:00',
  notYetAt: '2026-11-22T18:00',
  isStanding: true,
  signs: ['stands', 'tail-wags'],
  window: {
    opens: '2026-11-23T22:00',
    bestFrom: '2026-11-24T04:00',
    bestTo: '2026-11-24T22:00',
    closes: '2026-11-25T10:00',
  },
  opensEarliest: '2026-11-23T06:00',
  services: [],
  returnAfterDays: null,
  ...change,
});
export const aMale = (change: Partial<MaleToMateView> = {}): MaleToMateView => ({
  tag: BUCK,
  groupName: 'Bucks',
  ageYears: 4,
  isReady: true,
  readyOn: null,
  reasons: [],
  check: null,
  capacity: 25,
  load: 4,
  share: { share: 0.83, low: 0.76, high: 0.88, of: 29 },
  stays: [],
  notWith: 1,
  females: 2,
  ...change,
});
export const aMating = (change: Partial<MatingView> = {}): MatingView => ({
  on: '2026-11-23',
  now: '2026-11-23T11:00',
  species: 'goat',
  groups: [{ id: '0191d5a0-0000-7000-8000-0000000000c1', name: 'Does', females: 2 }],
  school: 'hours',
  signsNeeded: 2,
  heats: [aHeat()],
  females: [aFemale(), aFemale({ tag: OTHER })],
  males: [aMale()],
  otherMales: 3,
  partings: [],
  looks: ['2026-11-23T10:00', '2026-11-22T18:00'],
  takingShare: 0.8,
  ...change,
});
export const aPairing = (change: Partial<PairingView> = {}): PairingView => ({
  on: '2026-11-23',
  species: 'goat',
  females: [DOE, OTHER].map((t) => ({ tag: t, waits: [], generations: 1, inbreeding: 0 })),
  males: [BUCK, STRANGER_BUCK].map((t) => ({
    tag: t,
    isReady: true,
    capacity: 25,
    generations: 1,
    inbreeding: 0,
    merit: 0.02,
    meritYoung: 12,
  })),
  inbreeding: [0.125, 0, 0, 0],
  refusals: [{ code: 'relation', relation: 'half-sib' }, null, null, null],
  present: [[0], []],
  most: 0.0625,
  contradictions: [],
  approximate: [],
  ...change,
});
