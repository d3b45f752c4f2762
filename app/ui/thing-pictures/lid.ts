import { compose, translation } from '../../../core/geometry/index.ts';
import type { FlatSize, MeasuredThing } from '../../../core/things/index.ts';
import { PictureBuilder, type ThingPicture } from './picture.ts';

const oval = (x: number, y: number, rx: number, ry: number): string =>
  `M${x - rx} ${y}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`;

/** A lid seen from above its front. */
export function lidPicture(
  lid: Extract<MeasuredThing, { kind: 'lid' }>,
  flat: FlatSize,
): ThingPicture {
  const across = lid.measured === 'diameter' ? lid.size : lid.size / Math.PI;
  const share = Math.max(0.15, 1 - (2 * lid.clearance) / across);
  const [rx, ry] = [112 * share, 54 * share];
  const picture = new PictureBuilder()
    .draw('body', 'M50 150v52c0 38 58 68 130 68s130-30 130-68v-52')
    .draw('top', oval(180, 150, 130, 66))
    .draw('inner', oval(180, 148, 112, 54))
    .draw(
      'label',
      oval(180, 148, rx, ry),
      compose(translation(180, 148), [(2 * rx) / flat.width, 0, 0, (2 * ry) / flat.height, 0, 0]),
    );
  if (lid.measured === 'diameter')
    picture.draw('dimension', 'M68 148V52M292 148V52').measure('size', [68, 62], [292, 62]);
  else
    picture
      .draw('dimension', 'M50 176c0 38 58 68 130 68s130-30 130-68M180 244V286')
      .field('size', 180, 284);
  return picture
    .pointAt('clearance', [180 + 112 * (1 + share) * 0.5 * 0.94, 130], [318, 92])
    .done();
}
