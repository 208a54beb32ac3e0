import { fromKg, OZ_PER_LB, scaleUnit, type Kilograms, type Species, type WeightUnit } from '@yaylak/core';
import { fixedText } from './say/figures';

const THIN = '\u00a0';
const MINUS = '\u2212';

/** Below it a weight in pounds is said in pounds and ounces, as lambs and kids are; above it scales show a decimal. */
const OUNCES_BELOW_LB = 20;

const isInOunces = (kg: Kilograms, unit: WeightUnit, species?: Species): boolean =>
  scaleUnit(species, unit) === 'lb' && Math.abs(fromKg(kg, 'lb')) < OUNCES_BELOW_LB;

function inPoundsAndOunces(kg: Kilograms): string {
  const all = Math.round(fromKg(kg, 'oz'));
  const [pounds, ounces] = [Math.floor(all / OZ_PER_LB), all % OZ_PER_LB];
  return [
    ...(pounds === 0 ? [] : [`${pounds}${THIN}lb`]),
    ...(ounces === 0 && pounds > 0 ? [] : [`${ounces}${THIN}oz`]),
  ].join(THIN);
}

function inDecimals(kg: Kilograms, unit: WeightUnit, species?: Species): string {
  const shownIn = scaleUnit(species, unit);
  const digits = shownIn === 'g' || (shownIn === 'kg' && kg >= 200) ? 0 : 1;
  return `${fixedText(fromKg(kg, shownIn), digits)}${THIN}${shownIn}`;
}

/** `27.2 kg`, `742 g`, `59.9 lb`, `8 lb 4 oz`, `26.2 oz`; large animals in whole kilograms. */
export function weightText(kg: Kilograms, unit: WeightUnit, species?: Species): string {
  const size = Math.abs(kg);
  const text = isInOunces(kg, unit, species) ? inPoundsAndOunces(size) : inDecimals(size, unit, species);
  return kg < 0 && /[1-9]/.test(text) ? `${MINUS}${text}` : text;
}

/** A weight with how wide the guess is, both said alike: `39.0 kg ± 1.2 kg`, `86.0 lb ± 2.6 lb`, `8 lb 4 oz ± 10 oz`. */
export const weightWithin = (kg: Kilograms, halfWidthKg: Kilograms, unit: WeightUnit, species?: Species): string =>
  `${weightText(kg, unit, species)} ± ${isInOunces(kg, unit, species) ? inPoundsAndOunces(halfWidthKg) : inDecimals(halfWidthKg, unit, species)}`;
