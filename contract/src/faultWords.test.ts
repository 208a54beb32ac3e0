import 'reflect-metadata';
import { getMetadataStorage } from 'class-validator';
import * as contract from '.';
import { faultText, fieldName, hasWords, SILENT_RULES } from './faultWords';

/** All rules of all classes of the contracts. */
const classes = Object.values(contract).flatMap((c) => {
  if (typeof c === 'function' && c.prototype !== undefined) return [c as new () => object];
  return c !== null && typeof c === 'object' && !Array.isArray(c)
    ? Object.values(c as object).filter((v): v is new () => object => typeof v === 'function' && v.prototype)
    : [];
});
const rules = classes.flatMap((c) =>
  getMetadataStorage()
    .getTargetValidationMetadatas(c, '', false, false)
    .map((m) => ({ rule: m.name ?? m.type, field: m.propertyName, args: (m.constraints ?? []) as unknown[] })),
);

it('has words for each rule that a class of the contracts uses', () => {
  expect(rules.length).toBeGreaterThan(600);
  const used = new Set(rules.map((r) => r.rule).filter((r) => !SILENT_RULES.has(r)));
  expect([...used].filter((r) => !hasWords(r))).toEqual([]);
});

it('names field, value and remedy in plain words, for each rule of each field', () => {
  const raw = rules
    .filter((r) => !SILENT_RULES.has(r.rule))
    .flatMap((r) => ['', 'x', 1e9, [], {}].map((value) => faultText({ ...r, value })))
    .filter(
      (text) => /\$|\bmust\b|\bshould\b|undefined|null|\[object|\b[a-z]+[A-Z]/.test(text) || !/^[A-Z].*\.$/.test(text),
    );
  expect(raw).toEqual([]);
});

it.each([
  ['min', 'girthCm', 0, [1], 'Girth (cm): “0” is too small. The least is 1.'],
  ['arrayMinSize', 'entries', [], [1], 'Entries: there are too few. Give at least 1.'],
  ['isCalendarDate', 'on', '', [], 'Day: enter it, it is missing.'],
  [
    'isCalendarDate',
    'entries.3.on',
    '31.3.26',
    [],
    'Day of number 4: “31.3.26” is not a real date. Write it as 2026-03-31.',
  ],
  ['isIn', 'sex', 'ewe', [['female', 'male']], 'Sex: “ewe” is none of these: female, male. Choose one of them.'],
  ['maxLength', 'name', 'a'.repeat(41), [40], 'Name: 41 characters are too many. Give up to 40.'],
  ['whitelistValidation', 'colour', 'blue', [], 'Colour: nothing of this name is known here. Leave it out.'],
])('%s of %s', (rule, field, value, args, text) => {
  expect(faultText({ rule, field, value, args })).toBe(text);
});

it('calls a field by its words, its unit and its place in a list', () => {
  expect(fieldName('species.sheep.weaningKg')).toBe('Weaning (kg)');
  expect(fieldName('animalIds.2')).toBe('Animals of number 3');
  expect(fieldName('isForItsDay')).toBe('For its day');
});
