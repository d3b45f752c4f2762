import * as z from 'zod';
import { isSame } from '../../base/index.ts';
import {
  letterPaths,
  solid,
  type DrawingNode,
  type GlyphsNode,
  type Stroke,
} from '../../drawing/index.ts';
import {
  flatten,
  offsetRegion,
  ringsPath,
  translation,
  unionOf,
  type Path,
} from '../../geometry/index.ts';
import { arcPoint, type EdgeShape } from '../../shape/index.ts';
import {
  setWords,
  wordsStyleSchema,
  type SetWords,
  type Typeface,
  type WordsPath,
} from '../../type/index.ts';
import { MM_PER_PT } from '../../units/index.ts';
import { color, fillSchema, findPaint, isPlain } from '../fill.ts';
import { FACE_ROLES } from '../roles.ts';
import { emptyFrame, placeFields, side, type ElementContext, type ElementKind } from './common.ts';

const outlineSchema = z.object({
  color,
  /** How far it reaches beyond what it goes around, mm. */
  width: z.number().min(0.02).max(20),
});

/** Text in a typeface, in a box or bent about the element's centre. */
export const wordsSchema = z.object({
  ...placeFields,
  kind: z.literal('words'),
  ...wordsStyleSchema.shape,
  color: fillSchema,
  /** How much the letters are grown on all sides, mm. */
  thicken: z.number().min(0).max(5).optional(),
  /** Around the letters, and around that. */
  outlines: z.array(outlineSchema).max(2).optional(),
  shadow: z
    .object({
      x: z.number().min(-50).max(50),
      y: z.number().min(-50).max(50),
      /** How far it fades out, mm; 0 has a sharp rim. */
      blur: z.number().min(0).max(20),
      color,
      opacity: z.number().min(0.05).max(1),
    })
    .optional(),
  /** What their typeface does on the labels of a set; one of their own unless given. */
  role: z.enum(FACE_ROLES).optional(),
  /** The room of words, mm; words on a circle have their circle. */
  width: side,
  height: side,
});
export type Words = z.infer<typeof wordsSchema>;

export const words: ElementKind<Words> = {
  size: ({ path, width, height }) =>
    path.kind === 'circle'
      ? { width: 2 * path.radius, height: 2 * path.radius }
      : { width, height },
  resized: (element, width, height) =>
    element.path.kind === 'circle'
      ? { ...element, path: { ...element.path, radius: Math.max(width, height) / 2 } }
      : { ...element, width, height },
  scaled(element, factor) {
    const { width, height } = words.size(element);
    const { size, thicken, outlines, shadow } = element;
    return {
      ...words.resized(element, width * factor, height * factor),
      size: size * factor,
      ...(thicken === undefined ? {} : { thicken: thicken * factor }),
      ...(outlines
        ? { outlines: outlines.map((one) => ({ ...one, width: one.width * factor })) }
        : {}),
      ...(shadow
        ? {
            shadow: {
              ...shadow,
              x: shadow.x * factor,
              y: shadow.y * factor,
              blur: shadow.blur * factor,
            },
          }
        : {}),
    };
  },
  title: ({ text }) => text.replace(/\s+/g, ' ').trim() || { code: 'empty-words', values: {} },
  compile(element, context) {
    const typeface = context.typeface(element.typeface);
    const size = words.size(element);
    if (!typeface)
      return emptyFrame(size.width, size.height, [{ kind: 'typeface', id: element.typeface }]);
    const paint = findPaint(element.color, size, context);
    if (!paint && !isPlain(element.color) && element.color.kind === 'picture')
      return emptyFrame(size.width, size.height, [{ kind: 'art', id: element.color.art }]);
    const set = setWords(element, size, typeface);
    const letters = drawnLetters(element, { set, typeface, context });
    const grow = grown(element);
    const { shadow } = element;
    return {
      nodes: [...(shadow ? [shadowOf(shadow, { element, set, grow })] : []), ...letters],
      letters,
      ...size,
      needs: [],
      words: set,
      reach:
        grow + (shadow ? Math.max(Math.abs(shadow.x), Math.abs(shadow.y)) + 1.5 * shadow.blur : 0),
    };
  },
};

