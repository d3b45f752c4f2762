import * as z from 'zod';
import { editOf } from './edited-text.ts';

/** A choice among the forms that a typeface has for letters, on a part of a text. */
export const featureSchema = z.object({
  /** Index of its first character in the text, and behind its last. */
  start: z.number().int().min(0),
  end: z.number().int().min(1),
  /** By its registered tag. */
  tag: z.string().regex(/^[\x20-\x7e]{4}$/),
  /** Which of several forms; 0 for the plain one. */
  value: z.number().int().min(0).max(99),
});
export type Feature = Readonly<z.infer<typeof featureSchema>>;

/** A part of a text, from its first character to behind its last. */
export interface TextRange {
  readonly start: number;
  readonly end: number;
}

/** Features of a text as those of a part of it. */
export const featuresWithin = (
  features: readonly Feature[],
  { start, end }: TextRange,
): readonly Feature[] =>
  features.length === 0
    ? features
    : features.flatMap((one) => {
        const part = {
          ...one,
          start: Math.max(one.start, start) - start,
          end: Math.min(one.end, end) - start,
        };
        return part.start < part.end ? [part] : [];
      });

/**
 * Features of a text as those of one that was made of it, as in capitals or run on.
 * @param from for each character of the made text, where it comes from
 */
export function featuresOfMade(
  features: readonly Feature[] = [],
  from: readonly number[],
): readonly Feature[] {
  return features.flatMap((one) => {
    const made: Feature[] = [];
    let start: number | undefined;
    for (let at = 0; at < from.length; at++) {
      const origin = from[at] ?? 0;
      const isIn = at < from.length - 1 && origin >= one.start && origin < one.end;
      if (isIn) start ??= at;
      else if (start !== undefined) {
        made.push({ ...one, start, end: at });
        start = undefined;
      }
    }
    return made;
  });
}

/** Features after their text has been changed: they keep to their letters, and grow with what is put among them. */
export function movedFeatures(
  features: readonly Feature[],
  before: string,
  after: string,
): readonly Feature[] {
  if (features.length === 0 || before === after) return features;
  const { moved, start, gone, by } = editOf(before, after);
  return features.flatMap((one) => {
    const now = {
      ...one,
      start: moved(one.start) ?? (one.start > start ? gone + by : one.start),
      end: one.end >= gone && one.end > start ? one.end + by : Math.min(one.end, start),
    };
    return now.start < now.end ? [now] : [];
  });
}

/** The form of a part of a text with a tag: undefined where it has none, or several. */
export function formIn(
  features: readonly Feature[] = [],
  { start, end }: TextRange,
  tag: string,
): number | undefined {
  const found = features.find((one) => one.tag === tag && one.start <= start && one.end >= end);
  return found?.value;
}

/** Features with a part of the text in another form, or in its usual one again. */
export function withForm(
  features: readonly Feature[] = [],
  range: TextRange,
  { tag, value }: { readonly tag: string; readonly value: number | undefined },
): Feature[] {
  const others = features.filter((one) => one.tag !== tag);
  const around = features
    .filter((one) => one.tag === tag)
    .flatMap((one) => [
      { ...one, end: Math.min(one.end, range.start) },
      { ...one, start: Math.max(one.start, range.end) },
    ])
    .filter(({ start, end }) => start < end);
  const wanted = value === undefined ? [] : [{ ...range, tag, value }];
  const own: Feature[] = [];
  for (const one of [...around, ...wanted].sort((left, right) => left.start - right.start)) {
    const last = own[own.length - 1];
    if (last && last.end === one.start && last.value === one.value)
      own[own.length - 1] = { ...last, end: one.end };
    else own.push(one);
  }
  return [...others, ...own];
}
