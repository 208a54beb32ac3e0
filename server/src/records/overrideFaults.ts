import type { FieldFault } from '@yaylak/contract';
import {
  CARRYING_STEP_KINDS,
  FAT_GROUPS,
  GRANDPARENT_RULES,
  HEAT_SCHOOLS,
  KILLING_KINDS,
  normalised,
  readTemplate,
  SPECIES,
  SPECIES_TABLE,
  WEANING_WAYS,
  WEIGHED_AROUND,
  type Species,
  type SpeciesOverrides,
  type SpeciesSettings,
} from '@yaylak/core';
import { say } from '@yaylak/contract';

/** Bounds of a figure by the end of its name: beyond them an answer would be nonsense, or none could be worked out. */
const BOUNDS: readonly (readonly [name: RegExp, least: number, most: number])[] = [
  [
    /(kgPerScoreShare|shareWanted|conceptionShare|firstMatingShare|heatsSeenShare|maleShareLeast|grownShare\.\d+)$/,
    0,
    1,
  ],
  [/(pairing\.\w+|aimFirst|aimSecond|aimLast)$/, 0, 1],
  [/(sensitivity|specificity)$/, 0.5, 1],
  [/(rearedByAge\.\d+|culledByAge\.\d+|diesShare)$/, 0, 1.5],
  [/(usefulYears|matedAtYears|baseYears)$/, 1, 30],
  [/(widestCropDays|youngDays)$/, 10, 2_000],
  [/(interestAYear|diesADay)$/, 0, 0.5],
  [/feedDaysMost$/, 1, 2_000],
  [/Minor(ADay)?$/, 0, 100_000_000],
  [/scoreLeast$/, 0, 5],
  [/signsNeeded$/, 1, 5],
  [/deadAskedFrom$/, 1, 30],
  [/youngByBirth\.\d+$/, -20, 20],
  [/condition\.(aims|more)\./, 0, 5],
  [/season\.cycles$/, 1, 12],
  [/readingSdShare$/, 0.001, 0.2],
  [/growthFactors\./, 0.2, 5],
  [/Kg(PerDay)?(\.\w+)?$/, 0.001, 5_000],
  [/(everyDays|standardAgesDays\.\d+|gestationDays\.\w+)$/, 1, 2_000],
  [/identifiersAdvised$/, 1, 5],
  [/./, 0, 100_000],
];

/** What may stand where one of a few is chosen, by the name of the choice. */
const CHOICES: Readonly<Record<string, readonly string[]>> = {
  weaningWay: WEANING_WAYS,
  heatSchool: HEAT_SCHOOLS,
  fatGroup: FAT_GROUPS,
  killingKind: KILLING_KINDS,
  grandparents: GRANDPARENT_RULES,
};

const WINDOW_ORDER = ['opens', 'bestFrom', 'bestTo', 'closes'];
const RANGE_ORDER = ['from', 'mean', 'to'];

/** What is wrong with a holding's own species figures: each field must have the shape of the table's, within bounds. */
export function overrideFaults(overrides: SpeciesOverrides): FieldFault[] {
  const faults: FieldFault[] = [];
  for (const [species, fields] of Object.entries(overrides)) {
    if (!SPECIES.includes(species as Species)) {
      faults.push({
        field: `species.${species}`,
        message: say('“{part}” is not a species here.', { part: species.slice(0, 40) }),
      });
      continue;
    }
    for (const [name, value] of Object.entries(fields ?? {})) {
      const field = `species.${species}.${name}`;
      const shipped = SPECIES_TABLE[species as Species][name as keyof SpeciesSettings];
      if (shipped === undefined)
        faults.push({ field, message: say('“{part}” is not one of the figures here.', { part: name.slice(0, 40) }) });
      else faults.push(...unlike(shipped, value, field));
    }
  }
  return faults;
}

function unlike(shipped: unknown, value: unknown, field: string): FieldFault[] {
  if (typeof shipped === 'number') {
    const [, least, most] = BOUNDS.find(([name]) => name.test(field)) as (typeof BOUNDS)[number];
    return typeof value === 'number' && value >= least && value <= most
      ? []
      : [
          {
            field,
            message: say('{field} must be a number from {least} to {most}, not “{part}”.', {
              field,
              least,
              most,
              part: String(value).slice(0, 40),
            }),
          },
        ];
  }
  if (typeof shipped === 'boolean')
    return typeof value === 'boolean' ? [] : [{ field, message: say('{field} must be true or false.', { field }) }];
  if (typeof shipped === 'string') {
    if (typeof value !== 'string') return [{ field, message: say('{field} must be text.', { field }) }];
    const choices = CHOICES[field.slice(field.lastIndexOf('.') + 1)];
    if (choices)
      return choices.includes(value)
        ? []
        : [{ field, message: say('{field} must be one of {list}.', { field, list: choices.join(', ') }) }];
    if (!field.endsWith('numberTemplate'))
      return value.length <= 120 ? [] : [{ field, message: say('{field} is too long.', { field }) }];
    const template = readTemplate(value);
    return template.kind === 'template'
      ? []
      : [
          {
            field,
            message: say('“{part}” cannot be a number template: {why}. Use text, {fields} and one {number}.', {
              part: template.part,
              why: template.reason.replaceAll('-', ' '),
              fields: '{YY}, {YYYY}, {SPECIES}, {SEX}',
              number: '{NNNN}',
            }),
          },
        ];
  }
  if (Array.isArray(shipped)) {
    const isSteps = field.endsWith('carryingSteps');
    const isBreeds = field.endsWith('breeds');
    const mayBeEmpty = isSteps || isBreeds;
    if (!Array.isArray(value) || (value.length === 0 && !mayBeEmpty) || value.length > 40)
      return [
        {
          field,
          message: say('{field} must be a list of {value} 40.', {
            field,
            value: mayBeEmpty ? say('up to') : say('1 to'),
          }),
        },
      ];
    if (isBreeds) return breedFaults(value, field);
    return value.flatMap((v, i) => {
      if (isSteps) return carryingStepFaults(v, `${field}.${i}`);
      return typeof shipped[0] === 'object' ? stepFaults(v, `${field}.${i}`) : unlike(shipped[0], v, `${field}.${i}`);
    });
  }
  if (typeof value !== 'object' || value === null)
    return [{ field, message: say('{field} has the wrong shape.', { field }) }];
  const faults = Object.entries(shipped as Record<string, unknown>).flatMap(([key, s]) =>
    unlike(s, (value as Record<string, unknown>)[key], `${field}.${key}`),
  );
  if (faults.length > 0) return faults;
  return orderFaults(value, Object.keys(shipped as object), field);
}

