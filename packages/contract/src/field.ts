import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateNested,
} from 'class-validator';

/**
 * One decorator a field says both what class-validator checks and what the OpenAPI document shows, so that a wire
 * shape is written once. Amounts are whole cents as JSON integers; days are YYYY-MM-DD text.
 */
export interface FieldSchema {
  readonly type: 'string' | 'integer' | 'boolean' | 'array' | 'object';
  readonly format?: string;
  readonly enum?: readonly string[];
  readonly maxLength?: number;
  readonly minimum?: number;
  readonly nullable?: boolean;
  readonly isOptional?: boolean;
  readonly isMap?: boolean;
  readonly of?: () => WireClass;
  readonly items?: 'string' | 'integer';
}
export type WireClass = new () => object;
interface Options {
  readonly optional?: boolean;
  readonly nullable?: boolean;
}

const registry = new Map<WireClass, Map<string, FieldSchema>>();
/** Every wire class with its fields, for the OpenAPI document. */
export const wireClasses = (): ReadonlyMap<WireClass, ReadonlyMap<string, FieldSchema>> => registry;

function field(schema: FieldSchema, options: Options, validators: readonly PropertyDecorator[]): PropertyDecorator {
  return (target, name) => {
    const owner = target.constructor as WireClass;
    const fields = registry.get(owner) ?? new Map<string, FieldSchema>();
    registry.set(owner, fields);
    fields.set(String(name), {
      ...schema,
      ...(options.nullable ? { nullable: true } : {}),
      ...(options.optional ? { isOptional: true } : {}),
    });
    if (options.optional || options.nullable) IsOptional()(target, name);
    for (const validator of validators) validator(target, name);
  };
}

const says = (message: string) => ({ message });
export const Text = (max = 200, options: Options & { min?: number } = {}): PropertyDecorator =>
  field({ type: 'string', maxLength: max }, options, [
    IsString(says('must be text')),
    MaxLength(max, says(`takes at most ${max} characters`)),
    ...(options.min
      ? [MinLength(options.min, says(options.min === 1 ? 'is missing' : `takes at least ${options.min} characters`))]
      : []),
  ]);
export const Day = (options: Options = {}): PropertyDecorator =>
  field({ type: 'string', format: 'date' }, options, [Matches(/^\d{4}-\d{2}-\d{2}$/, says('is not a calendar day'))]);
export const Id = (options: Options = {}): PropertyDecorator =>
  field({ type: 'string', format: 'uuid' }, options, [Matches(/^[0-9a-f-]{36}$/, says('must be an identifier'))]);
export const Amount = (options: Options = {}): PropertyDecorator =>
  field({ type: 'integer' }, options, [IsInt(says('must be an amount in whole cents'))]);
export const Whole = (options: Options & { min?: number; max?: number } = {}): PropertyDecorator =>
  field({ type: 'integer', ...(options.min === undefined ? {} : { minimum: options.min }) }, options, [
    IsInt(says('must be a whole number')),
    ...(options.min === undefined ? [] : [Min(options.min, says(`must be ${options.min} or more`))]),
    ...(options.max === undefined ? [] : [Max(options.max, says(`must be ${options.max} or less`))]),
  ]);
export const Flag = (options: Options = {}): PropertyDecorator =>
  field({ type: 'boolean' }, options, [IsBoolean(says('must be true or false'))]);
export const Choice = (choices: readonly string[], options: Options = {}): PropertyDecorator =>
  field({ type: 'string', enum: choices }, options, [
    IsIn([...choices], says(`must be one of: ${choices.join(', ')}`)),
  ]);
export const Part = (of: () => WireClass, options: Options = {}): PropertyDecorator =>
  field({ type: 'object', of }, options, [ValidateNested(), Type(of)]);
export const List = (of: () => WireClass, options: Options & { most?: number } = {}): PropertyDecorator =>
  field({ type: 'array', of }, options, [
    IsArray(says('must be a list')),
    ArrayMaxSize(options.most ?? 20_000),
    ValidateNested({ each: true }),
    Type(of),
  ]);
export const Texts = (options: Options = {}): PropertyDecorator =>
  field({ type: 'array', items: 'string' }, options, [IsArray(), IsString({ each: true })]);
/** An open JSON object, checked by the core (a case, a certificate). */
export const Json = (options: Options = {}): PropertyDecorator =>
  field({ type: 'object', isMap: true }, options, [IsObject(says('must be an object'))]);
