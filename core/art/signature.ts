import {
  type Affine,
  boxOf,
  boxOfRings,
  compose,
  flatten,
  IDENTITY,
  isInside,
  mapPath,
  type Ring,
} from '../geometry/index.ts';
import { rgbOf } from '../color/index.ts';
import type { DrawingNode } from '../drawing/index.ts';
import type { RgbaImage } from '../raster/index.ts';
import { findBorderColor } from './clear.ts';
import { artSize, type Art } from './art.ts';
import { upright } from './pixels.ts';
import { vectorNodes, type SeenArt } from './read.ts';

const SIDE = 20;

/** A picture in 20 x 20 squares, each as red, green, blue and cover from 0 to 1, over its content's box. */
export interface Signature {
  /** Width over height of what is there. */
  readonly aspect: number;
  readonly cells: readonly number[];
  readonly clear: boolean;
}

/** What art looks like in short. */
export const signatureOf = ({ read, stored }: SeenArt): Signature =>
  read.art.kind === 'vector'
    ? vectorSignature(vectorNodes(read.bytes), read.art)
    : stored
      ? pixelSignature(upright(stored, read.art.orientation))
      : { aspect: 1, cells: [], clear: false };

function pixelSignature(image: RgbaImage): Signature {
  const { width, height, data } = image;
  let paper = paperOf(image);
  const isThere = (at: number): boolean => (data[at + 3] as number) >= 32 && !paper?.(at);
  let box = { left: width, top: height, right: 0, bottom: 0 };
  let clear = 0;
  for (let y = 0, at = 0; y < height; y++) {
    for (let x = 0; x < width; x++, at += 4) {
      if ((data[at + 3] as number) < 32) clear++;
      if (!isThere(at)) continue;
      if (x < box.left) box.left = x;
      if (x >= box.right) box.right = x + 1;
      if (y < box.top) box.top = y;
      box.bottom = y + 1;
    }
  }
  if (box.right <= box.left) {
    // What is of one colour all over shows that colour.
    box = { left: 0, top: 0, right: width, bottom: height };
    paper = undefined;
  }
  const cells = sampled((u, v) => {
    const x = Math.min(width - 1, Math.floor(box.left + u * (box.right - box.left)));
    const y = Math.min(height - 1, Math.floor(box.top + v * (box.bottom - box.top)));
    const from = (y * width + x) * 4;
    const alpha = isThere(from) ? (data[from + 3] as number) / 255 : 0;
    return [
      (data[from] as number) / 255,
      (data[from + 1] as number) / 255,
      (data[from + 2] as number) / 255,
      alpha,
    ];
  });
  return {
    aspect: (box.right - box.left) / (box.bottom - box.top),
    cells,
    clear: clear > width * height * 0.01,
  };
}

/** Tells of a pixel of an opaque picture whether it is paper around what is shown; undefined without paper. */
function paperOf(image: RgbaImage): ((at: number) => boolean) | undefined {
  const color = findBorderColor(image);
  if (color === undefined) return undefined;
  const { r, g, b } = rgbOf(color);
  const { data } = image;
  return (at) =>
    Math.abs((data[at] as number) - r * 255) +
      Math.abs((data[at + 1] as number) - g * 255) +
      Math.abs((data[at + 2] as number) - b * 255) <
    30;
}

type Sample = readonly [number, number, number, number];

/** Each cell as the mean of nine samples, with colours weighted by cover. */
function sampled(at: (u: number, v: number) => Sample): number[] {
  const cells: number[] = [];
  for (let row = 0; row < SIDE; row++) {
    for (let column = 0; column < SIDE; column++) {
      const sum = [0, 0, 0, 0];
      for (let part = 0; part < 9; part++) {
        const u = (column + ((part % 3) + 0.5) / 3) / SIDE;
        const v = (row + (Math.floor(part / 3) + 0.5) / 3) / SIDE;
        const [r, g, b, a] = at(u, v);
        [r * a, g * a, b * a, a].forEach(
          (value, index) => (sum[index] = (sum[index] ?? 0) + value / 9),
        );
      }
      cells.push(...sum);
    }
  }
  return cells;
}