/** Words that follow the bend of their piece's edge, bent and turned as they stand in it. */
export function alongBend(words: Words, edge: EdgeShape): Words {
  const { path } = words;
  if (path.kind !== 'arc' || !path.edge || edge.kind !== 'arc') return words;
  const apex = arcPoint(edge, 0, edge.radius);
  const [dx, dy] = [words.x - apex.x, words.y - apex.y];
  const up = edge.wide === 'top';
  const angle = (Math.atan2(up ? dx : -dx, up ? -dy : dy) * 180) / Math.PI;
  const bent: WordsPath = { ...path, radius: Math.hypot(dx, dy), bow: up ? 'up' : 'down' };
  return isSame(bent, path) && angle === words.angle ? words : { ...words, path: bent, angle };
}

/** How far outlines and thickening reach beyond the letters, mm. */
const grown = ({ outlines = [], thicken = 0 }: Words): number =>
  outlines.reduce((sum, { width }) => sum + width, thicken);

interface Setting {
  readonly set: SetWords;
  readonly typeface: Typeface;
  readonly context: ElementContext;
}

function plainGlyphs(element: Words, set: SetWords): Omit<GlyphsNode, 'fill' | 'stroke'> {
  return {
    kind: 'glyphs',
    typeface: element.typeface,
    size: set.size * MM_PER_PT,
    glyphs: set.glyphs,
    text: element.text,
  };
}

const about = (paintColor: string, reach: number): Stroke => ({
  paint: solid(paintColor),
  width: 2 * reach,
  cap: 'round',
  join: 'round',
});

/** The letters over their outlines, the widest first; what is emphasized is a little thicker. */
function drawnLetters(element: Words, setting: Setting): DrawingNode[] {
  const { set } = setting;
  const { strong } = set;
  if (!strong) return lettersIn(element, setting);
  const bold = { ...element, thicken: (element.thicken ?? 0) + STRONGER * set.size * MM_PER_PT };
  const part = (isStrong: boolean): Setting => ({
    ...setting,
    set: { ...set, glyphs: set.glyphs.filter((_, at) => strong[at] === isStrong) },
  });
  return [...lettersIn(bold, part(true)), ...lettersIn(element, part(false))];
}

const STRONGER = 0.018; // em on each side

function lettersIn(element: Words, { set, typeface, context }: Setting): DrawingNode[] {
  const { outlines = [], thicken = 0 } = element;
  const glyphs = plainGlyphs(element, set);
  let reach = thicken;
  const rims = outlines.map(({ color: rim, width }): DrawingNode => {
    reach += width;
    return { ...glyphs, fill: solid(rim), stroke: about(rim, reach) };
  });
  const paint = findPaint(element.color, words.size(element), context);
  if (!paint) return rims;
  const letters: DrawingNode = !thicken
    ? { ...glyphs, fill: paint }
    : paint.kind === 'solid'
      ? { ...glyphs, fill: paint, stroke: about(paint.color, thicken) }
      : { kind: 'path', path: thickened(element, set, typeface), fill: paint };
  return [...rims.reverse(), letters];
}

type Shadow = NonNullable<Words['shadow']>;

function shadowOf(
  { x, y, blur, color: shade, opacity }: Shadow,
  { element, set, grow }: { element: Words; set: SetWords; grow: number },
): DrawingNode {
  const letters: DrawingNode = {
    ...plainGlyphs(element, set),
    fill: solid(shade),
    ...(grow > 0 ? { stroke: about(shade, grow) } : {}),
  };
  const children = [{ kind: 'group' as const, transform: translation(x, y), children: [letters] }];
  // A blur that fades out over `blur` mm on either side has half of that as its deviation.
  return blur > 0
    ? { kind: 'shadow', children, blur: blur / 2, color: shade, opacity }
    : { kind: 'group', children, opacity };
}

/** The outlines of set letters, mm. */
export function outlinesOfWords({ size, glyphs }: SetWords, typeface: Typeface): Path[] {
  return letterPaths({ size: size * MM_PER_PT, glyphs }, typeface);
}

function thickened(element: Words, set: SetWords, typeface: Typeface): Path {
  const rings = outlinesOfWords(set, typeface).map((path) => flatten(path));
  return ringsPath(offsetRegion(unionOf(...rings), element.thicken ?? 0, 'round'));
}
