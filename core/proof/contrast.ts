import { unwatched, type Platform, type Task } from '../base/index.ts';
import { contrastRatio, luminance, luminanceOfBytes, rgbOf } from '../color/index.ts';
import { solid, type Drawing, type DrawingNode } from '../drawing/index.ts';
import {
  apply,
  boxOf,
  corners,
  grown,
  placed,
  rectanglePath,
  translation,
  type Box,
} from '../geometry/index.ts';
import type { CompiledJob, JobResources } from '../job/index.ts';
import { pdfSources, writePdf } from '../output/index.ts';
import { renderPdf } from '../pdf/index.ts';
import type { CompiledPiece, PlacedElement, Words } from '../piece/index.ts';
import { darkness, dilateMask, type RgbaImage } from '../raster/index.ts';
import { TYPEFACES } from '../type/index.ts';
import { elementKey, type MeasuredContrast } from './finding.ts';

const DPI = 300;
const AROUND = 0.3; // mm around the letters that count as under them

/** The contrast that words of a size need. Source: WCAG 2.2, 1.4.3, with sizes in print. */
export function wantedContrast(size: number, typeface: string): number {
  const name = TYPEFACES.find(({ id }) => id === typeface)?.name ?? '';
  return size >= 18 || (size >= 14 && /bold/i.test(name)) ? 3 : 4.5;
}

/** Where contrast is measured. */
export interface ContrastOptions {
  readonly platform: Platform;
  readonly resources: JobResources;
  readonly task?: Task;
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
  const { platform, resources, task = unwatched } = options;
  const views = [...compiled.pieces.values()].flatMap((piece) =>
    piece.elements.flatMap((placedElement) => wordsView(compiled, piece, placedElement) ?? []),
  );
  const measured = new Map<string, MeasuredContrast>();
  if (views.length === 0) return measured;
  const pages = views.flatMap(({ beneath, letters }) => [
    { drawing: beneath },
    { drawing: letters },
  ]);
  const pdf = await writePdf(platform, pages, pdfSources(compiled, resources), 'contrast');
  for (const [index, view] of views.entries()) {
    await task.breathe();
    const ground = await renderPdf(platform, { pdf, page: 2 * index, dpi: DPI });
    const letters = await renderPdf(platform, { pdf, page: 2 * index + 1, dpi: DPI });
    const found = judged(ground, letters, view.words, view.size);
    if (found) measured.set(view.key, found);
  }
  return measured;
}

/** Words as two drawings of the place around them: what lies beneath, and the letters in black. */
interface WordsView {
  readonly key: string;
  readonly words: Words;
  /** pt */
  readonly size: number;
  readonly beneath: Drawing;
  readonly letters: Drawing;
}

function wordsView(
  compiled: CompiledJob,
  piece: CompiledPiece,
  { element, compiled: drawn, node }: PlacedElement,
): WordsView | undefined {
  if (element.kind !== 'words' || !drawn.words?.ink) return undefined;
  const map = placed(element.x, element.y, element.angle);
  const turned = boxOf(corners(drawn.words.ink).map((corner) => apply(map, corner)));
  const box = turned && overlap(grown(turned, AROUND * 2), bleedBox(piece));
  if (!box) return undefined;
  const others = piece.elements.filter((one) => one.element !== element).map((one) => one.node);
  const paper: DrawingNode = {
    kind: 'path',
    path: rectanglePath({ x: 0, y: 0 }, piece.width * 2, piece.height * 2),
    fill: solid(compiled.job.material.color),
  };
  return {
    key: elementKey(piece.piece.id, element.id),
    words: element,
    size: drawn.words.size,
    beneath: window([paper, ...(piece.ground ? [piece.ground] : []), ...others], box),
    letters: window([blackened(node)], box),
  };
}

const bleedBox = ({ width, height, piece }: CompiledPiece): Box => ({
  left: -width / 2 - piece.bleed,
  top: -height / 2 - piece.bleed,
  right: width / 2 + piece.bleed,
  bottom: height / 2 + piece.bleed,
});

function overlap(one: Box, other: Box): Box | undefined {
  const box = {
    left: Math.max(one.left, other.left),
    top: Math.max(one.top, other.top),
    right: Math.min(one.right, other.right),
    bottom: Math.min(one.bottom, other.bottom),
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

function blackened(node: DrawingNode): DrawingNode {
  if (node.kind === 'group') return { ...node, children: node.children.map(blackened) };
  return node.kind === 'glyphs' ? { ...node, fill: solid('#000000') } : node;
}

function judged(
  ground: RgbaImage,
  letters: RgbaImage,
  words: Words,
  size: number,
): MeasuredContrast | undefined {
  const ink = darkness(letters).map((dark) => (dark > 96 ? 1 : 0));
  const mask = dilateMask(ink, letters.width, (AROUND * DPI) / 25.4);
  const own = luminance(rgbOf(words.color));
  const ratios: number[] = [];
  const lights: number[] = [];
  for (let at = 0; at < mask.length; at++) {
    if (!mask[at]) continue;
    const light = luminanceOfBytes(
      ground.data[at * 4] ?? 0,
      ground.data[at * 4 + 1] ?? 0,
      ground.data[at * 4 + 2] ?? 0,
    );
    lights.push(light);
    ratios.push(contrastRatio(own, light));
  }
  if (ratios.length === 0) return undefined;
  ratios.sort((one, other) => one - other);
  lights.sort((one, other) => one - other);
  return {
    ratio: ratios[Math.floor(ratios.length * 0.05)] ?? 1,
    wanted: wantedContrast(size, words.typeface),
    beneath: lights[Math.floor(lights.length / 2)] ?? 1,
  };
}
