import type { Platform } from '../../base/index.ts';
import { findBounds, SHADOW_REACH, type ShadowNode } from '../../drawing/index.ts';
import { grown, translation, type Affine } from '../../geometry/index.ts';
import { renderPdf } from '../../pdf/index.ts';
import { gaussianBlur, type GreyImage } from '../../raster/index.ts';
import type { PdfPage } from './page.ts';

/** A shadow as a picture: how opaque it is, and its place from the unit square to mm. */
export interface Shade {
  readonly shade: GreyImage;
  readonly map: Affine;
}

const DPI = 300;
const known = new WeakMap<ShadowNode, Shade>();

/**
 * Draws shadows, since PDF knows no blur: each outline is filled, rendered at 300 dpi and blurred.
 * @param write makes a PDF of pages
 */
export async function drawShadows(
  platform: Platform,
  nodes: readonly ShadowNode[],
  write: (pages: readonly PdfPage[]) => Promise<Uint8Array>,
): Promise<Map<ShadowNode, Shade>> {
  const shades = new Map<ShadowNode, Shade>();
  const asked: { node: ShadowNode; page: PdfPage; map: Affine }[] = [];
  for (const node of nodes) {
    const kept = known.get(node);
    const box = findBounds(node.children);
    if (kept) shades.set(node, kept);
    else if (box) {
      const { left, top, right, bottom } = grown(box, node.blur * SHADOW_REACH);
      const [width, height] = [right - left, bottom - top];
      const moved = {
        kind: 'group' as const,
        transform: translation(-left, -top),
        children: node.children,
      };
      const drawing = { width, height, symbols: {}, nodes: [moved] };
      asked.push({ node, page: { drawing }, map: [width, 0, 0, height, left, top] });
    }
  }
  if (asked.length === 0) return shades;
  const pdf = await write(asked.map(({ page }) => page));
  for (const [page, { node, map }] of asked.entries()) {
    const image = await renderPdf(platform, { pdf, page, dpi: DPI, clear: true });
    const { width, height, data } = image;
    const alpha = Float32Array.from({ length: width * height }, (_, at) => data[at * 4 + 3] ?? 0);
    const shade = gaussianBlur({ width, height, data: alpha }, (node.blur * DPI) / 25.4);
    known.set(node, { shade, map });
    shades.set(node, { shade, map });
  }
  return shades;
}
