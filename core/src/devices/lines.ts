import { readElectronicNumber, type ElectronicRefusal } from '../identity';
import type { Kilograms } from '../units';

/** What a device said. Weights in kilograms. */
export type DeviceReading =
  | { readonly kind: 'number'; readonly digits: string }
  | { readonly kind: 'bad-number'; readonly text: string; readonly reason: ElectronicRefusal }
  | { readonly kind: 'weight'; readonly kg: Kilograms }
  | { readonly kind: 'noise'; readonly text: string };

const KG_PER: Readonly<Record<string, number>> = { kg: 1, g: 0.001, lb: 0.45359237 };

/**
 * Reads a line as plain serial readers and indicators write them: an electronic number with or without its prefix, or
 * a weight with its unit (`27.4 kg`, `+0027.4kg`, `ST,GS,  27.4 kg`). A bare figure of few digits is a weight in
 * kilograms.
 */
export function readDeviceLine(line: string): DeviceReading {
  const text = line.replace(/\p{Cc}/gu, ' ').trim();
  const weight = /(?:^|[\s,;:])([+-]?\s*\d+(?:[.,]\d+)?)\s*(kg|g|lb)\b/i.exec(text);
  if (weight) return weightOf(weight[1] as string, (weight[2] as string).toLowerCase(), text);
  if (/^[+-]?\d{1,4}(?:[.,]\d{1,3})?$/.test(text)) return weightOf(text, 'kg', text);
  if (/^(?:A0{7}\s*)?[\da-fx][\da-fx\s.\-_]{11,}$/i.test(text)) {
    const read = readElectronicNumber(text);
    return read.kind === 'number'
      ? { kind: 'number', digits: read.digits }
      : { kind: 'bad-number', text, reason: read.reason };
  }
  return { kind: 'noise', text };
}

function weightOf(figure: string, unit: string, text: string): DeviceReading {
  const kg = Number(figure.replace(/\s/g, '').replace(',', '.')) * (KG_PER[unit] ?? 1);
  return Number.isFinite(kg) ? { kind: 'weight', kg } : { kind: 'noise', text };
}

/** Milliseconds in which the same number again is the same look at the same tag. */
export const DOUBLE_READ_MS = 4000;

/**
 * Drops a reader's double reads: the same number again within a few seconds.
 * @returns a function that says of each number whether it is a new look
 */
export function newLook(withinMs = DOUBLE_READ_MS): (digits: string, atMs: number) => boolean {
  let last: { digits: string; atMs: number } | undefined;
  return (digits, atMs) => {
    const isSame = last?.digits === digits && atMs - last.atMs < withinMs && atMs >= last.atMs;
    // Held in the field a stick reads on and on: each look renews the wait.
    last = { digits, atMs };
    return !isSame;
  };
}
