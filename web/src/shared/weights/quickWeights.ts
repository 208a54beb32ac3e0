import { readTypedWeight, toKg, type Kilograms, type ScaleUnit } from '@yaylak/core';

/** A weight as it was typed from a notebook: nothing, a weight, or what cannot be one. */
export type QuickWeight =
  { readonly kind: 'none' } | { readonly kind: 'kg'; readonly kg: Kilograms } | { readonly kind: 'not-a-weight' };

/** Reads a weight typed in the unit of the scale. */
export function quickWeight(text: string, scale: ScaleUnit): QuickWeight {
  if (text.trim() === '') return { kind: 'none' };
  const typed = readTypedWeight(text, scale);
  return typed.kind === 'number' && typed.value > 0
    ? { kind: 'kg', kg: Number(toKg(typed.value, scale).toFixed(4)) }
    : { kind: 'not-a-weight' };
}