interface FlatShape {
  readonly rings: readonly Ring[];
  readonly color: readonly [number, number, number];
  readonly box: NonNullable<ReturnType<typeof boxOf>>;
}

function vectorSignature(nodes: readonly DrawingNode[], art: Art): Signature {
  const shapes: FlatShape[] = [];
  const walk = (list: readonly DrawingNode[], map: Affine): void => {
    for (const node of list) {
      if (node.kind === 'group')
        walk(node.children, node.transform ? compose(map, node.transform) : map);
      if (node.kind !== 'path' || !node.fill) continue;
      const rings = flatten(mapPath(node.path, map), 0.1);
      const box = boxOfRings(rings);
      const hex =
        node.fill.kind === 'solid'
          ? node.fill.color
          : node.fill.kind === 'gradient'
            ? node.fill.stops[node.fill.stops.length >> 1]?.color
            : undefined;
      const { r, g, b } = rgbOf(hex ?? '#888888');
      if (box) shapes.push({ rings, color: [r, g, b], box });
    }
  };
  walk(nodes, IDENTITY);
  const { width, height } = artSize(art);
  const box = boxOf(
    shapes.flatMap(({ box: own }) => [
      { x: own.left, y: own.top },
      { x: own.right, y: own.bottom },
    ]),
  ) ?? { left: 0, top: 0, right: width, bottom: height };
  shapes.reverse();
  const cells = sampled((u, v) => {
    const x = box.left + u * (box.right - box.left);
    const y = box.top + v * (box.bottom - box.top);
    const on = shapes.find(
      ({ rings, box: own }) =>
        x >= own.left &&
        x <= own.right &&
        y >= own.top &&
        y <= own.bottom &&
        isInside({ x, y }, rings),
    );
    return on ? [...on.color, 1] : [1, 1, 1, 0];
  });
  return { aspect: (box.right - box.left) / (box.bottom - box.top || 1), cells, clear: true };
}

const ALIKE = 0.075; // mean difference of cover and colour
/** The same art in other colours is other art: by how much it may be redder, greener or bluer all over. */
const TINTED = 0.05;

/** Whether two pictures show the same; white paper counts as nothing where the other has nothing. */
export function isSameArt(one: Signature, other: Signature): boolean {
  if (one.cells.length !== other.cells.length || one.cells.length === 0) return false;
  const onPaper = one.clear !== other.clear;
  if (Math.abs(one.aspect / other.aspect - 1) > (onPaper ? 0.08 : 0.04)) return false;
  const count = one.cells.length / 4;
  let away = 0;
  const tint = [0, 0, 0];
  for (let at = 0; at < one.cells.length; at += 4) {
    const cover = Math.abs((one.cells[at + 3] ?? 0) - (other.cells[at + 3] ?? 0));
    for (let c = 0; c < 3; c++) {
      const difference = seen(one, at, c) - seen(other, at, c);
      away += Math.abs(difference) / 4;
      tint[c] = (tint[c] ?? 0) + difference;
    }
    if (!onPaper) away += cover / 4;
  }
  return away / count < ALIKE && tint.every((sum) => Math.abs(sum) / count < TINTED);
}

/** A cell's colour on white paper. */
const seen = ({ cells }: Signature, at: number, c: number): number =>
  (cells[at + c] ?? 0) + 1 - (cells[at + 3] ?? 0);

interface Comparable {
  readonly art: Art;
  readonly signature: Signature;
}

/**
 * Pictures in groups that show the same, the best of each first: vector before pixels, clear before
 * on paper, then the one with most pixels.
 */
export function sameArt<T extends Comparable>(items: readonly T[]): T[][] {
  const groups: T[][] = [];
  for (const item of items) {
    const group = groups.find(([first]) => first && isSameArt(first.signature, item.signature));
    if (group) group.push(item);
    else groups.push([item]);
  }
  const worth = ({ art, signature }: T): number =>
    art.kind === 'vector'
      ? Infinity
      : (signature.clear ? 1e12 : 0) + art.pixelWidth * art.pixelHeight;
  return groups.map((group) => group.sort((one, other) => worth(other) - worth(one)));
}
