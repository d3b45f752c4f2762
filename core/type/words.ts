import { apply, boxOf, corners, placed, type Box, type Point } from '../geometry/index.ts';
import type { PlacedGlyph } from '../drawing/index.ts';
import { MM_PER_PT } from '../units/index.ts';
import { baselineOf, type Baseline, type Foot } from './baselines.ts';
import { headingOf, inCase, runOn, type Cased } from './cased.ts';
import { emphasized } from './emphasis.ts';
import { featuresOfMade, featuresWithin, type TextRange } from './features.ts';
import { brokenLines, paragraphsOf, type Paragraph, type ShapePart } from './lines.ts';
import type { ShapedGlyph, Typeface } from './shaper.ts';
import type { Nudge, WordsPath, WordsStyle } from './words-style.ts';

const { max, min } = Math;

/** The room that words have, in mm; on a circle only its `reach` counts. */
export interface Room {
  readonly width: number;
  readonly height: number;
}

/** A place between two characters where a caret can stand: the foot of the caret. */
export interface Caret extends Foot {
  /** Index in the text as typed. */
  readonly at: number;
  readonly line: number;
}

/** Words with every letter at its place, about the centre of their room or circle. */
export interface SetWords {
  readonly glyphs: readonly PlacedGlyph[];
  /** Which of them are set stronger; undefined where none is. */
  readonly strong: readonly boolean[] | undefined;
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
  /** In the order of the text as typed; worked out when it is asked for. */
  carets(): readonly Caret[];
}

/** A line with its glyphs. */
interface Line {
  readonly range: TextRange;
  readonly glyphs: readonly ShapedGlyph[];
  /** Ems. */
  readonly width: number;
}

/** Sets words in their room; the same places serve the screen and every file. */
export function setWords(style: WordsStyle, room: Room, typeface: Typeface): SetWords {
  const typed = inCase(style.text, style.case ?? 'typed');
  const cased = style.list ? runOn(typed, style.list) : typed;
  const wraps = style.fit === 'wrap' || style.fit === 'wrap-shrink';
  const features = featuresOfMade(style.features, cased.from);
  const shape: ShapePart = (part) =>
    typeface.shape(cased.text.slice(part.start, part.end), featuresWithin(features, part));
  const paragraphs = wraps ? paragraphsOf(cased.text, shape, style.tracking / 100) : [];
  const most = roomAlong(style.path, room);
  const { size, lines, overflows } = fitted(style, { cased, paragraphs, most, typeface, shape });
  const em = size * MM_PER_PT;
  const baseline = baselineOf(style.path);
  const set = {
    style,
    lines,
    cased,
    baseline,
    em,
    starts: starts(lines, style, { room, em, typeface }),
  };
  const glyphs = placedGlyphs(set);
  let outline: readonly Point[] | undefined;
  let carets: readonly Caret[] | undefined;
  return {
    glyphs,
    strong: strongGlyphs(style, cased, lines),
    size,
    overflows,
    missing: missingFrom(lines),
    get outline() {
      return (outline ??= glyphs.flatMap((glyph) => inkCorners(glyph, typeface, em)));
    },
    ink: inkBox(glyphs, typeface, em),
    carets: () => (carets ??= caretsOf(set)),
  };
}

/** Which glyphs belong to the heading of a list, or to a word that is emphasized. */
function strongGlyphs(
  { list, emphasis }: WordsStyle,
  { text }: Cased,
  lines: readonly Line[],
): boolean[] | undefined {
  const heading = list ? headingOf(list).trim().length : 0;
  const ranges = [
    ...(heading ? [{ start: 0, end: heading }] : []),
    ...emphasized(text.slice(heading), emphasis).map(({ start, end }) => ({
      start: start + heading,
      end: end + heading,
    })),
  ];
  if (ranges.length === 0) return undefined;
  return lines.flatMap(({ range, glyphs }) =>
    glyphs.map(({ at }) =>
      ranges.some(({ start, end }) => range.start + at >= start && range.start + at < end),
    ),
  );
}

const missingFrom = (lines: readonly Line[]): string[] => [
  ...new Set(
    lines
      .flatMap((line) => line.glyphs.filter(({ id }) => id === 0))
      .map(({ text }) => text)
      .filter((text) => text.trim() !== ''),
  ),
];

/** How much a glyph takes along its line, ems. */
const advance = (glyph: ShapedGlyph, style: WordsStyle): number =>
  glyph.advance + (glyph.text === '' || glyph.joined ? 0 : style.tracking / 100);

