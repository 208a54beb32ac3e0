import { fromKg, scaleUnit, type Species, type WeightUnit } from '@yaylak/core';
import { fixedText } from './say/figures';

const THIN = '\u00a0';

/** `27.2 kg`, `742 g`, `59.9 lb`, `26.2 oz`; large animals in whole kilograms. */
export function weightText(kg: number, unit: WeightUnit, species?: Species): string {
  const shownIn = scaleUnit(species, unit);
  const digits = shownIn === 'g' || (shownIn === 'kg' && Math.abs(kg) >= 200) ? 0 : 1;
  const text = fixedText(Math.abs(fromKg(kg, shownIn)), digits);
  return `${kg < 0 && !/^[0.,]*$/.test(text) ? '\u2212' : ''}${text}${THIN}${shownIn}`;
}
