import type { WeighSettings } from '@yaylak/contract';
import { fromKg, unlikelyPan, type Kilograms, type ScaleUnit } from '@yaylak/core';

const figure = (kg: Kilograms, scale: ScaleUnit): string =>
  `${Number(fromKg(kg, scale).toFixed(scale === 'g' ? 0 : 3))} ${scale}`;

/** `Blue basket, 350 g`; a pan without a name is a pan. */
export const panText = (
  { tareKg = 0, tareName }: Pick<WeighSettings, 'tareKg' | 'tareName'>,
  scale: ScaleUnit,
): string => `${tareName ?? 'Pan'}, ${figure(tareKg, scale)}`;

/** Why a pan is not taken as it was typed, with what was likely meant. */
export function panFaultText(kg: Kilograms, scale: ScaleUnit): string {
  const likelyKg = unlikelyPan(kg)?.likelyKg;
  return `No pan weighs ${figure(kg, scale)}.${likelyKg === undefined ? '' : ` Did you mean ${figure(likelyKg, scale)}?`}`;
}
