import { onceFor, unwatched, type Platform, type Task } from '../base/index.ts';
import { contrastRatio, luminance, luminanceOfBytes, rgbOf } from '../color/index.ts';
import { findBounds, solid, type Drawing, type DrawingNode } from '../drawing/index.ts';
import {
  apply,
  boxOf,
  corners,
  grown,
  rectanglePath,
  translation,
  type Box,
} from '../geometry/index.ts';
import type { CompiledJob, JobResources } from '../job/index.ts';
import { pdfSources, withPreviewImages, writePdf } from '../output/index.ts';
import { withPdf } from '../pdf/index.ts';
import {
  elementMap,
  isPlain,
  type CompiledPiece,
  type PlacedElement,
  type Words,
} from '../piece/index.ts';
import { darkness, dilateMask, type RgbaImage } from '../raster/index.ts';
import { findFace, isBold, REGULAR, type OwnTypeface } from '../type/index.ts';
import { elementKey, type MeasuredContrast } from './finding.ts';

const { max, min, floor } = Math;

const DPI = 300;
const AROUND = 0.3; // mm around the letters that count as under them

/** The contrast that words of a size need. Source: WCAG 2.2, 1.4.3, with sizes in print. */
export function wantedContrast(
  size: number,
  typeface: string,
  own: readonly OwnTypeface[] = [],
): number {
  const cut = findFace(typeface, own) ?? REGULAR;
  return size >= 18 || (size >= 14 && isBold(cut)) ? 3 : 4.5;
}

/** Where contrast is measured. */
export interface ContrastOptions {
  readonly platform: Platform;
  readonly resources: JobResources;
  readonly task?: Task;
  /** The key of the only words to measure. */
  readonly only?: string;
}

/**
 * Measures every words element of a job: the piece without the words is rendered on the stock's
 * colour at 300 dpi, and of the pixels under and within 0.3 mm of the letters the 5th percentile of
 * the ratio counts.
 */
export async function measureContrasts(
  compiled: CompiledJob,
  options: ContrastOptions,
): Promise<Map<string, MeasuredContrast>> {
  const { platform, resources, task = unwatched, only } = options;
  const views = [...compiled.pieces.values()].flatMap((piece) =>
    piece.elements.flatMap((placedElement) => {
      const key = elementKey(piece.piece.id, placedElement.element.id);
      if (only !== undefined && key !== only) return [];
      return wordsView(compiled, piece, placedElement) ?? [];
    }),
  );
  const measured = new Map<string, MeasuredContrast>();
  if (views.length === 0) return measured;
  const pages = views.flatMap(({ beneath, letters, whole }) =>
    [beneath, letters, ...(whole ? [whole] : [])].map((drawing) => ({ drawing })),
  );
  const sources = await withPreviewImages(platform, pages, {
    sources: pdfSources(compiled, resources),
    dpi: DPI,
  });
  const pdf = await writePdf(platform, pages, sources);
  await withPdf(platform, pdf, async (draw) => {
    let page = 0;
    const rendered = async (): Promise<RgbaImage> => {
      await task.yieldNow();
      return draw({ page: page++, dpi: DPI });
    };
    for (const view of views) {
      const ground = await rendered();
      const letters = await rendered();
      const found = judged(view, { ground, letters, whole: view.whole && (await rendered()) });
      if (found) measured.set(view.key, found);
    }
  });
  return measured;
}

/** Words as two drawings of the place around them: what lies beneath, and the letters in black. */
interface WordsView {
  readonly key: string;
  readonly words: Words;
  /** What its letters have to reach to be read at their size. */
  readonly wanted: number;
  readonly beneath: Drawing;
  readonly letters: Drawing;
  /** The same place with the words on it; only where they are no plain colour. */
  readonly whole: Drawing | undefined;
}

