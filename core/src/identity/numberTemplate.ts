import type { Sex } from '../species';
import { normalised } from './identifier';

/** What {SEX} fills in. */
export const SEX_LETTERS: Readonly<Record<Sex, string>> = { female: 'F', male: 'M', castrate: 'C', unknown: 'X' };

/** What fills the fields of a template. */
export interface TemplateContext {
  readonly year: number;
  readonly speciesLetter: string;
  readonly sexLetter: string;
}

export type TemplateFault = 'empty' | 'no-running-number' | 'unknown-field' | 'two-running-numbers' | 'too-long';

export type Template =
  | { readonly kind: 'template'; readonly parts: readonly TemplatePart[] }
  | { readonly kind: 'refused'; readonly reason: TemplateFault; readonly part: string };

export type TemplatePart =
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'year'; readonly digits: 2 | 4 }
  | { readonly kind: 'species' }
  | { readonly kind: 'sex' }
  | { readonly kind: 'running'; readonly width: number };

/** Reads a number template: literal text and the fields {YY} {YYYY} {SPECIES} {SEX} {N..} (as many N as digits). */
export function readTemplate(text: string): Template {
  if (text.trim() === '') return { kind: 'refused', reason: 'empty', part: text };
  if (text.length > 40) return { kind: 'refused', reason: 'too-long', part: text };
  const parts: TemplatePart[] = [];
  for (const piece of text.split(/(\{[^}]*\})/)) {
    if (piece === '') continue;
    if (!piece.startsWith('{')) parts.push({ kind: 'text', text: piece });
    else if (piece === '{YY}') parts.push({ kind: 'year', digits: 2 });
    else if (piece === '{YYYY}') parts.push({ kind: 'year', digits: 4 });
    else if (piece === '{SPECIES}') parts.push({ kind: 'species' });
    else if (piece === '{SEX}') parts.push({ kind: 'sex' });
    else if (/^\{N{1,8}\}$/.test(piece)) parts.push({ kind: 'running', width: piece.length - 2 });
    else return { kind: 'refused', reason: 'unknown-field', part: piece };
  }
  const running = parts.filter((p) => p.kind === 'running').length;
  if (running === 0) return { kind: 'refused', reason: 'no-running-number', part: text };
  if (running > 1) return { kind: 'refused', reason: 'two-running-numbers', part: text };
  return { kind: 'template', parts };
}

/** The number with this running count; more digits than N are written out, never cut. */
export function fillTemplate(parts: readonly TemplatePart[], context: TemplateContext, running: number): string {
  return parts
    .map((part) => {
      switch (part.kind) {
        case 'text':
          return part.text;
        case 'year':
          return String(context.year).slice(-part.digits);
        case 'species':
          return context.speciesLetter;
        case 'sex':
          return context.sexLetter;
        case 'running':
          return String(running).padStart(part.width, '0');
      }
    })
    .join('');
}

/**
 * The next `count` numbers that nobody has worn or reserved, counting up from the highest in use (a gap left by a lost
 * tag is not filled: a number once worn is never reused). With {YY} or {YYYY} the count starts anew each year.
 */
export function nextFreeNumbers(
  parts: readonly TemplatePart[],
  context: TemplateContext,
  used: Iterable<string>,
  count = 1,
): string[] {
  const taken = new Set<string>();
  let highest = 0;
  const pattern = patternOf(parts, context);
  for (const number of used) {
    const plain = normalised(number);
    taken.add(plain);
    const match = pattern.exec(plain);
    if (match) highest = Math.max(highest, Number(match[1]));
  }
  const free: string[] = [];
  for (let n = highest + 1; free.length < count; n++) {
    const candidate = fillTemplate(parts, context, n);
    if (!taken.has(normalised(candidate))) free.push(candidate);
  }
  return free;
}

/** Whether a number could be one of the template, for this year and animal. */
export const isOfTemplate = (parts: readonly TemplatePart[], context: TemplateContext, number: string): boolean =>
  patternOf(parts, context).test(normalised(number));

const patternOf = (parts: readonly TemplatePart[], context: TemplateContext): RegExp =>
  new RegExp(
    `^${parts.map((p) => (p.kind === 'running' ? '(\\d+)' : escape(normalised(fillTemplate([p], context, 0))))).join('')}$`,
  );

const escape = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
