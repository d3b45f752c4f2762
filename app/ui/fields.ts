import * as z from 'zod';
import type { Unit } from '../../core/units/index.ts';

/** How a value is shown and changed. */
export type FieldRow = 'check' | 'choices' | 'color' | 'length' | 'number' | 'select' | 'text';

/** A value of `T` as a row in a card: how it is shown, read and changed. FieldRows shows lists of them. */
export interface Field<T> {
  readonly key: string;
  readonly row: FieldRow;
  /** What the row takes besides its value. */
  given(of: T): Record<string, unknown>;
  isShown(of: T): boolean;
  read(of: T): unknown;
  change(value: unknown): Partial<T>;
  /** Whether its changes come many at a time, as by arrow keys or letters, and are one step together. */
  readonly isTyped: boolean;
}

type Maybe<V> = V | null | undefined;
/** The keys of the values of `T` that are of a kind, or may be missing. */
type KeyOf<T, V> = { [K in keyof T]-?: T[K] extends Maybe<V> ? K : never }[keyof T] & string;

interface Shown<T> {
  /** Says more than the label has room for. */
  name?: string;
  when?: (of: T) => boolean;
}

interface Numbered<T> extends Shown<T> {
  /** Where the field takes less than the schema. */
  min?: number;
  max?: number | ((of: T) => number);
  step?: number;
  /** What a missing value is shown as. */
  missing?: number;
  /** What is kept of a typed value. */
  keep?: (value: number) => Maybe<number>;
}

interface Limits {
  min?: number;
  max?: number;
}

/** What a schema is where a value is given: what is optional is looked into. */
function given(schema: unknown): unknown {
  return schema instanceof z.ZodOptional ||
    schema instanceof z.ZodNullable ||
    schema instanceof z.ZodDefault
    ? given(schema.unwrap())
    : schema;
}

/** The least and the most that a number may be, by its schema. */
export function limitsOf(schema: unknown): Limits {
  const number = given(schema);
  if (!(number instanceof z.ZodNumber)) return {};
  const { minValue, maxValue } = number;
  return {
    ...(minValue !== null && Number.isFinite(minValue) ? { min: minValue } : {}),
    ...(maxValue !== null && Number.isFinite(maxValue) ? { max: maxValue } : {}),
  };
}

/** How long a text may be, by its schema. */
function lengthOf(schema: unknown): number | undefined {
  const text = given(schema);
  return text instanceof z.ZodString ? (text.maxLength ?? undefined) : undefined;
}

interface Kinds {
  readonly options: readonly z.ZodObject[];
}
type KindOf<U extends Kinds, K> = Extract<U['options'][number], { _zod: { output: { kind: K } } }>;

/** What describes one of several kinds. */
export function schemaOf<U extends Kinds, K extends string>(kinds: U, kind: K): KindOf<U, K> {
  const isIt = ({ shape }: z.ZodObject): boolean => (shape.kind as z.ZodLiteral).value === kind;
  return kinds.options.find(isIt) as KindOf<U, K>;
}

