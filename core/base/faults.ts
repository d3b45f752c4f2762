import * as z from 'zod';
import type { ValueRule } from './value-issue.ts';

type Issue = z.core.$ZodIssue;

/** Values that were found to be as a schema wants them. They never change, so once is enough. */
const fine = new WeakMap<object, WeakSet<object>>();

/**
 * The first thing about a value that a schema refuses; undefined where there is none. What was looked
 * at before is passed by, so that of a large value only the records that are new are looked at: the
 * fields of objects, items of arrays and entries of records, down to unions and objects with rules of
 * their own, which are read as wholes.
 */
export function findFault(schema: z.ZodType, value: unknown): Issue | undefined {
  if (typeof value !== 'object' || value === null) return wholeFault(schema, value);
  const known = fine.get(schema) ?? new WeakSet();
  if (known.has(value)) return undefined;
  const fault = partsFault(schema, value);
  if (!fault) fine.set(schema, known.add(value));
  return fault;
}

function partsFault(schema: z.ZodType, value: object): Issue | undefined {
  const inner = unwrapped(schema);
  if (inner instanceof z.ZodObject && !inner.def.checks?.length) {
    const fields = value as Record<string, unknown>;
    return firstOf(Object.entries(inner.shape), ([key, field]) => [
      key,
      findFault(field as z.ZodType, fields[key]),
    ]);
  }
  if (inner instanceof z.ZodArray && Array.isArray(value)) {
    const length = wholeFault(lengthOf(inner), value);
    if (length) return length;
    const item = inner.element as z.ZodType;
    return firstOf(value.entries(), ([at, one]) => [at, findFault(item, one)]);
  }
  if (inner instanceof z.ZodRecord && !inner.def.checks?.length && !Array.isArray(value)) {
    const [keys, values] = [inner.keyType as z.ZodType, inner.valueType as z.ZodType];
    return firstOf(Object.entries(value), ([key, one]) => [
      key,
      keyFault(keys, key) ?? findFault(values, one),
    ]);
  }
  return wholeFault(inner, value);
}

/** A list of anything with the rules that a schema has for lists as wholes. */
function lengthOf({ def }: z.ZodArray): z.ZodType {
  const rules = (def.checks ?? []) as unknown as z.core.$ZodCheck<unknown[]>[];
  return z.array(z.unknown()).check(...rules);
}

/** A key that records lose when they are read is none. */
const keyFault = (keys: z.ZodType, key: string): Issue | undefined =>
  key === '__proto__'
    ? { code: 'custom', path: [], input: key, message: 'reserved-name' satisfies ValueRule }
    : wholeFault(keys, key);

function firstOf<T>(
  parts: Iterable<T>,
  look: (part: T) => readonly [PropertyKey, Issue | undefined],
): Issue | undefined {
  for (const part of parts) {
    const [key, fault] = look(part);
    if (fault) return { ...fault, path: [key, ...fault.path] };
  }
  return undefined;
}

function unwrapped(schema: z.ZodType): z.ZodType {
  let now = schema;
  while (
    now instanceof z.ZodOptional ||
    now instanceof z.ZodNullable ||
    now instanceof z.ZodDefault
  )
    now = now.def.innerType as z.ZodType;
  return now;
}

function wholeFault(schema: z.ZodType, value: unknown): Issue | undefined {
  return schema.safeParse(value).error?.issues[0];
}
