import { LOOK_POINTS } from '@yaylak/core';
import { getMetadataStorage, IS_OPTIONAL } from 'class-validator';
import type { validationMetadatasToSchemas } from 'class-validator-jsonschema';

const DATE = { type: 'string', format: 'date' } as const;

type Options = NonNullable<Parameters<typeof validationMetadatasToSchemas>[0]>;

/** What the contract's own rules say, as schemas, by the rule's name. */
export const RULE_SCHEMAS: NonNullable<Options['additionalConverters']> = {
  // What is nested is said by its class.
  isOneObject: {},
  isListOfObjects: { type: 'array' },
  isCalendarDate: DATE,
  isIso8601: { type: 'string', format: 'date-time' },
  isLocalTime: { type: 'string', pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}$' },
  isDeadYoung: ({ constraints: [sexes] }) => ({
    type: 'array',
    items: {
      type: 'object',
      properties: { sex: { enum: sexes as string[] }, kg: { type: 'number', maximum: 100 } },
      required: ['sex'],
    },
  }),
  isGrades: ({ constraints: [parts, grades] }) => ({
    type: 'object',
    minProperties: 1,
    properties: Object.fromEntries((parts as string[]).map((part) => [part, { enum: grades as string[] }])),
    additionalProperties: false,
  }),
  isGridCells: { type: 'array', items: { type: 'array', items: { type: 'number' } } },
  isLookGrades: {
    type: 'object',
    additionalProperties: {
      anyOf: [{ enum: ['pass', 'fail'] }, { type: 'integer', minimum: 0, maximum: LOOK_POINTS }],
    },
  },
  isDayMap: ({ constraints: [of] }) => ({
    type: 'object',
    additionalProperties: of === 'date' ? DATE : { type: 'integer' },
  }),
};

type Schemas = Readonly<Record<string, { readonly properties?: Record<string, object> }>>;

/** Adds null where a class takes it: `IsOptional` stands on those fields alone, what may be missing has its own rule. */
export function addNulls(schemas: Schemas, classes: Readonly<Record<string, unknown>>): void {
  for (const [name, { properties = {} }] of Object.entries(schemas)) {
    const of = classes[name];
    if (typeof of !== 'function') continue;
    for (const rule of getMetadataStorage().getTargetValidationMetadatas(of, '', true, false)) {
      const { propertyName } = rule;
      const field = properties[propertyName];
      if (rule.name === IS_OPTIONAL && field) properties[propertyName] = { anyOf: [field, { type: 'null' }] };
    }
  }
}
