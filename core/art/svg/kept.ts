import { drawingToSvg, type DrawingNode } from '../../drawing/index.ts';
import { drawResolved, type HeldPicture } from './drawn.ts';
import { parseSvg } from './earlier/reader.ts';
import { parseSvgTree } from './tree.ts';

/** How drawn art says that it is written by us, and in which form. */
const MARK = '<svg data-little-peel="2" ';

/** Nodes as the bytes that vector art is kept as: an SVG that any program can open. */
export function writeVector(
  nodes: readonly DrawingNode[],
  { width, height }: { width: number; height: number },
): Uint8Array {
  const text = drawingToSvg(
    { width, height, nodes, symbols: {} },
    { typeface: () => undefined, imageUrl: () => undefined, prefix: '' },
  );
  return new TextEncoder().encode(text.replace('<svg ', MARK));
}

/** Whether vector art was taken in by the reader of today. */
export const isDrawnVector = (bytes: Uint8Array): boolean =>
  new TextDecoder().decode(bytes.subarray(0, MARK.length)) === MARK;

/**
 * The nodes of vector art from its kept bytes, in mm from its top left corner; none if they broke.
 * What was kept before there was the mark is read as it was then.
 */
export function readVector(bytes: Uint8Array): readonly DrawingNode[] {
  const text = new TextDecoder().decode(bytes);
  if (!isDrawnVector(bytes)) {
    const read = parseSvg(text, 'art');
    return read.ok ? read.value.nodes : [];
  }
  try {
    const picture = (address: string): HeldPicture | undefined =>
      address.startsWith('data:') ? { address, width: 1, height: 1 } : undefined;
    return drawResolved(parseSvgTree(text, 'art'), { picture })?.nodes ?? [];
  } catch {
    return [];
  }
}
