// `Type` asks for it as soon as a class is read, whoever reads it first.
import 'reflect-metadata';
import { Type } from 'class-transformer';
import { buildMessage, ValidateBy, ValidateIf, ValidateNested } from 'class-validator';
import { say } from './say/say';

type ClassOf = new () => object;

const isObject = (value: unknown): boolean => typeof value === 'object' && value !== null && !Array.isArray(value);

/** The library's own check of nested values lets a list through where one object is wanted. */
const IsOneObject = (): PropertyDecorator =>
  ValidateBy({
    name: 'isOneObject',
    validator: {
      validate: isObject,
      defaultMessage: buildMessage(() => say('$property must be one set of fields, not a list or a single value')),
    },
  });
const IsListOfObjects = (): PropertyDecorator =>
  ValidateBy({
    name: 'isListOfObjects',
    validator: {
      validate: (value): boolean => Array.isArray(value) && value.every(isObject),
      defaultMessage: buildMessage(() => say('$property must be a list of sets of fields')),
    },
  });

const all =
  (...decorators: readonly PropertyDecorator[]): PropertyDecorator =>
  (target, property) =>
    decorators.forEach((decorate) => decorate(target, property));

/** One nested value of a class, checked by it. */
export const IsNested = (of: () => ClassOf): PropertyDecorator => all(Type(of), IsOneObject(), ValidateNested());

/** A list of nested values of a class, each checked by it. */
export const IsNestedList = (of: () => ClassOf): PropertyDecorator =>
  all(Type(of), IsListOfObjects(), ValidateNested({ each: true }));

/** A field that may be left out. Unlike the library's own it takes no null for missing: null would be kept. */
export const MayBeMissing = (): PropertyDecorator => ValidateIf((_, value: unknown) => value !== undefined);