/** Days of a window, and ends of a range, rise in their order. @param keys those that are there */
function orderFaults(value: object, keys: readonly string[], field: string): FieldFault[] {
  for (const order of [WINDOW_ORDER, RANGE_ORDER]) {
    const figures = order.map((key) => (value as Record<string, number>)[key]);
    if (order.every((key) => keys.includes(key)) && !isRising(figures as number[]))
      return [
        {
          field,
          message: say('{field}: {list} must rise in that order, not {list2}.', {
            field,
            list: order.join(', '),
            list2: figures.join(', '),
          }),
        },
      ];
  }
  return [];
}

const isRising = (figures: readonly number[]): boolean =>
  figures.every((f, i) => i === 0 || f >= (figures[i - 1] as number));

/** A breed has a name of its own, and is early, between or late to lay on fat. */
function breedFaults(breeds: readonly unknown[], field: string): FieldFault[] {
  const seen = new Set<string>();
  return breeds.flatMap((value, i): FieldFault[] => {
    const { name, fatGroup } = (value ?? {}) as { name?: unknown; fatGroup?: unknown };
    const at = `${field}.${i}`;
    if (typeof name !== 'string' || name.trim() === '' || name.length > 60)
      return [{ field: at, message: say('{at} needs a name of up to 60 letters.', { at }) }];
    if (!(FAT_GROUPS as readonly unknown[]).includes(fatGroup))
      return [{ field: at, message: say('“{name}” must be one of {list}.', { name, list: FAT_GROUPS.join(', ') }) }];
    const isTwice = seen.has(normalised(name));
    seen.add(normalised(name));
    return isTwice ? [{ field: at, message: say('“{name}” stands twice. Take one out.', { name }) }] : [];
  });
}

/** A step before a birth has a kind, a name of its own, and days. */
function carryingStepFaults(value: unknown, field: string): FieldFault[] {
  const step = value as { kind?: unknown; name?: unknown };
  if (typeof step?.name !== 'string' || step.name.trim() === '' || step.name.length > 120)
    return [{ field, message: say('{field} needs a name of up to 120 letters.', { field }) }];
  if (!(CARRYING_STEP_KINDS as readonly unknown[]).includes(step.kind))
    return [{ field, message: say('{field} must be one of {list}.', { field, list: CARRYING_STEP_KINDS.join(', ') }) }];
  return unlike({ daysBefore: 1, slackDays: 1 }, value, field);
}

/** Days before what a female is weighed around, or after it. */
const MOST_AROUND_DAYS = 400;

function aroundFaults(
  { event, window }: { readonly event?: unknown; readonly window?: unknown },
  field: string,
): FieldFault[] {
  if (!WEIGHED_AROUND.some((one) => one === event))
    return [
      {
        field: `${field}.event`,
        message: say('{field} must be one of {list}.', { field: `${field}.event`, list: WEIGHED_AROUND.join(', ') }),
      },
    ];
  const days = (window ?? {}) as Readonly<Record<string, unknown>>;
  const isWithin = (day: unknown): boolean => Number.isInteger(day) && Math.abs(day as number) <= MOST_AROUND_DAYS;
  const faults = WINDOW_ORDER.flatMap((part) =>
    isWithin(days[part])
      ? []
      : [
          {
            field: `${field}.window.${part}`,
            message: say('{field} must be a number from {least} to {most}, not “{part}”.', {
              field: `${field}.window.${part}`,
              least: -MOST_AROUND_DAYS,
              most: MOST_AROUND_DAYS,
              part: String(days[part]).slice(0, 40),
            }),
          },
        ],
  );
  return faults.length > 0 ? faults : orderFaults(days, WINDOW_ORDER, `${field}.window`);
}

/** A step of the weighing rhythm is one of three shapes. */
function stepFaults(value: unknown, field: string): FieldFault[] {
  const step = value as { kind?: unknown; name?: unknown; event?: unknown; window?: unknown };
  if (typeof step?.name !== 'string' || step.name === '')
    return [{ field, message: say('{field} needs a name.', { field }) }];
  if (step.kind === 'at-age')
    return unlike({ opens: 0, bestFrom: 0, bestTo: 0, closes: 0 }, step.window, `${field}.window`);
  if (step.kind === 'around') return aroundFaults(step, field);
  if (step.kind === 'every') return unlike({ fromDays: 0, toDays: 0, everyDays: 1 }, value, field);
  return [
    { field, message: say('{field} must be a weighing at an age, around an event, or every so many days.', { field }) },
  ];
}
