import { applyDecorators } from '@nestjs/common';
import { ApiProperty } from '@nestjs/swagger';
import { Type, type ClassConstructor } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateIf,
  ValidateNested,
} from 'class-validator';

interface Presence {
  optional?: boolean;
  nullable?: boolean;
}

/** What may be left out is left out, not given as nothing; what may be nothing says so. */
const presence = ({ optional, nullable }: Presence): PropertyDecorator[] => {
  if (optional && nullable) return [IsOptional()];
  if (optional) return [ValidateIf((_, value) => value !== undefined)];
  return nullable ? [ValidateIf((_, value) => value !== null)] : [];
};
const required = ({ optional }: Presence) => ({ required: !optional });

/** Text of a limited length. */
export const TextField = (
  o: { max: number; min?: number; pattern?: RegExp; like?: string } & Presence,
): PropertyDecorator =>
  applyDecorators(
    ApiProperty({ type: String, maxLength: o.max, minLength: o.min, nullable: o.nullable, ...required(o) }),
    ...presence(o),
    IsString({ message: '$property is missing. Give it as text.' }),
    MinLength(o.min ?? 0, { message: `$property is too short. Give at least ${o.min ?? 0} characters.` }),
    MaxLength(o.max, { message: `$property is too long. Keep it to ${o.max} characters.` }),
    ...(o.pattern
      ? [
          Matches(o.pattern, {
            message: `$property reads "$value". Give it like ${o.like ?? String(o.pattern)}.`,
          }),
        ]
      : []),
  );

/** A number between limits; absurd ones are refused with a sentence. */
export const NumberField = (o: { min: number; max: number; whole?: boolean } & Presence): PropertyDecorator =>
  applyDecorators(
    ApiProperty({ type: Number, minimum: o.min, maximum: o.max, nullable: o.nullable, ...required(o) }),
    ...presence(o),
    o.whole
      ? IsInt({ message: '$property is "$value". Give a whole number.' })
      : IsNumber(
          { allowNaN: false, allowInfinity: false },
          { message: '$property is "$value". Give a number.' },
        ),
    Min(o.min, { message: `$property is $value. Give ${o.min} or more.` }),
    Max(o.max, { message: `$property is $value. Give ${o.max} or less.` }),
  );

export const BooleanField = (o: Presence = {}): PropertyDecorator =>
  applyDecorators(
    ApiProperty({ type: Boolean, ...required(o) }),
    ...presence(o),
    IsBoolean({ message: '$property is "$value". Give true or false.' }),
  );

/** Choices as a list, or as a table that says more of each. */
type Choices = readonly string[] | Readonly<Record<string, unknown>>;
const listed = (choices: Choices): readonly string[] =>
  Array.isArray(choices) ? (choices as readonly string[]) : Object.keys(choices);

/** One of a few words. */
export const ChoiceField = (choices: Choices, o: Presence = {}): PropertyDecorator => {
  const list = listed(choices);
  return applyDecorators(
    ApiProperty({ enum: list, nullable: o.nullable, ...required(o) }),
    ...presence(o),
    IsIn(list, { message: `$property is "$value". Choose one of ${list.join(', ')}.` }),
  );
};

/** Some of a few words. */
export const ChoicesField = (choices: readonly string[], o: Presence = {}): PropertyDecorator =>
  applyDecorators(
    ApiProperty({ enum: choices, isArray: true, ...required(o) }),
    ...presence(o),
    IsArray({ message: '$property is missing. Give it as a list.' }),
    ArrayMaxSize(choices.length, { message: '$property names something twice.' }),
    IsIn(choices, { each: true, message: `each value of $property must be one of ${choices.join(', ')}.` }),
  );

/** A list of short texts. */
export const TextsField = (o: { max: number; most: number } & Presence): PropertyDecorator =>
  applyDecorators(
    ApiProperty({ type: [String], ...required(o) }),
    ...presence(o),
    IsArray({ message: '$property is missing. Give it as a list.' }),
    ArrayMaxSize(o.most, { message: `$property has too many entries. At most ${o.most} are taken.` }),
    IsString({ each: true, message: 'each value of $property must be text.' }),
    MaxLength(o.max, {
      each: true,
      message: `each value of $property must have at most ${o.max} characters.`,
    }),
  );

export const IdField = (o: Presence = {}): PropertyDecorator =>
  applyDecorators(
    ApiProperty({ type: String, format: 'uuid', nullable: o.nullable, ...required(o) }),
    ...presence(o),
    IsUUID(undefined, { message: '$property is "$value", which is not an id.' }),
  );

type Nested = () => ClassConstructor<object>;
type Kinds = Record<string, ClassConstructor<object>>;

const typed = (type: Nested, kinds?: Kinds): PropertyDecorator =>
  kinds
    ? Type(type, {
        keepDiscriminatorProperty: true,
        discriminator: {
          property: 'kind',
          subTypes: Object.entries(kinds).map(([name, value]) => ({ name, value })),
        },
      })
    : Type(type);

/** An object of a given form; with `kinds` its form follows from its `kind`. */
export const ObjectField = (type: Nested, o: { kinds?: Kinds } & Presence = {}): PropertyDecorator =>
  applyDecorators(
    ...presence(o),
    IsObject({ message: '$property is missing. Give it as an object.' }),
    ValidateNested(),
    typed(type, o.kinds),
  );

/** A list of objects of a given form, of limited length. */
export const ListField = (type: Nested, o: { max: number; kinds?: Kinds } & Presence): PropertyDecorator =>
  applyDecorators(
    ...presence(o),
    IsArray({ message: '$property is missing. Give it as a list.' }),
    ArrayMaxSize(o.max, { message: `$property has too many entries. At most ${o.max} are taken.` }),
    IsObject({ each: true, message: 'each entry of $property must be a group of fields.' }),
    ValidateNested({ each: true }),
    typed(type, o.kinds),
  );

/** A list of numbers between limits. */
export const NumbersField = (o: { min: number; max: number; most: number } & Presence): PropertyDecorator =>
  applyDecorators(
    ...presence(o),
    IsArray({ message: '$property is missing. Give it as a list of numbers.' }),
    ArrayMaxSize(o.most, { message: `$property has too many entries. At most ${o.most} are taken.` }),
    IsNumber({}, { each: true, message: 'each value of $property must be a number.' }),
    Min(o.min, { each: true, message: `each value of $property must be ${o.min} or more.` }),
    Max(o.max, { each: true, message: `each value of $property must be ${o.max} or less.` }),
  );

/**
 * Marks a property as a type of the core in the OpenAPI document, so that the generated client
 * refers to that one type.
 */
export const CoreType = (
  name: string,
  o: { list?: boolean; nullable?: boolean; optional?: boolean } = {},
): PropertyDecorator => {
  const core = { type: 'object', additionalProperties: true, 'x-core-type': name };
  return ApiProperty({
    ...(o.list ? { type: 'array', items: core } : { ...core, nullable: o.nullable }),
    required: o.optional !== true,
  } as unknown as Parameters<typeof ApiProperty>[0]);
};
