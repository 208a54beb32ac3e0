import type { WeighSettings } from '@yaylak/contract';
import { fromKg, unlikelyPan, type Kilograms, type ScaleUnit } from '@yaylak/core';
import { shortFigure, say } from '@yaylak/contract';

const figure = (kg: Kilograms, scale: ScaleUnit): string =>
  `${shortFigure(fromKg(kg, scale), scale === 'g' ? 0 : 3)} ${scale}`;

/** `Blue basket, 350 g`; a pan without a name is a pan. */
export const panText = (
  { tareKg = 0, tareName }: Pick<WeighSettings, 'tareKg' | 'tareName'>,
  scale: ScaleUnit,
): string => `${tareName ?? say('Pan')}, ${figure(tareKg, scale)}`;

/** Why a pan is not taken as it was typed, with what was likely meant. */
export function panFaultText(kg: Kilograms, scale: ScaleUnit): string {
  const likelyKg = unlikelyPan(kg)?.likelyKg;
  return say('No pan weighs {figure}.{value}', {
    figure: figure(kg, scale),
    value: likelyKg === undefined ? '' : ` ${say('Did you mean {figure}?', { figure: figure(likelyKg, scale) })}`,
  });
}