interface Measured {
  readonly cased: Cased;
  readonly paragraphs: readonly Paragraph[];
  readonly most: Room;
  readonly typeface: Typeface;
  readonly shape: ShapePart;
}

const HALVINGS = 22;

/** The size and lines that a fit rule gives. */
function fitted(
  style: WordsStyle,
  measured: Measured,
): { size: number; lines: readonly Line[]; overflows: boolean } {
  const wraps = style.fit === 'wrap' || style.fit === 'wrap-shrink';
  const at = (size: number): { lines: readonly Line[]; scale: number } => {
    const lines = wraps ? wrapped(style, measured, size) : ownLines(style, measured);
    return { lines, scale: scaleOf(lines, style, measured) };
  };
  const first = at(style.size);
  const fits = (size: number, scale: number): boolean => size * MM_PER_PT <= scale + 1e-6;
  const least = Math.min(style.least, style.size);
  if (style.fit === 'shrink') {
    const largest = first.scale / MM_PER_PT;
    const size = Math.min(style.size, Math.max(largest, least));
    return { size, lines: first.lines, overflows: size > largest + 1e-6 };
  }
  if (style.fit !== 'wrap-shrink' || fits(style.size, first.scale))
    return { size: style.size, lines: first.lines, overflows: !fits(style.size, first.scale) };
  let [low, high] = [least, style.size];
  for (let round = 0; round < HALVINGS; round++) {
    const middle = (low + high) / 2;
    if (fits(middle, at(middle).scale)) low = middle;
    else high = middle;
  }
  const last = at(low);
  return { size: low, lines: last.lines, overflows: !fits(low, last.scale) };
}

/** The em in mm at which lines just fill the room, whichever side they meet first. */
function scaleOf(lines: readonly Line[], style: WordsStyle, { most, typeface }: Measured): number {
  const width = lines.reduce((widest, line) => Math.max(widest, line.width), 0);
  const height = (lines.length - 1) * style.leading + typeface.ascent + typeface.descent;
  return Math.min(most.width / Math.max(width, 1e-9), most.height / Math.max(height, 1e-9));
}

function ownLines(style: WordsStyle, { cased, shape }: Measured): Line[] {
  let start = 0;
  return cased.text.split('\n').map((text) => {
    const range = { start, end: start + text.length };
    start = range.end + 1;
    return lineOf(range, style, shape);
  });
}

function wrapped(style: WordsStyle, measured: Measured, size: number): Line[] {
  const { paragraphs, most } = measured;
  return brokenLines(paragraphs, most.width / (size * MM_PER_PT), style.balanced ?? false).map(
    (range) => lineOf(range, style, measured.shape),
  );
}

function lineOf(range: TextRange, style: WordsStyle, shape: ShapePart): Line {
  const glyphs = shape(range);
  const tracked = glyphs.reduce((sum, glyph) => sum + advance(glyph, style), 0);
  return { range, glyphs, width: Math.max(0, tracked - style.tracking / 100) };
}

/** The room along a path: how long a line can be, and how high the block. */
function roomAlong(path: WordsPath, room: Room): Room {
  if (path.kind === 'circle')
    return { width: (path.radius * path.reach * Math.PI) / 180, height: Infinity };
  return path.kind === 'arc' || path.kind === 'straight' ? room : { ...room, height: Infinity };
}

/** Where each line begins: mm from the middle of the room along it, and down in the block. */
interface Start {
  readonly along: number;
  readonly drop: number;
}

/** The capitals of a block settle in its room; on a circle and a wave the first baseline is the path. */
function starts(
  lines: readonly Line[],
  style: WordsStyle,
  { room, em, typeface }: { room: Room; em: number; typeface: Typeface },
): Start[] {
  const { path, settle = 'middle' } = style;
  const block = ((lines.length - 1) * style.leading + typeface.capHeight) * em;
  const top =
    settle === 'middle'
      ? -block / 2
      : settle === 'top'
        ? -room.height / 2
        : room.height / 2 - block;
  const first =
    path.kind === 'circle'
      ? 0
      : path.kind === 'wave'
        ? (typeface.capHeight * em) / 2
        : top + typeface.capHeight * em;
  return lines.map((line, index) => {
    const spare = room.width - line.width * em;
    const aligned =
      -room.width / 2 + (style.align === 'left' ? 0 : style.align === 'right' ? spare : spare / 2);
    return {
      along: path.kind === 'circle' ? (-line.width * em) / 2 : aligned,
      drop: first + index * style.leading * em,
    };
  });
}

