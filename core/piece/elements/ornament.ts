import * as z from 'zod';
import { ornamentOf, ORNAMENTS } from '../../art/index.ts';
import { color } from '../fill.ts';
import { placeFields, scaledBox, side, type ElementKind } from './common.ts';

/** An ornament of our own, drawn in any size and colours. */
export const ornamentSchema = z.object({
  ...placeFields,
  kind: z.literal('ornament'),
  ornament: z.enum(ORNAMENTS),
  width: side,
  height: side,
  /** How many leaves, points, flags or beads it has. */
  count: z.number().int().min(1).max(200),
  /** Thickness of its lines, mm. */
  weight: z.number().min(0.05).max(20),
  inks: z.tuple([color, color]),
});
export type Ornament = z.infer<typeof ornamentSchema>;

export const ornament: ElementKind<Ornament> = {
  size: ({ width, height }) => ({ width, height }),
  resized(element, width, height) {
    if (!ornamentOf(element.ornament).round) return { ...element, width, height };
    // The side that was changed decides.
    const side = width === element.width ? height : width;
    return { ...element, width: side, height: side };
  },
  scaled: (element, factor) => ({
    ...scaledBox(element, factor),
    weight: element.weight * factor,
  }),
  title: ({ ornament: name }) => ({ code: 'ornament', values: { name } }),
  compile(element) {
    const { width, height, count, weight, inks } = element;
    const nodes = ornamentOf(element.ornament).draw({ width, height, count, weight, inks });
    return { nodes, width, height, needs: [] };
  },
};
