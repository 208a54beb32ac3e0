import type { SamplePurpose, Station } from '@yaylak/contract';
import type { BodyMeasure, CareKind, Route } from '@yaylak/core';

/** Stations as people name them. */
export const STATION_WORDS: Readonly<Record<Station, string>> = {
  identify: 'Identify',
  weigh: 'Weigh',
  litter: 'Weigh litter together',
  score: 'Score condition',
  measure: 'Measure the body',
  finish: 'Finish: shape and fat',
  raddle: 'Read raddle marks',
  scan: 'Scan or feel for young',
  look: 'Look over',
  treat: 'Treat',
  sample: 'Sample',
  mark: 'Mark',
  care: 'Feet, fleece, tail',
  move: 'Move',
  note: 'Note',
  sort: 'Sort by gate',
};

/** What a sample is taken for. */
export const PURPOSE_WORDS: Readonly<Record<SamplePurpose, string>> = {
  pregnancy: 'blood, in young or not',
  blood: 'blood',
  gene: 'gene',
  dung: 'dung',
  milk: 'milk',
  swab: 'swab',
};

/** Height at the withers; length from the point of the shoulder to the pin bone; girth behind the elbows. */
export const MEASURE_WORDS: Readonly<Record<BodyMeasure, string>> = {
  heightCm: 'Height',
  lengthCm: 'Length',
  girthCm: 'Girth',
};

export const CARE_WORDS: Readonly<Record<CareKind, string>> = {
  feet: 'Feet',
  shear: 'Shear',
  clip: 'Clip',
  navel: 'Navel',
  dock: 'Dock',
  castrate: 'Castrate',
  disbud: 'Disbud',
};

export const ROUTE_WORDS: Readonly<Record<Route, string>> = {
  'under-skin': 'under the skin',
  muscle: 'into the muscle',
  mouth: 'by mouth',
  'pour-on': 'poured on the back',
  udder: 'into the udder',
  eye: 'in the eye',
  skin: 'on the skin',
};