function wordsView(
  compiled: CompiledJob,
  piece: CompiledPiece,
  { element, compiled: drawn, node }: PlacedElement,
): WordsView | undefined {
  if (element.kind !== 'words' || !drawn.words?.ink) return undefined;
  const map = elementMap(element);
  const turned = boxOf(corners(drawn.words.ink).map((corner) => apply(map, corner)));
  const box = turned && overlap(grown(turned, AROUND * 2), bleedBox(piece));
  if (!box) return undefined;
  const others = piece.elements
    .filter((one) => one.element !== element && reaches(one.node, box))
    .map((one) => one.node);
  const paper: DrawingNode = {
    kind: 'path',
    path: rectanglePath({ x: 0, y: 0 }, piece.width * 2, piece.height * 2),
    fill: solid(compiled.job.material.color),
  };
  const below = [paper, ...(piece.ground ? [piece.ground] : []), ...others];
  return {
    key: elementKey(piece.piece.id, element.id),
    words: element,
    wanted: wantedContrast(
      drawn.words.size,
      element.typeface,
      Object.values(compiled.job.typefaces ?? {}),
    ),
    beneath: window(below, box),
    letters: window(
      [{ kind: 'group', transform: map, children: blackened(drawn.letters ?? []) }],
      box,
    ),
    whole: isPlain(element.color) ? undefined : window([...below, node], box),
  };
}

/** What a node covers at most. */
const boundsOf = onceFor((node: DrawingNode): Box | undefined => findBounds([node]));

function reaches(node: DrawingNode, box: Box): boolean {
  const bounds = boundsOf(node);
  return bounds !== undefined && overlap(bounds, box) !== undefined;
}

const bleedBox = ({ width, height, piece }: CompiledPiece): Box => ({
  left: -width / 2 - piece.bleed,
  top: -height / 2 - piece.bleed,
  right: width / 2 + piece.bleed,
  bottom: height / 2 + piece.bleed,
});

function overlap(one: Box, other: Box): Box | undefined {
  const box = {
    left: max(one.left, other.left),
    top: max(one.top, other.top),
    right: min(one.right, other.right),
    bottom: min(one.bottom, other.bottom),
  };
  return box.right - box.left > 0.1 && box.bottom - box.top > 0.1 ? box : undefined;
}

function window(nodes: readonly DrawingNode[], box: Box): Drawing {
  return {
    width: box.right - box.left,
    height: box.bottom - box.top,
    symbols: {},
    nodes: [{ kind: 'group', transform: translation(-box.left, -box.top), children: nodes }],
  };
}

/** What the letters themselves cover, without the lines around them. */
function blackened(letters: readonly DrawingNode[]): DrawingNode[] {
  return letters.slice(-1).map((node): DrawingNode => {
    if (node.kind === 'glyphs') return { ...node, fill: solid('#000000') };
    return node.kind === 'path' ? { ...node, fill: solid('#000000') } : node;
  });
}

/** The place around words, rendered. */
interface Seen {
  readonly ground: RgbaImage;
  readonly letters: RgbaImage;
  readonly whole: RgbaImage | undefined;
}

const lightAt = ({ data }: RgbaImage, at: number): number =>
  luminanceOfBytes(data[at * 4] ?? 0, data[at * 4 + 1] ?? 0, data[at * 4 + 2] ?? 0);

function middle(values: readonly number[]): number | undefined {
  const sorted = [...values].sort((one, other) => one - other);
  return sorted[floor(sorted.length / 2)];
}

/** How light the letters are: by their colour, or by what is seen where they stand. */
function lightsOf(words: Words, ink: ArrayLike<number>, whole: RgbaImage | undefined): number[] {
  const rims = (words.outlines ?? []).map((rim) => luminance(rgbOf(rim.color)));
  if (isPlain(words.color)) return [luminance(rgbOf(words.color)), ...rims];
  const seen: number[] = [];
  for (let at = 0; whole && at < ink.length; at++) if (ink[at]) seen.push(lightAt(whole, at));
  return [middle(seen) ?? 0, ...rims];
}

function judged({ words, wanted }: WordsView, seen: Seen): MeasuredContrast | undefined {
  const { ground, letters, whole } = seen;
  const ink = darkness(letters).map((dark) => (dark > 96 ? 1 : 0));
  const mask = dilateMask(ink, letters.width, (AROUND * DPI) / 25.4);
  const own = lightsOf(words, ink, whole);
  const ratios: number[] = [];
  const lights: number[] = [];
  for (let at = 0; at < mask.length; at++) {
    if (!mask[at]) continue;
    const light = lightAt(ground, at);
    lights.push(light);
    // Letters with an outline are read by whichever of the two stands out more.
    ratios.push(own.reduce((best, one) => max(best, contrastRatio(one, light)), 1));
  }
  if (ratios.length === 0) return undefined;
  ratios.sort((one, other) => one - other);
  return {
    ratio: ratios[floor(ratios.length * 0.05)] ?? 1,
    wanted,
    beneath: middle(lights) ?? 1,
  };
}
