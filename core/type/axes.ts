import * as z from 'zod';
import type { Cut } from './cuts.ts';

/** An axis that a variable typeface can be moved along, in the units of its maker. */
export const axisSchema = z.object({
  tag: z.string().regex(/^[\x20-\x7e]{4}$/),
  /** As its maker calls it. */
  name: z.string().max(60),
  min: z.number(),
  /** Where it is unless told otherwise. */
  usual: z.number(),
  max: z.number(),
});
export type Axis = Readonly<z.infer<typeof axisSchema>>;

/** Where a variable typeface is on its axes; it has its usual value on those that are not named. */
export type AxisValues = Readonly<Record<string, number>>;

const FRACTION = 100; // parts of a unit that are told apart
const KEY = /^([^@]+)@(.+)$/;
const VALUE = /^([\x20-\x7e]{4})=(-?\d+(?:\.\d+)?)$/;

/**
 * The id of a variable typeface at a place on its axes: `id@wdth=80,wght=350`, by tag, without what is
 * usual. The plain id where all is.
 */
export function instanceId(id: string, axes: readonly Axis[], values: AxisValues): string {
  const moved = axes.flatMap(({ tag, min, usual, max }) => {
    const value = Math.min(max, Math.max(min, values[tag] ?? usual));
    const rounded = Math.round(value * FRACTION) / FRACTION;
    return rounded === usual ? [] : [`${tag}=${rounded}`];
  });
  return moved.length ? `${id}@${moved.sort().join()}` : id;
}

/** The typeface and the place that an id names; what cannot be read of the place is usual. */
export function readInstanceId(id: string): { readonly id: string; readonly values: AxisValues } {
  const [, base, places = ''] = KEY.exec(id) ?? [];
  if (base === undefined) return { id, values: {} };
  const values = places.split(',').flatMap((place): [string, number][] => {
    const [, tag, value] = VALUE.exec(place) ?? [];
    return tag === undefined ? [] : [[tag, Number(value)]];
  });
  return { id: base, values: Object.fromEntries(values) };
}

/** The cut that a typeface is at a place on its axes. Source: OpenType 1.9, registered axis tags. */
export function cutAt(cut: Cut, values: AxisValues): Cut {
  const { wght, wdth, ital, slnt } = values;
  return {
    weight: wght ?? cut.weight,
    width: wdth ?? cut.width,
    italic: (ital !== undefined && ital > 0) || (slnt !== undefined && slnt < 0) || cut.italic,
  };
}

const HUNDREDS = [100, 200, 300, 400, 500, 600, 700, 800, 900];

/** The cuts that a variable typeface is chosen by: each hundred of its weights, upright and slanted. */
export function cutsAlong(cut: Cut, axes: readonly Axis[]): { cut: Cut; values: AxisValues }[] {
  const find = (tag: string): Axis | undefined => axes.find((one) => one.tag === tag);
  const [wght, slnt, ital] = [find('wght'), find('slnt'), find('ital')];
  const weights: AxisValues[] = wght
    ? HUNDREDS.filter((one) => one >= wght.min && one <= wght.max).map((one) => ({ wght: one }))
    : [{}];
  const slopes: AxisValues[] = [
    {},
    ...(ital && ital.max > 0
      ? [{ ital: ital.max }]
      : slnt && slnt.min < 0
        ? [{ slnt: slnt.min }]
        : []),
  ];
  return weights.flatMap((weight) =>
    slopes.map((slope) => {
      const values = { ...weight, ...slope };
      return { cut: cutAt(cut, values), values };
    }),
  );
}
