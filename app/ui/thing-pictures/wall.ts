import { arcPoint } from '../../../core/shape/index.ts';
import type { FlatSize, MeasuredThing } from '../../../core/things/index.ts';
import { canvasOf, type Canvas } from '../canvas.ts';
import { FLAT } from './round.ts';

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
export function aroundWall(
  flat: Canvas,
  { top, bottom, place }: Wall,
  room: { readonly width: number; readonly height: number },
): Canvas {
  const made = canvasOf(room.width, room.height);
  const { width, height } = made.canvas;
  const pixels = new ImageData(width, height);
  const source = flat.context.getImageData(0, 0, flat.canvas.width, flat.canvas.height);
  const from = new Uint32Array(source.data.buffer);
  const to = new Uint32Array(pixels.data.buffer);
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
      const [column, row] = [Math.floor(x * source.width), Math.floor(y * source.height)];
      if (column < 0 || row < 0 || column >= source.width || row >= source.height) continue;
      to[v * width + u] = from[row * source.width + column] ?? 0;
    }
  made.context.putImageData(pixels, 0, 0);
  return made;
}
