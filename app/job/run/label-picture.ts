import { invert, nested, scaling, translation, type Affine } from '../../../core/geometry/index.ts';
import type { RgbaImage } from '../../../core/raster/index.ts';
import { arcPoint } from '../../../core/shape/index.ts';
import type { FlatSize, MeasuredThing } from '../../../core/things/index.ts';
import { canvasOf, canvasWith, type Canvas } from '../../ui/canvas.ts';
import { FLAT } from '../../ui/thing-pictures/index.ts';

/** Where a label lies in the picture of a sheet and how large it is, mm. */
export interface LabelOnSheet {
  /** From about its middle to the picture. */
  readonly map: Affine;
  readonly width: number;
  readonly height: number;
  /** The width of the sheet. */
  readonly sheet: number;
}

const FINE = 3; // px for each unit of the drawing

/** The picture of one label out of that of a sheet, as it is seen on its thing: an address for the page. */
export function labelPicture(
  sheet: RgbaImage,
  label: LabelOnSheet,
  wall: Wall | undefined,
  room: { readonly width: number; readonly height: number },
): string {
  const flat = cutOut(sheet, label);
  if (!wall) return flat.canvas.toDataURL();
  const { canvas, context } = canvasOf(room.width * FINE, room.height * FINE);
  const from = flat.context.getImageData(0, 0, flat.canvas.width, flat.canvas.height);
  context.putImageData(aroundWall(from, wall, canvas), 0, 0);
  return canvas.toDataURL();
}

function cutOut(sheet: RgbaImage, label: LabelOnSheet): Canvas {
  const perMm = sheet.width / label.sheet;
  const made = canvasOf(label.width * perMm, label.height * perMm);
  const middle = translation(made.canvas.width / 2, made.canvas.height / 2);
  made.context.setTransform(
    ...nested(middle, scaling(perMm), invert(label.map), scaling(1 / perMm)),
  );
  made.context.drawImage(canvasWith(sheet), 0, 0);
  return made;
}

/** A wall that a label goes around. */
export interface Wall {
  /** Its radii above and below, as shares of the larger one. */
  readonly top: number;
  readonly bottom: number;
  /** Where a place is on the label, as shares of its width and height: by degrees from the front, and how far down. */
  place(turn: number, down: number): readonly [x: number, y: number];
}

/** The wall of a thing that has one; undefined for flat ones. */
export function wallOf(thing: MeasuredThing, { shape, width, height }: FlatSize): Wall | undefined {
  if (thing.kind !== 'wrap' && thing.kind !== 'taper') return undefined;
  const covered = thing.angle / thing.parts;
  if (thing.kind === 'wrap' || shape.kind !== 'arc') {
    const around = 1 - thing.overlap / width;
    return { top: 1, bottom: 1, place: (turn, down) => [around * (0.5 + turn / covered), down] };
  }
  const { top, bottom } = thing;
  const most = Math.max(top, bottom);
  // Degrees on the bent band for each one around the wall; the ends overlap at its right.
  const share = Math.abs(top - bottom) / (2 * shape.slant);
  const middle = (share * covered - shape.angle) / 2;
  return {
    top: top / most,
    bottom: bottom / most,
    place(turn, down) {
      const across = shape.slant * (shape.wide === 'top' ? down : 1 - down);
      const { x, y } = arcPoint(shape, middle + share * turn, across);
      return [0.5 + x / width, 0.5 + y / height];
    },
  };
}

/** A wall that is seen from behind: what is at the right of the front is at the left there. */
export const turnedWall = (wall: Wall): Wall => ({
  ...wall,
  place: (turn, down) => wall.place(turn < 0 ? turn + 180 : turn - 180, down),
});

/** The half of a label around a wall that is seen, drawn pixel by pixel from the flat one. */
function aroundWall(
  flat: ImageData,
  { top, bottom, place }: Wall,
  { width, height }: { width: number; height: number },
): ImageData {
  const made = new ImageData(width, height);
  const from = new Uint32Array(flat.data.buffer);
  const to = new Uint32Array(made.data.buffer);
  const half = width / 2;
  const upright = height - half * bottom * FLAT;
  for (let v = 0; v < height; v++)
    for (let u = 0; u < width; u++) {
      let [down, sine] = [v / height, 0];
      // How far down a place is says how wide the wall is there, and the other way round.
      for (let pass = 0; pass < 4; pass++) {
        const radius = half * (top + (bottom - top) * down);
        sine = Math.max(-1, Math.min(1, (u + 0.5 - half) / radius));
        down = (v + 0.5 - radius * FLAT * Math.sqrt(1 - sine * sine)) / upright;
      }
      if (down < 0 || down > 1) continue;
      const [x, y] = place((Math.asin(sine) * 180) / Math.PI, down);
      const [column, row] = [Math.floor(x * flat.width), Math.floor(y * flat.height)];
      if (column < 0 || row < 0 || column >= flat.width || row >= flat.height) continue;
      to[v * width + u] = from[row * flat.width + column] ?? 0;
    }
  return made;
}
