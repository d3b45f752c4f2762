import { z } from 'zod';
import { apply, boxOf, corners, placed, type Box, type Point } from '../geometry/index.ts';
import type { PlacedGlyph } from '../drawing/index.ts';
import { MM_PER_PT } from '../units/index.ts';
import type { ShapedGlyph, Typeface } from './shaper.ts';

/** How words lie: in lines, or bent along a circle with the heads of the letters out or in. */
export const wordsPathSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('straight') }),
  z.object({
    kind: z.literal('circle'),
    /** Of the baseline, mm. */
    radius: z.number().positive().max(1000),
    /** Inside: the letters' heads point to the centre, to be read along the bottom. */
    side: z.enum(['outside', 'inside']),
    /** Where the middle of the words stands: degrees clockwise from the top. */
    angle: z.number(),
    /** The part of the circle the words may take, degrees. */
    reach: z.number().min(5).max(360),
  }),
]);

/** How words are set. */
export const wordsStyleSchema = z.object({
  text: z.string().max(5000),
  typeface: z.string(),
  /** pt */
  size: z.number().min(0.5).max(1000),
  /** Added between letters, in hundredths of an em. */
  tracking: z.number().min(-50).max(200),
  /** From baseline to baseline, in ems. */
  leading: z.number().min(0.5).max(5),
  align: z.enum(['left', 'centre', 'right']),
  /** What happens when the words are too long for their room. */
  fit: z.enum(['fixed', 'shrink']),
  /** The size in pt below which words do not shrink. */
  least: z.number().min(0.5).max(1000),
  path: wordsPathSchema,
});
export type WordsStyle = z.infer<typeof wordsStyleSchema>;
export type WordsPath = z.infer<typeof wordsPathSchema>;

/** The room that words have, in mm; on a circle only its `reach` counts. */
export interface Room {
  readonly width: number;
  readonly height: number;
}

/** Words with every letter at its place, about the centre of their room or circle. */
export interface SetWords {
  readonly glyphs: readonly PlacedGlyph[];
  /** The size that came out, pt. */
  readonly size: number;
  /** Whether the words need more room than they have at this size. */
  readonly overflows: boolean;
  /** The characters that the typeface does not have. */
  readonly missing: readonly string[];
  /** The corners of every letter's ink. */
  readonly outline: readonly Point[];
  /** The box around the ink; undefined when nothing is to be seen. */
  readonly ink: Box | undefined;
}

interface Line {
  readonly glyphs: readonly ShapedGlyph[];
  /** Ems. */
  readonly width: number;
}

/** Sets words in their room; the same places serve the screen and every file. */
export function setWords(style: WordsStyle, room: Room, typeface: Typeface): SetWords {
  const lines = style.text.split('\n').map((text): Line => {
    const glyphs = typeface.shape(text);
    const tracked = glyphs.reduce((sum, glyph) => sum + advance(glyph, style), 0);
    return { glyphs, width: Math.max(0, tracked - style.tracking / 100) };
  });
  const need = needed(lines, style, typeface);
  const most = style.path.kind === 'circle' ? circleRoom(style.path) : room;
  const scale = Math.min(
    most.width / Math.max(need.width, 1e-9),
    most.height / Math.max(need.height, 1e-9),
  );
  const largest = scale / MM_PER_PT;
  const size = style.fit === 'fixed' ? style.size : shrunk(style, largest);
  const em = size * MM_PER_PT;
  const glyphs =
    style.path.kind === 'circle'
      ? onCircle(lines, style, style.path, em)
      : inLines(lines, style, { room, em, typeface });
  const missing = [...new Set(lines.flatMap((line) => line.glyphs.filter(({ id }) => id === 0)))]
    .map(({ text }) => text)
    .filter((text) => text.trim() !== '');
  const outline = glyphs.flatMap((glyph) => inkCorners(glyph, typeface, em));
  return {
    glyphs,
    size,
    overflows: size > largest + 1e-6,
    missing: [...new Set(missing)],
    outline,
    ink: boxOf(outline),
  };
}

const advance = (glyph: ShapedGlyph, style: WordsStyle): number =>
  glyph.advance + (glyph.text === '' ? 0 : style.tracking / 100);

const shrunk = (style: WordsStyle, largest: number): number =>
  Math.min(style.size, Math.max(largest, Math.min(style.least, style.size)));

/** The room that lines need, in ems. */
function needed(lines: readonly Line[], style: WordsStyle, typeface: Typeface): Room {
  return {
    width: Math.max(...lines.map(({ width }) => width)),
    height: (lines.length - 1) * style.leading + typeface.ascent + typeface.descent,
  };
}

function circleRoom(path: Extract<WordsPath, { kind: 'circle' }>): Room {
  return { width: (path.radius * path.reach * Math.PI) / 180, height: Infinity };
}

/** Lines from top to bottom; the capitals of the block stand in the middle of the room. */
function inLines(
  lines: readonly Line[],
  style: WordsStyle,
  { room, em, typeface }: { room: Room; em: number; typeface: Typeface },
): PlacedGlyph[] {
  const block = ((lines.length - 1) * style.leading + typeface.capHeight) * em;
  return lines.flatMap((line, index) => {
    const spare = room.width - line.width * em;
    const start =
      -room.width / 2 + (style.align === 'left' ? 0 : style.align === 'right' ? spare : spare / 2);
    const baseline = -block / 2 + (typeface.capHeight + index * style.leading) * em;
    let pen = start;
    return line.glyphs.map((glyph): PlacedGlyph => {
      const at = { x: pen + glyph.offsetX * em, y: baseline + glyph.offsetY * em };
      pen += advance(glyph, style) * em;
      return { id: glyph.id, ...at, angle: 0, text: glyph.text };
    });
  });
}

/** Each letter stands upright on the circle at the middle of its advance. */
function onCircle(
  lines: readonly Line[],
  style: WordsStyle,
  path: Extract<WordsPath, { kind: 'circle' }>,
  em: number,
): PlacedGlyph[] {
  const outside = path.side === 'outside';
  return lines.flatMap((line, index) => {
    const radius = path.radius + (outside ? -1 : 1) * index * style.leading * em;
    let pen = (-line.width * em) / 2;
    return line.glyphs.map((glyph): PlacedGlyph => {
      const half = (glyph.advance * em) / 2;
      const turn = ((outside ? 1 : -1) * ((pen + half) / radius) * 180) / Math.PI + path.angle;
      pen += advance(glyph, style) * em;
      const upright = placed(0, 0, turn);
      const foot = apply(upright, { x: 0, y: -radius });
      const angle = outside ? turn : turn + 180;
      const back = apply(placed(foot.x, foot.y, angle), {
        x: glyph.offsetX * em - half,
        y: glyph.offsetY * em,
      });
      return { id: glyph.id, ...back, angle, text: glyph.text };
    });
  });
}

/** The corners of a placed glyph's ink box, mm. */
function inkCorners(glyph: PlacedGlyph, typeface: Typeface, em: number): Point[] {
  const box = typeface.box(glyph.id);
  if (!box) return [];
  const map = placed(glyph.x, glyph.y, glyph.angle);
  return corners(box).map(({ x, y }) => apply(map, { x: x * em, y: y * em }));
}