/** Makers of the rows of what a schema describes; their limits are the schema’s. */
export function fieldsOf<S extends z.ZodObject, T extends object = z.infer<S>>(schema: S) {
  const shape: Readonly<Record<string, unknown>> = schema.shape;

  function field<V>(
    row: FieldRow,
    key: string,
    shown: Shown<T>,
    {
      given,
      read,
      keep = (value) => value,
      isTyped = false,
    }: {
      given: (of: T) => Record<string, unknown>;
      read: (value: unknown) => V;
      keep?: (value: V) => unknown;
      isTyped?: boolean;
    },
  ): Field<T> {
    const { name, when } = shown;
    return {
      key,
      row,
      isTyped,
      given: (of) => ({ ...given(of), ...(name === undefined ? {} : { name }) }),
      isShown: (of) => when?.(of) ?? true,
      read: (of) => read(of[key as keyof T]),
      change: (value) => ({ [key]: keep(value as V) }) as Partial<T>,
    };
  }

  function numbered(
    row: FieldRow,
    key: string,
    label: string,
    { missing = 0, keep = (value) => value, min, max, step, ...shown }: Numbered<T>,
    { scale = 1, ...more }: { scale?: number; suffix?: string; digits?: number; unit?: Unit } = {},
  ): Field<T> {
    const limits = limitsOf(shape[key]);
    const least = min ?? limits.min;
    return field<number>(row, key, shown, {
      given: (of) => {
        const most = (typeof max === 'function' ? max(of) : max) ?? limits.max;
        return {
          label,
          ...more,
          ...(least === undefined ? {} : { min: least * scale }),
          ...(most === undefined ? {} : { max: most * scale }),
          ...(step === undefined ? {} : { step }),
        };
      },
      read: (value) => {
        const number = (value as Maybe<number>) ?? missing;
        return scale === 1 ? number : Math.round(number * scale);
      },
      keep: (value) => keep(value / scale),
      isTyped: true,
    });
  }

  const oneOf =
    (row: 'choices' | 'select') =>
    <K extends KeyOf<T, string>>(
      key: K,
      label: string,
      choices: Readonly<Record<NonNullable<T[K]> & string, string>>,
      { missing, ...shown }: Shown<T> & { missing?: NonNullable<T[K]> } = {},
    ) =>
      field<unknown>(row, key, shown, {
        given: () => ({ label, choices }),
        read: (value) => value ?? missing,
      });

  return {
    /** A length in mm, in the user’s unit unless another is given. */
    length: (
      key: KeyOf<T, number>,
      label: string,
      { unit, ...how }: Numbered<T> & { unit?: Unit } = {},
    ) => numbered('length', key, label, how, unit === undefined ? {} : { unit }),

    number: (
      key: KeyOf<T, number>,
      label: string,
      { suffix, digits, ...how }: Numbered<T> & { suffix?: string; digits?: number } = {},
    ) =>
      numbered('number', key, label, how, {
        ...(suffix === undefined ? {} : { suffix }),
        ...(digits === undefined ? {} : { digits }),
      }),

    /** Degrees. */
    angle: (key: KeyOf<T, number>, label: string, how: Numbered<T> = {}) =>
      numbered('number', key, label, how, { suffix: '°', digits: 1 }),

    /** A share, shown in percent. */
    percent: (key: KeyOf<T, number>, label: string, how: Numbered<T> = {}) =>
      numbered('number', key, label, { step: 5, ...how }, { scale: 100, suffix: '%' }),

    check: (key: KeyOf<T, boolean>, label: string, shown: Shown<T> = {}) =>
      field<boolean>('check', key, shown, {
        given: () => ({ label }),
        read: (value) => (value as Maybe<boolean>) ?? false,
      }),

    /** Something that holds or does not, as two words to choose from. */
    either: (
      key: KeyOf<T, boolean>,
      label: string,
      choices: Readonly<Record<'yes' | 'no', string>>,
      shown: Shown<T> = {},
    ) =>
      field<string>('choices', key, shown, {
        given: () => ({ label, choices }),
        read: (value) => (value ? 'yes' : 'no'),
        keep: (value) => value === 'yes',
      }),

    /** One of a few. */
    choices: oneOf('choices'),

    /** One of many. */
    select: oneOf('select'),

    /** A line of text; an empty one is taken unless it is `needed`. */
    text: (
      key: KeyOf<T, string>,
      label: string,
      { needed = false, ...shown }: Shown<T> & { needed?: boolean } = {},
    ) =>
      field<string>('text', key, shown, {
        given: () => ({ label, needed, most: lengthOf(shape[key]) }),
        read: (value) => (value as Maybe<string>) ?? '',
        isTyped: true,
      }),

    color: (key: KeyOf<T, string>, label: string, shown: Shown<T> = {}) =>
      field<string>('color', key, shown, {
        given: () => ({ label }),
        read: (value) => (value as Maybe<string>) ?? '',
      }),
  };
}
