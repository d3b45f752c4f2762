import { boxOfRings, compose, translation } from '../../../core/geometry/index.ts';
import type { FlatSize, MeasuredThing } from '../../../core/things/index.ts';
import { PictureBuilder, type SeenFrom, type ThingPicture } from './picture.ts';

type Box = Pick<
  Extract<MeasuredThing, { kind: 'band' }>,
  'width' | 'depth' | 'height' | 'around' | 'strip'
>;
type Corner = readonly [across: number, deep: number, up: number];

const PANELS = 4; // on the way around a box

/**
 * A box from the front, the right and above, with the band around it; or from behind; what goes around
 * its depth is turned over. From below it is tipped back: its bottom is in front, and its front above.
 */
export function boxPicture(
  box: Box,
  { zones, parts }: FlatSize,
  seen: SeenFrom = 'front',
): ThingPicture {
  const tipped = seen === 'below';
  const turned = seen === 'back';
  const { width } = box;
  const [depth, height] = tipped ? [box.height, box.depth] : [box.depth, box.height];
  const [leanX, leanY] = [0.5, 0.42];
  const scale = Math.min(230 / (width + depth * leanX), 180 / (height + depth * leanY));
  const left = 172 - ((width + depth * leanX) * scale) / 2;
  const low = 152 + ((height + depth * leanY) * scale) / 2;
  const at = ([across, deep, up]: Corner): [number, number] => [
    left + (across + deep * leanX) * scale,
    low - (up + deep * leanY) * scale,
  ];
  const face = (...corners: readonly Corner[]): string =>
    `M${corners
      .map((corner) =>
        at(corner)
          .map((value) => value.toFixed(2))
          .join(' '),
      )
      .join('L')}Z`;
  const picture = new PictureBuilder()
    .draw(
      'body',
      face([width, 0, 0], [width, depth, 0], [width, depth, height], [width, 0, height]),
    )
    .draw(
      'inner',
      face([0, 0, height], [width, 0, height], [width, depth, height], [0, depth, height]),
    )
    .draw('top', face([0, 0, 0], [width, 0, 0], [width, 0, height], [0, 0, height]));
  const along = { w: width, d: box.depth, h: box.height }[box.around];
  const strip = Math.min(box.strip ?? along, along);
  const [from, to] = [(along - strip) / 2, (along + strip) / 2];
  /** A panel of the label by where its upper left corner comes to lie, its upper right and its lower left one. */
  const panel = (number: number, origin: Corner, right: Corner, low: Corner): void => {
    const [[x, y], [rightX, rightY], [lowX, lowY]] = [at(origin), at(right), at(low)];
    // Of two labels the second begins where the first one ends.
    const rings = zones[number % (PANELS / parts)]?.rings ?? [];
    const flat = boxOfRings(rings);
    if (!flat) return;
    const [wide, high] = [flat.right - flat.left, flat.bottom - flat.top];
    const lies = compose(
      [(rightX - x) / wide, (rightY - y) / wide, (lowX - x) / high, (lowY - y) / high, x, y],
      translation(-flat.left, -flat.top),
    );
    const last = right.map((value, axis) => value + (low[axis] ?? 0) - (origin[axis] ?? 0));
    picture.draw('label', face(origin, right, last as unknown as Corner, low), lies);
  };
  const half = turned ? PANELS / 2 : 0;
  if (box.around === 'h') {
    panel((1 + half) % PANELS, [0, 0, to], [width, 0, to], [0, 0, from]);
    panel((2 + half) % PANELS, [width, 0, to], [width, depth, to], [width, 0, from]);
  } else if (box.around === 'w' && turned) {
    // From behind the back is read from the bottom up, and the top stays where it is.
    panel(3, [from, 0, 0], [from, 0, height], [to, 0, 0]);
    panel(0, [from, 0, height], [from, depth, height], [to, 0, height]);
  } else if (box.around === 'w') {
    panel(tipped ? 2 : 1, [to, 0, height], [to, 0, 0], [from, 0, height]);
    panel(tipped ? 1 : 0, [to, depth, height], [to, 0, height], [from, depth, height]);
  } else {
    panel((1 + half) % PANELS, [0, to, height], [width, to, height], [0, from, height]);
    panel((2 + half) % PANELS, [width, to, height], [width, to, 0], [width, from, height]);
  }
  const [x0, y0] = at([0, 0, 0]);
  const [x1] = at([width, 0, 0]);
  const [x2, y2] = at([width, depth, 0]);
  const [, high] = at([0, 0, height]);
  return picture
    .draw('dimension', `M${x0} ${y0 + 4}V${y0 + 28}M${x1} ${y0 + 4}V${y0 + 28}`)
    .measure('width', [x0, y0 + 22], [x1, y0 + 22])
    .measure(tipped ? 'height' : 'depth', [x1 + 22, y0 + 8], [x2 + 22, y2 + 8])
    .draw('dimension', `M${x0 - 4} ${y0}H${x0 - 28}M${x0 - 4} ${high}H${x0 - 28}`)
    .measure(tipped ? 'depth' : 'height', [x0 - 22, high], [x0 - 22, y0])
    .done();
}
