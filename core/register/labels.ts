import {
  boxAbout,
  offsetRegion,
  simplifiedRing,
  type Box,
  type Point,
  type Ring,
} from '../geometry/index.ts';
import { boxBlur, components, type Component, type GreyImage } from '../raster/index.ts';
import { PER_MM } from './from-above.ts';

/** A label that was seen on a sheet, mm from the sheet's top left corner. */
export interface SeenLabel {
  readonly box: Box;
  /** Its outline, as far as it is seen from above and below; of some labels only, as all are alike. */
  readonly ring: Ring | undefined;
  /** The hole in it. */
  readonly hole: Box | undefined;
}

const AROUND = 4; // mm: how far the paper is looked at to know how light it is in a place
const OUTLINES = 12; // labels whose outlines are followed
const LEAST_SIDE = 4; // mm
const FRAME = 2; // px along the sheet's sides in which what it lies on may show
const AT_SIDE = 1.2; // mm: a label that comes so near to the sheet's side ends there
const WIDEST_LINE = 1.6; // mm
const WELL_COVERED = 0.35; // of the sheet: no second way of looking is needed

const { abs, ceil, floor, max, round } = Math;

/**
 * Finds the labels of a die-cut sheet that is seen from straight above. Cut lines are what is darker
 * than the paper around them, or, where the paper between labels was taken off, what is darker
 * altogether. A label is a patch between lines; what encloses labels, and what has another size than
 * most, is none.
 *
 * The middle of a label is the centroid of its patch, its sides run along the middle of the lines.
 */
export function findLabels(sheet: GreyImage): SeenLabel[] {
  const grey = boxBlur(sheet, 1);
  const byLines = labelsIn(lines(grey), sheet);
  const area = (sheet.width * sheet.height) / (PER_MM * PER_MM);
  if (covered(byLines) > area * WELL_COVERED) return byLines;
  const light = shades(grey);
  const byShades = light ? labelsIn(light, sheet) : [];
  return covered(byShades) > covered(byLines) * 1.05 ? byShades : byLines;
}

/** The area of all labels, mm². */
const covered = (labels: readonly SeenLabel[]): number =>
  labels.reduce((sum, { box }) => sum + (box.right - box.left) * (box.bottom - box.top), 0);

/** Where no cut line runs: not clearly darker than the paper around. */
function lines(grey: GreyImage): Uint8Array {
  const around = boxBlur(grey, AROUND * PER_MM);
  const darker = around.data;
  for (let at = 0; at < darker.length; at++) darker[at] = (darker[at] ?? 0) - (grey.data[at] ?? 0);
  // The deviation of the paper's grain, from the middle half of all differences.
  const level = levels(darker);
  const bound = max(4, 3.2 * (level(0.75) - level(0.25)));
  const mask = new Uint8Array(darker.length);
  for (let at = 0; at < mask.length; at++) if ((darker[at] ?? 0) <= bound) mask[at] = 1;
  return mask;
}

/** The value below which a share of the values lie, from a sample of them. */
function levels(values: Float32Array): (share: number) => number {
  const some = new Float32Array(ceil(values.length / 37));
  for (let at = 0; at < some.length; at++) some[at] = values[at * 37] ?? 0;
  some.sort();
  return (share) => some[floor(some.length * share)] ?? 0;
}

/** Where the picture is light, when it is clearly light and dark in parts; undefined when it is not. */
function shades({ data }: GreyImage): Uint8Array | undefined {
  const level = levels(data);
  const [dark, light] = [level(0.04), level(0.7)];
  if (light - dark < 24) return undefined;
  const mask = new Uint8Array(data.length);
  for (let at = 0; at < mask.length; at++) if ((data[at] ?? 0) > (dark + light) / 2) mask[at] = 1;
  return mask;
}

interface Size {
  readonly width: number;
  readonly height: number;
}

const wideOf = ({ left, right }: Component): number => right - left;
const highOf = ({ top, bottom }: Component): number => bottom - top;

/** Whether one patch lies within the box of another, as a label lies in the waste around it. */
const encloses = (one: Component, other: Component): boolean =>
  one !== other &&
  one.left <= other.left &&
  one.top <= other.top &&
  one.right >= other.right &&
  one.bottom >= other.bottom;

