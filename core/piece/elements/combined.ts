import { latestFor, onceFor } from '../../base/index.ts';
import * as z from 'zod';
import type { Art } from '../../art/index.ts';
import {
  apply,
  boxAbout,
  boxOf,
  intersectionOf,
  corners,
  differenceOf,
  flatten,
  mapRing,
  offsetRegion,
  ringsPath,
  strokedRegion,
  unionOf,
  type Box,
  type Ring,
} from '../../geometry/index.ts';
import { insetShape, shapePath, wayPath } from '../../shape/index.ts';
import { setWords, type Typeface } from '../../type/index.ts';
import { artOfFill, fillSchema, findPaint } from '../fill.ts';
import { emptyFrame, placeFields, type ElementKind, type Need, type Resources } from './common.ts';
import { line, lineSchema, type Line } from './line.ts';
import { elementMaps } from './maps.ts';
import { plate, plateSchema, type Plate } from './plate.ts';
import { scaledStroke, stroked, strokeSchema } from './stroke.ts';
import { outlinesOfWords, words, wordsSchema, type Words } from './words.ts';

/** What a shape can be put together from. */
export const shapePartSchema = z.discriminatedUnion('kind', [wordsSchema, plateSchema, lineSchema]);
export type ShapePart = Words | Plate | Line;

/** How a part meets what those before it have made: added, taken away, kept in common, or either alone. */
export const MEETINGS = ['join', 'cut', 'common', 'either'] as const;
export type Meeting = (typeof MEETINGS)[number];

/** One shape put together from shapes and words, which stay as they are and can be taken out again. */
export const combinedSchema = z.object({
  ...placeFields,
  kind: z.literal('combined'),
  /** Each about the middle of the whole, mm. How the first one meets says nothing. */
  parts: z
    .array(z.object({ how: z.enum(MEETINGS), element: shapePartSchema }))
    .min(1)
    .max(40),
  fill: fillSchema.nullable(),
  line: strokeSchema.nullable(),
});
export type Combined = z.infer<typeof combinedSchema>;
type Parts = Combined['parts'];

const KINDS = { words, plate, line };
const kindOf = (part: ShapePart): ElementKind<ShapePart> =>
  KINDS[part.kind] as unknown as ElementKind<ShapePart>;

/** Whether a shape can be put together from an element. */
export const isShapePart = (element: { readonly kind: string }): element is ShapePart =>
  element.kind in KINDS;

/** The box around the frames of parts, where they stand, mm. */
export function boxOfParts(parts: readonly ShapePart[]): Box {
  const points = parts.flatMap((part) => {
    const { width, height } = kindOf(part).size(part);
    const frame = corners(boxAbout({ x: 0, y: 0 }, width, height));
    return elementMaps(part).flatMap((map) => frame.map((corner) => apply(map, corner)));
  });
  return boxOf(points) ?? boxAbout({ x: 0, y: 0 }, 1, 1);
}

const boxAroundParts = onceFor((parts: Parts): Box =>
  boxOfParts(parts.map(({ element }) => element)),
);

const boxOfCombined = ({ parts }: Combined): Box => boxAroundParts(parts);

/** Parts about the middle of their box, and where that stands. */
export function centredParts(parts: Parts): { parts: Parts; centre: { x: number; y: number } } {
  const { left, top, right, bottom } = boxOfParts(parts.map(({ element }) => element));
  const centre = { x: (left + right) / 2, y: (top + bottom) / 2 };
  return {
    centre,
    parts: parts.map(({ how, element }) => ({
      how,
      element: { ...element, x: element.x - centre.x, y: element.y - centre.y },
    })),
  };
}

