import * as harfbuzz from 'harfbuzzjs';
import { onceFor, onceForEach } from '../base/index.ts';
import { findPath, mapPath, scaling, type Path } from '../geometry/index.ts';
import { readInstanceId, type AxisValues } from './axes.ts';
import { runsOf, type Run } from './runs.ts';
import type { Feature } from './features.ts';
import { readFeatures, readFontMetadata, type FontMetadata } from './font-metadata.ts';

/** One shaped glyph; lengths in ems, y down. */
export interface ShapedGlyph {
  readonly id: number;
  readonly advance: number;
  readonly offsetX: number;
  readonly offsetY: number;
  /** The characters it stands for; empty for the later glyphs of a cluster. */
  readonly text: string;
  /** Where these characters begin and end in the line. */
  readonly at: number;
  readonly end: number;
  /** Whether it is part of what is read from right to left. */
  readonly leftward: boolean;
  /** Whether it joins its neighbours, so that nothing may be put between them. */
  readonly joined: boolean;
}

/** The box of a glyph's ink in ems, y down. */
export interface GlyphBox {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** A loaded typeface. Lengths are in ems with y down unless said otherwise. */
export interface Typeface {
  readonly id: string;
  /** The font file as it ships, with all its axes. */
  readonly bytes: Uint8Array;
  readonly unitsPerEm: number;
  /** How far letters reach above and below the baseline, both positive. */
  readonly ascent: number;
  readonly descent: number;
  readonly capHeight: number;
  /** What the font says of itself. */
  readonly metadata: FontMetadata;
  /** Where it is on its axes; nothing unless it is variable and has been moved. */
  readonly at: AxisValues;
  /**
   * Shapes one line: kerning, ligatures, marks, both directions, and other forms where they are wanted;
   * glyphs from left to right. Glyph 0 stands for what is missing.
   */
  shape(text: string, features?: readonly Feature[]): readonly ShapedGlyph[];
  /** The features that it has forms for, by tag, with the names that its maker gave them. */
  features(): ReadonlyMap<string, string>;
  outline(glyph: number): Path;
  box(glyph: number): GlyphBox | undefined;
  /** The advance of a glyph in thousandths of an em, as PDF wants it. */
  advance(glyph: number): number;
}

const MOST_LINES = 2000; // shaped lines that are remembered

/** Reads a TrueType or OpenType font, as it is at a place on its axes. Throws when the bytes are not one. */
export function loadTypeface(id: string, bytes: Uint8Array, at: AxisValues = {}): Typeface {
  const face = faceOf(bytes);
  const font = new harfbuzz.Font(face);
  font.setVariations(Object.entries(at).map(([tag, value]) => new harfbuzz.Variation(tag, value)));
  const em = face.upem;
  if (!em || face.collectUnicodes().length === 0) throw new Error(`${id} is not a font`);
  const extents = font.hExtents();
  const caps = font.glyphExtents(font.nominalGlyph(72) ?? 0);
  const outlines = new Map<number, Path>();
  const boxes = new Map<number, GlyphBox | undefined>();
  const shaped = new Map<string, ShapedGlyph[]>();
  return {
    id,
    bytes,
    unitsPerEm: em,
    ascent: extents.ascender / em,
    descent: -extents.descender / em,
    capHeight: caps ? caps.yBearing / em : 0.7,
    metadata: readFontMetadata(face),
    at,
    shape(text, features = []) {
      const key = features.length ? `${JSON.stringify(features)}${text}` : text;
      const known = shaped.get(key);
      if (known) return known;
      if (shaped.size >= MOST_LINES) shaped.clear();
      const made = shapeLine(font, em, { text, features });
      shaped.set(key, made);
      return made;
    },
    features: () => readFeatures(face),
    outline(glyph) {
      const known = outlines.get(glyph);
      if (known) return known;
      const made = mapPath(findPath(font.glyphToPath(glyph)) ?? [], scaling(1 / em, -1 / em));
      outlines.set(glyph, made);
      return made;
    },
    box(glyph) {
      if (boxes.has(glyph)) return boxes.get(glyph);
      const found = font.glyphExtents(glyph);
      const made = found && found.width !== 0 ? boxOfGlyph(found, em) : undefined;
      boxes.set(glyph, made);
      return made;
    },
    advance: (glyph) => (font.glyphHAdvance(glyph) * 1000) / em,
  };
}

/** A typeface as it is at the place on its axes that an id names: itself where that is usual. */
export const typefaceAt = onceForEach((usual: Typeface, id: string) =>
  id === usual.id ? usual : loadTypeface(id, usual.bytes, readInstanceId(id).values),
);

/** The places on the axes of one file share what was read of it. */
const faceOf = onceFor((bytes: Uint8Array) => new harfbuzz.Face(new harfbuzz.Blob(bytes)));

const MOST_FONTS = 100; // of a collection that are looked at

/** What the fonts of a collection say of themselves. Throws when the bytes are none. */
export function readCollection(bytes: Uint8Array): FontMetadata[] {
  const blob = new harfbuzz.Blob(bytes);
  const count = Math.min(MOST_FONTS, new DataView(bytes.buffer, bytes.byteOffset).getUint32(8));
  return Array.from({ length: count }, (_, number) => {
    const face = new harfbuzz.Face(blob, number);
    if (!face.upem || face.collectUnicodes().length === 0) throw new Error('no font');
    return readFontMetadata(face);
  });
}

const boxOfGlyph = (found: harfbuzz.GlyphExtents, em: number): GlyphBox => ({
  left: found.xBearing / em,
  top: -found.yBearing / em,
  right: (found.xBearing + found.width) / em,
  bottom: -(found.yBearing + found.height) / em,
});

/** A line and the forms that are wanted in it. */
interface LineToShape {
  readonly text: string;
  readonly features: readonly Feature[];
}

function shapeLine(font: harfbuzz.Font, em: number, line: LineToShape): ShapedGlyph[] {
  return runsOf(line.text).flatMap((run) => shapeRun(font, { em, run, ...line }));
}

/** Shapes one run in sight of what stands around it, so that letters join across its ends. */
function shapeRun(
  font: harfbuzz.Font,
  { em, run, text, features }: LineToShape & { readonly em: number; readonly run: Run },
): ShapedGlyph[] {
  const buffer = new harfbuzz.Buffer();
  buffer.addText(text, run.start, run.end - run.start);
  buffer.guessSegmentProperties();
  if (run.leftward) buffer.setDirection(harfbuzz.Direction.RTL);
  else buffer.setDirection(harfbuzz.Direction.LTR);
  harfbuzz.shape(font, buffer, features.map(hbFeature));
  // Both at once (`getGlyphInfosAndPositions`) takes ten times as long.
  const infos = buffer.getGlyphInfos();
  const positions = buffer.getGlyphPositions();
  const ends = endsOf(infos, run);
  return infos.map((glyph, index) => {
    const at = glyph.cluster;
    const end = ends[index] ?? run.end;
    const { xAdvance = 0, xOffset = 0, yOffset = 0 } = positions[index] ?? {};
    return {
      id: glyph.codepoint,
      advance: xAdvance / em,
      offsetX: xOffset / em,
      offsetY: -yOffset / em,
      text: at === infos[index - 1]?.cluster ? '' : text.slice(at, end),
      at,
      end,
      leftward: run.leftward,
      joined: run.joined,
    };
  });
}

const hbFeature = ({ tag, value, start, end }: Feature): harfbuzz.Feature =>
  new harfbuzz.Feature(tag, value, start, end);

/** Where the characters of each glyph end; clusters only rise, or in a leftward run only fall. */
function endsOf(infos: readonly harfbuzz.GlyphInfo[], run: Run): number[] {
  const count = infos.length;
  const ends = infos.map(() => run.end);
  let [last, next] = [run.end, run.end];
  for (let step = 0; step < count; step++) {
    const index = run.leftward ? step : count - 1 - step;
    const cluster = infos[index]?.cluster ?? last;
    if (cluster !== last) [last, next] = [cluster, last];
    ends[index] = next;
  }
  return ends;
}