function labelsIn(mask: Uint8Array, size: Size): SeenLabel[] {
  const { width, height } = size;
  for (let y = 0; y < height; y++) {
    const row = y * width;
    if (y < FRAME || y >= height - FRAME) mask.fill(0, row, row + width);
    mask.fill(0, row, row + FRAME).fill(0, row + width - FRAME, row + width);
  }
  const numbers = new Int32Array(mask.length);
  const all = components(mask, width, 0.5, numbers);
  const least = LEAST_SIDE * PER_MM;
  const patches = all.filter((patch) => wideOf(patch) >= least && highOf(patch) >= least);
  const outer = patches.filter((one) => !patches.some((other) => encloses(other, one)));
  const waste = outer.filter((one) => patches.some((other) => encloses(one, other)));
  const candidates = waste.length
    ? patches.filter(
        (one) =>
          !waste.includes(one) &&
          !patches.some((other) => !waste.includes(other) && encloses(other, one)),
      )
    : outer;
  const labels = alike(candidates);
  const line = lineWidth(labels, mask, size);
  const boxes = labels.map((patch) => ({ patch, box: boxOf(patch, line, size) }));
  // Boxes end at whole pixels, centroids do not: what lies between them is the same for all labels.
  const shift = {
    x: mean(boxes.map(({ patch, box }) => (box.left + box.right) / 2 - patch.x / PER_MM)),
    y: mean(boxes.map(({ patch, box }) => (box.top + box.bottom) / 2 - patch.y / PER_MM)),
  };
  const across = mean(boxes.map(({ box }) => box.right - box.left));
  const down = mean(boxes.map(({ box }) => box.bottom - box.top));
  const each = ceil(labels.length / OUTLINES);
  return boxes.map(({ patch, box }, at): SeenLabel => {
    const hole = patches.find((other) => encloses(patch, other));
    const outlined = at % each === 0;
    const seen = { numbers, number: all.indexOf(patch) + 1, size };
    const free =
      box.left > 0 && box.top > 0 && box.right < width / PER_MM && box.bottom < height / PER_MM;
    const exact = free
      ? boxAbout({ x: patch.x / PER_MM + shift.x, y: patch.y / PER_MM + shift.y }, across, down)
      : box;
    const ring = (): Ring =>
      free ? grownRing(outlineOf(patch, seen), line) : fitted(outlineOf(patch, seen), patch, exact);
    return {
      box: exact,
      ring: outlined ? ring() : undefined,
      hole: hole && boxOf(hole, line, size),
    };
  });
}

/** An outline in mm, grown to the middle of the line around it. */
function grownRing(ring: readonly Point[], line: number): Ring {
  const inner = ring.map(({ x, y }) => ({ x: x / PER_MM, y: y / PER_MM }));
  // Without the steps of the pixels, which a mitre would make longer.
  const smooth = simplifiedRing(inner, 0.6 / PER_MM);
  return offsetRegion([smooth], line / 2 / PER_MM, 'mitre')[0] ?? inner;
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / max(1, values.length);

/** The patches of the size that covers most of the sheet. */
function alike(patches: readonly Component[]): Component[] {
  let best: Component[] = [];
  let most = 0;
  for (const one of patches) {
    const same = patches.filter(
      (other) =>
        abs(wideOf(one) - wideOf(other)) < 2 * PER_MM &&
        abs(highOf(one) - highOf(other)) < 2 * PER_MM,
    );
    const covered = same.reduce((sum, { area }) => sum + area, 0);
    if (covered > most) [best, most] = [same, covered];
  }
  return best;
}

/** How wide the cut lines are, px: the middle of what is found beside the labels; 0 where there are none. */
function lineWidth(
  labels: readonly Component[],
  mask: Uint8Array,
  { width, height }: Size,
): number {
  const runs: number[] = [];
  for (const patch of labels.slice(0, 60)) {
    const [x, y] = [floor((patch.left + patch.right) / 2), floor((patch.top + patch.bottom) / 2)];
    for (const [from, step, room] of [
      [y * width + patch.right, 1, width - patch.right],
      [patch.bottom * width + x, width, height - patch.bottom],
      [y * width + patch.left - 1, -1, patch.left],
      [(patch.top - 1) * width + x, -width, patch.top],
    ] as const) {
      let run = 0;
      while (run < room && !mask[from + run * step]) run++;
      if (run > 0 && run < room - FRAME && run < WIDEST_LINE * PER_MM) runs.push(run);
    }
  }
  return runs.sort((a, b) => a - b)[floor(runs.length / 2)] ?? 0;
}

/** The box of a label in mm: to the middle of the lines around it, or to the sheet's side. */
function boxOf(patch: Component, line: number, { width, height }: Size): Box {
  const near = AT_SIDE * PER_MM;
  const half = line / 2;
  return {
    left: patch.left < near ? 0 : (patch.left - half) / PER_MM,
    top: patch.top < near ? 0 : (patch.top - half) / PER_MM,
    right: (patch.right > width - near ? width : patch.right + half) / PER_MM,
    bottom: (patch.bottom > height - near ? height : patch.bottom + half) / PER_MM,
  };
}

/** The outline of a patch, px: the first and last of its pixels in each column. */
function outlineOf(
  patch: Component,
  { numbers, number, size }: { numbers: Int32Array; number: number; size: Size },
): Point[] {
  const upper: Point[] = [];
  const lower: Point[] = [];
  const last = wideOf(patch) - 1;
  const columns = Math.min(last, 200);
  for (let at = 0; at <= columns; at++) {
    const column = round((last * at) / columns);
    const x = patch.left + column;
    let top = patch.top;
    while (top < patch.bottom && numbers[top * size.width + x] !== number) top++;
    let bottom = patch.bottom - 1;
    while (bottom > top && numbers[bottom * size.width + x] !== number) bottom--;
    // The first and the last column end where the patch does.
    const edge = x + (column === 0 ? 0 : column === last ? 1 : 0.5);
    upper.push({ x: edge, y: top });
    lower.push({ x: edge, y: bottom + 1 });
  }
  return [...upper, ...lower.reverse()];
}

/** The outline in mm of a label at the sheet's side, stretched with the box of its patch. */
function fitted(ring: readonly Point[], patch: Component, box: Box): Ring {
  const x = (box.right - box.left) / (patch.right - patch.left);
  const y = (box.bottom - box.top) / (patch.bottom - patch.top);
  return ring.map((at) => ({
    x: box.left + (at.x - patch.left) * x,
    y: box.top + (at.y - patch.top) * y,
  }));
}