export const combined: ElementKind<Combined> = {
  size(element) {
    const { left, top, right, bottom } = boxOfCombined(element);
    return { width: right - left, height: bottom - top };
  },
  resized(element, width, height) {
    const now = combined.size(element);
    // The side that was changed decides: words cannot be stretched.
    const factor = width === now.width ? height / now.height : width / now.width;
    return combined.scaled(element, factor);
  },
  scaled: (element, factor) => ({
    ...element,
    parts: element.parts.map(({ how, element: part }) => ({
      how,
      element: {
        ...kindOf(part).scaled(part, factor),
        x: part.x * factor,
        y: part.y * factor,
      },
    })),
    line: scaledStroke(element.line, factor),
  }),
  title: ({ parts }, art: (id: string) => Art | undefined) => ({
    code: 'combined',
    values: {
      parts: parts.map(({ element }) => element.name ?? kindOf(element).title(element, art)),
    },
  }),
  compile(element, context) {
    const size = combined.size(element);
    const needs: Need[] = element.parts.flatMap(({ element: part }): Need[] =>
      part.kind === 'words' && !context.typeface(part.typeface)
        ? [{ kind: 'typeface', id: part.typeface }]
        : [],
    );
    const paint = element.fill === null ? undefined : findPaint(element.fill, size, context);
    if (element.fill !== null && !paint)
      needs.push(...artOfFill(element.fill).map((id): Need => ({ kind: 'art', id })));
    if (needs.length) return emptyFrame(size.width, size.height, needs);
    const path = ringsPath(regionOfParts(element.parts, context));
    return {
      nodes: [
        ...(paint ? [{ kind: 'path' as const, path, fill: paint }] : []),
        ...(element.line ? [stroked(path, element.line, true)] : []),
      ],
      ...size,
      needs,
      missing: element.parts.flatMap(({ element: part }) => missingOf(part, context)),
      reach: (element.line?.width ?? 0) / 2,
    };
  },
};

/** What parts make together, mm about their middle; remembered, since colours change more often. */
function regionOfParts(parts: Parts, resources: Pick<Resources, 'typeface'>): Ring[] {
  const faces = parts.map(({ element }) =>
    element.kind === 'words' ? resources.typeface(element.typeface) : undefined,
  );
  return regionWithFaces(parts, ...faces);
}

const regionWithFaces = latestFor(
  (parts: Parts, ...faces: readonly (Typeface | undefined)[]): Ring[] =>
    parts.reduce<Ring[]>((made, { how, element }, at) => {
      const own = regionOfPart(element, faces[at]);
      return at === 0 ? own : met(made, own, how);
    }, []),
);

function met(made: readonly Ring[], own: readonly Ring[], how: Meeting): Ring[] {
  switch (how) {
    case 'join':
      return unionOf(made, own);
    case 'cut':
      return differenceOf(made, own);
    case 'common':
      return intersectionOf(made, own);
    case 'either':
      return differenceOf(unionOf(made, own), intersectionOf(made, own));
  }
}

const FINE = 0.004; // mm by which curves are followed

/** What a part covers where it stands, at each of its repetitions. */
function regionOfPart(part: ShapePart, typeface: Typeface | undefined): Ring[] {
  const own = ownRegion(part, typeface);
  const copies = elementMaps(part).map((map) => own.map((ring) => mapRing(ring, map)));
  return unionOf(...copies);
}

function ownRegion(part: ShapePart, typeface: Typeface | undefined): Ring[] {
  switch (part.kind) {
    case 'words': {
      if (!typeface) return [];
      const set = setWords(part, words.size(part), typeface);
      const letters = unionOf(...outlinesOfWords(set, typeface).map((path) => flatten(path, FINE)));
      return part.thicken ? offsetRegion(letters, part.thicken) : letters;
    }
    case 'plate': {
      const outer = flatten(shapePath(part.shape), FINE);
      if (part.fill === null && part.line) return lined(outer, part.line, true);
      const inner =
        part.rim?.to === undefined ? [] : shapePath(insetShape(part.shape, part.rim.to));
      return differenceOf(outer, flatten(inner, FINE));
    }
    case 'line': {
      const rings = flatten(wayPath(part.nodes, part.closed), FINE);
      return part.closed && (part.fill !== null || !part.line)
        ? unionOf(rings)
        : lined(rings, part.line ?? { width: 1 }, part.closed);
    }
  }
}

/** What a line along rings covers. */
const lined = (
  rings: readonly Ring[],
  {
    width,
    cap = 'butt',
    join = 'miter',
  }: Pick<NonNullable<Line['line']>, 'width' | 'cap' | 'join'>,
  closed: boolean,
): Ring[] =>
  strokedRegion(rings, { width, closed, cap, corners: join === 'miter' ? 'mitre' : join });

function missingOf(part: ShapePart, { typeface }: Pick<Resources, 'typeface'>): readonly string[] {
  const face = part.kind === 'words' ? typeface(part.typeface) : undefined;
  return part.kind === 'words' && face ? setWords(part, words.size(part), face).missing : [];
}
