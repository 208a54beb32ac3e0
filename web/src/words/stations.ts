import type { SamplePurpose, Station } from '@yaylak/contract';
import type { BodyMeasure, CareKind, Route } from '@yaylak/core';
import { say } from '@yaylak/contract';

/** Stations as people name them. */
export const STATION_WORDS: Readonly<Record<Station, string>> = {
  identify: say('Identify'),
  weigh: say('Weigh'),
  litter: say('Weigh litter together'),
  score: say('Score condition'),
  measure: say('Measure the body'),
  finish: say('Finish: shape and fat'),
  raddle: say('Read raddle marks'),
  scan: say('Scan or feel for young'),
  look: say('Look over'),
  treat: say('Treat'),
  sample: say('Sample'),
  mark: say('Mark'),
  care: say('Feet, fleece, tail'),
  move: say('Move'),
  note: say('Note'),
  sort: say('Sort by gate'),
};

/** What a sample is taken for. */
export const PURPOSE_WORDS: Readonly<Record<SamplePurpose, string>> = {
  pregnancy: say('blood, in young or not'),
  blood: say('blood'),
  gene: say('gene'),
  dung: say('dung'),
  milk: say('milk'),
  swab: say('swab'),
};

/** Height at the withers; length from the point of the shoulder to the pin bone; girth behind the elbows. */
export const MEASURE_WORDS: Readonly<Record<BodyMeasure, string>> = {
  heightCm: say('Height'),
  lengthCm: say('Length'),
  girthCm: say('Girth'),
};

export const CARE_WORDS: Readonly<Record<CareKind, string>> = {
  feet: say('Feet'),
  shear: say('Shear'),
  clip: say('Clip'),
  navel: say('Navel'),
  dock: say('Dock'),
  castrate: say('Castrate'),
  disbud: say('Disbud'),
};

export const ROUTE_WORDS: Readonly<Record<Route, string>> = {
  'under-skin': say('under the skin'),
  muscle: say('into the muscle'),
  mouth: say('by mouth'),
  'pour-on': say('poured on the back'),
  udder: say('into the udder'),
  eye: say('in the eye'),
  skin: say('on the skin'),
};
