import type { RankTrait } from '@yaylak/core';
import { colour } from '../../theme/tokens';

/** The colour of each trait in bars and beside its slider. */
export const TRAIT_COLOURS: Readonly<Record<RankTrait, string>> = {
  growth: colour('mossFill'),
  lastGain: colour('plum'),
  damRecord: colour('weldFill'),
  ownRecord: colour('indigo'),
  eyePoints: colour('lineStrong'),
  'young-born': colour('indigo'),
  'litter-weaned': colour('weldFill'),
  'grown-weight': colour('plum'),
  'eye-points': colour('lineStrong'),
};
