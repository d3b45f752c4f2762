import type { MeasuredThing } from '../../../core/things/index.ts';
import { PictureBuilder, type ThingPicture } from './picture.ts';

type Round = Extract<MeasuredThing, { kind: 'wrap' | 'taper' }>;

/** How high a circle is drawn for its width. */
export const FLAT = 0.2;

/** What is drawn of a jar or a pot: diameters and heights in the frame. */
function placeOf(thing: Round) {
  const across = (size: number): number =>
    thing.kind === 'wrap' && thing.measured === 'circumference' ? size / Math.PI : size;
  const [top, bottom] =
    thing.kind === 'wrap' ? [across(thing.size), across(thing.size)] : [thing.top, thing.bottom];
  const lean = Math.abs(top - bottom) / 2;
  const high =
    thing.kind === 'wrap'
      ? thing.height
      : thing.measured === 'height'
        ? thing.size
        : Math.sqrt(Math.max(1, thing.size * thing.size - lean * lean));
  const scale = Math.min(190 / Math.max(top, bottom), 150 / high);
  const clearance = thing.kind === 'wrap' ? thing.clearance * scale : 0;
  return { top: (top * scale) / 2, bottom: (bottom * scale) / 2, high: high * scale, clearance };
}

/** A jar or pot from the front, or turned round to where the ends meet. */
export function roundPicture(thing: Round, turned: boolean): ThingPicture {
  const { top, bottom, high, clearance } = placeOf(thing);
  const [x, y] = [172, 150 - high / 2];
  const radiusAt = (down: number): number => top + ((bottom - top) * down) / high;
  const at = (degrees: number, down: number): string => {
    const turn = (degrees * Math.PI) / 180;
    const radius = radiusAt(down);
    return `${(x + radius * Math.sin(turn)).toFixed(2)} ${(y + down + radius * FLAT * Math.cos(turn)).toFixed(2)}`;
  };
  const strip = (from: number, to: number): string => {
    const turns = Array.from({ length: 25 }, (_, step) => from + ((to - from) * step) / 24);
    const upper = turns.map((turn) => at(turn, clearance));
    const lower = turns.reverse().map((turn) => at(turn, high - clearance));
    return `M${[...upper, ...lower].join('L')}Z`;
  };
  const oval = (radius: number, down: number): string =>
    `M${x - radius} ${y + down}a${radius} ${radius * FLAT} 0 1 0 ${2 * radius} 0a${radius} ${radius * FLAT} 0 1 0 ${-2 * radius} 0Z`;
  const picture = new PictureBuilder()
    .draw(
      'body',
      `M${x - top} ${y}L${x - bottom} ${y + high}a${bottom} ${bottom * FLAT} 0 0 0 ${2 * bottom} 0L${x + top} ${y}Z`,
    )
    .draw('top', oval(top, 0))
    .draw('inner', oval(top * 0.88, 1));
  const half = thing.angle / 2;
  if (!turned) picture.draw('label', strip(-Math.min(90, half), Math.min(90, half)));
  else if (half > 90) {
    // Seen from behind: the label comes round from both sides and its ends lie over each other.
    const reach = 180 - half;
    picture.draw('label', strip(-90, -reach)).draw('label', strip(reach, 90));
    if (half === 180 && thing.overlap > 0) {
      const over = Math.min(
        80,
        (thing.overlap / (Math.PI * (thing.kind === 'wrap' ? thing.size : thing.top))) * 360,
      );
      picture
        .draw('overlap', strip(-over / 2, over / 2))
        .draw('fold', `M${at(-over / 2, clearance)}L${at(-over / 2, high - clearance)}`);
    }
  }
  const side = x + Math.max(top, bottom) + 34;
  const outer = (down: number): string => `M${x + radiusAt(down) + 4} ${y + down}H${side + 6}`;
  picture.draw(
    'dimension',
    `M${x - top} ${y - 4}V${y - top * FLAT - 26}M${x + top} ${y - 4}V${y - top * FLAT - 26}`,
  );
  picture.measure(
    thing.kind === 'wrap' ? 'size' : 'top',
    [x - top, y - top * FLAT - 18],
    [x + top, y - top * FLAT - 18],
  );
  if (thing.kind === 'taper') {
    const low = y + high + bottom * FLAT + 24;
    picture
      .draw(
        'dimension',
        `M${x - bottom} ${y + high + 4}V${low + 6}M${x + bottom} ${y + high + 4}V${low + 6}`,
      )
      .measure('bottom', [x - bottom, low], [x + bottom, low]);
  }
  if (thing.kind === 'taper' && thing.measured === 'slant')
    picture.measure('size', [x + top + 16, y], [x + bottom + 16, y + high]);
  else
    picture
      .draw('dimension', outer(0) + outer(high))
      .measure(thing.kind === 'wrap' ? 'height' : 'size', [side, y], [side, y + high]);
  return picture.done();
}
