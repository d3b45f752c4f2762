import * as z from 'zod';
import { err, ok, type Platform, type Result } from '../../base/index.ts';
import { parseSvg } from '../../art/index.ts';
import { outlinesOf, pathData, written } from '../../drawing/index.ts';
import {
  boxOf,
  flatten,
  signedArea,
  type Box,
  type Path,
  type Ring,
} from '../../geometry/index.ts';
import { readPdfShapes } from '../../pdf/index.ts';
import type { SeenLabel } from '../../register/index.ts';
import { checkSpots, spotPaths, spotsSchema, stockSchema, type Stock } from '../stock.ts';
import { templateFromLabels } from './template-from-labels.ts';

/** The version of template files; it goes up when their meaning changes. */
const TEMPLATE_VERSION = 1;

/** A template as a file for others: described in `docs/template-format.md`. */
export const templateFileSchema = z.object({
  littlePeelTemplate: z.literal(TEMPLATE_VERSION),
  name: z.string().min(1).max(120),
  form: z.enum(['sheet', 'roll', 'carrier']).default('sheet'),
  /** mm, as everything in it. */
  width: z.number().positive().max(2000),
  height: z.number().positive().max(2000),
  /** What a printer cannot reach: top, right, bottom, left. */
  margins: z
    .tuple([z.number().min(0), z.number().min(0), z.number().min(0), z.number().min(0)])
    .default([5, 5, 5, 5]),
  spots: spotsSchema,
});

/** Writes a template as JSON that other programs can read and write. */
export function templateJson({ name, form, width, height, margins, spots }: Stock): string {
  const file = { littlePeelTemplate: TEMPLATE_VERSION, name, form, width, height, margins, spots };
  return `${JSON.stringify(file, null, 2)}\n`;
}

/** Writes the outlines of a template as SVG in mm, to draw on elsewhere. */
export function templateSvg({ width, height, spots }: Stock): string {
  const outlines = spots
    ? spotPaths(spots).map((path, at) => `<path id="label-${at + 1}" d="${pathData(path)}"/>`)
    : [];
  const [w, h] = [written(width), written(height)];
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="0 0 ${w} ${h}">\n<g fill="none" stroke="#000000" stroke-width="0.1">\n${outlines.join('\n')}\n</g>\n</svg>\n`;
}

/** Until it is kept under a name of its own. */
const ID = 'own-file';
const LEAST_SIDE = 4; // mm

/**
 * Reads a template from a file: one of our own as JSON, or the closed outlines of a supplier's SVG or
 * first PDF page. Of these the size that covers most of the page is the label's; frames, words and
 * small things are passed over. The kind is known by the bytes, not by the name.
 */
export async function readTemplateFile(
  platform: Platform,
  bytes: Uint8Array,
  name: string,
): Promise<Result<Stock>> {
  const title = (name.replace(/\.[^.]+$/, '') || 'Template').slice(0, 120);
  const start = new TextDecoder().decode(bytes.slice(0, 1024)).trimStart();
  if (start.startsWith('{')) return readJson(new TextDecoder().decode(bytes), name);
  if (start.startsWith('%PDF')) {
    const page = await readPdfShapes(platform, bytes, 0);
    if (!page.ok) return page;
    const { width, height, shapes } = page.value;
    return fromOutlines(outlinesOf(shapes), { id: ID, name: title, width, height });
  }
  if (!start.startsWith('<')) return err('stock/unknown-file', { name }, name);
  const svg = parseSvg(new TextDecoder().decode(bytes), name);
  if (!svg.ok) return svg;
  const { width, height, nodes } = svg.value;
  return fromOutlines(outlinesOf(nodes), { id: ID, name: title, width, height });
}

function readJson(text: string, name: string): Result<Stock> {
  let plain: unknown;
  try {
    plain = JSON.parse(text);
  } catch {
    return err('stock/unread', { name }, name);
  }
  const read = templateFileSchema.safeParse(plain);
  if (!read.success) {
    const [issue] = read.error.issues;
    const where = issue?.path.join('.') || 'littlePeelTemplate';
    return err('stock/unread', { name, field: where }, name);
  }
  const stock = stockSchema.parse({ ...read.data, id: ID });
  const closes = checkSpots(stock);
  return closes.ok ? ok(stock) : closes;
}

const within = (inner: Box, outer: Box): boolean =>
  inner.left >= outer.left - 0.01 &&
  inner.top >= outer.top - 0.01 &&
  inner.right <= outer.right + 0.01 &&
  inner.bottom <= outer.bottom + 0.01;

interface Outline {
  readonly ring: Ring;
  readonly box: Box;
  readonly area: number;
}

const sideOf = ({ box }: Outline): { width: number; height: number } => ({
  width: box.right - box.left,
  height: box.bottom - box.top,
});

function fromOutlines(
  paths: readonly Path[],
  sheet: Pick<Stock, 'id' | 'name' | 'width' | 'height'>,
): Result<Stock> {
  const page: Box = { left: 0, top: 0, right: sheet.width, bottom: sheet.height };
  const outlines = distinct(
    paths
      .flatMap((path) => flatten(path, 0.01))
      .flatMap((ring): Outline[] => {
        const box = boxOf(ring);
        return box ? [{ ring, box, area: Math.abs(signedArea(ring)) }] : [];
      })
      .filter((outline) => {
        const { width, height } = sideOf(outline);
        return Math.min(width, height) >= LEAST_SIDE && within(outline.box, page);
      }),
  );
  const labels = mostCovering(outlines).map(({ ring, box }): SeenLabel => {
    const hole = outlines.find((other) => other.box !== box && isHole(other.box, box));
    return { ring, box, hole: hole?.box };
  });
  return templateFromLabels(labels, sheet, 'drawing');
}

/** A round opening about the middle of a label, as discs have. */
function isHole(inner: Box, outer: Box): boolean {
  const middle = (box: Box) => [(box.left + box.right) / 2, (box.top + box.bottom) / 2] as const;
  const [a, b] = [middle(inner), middle(outer)];
  return (
    within(inner, outer) &&
    Math.hypot(a[0] - b[0], a[1] - b[1]) < 0.2 &&
    inner.right - inner.left < (outer.right - outer.left) * 0.6
  );
}

/** Outlines that are drawn twice, as fill and as line or as two hairlines, count once. */
function distinct(outlines: readonly Outline[]): Outline[] {
  const kept: Outline[] = [];
  for (const one of outlines) {
    const twin = kept.some(
      ({ box }) =>
        Math.max(
          Math.abs(box.left - one.box.left),
          Math.abs(box.top - one.box.top),
          Math.abs(box.right - one.box.right),
          Math.abs(box.bottom - one.box.bottom),
        ) < 0.5,
    );
    if (!twin) kept.push(one);
  }
  return kept;
}

/** The outlines of the one size that covers most, those that lie around others left out. */
function mostCovering(outlines: readonly Outline[]): Outline[] {
  const frames = outlines.filter((one) => {
    const inside = outlines.filter((other) => other !== one && within(other.box, one.box));
    return inside.some(({ box }) => !isHole(box, one.box));
  });
  const candidates = outlines.filter((one) => !frames.includes(one));
  let best: Outline[] = [];
  let most = 0;
  for (const one of candidates) {
    const { width, height } = sideOf(one);
    const alike = candidates.filter((other) => {
      const side = sideOf(other);
      return Math.abs(side.width - width) < 0.3 && Math.abs(side.height - height) < 0.3;
    });
    const covered = alike.reduce((sum, { area }) => sum + area, 0);
    if (covered > most) [best, most] = [alike, covered];
  }
  return best;
}