interface BeingSet {
  readonly style: WordsStyle;
  readonly lines: readonly Line[];
  readonly cased: Cased;
  readonly baseline: Baseline;
  readonly em: number;
  readonly starts: readonly Start[];
}

/** Each letter stands upright on its baseline at the middle of its advance. */
function placedGlyphs(set: BeingSet): PlacedGlyph[] {
  const { style, lines, cased, baseline, em } = set;
  const nudges = new Map(style.nudges?.map((nudge) => [nudge.at, nudge]));
  const glyphs: PlacedGlyph[] = [];
  for (const [index, line] of lines.entries()) {
    const { along, drop } = set.starts[index] ?? { along: 0, drop: 0 };
    let pen = along;
    for (const glyph of line.glyphs) {
      const half = (glyph.advance * em) / 2;
      const foot = baseline(pen + half, drop);
      pen += advance(glyph, style) * em;
      const origin = cased.from[line.range.start + glyph.at] ?? 0;
      const moved = nudged(foot, nudges.get(origin), em);
      const back = apply(placed(moved.x, moved.y, moved.angle), {
        x: glyph.offsetX * em - half,
        y: glyph.offsetY * em,
      });
      glyphs.push({ id: glyph.id, ...back, angle: moved.angle, text: glyph.text });
    }
  }
  return glyphs;
}

function nudged(foot: Foot, nudge: Nudge | undefined, em: number): Foot {
  if (!nudge) return foot;
  const by = { x: (nudge.x / 100) * em, y: (nudge.y / 100) * em };
  return { ...apply(placed(foot.x, foot.y, foot.angle), by), angle: foot.angle + nudge.turn };
}

const letters = new Intl.Segmenter('en', { granularity: 'grapheme' });

/** Where carets stand: before each letter and behind the last of a line. */
function caretsOf({ style, lines, cased, baseline, em, starts: begun }: BeingSet): Caret[] {
  const all: Caret[] = [];
  for (const [index, line] of lines.entries()) {
    const { along, drop } = begun[index] ?? { along: 0, drop: 0 };
    const stands = (at: number, pen: number): void => {
      all.push({ ...baseline(pen, drop), at: cased.from[at] ?? style.text.length, line: index });
    };
    let pen = along;
    let end = along;
    for (const cluster of clusters(line.glyphs, style)) {
      const text = cased.text.slice(line.range.start + cluster.at, line.range.start + cluster.end);
      const parts = [...letters.segment(text)];
      for (const [part, { index: within }] of parts.entries()) {
        const share = (cluster.leftward ? parts.length - part : part) / parts.length;
        stands(line.range.start + cluster.at + within, pen + share * cluster.advance * em);
      }
      pen += cluster.advance * em;
      if (cluster.end >= line.range.end - line.range.start)
        end = cluster.leftward ? pen - cluster.advance * em : pen;
    }
    stands(line.range.end, end);
  }
  return all.sort((one, other) => one.at - other.at || one.line - other.line);
}

/** Glyphs that stand for the same characters, together. */
function clusters(
  glyphs: readonly ShapedGlyph[],
  style: WordsStyle,
): { at: number; end: number; leftward: boolean; advance: number }[] {
  const found: { at: number; end: number; leftward: boolean; advance: number }[] = [];
  for (const glyph of glyphs) {
    const last = found[found.length - 1];
    if (last?.at === glyph.at) last.advance += advance(glyph, style);
    else {
      const { at, end, leftward } = glyph;
      found.push({ at, end, leftward, advance: advance(glyph, style) });
    }
  }
  return found;
}

/** The box around the ink of letters; those that stand upright need no corners. */
function inkBox(glyphs: readonly PlacedGlyph[], typeface: Typeface, em: number): Box | undefined {
  if (glyphs.some(({ angle }) => angle !== 0))
    return boxOf(glyphs.flatMap((glyph) => inkCorners(glyph, typeface, em)));
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { id, x, y } of glyphs) {
    const box = typeface.box(id);
    if (!box) continue;
    left = min(left, x + box.left * em);
    right = max(right, x + box.right * em);
    top = min(top, y + box.top * em);
    bottom = max(bottom, y + box.bottom * em);
  }
  return left <= right ? { left, top, right, bottom } : undefined;
}

/** The corners of a placed glyph's ink box, mm. */
function inkCorners(glyph: PlacedGlyph, typeface: Typeface, em: number): Point[] {
  const box = typeface.box(glyph.id);
  if (!box) return [];
  const map = placed(glyph.x, glyph.y, glyph.angle);
  return corners(box).map(({ x, y }) => apply(map, { x: x * em, y: y * em }));
}
