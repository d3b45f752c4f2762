import type { FlatSize, MeasuredThing } from '../../../core/things/index.ts';
import {
  compose,
  ellipsePath,
  nested,
  rectanglePath,
  scaling,
  translation,
} from '../../../core/geometry/index.ts';
import { shapePath } from '../../../core/shape/index.ts';
import { inFrame, PictureBuilder, type ThingPicture } from './picture.ts';

type Flat = Extract<
  MeasuredThing,
  { kind: 'face' | 'tag' | 'envelope' | 'picture' | 'own' | 'case' | 'disc' }
>;

const [X, Y] = [186, 158];

/**
 * A thing that is flat already, with the label on it.
 * @param leaf the middle of what is seen of a label that is folded, mm from its own, and how that stands
 */
export function flatPicture(
  thing: Flat,
  flat: FlatSize,
  leaf: { readonly y: number; readonly isUpsideDown: boolean } = { y: 0, isUpsideDown: false },
): ThingPicture {
  if (thing.kind === 'disc') return discPicture(thing, flat);
  const body =
    thing.kind === 'face'
      ? { width: thing.width, height: thing.height, radius: thing.radius }
      : { width: flat.width, height: flat.height, radius: 0 };
  const scale = Math.min(200 / body.width, 190 / body.height);
  const [w, h] = [(body.width * scale) / 2, (body.height * scale) / 2];
  // An envelope is larger than its label; how much does not matter here.
  const roomy = thing.kind === 'envelope' ? 1.2 : 1;
  const picture = new PictureBuilder();
  if (thing.kind === 'face' || thing.kind === 'envelope') {
    const around = rectanglePath(
      { x: 0, y: 0 },
      body.width * roomy,
      body.height * roomy,
      body.radius,
    );
    picture.draw('body', inFrame(around, scale, X + 4, Y + 5));
    picture.draw('top', inFrame(around, scale, X, Y));
    if (thing.kind === 'envelope') {
      const [flapX, flapY] = [w * roomy, h * roomy];
      picture.draw(
        'behind',
        `M${X - flapX} ${Y - flapY}L${X} ${Y - flapY * 0.1}L${X + flapX} ${Y - flapY}`,
      );
    }
  }
  const upright = scaling(leaf.isUpsideDown ? -scale : scale);
  picture.draw(
    'label',
    inFrame(shapePath(flat.shape), scale, X, Y),
    nested(translation(X, Y), upright, translation(0, -leaf.y)),
  );
  for (const fold of flat.folds) {
    const [from, to] = [fold[0], fold[fold.length - 1]];
    if (from && to)
      picture.draw(
        'fold',
        `M${X + from.x * scale} ${Y + from.y * scale}L${X + to.x * scale} ${Y + to.y * scale}`,
      );
  }
  const [top, left] = [Y - h * roomy - 26, X - w * roomy - 26];
  const sides = measured(thing);
  if (sides.width)
    picture
      .draw('dimension', `M${X - w} ${Y - h - 4}V${top - 6}M${X + w} ${Y - h - 4}V${top - 6}`)
      .measure(sides.width, [X - w, top], [X + w, top]);
  if (sides.height)
    picture
      .draw('dimension', `M${X - w - 4} ${Y - h}H${left - 6}M${X - w - 4} ${Y + h}H${left - 6}`)
      .measure(sides.height, [left, Y - h], [left, Y + h]);
  if (thing.kind === 'face')
    picture.pointAt(
      'clearance',
      [X + w - (thing.clearance * scale) / 2, Y + h * 0.4],
      [X + w + 34, Y + h * 0.5],
    );
  if (thing.kind === 'tag' && thing.opening !== 'none') {
    const at = Y - h + (thing.rim + thing.hole / 2) * scale;
    picture.pointAt('hole', [X, at], [X + w + 40, Y - h + 56]);
    picture.pointAt('rim', [X, Y - h + (thing.rim * scale) / 2], [X + w + 40, Y - h + 14]);
  }
  if (thing.kind === 'case' && thing.for === 'disc')
    picture.pointAt(
      'spine',
      [X + w - (thing.spine * scale) / 2, Y + h * 0.5],
      [X + w + 34, Y + h * 0.6],
    );
  return picture.done();
}

/** Which sides are typed in; of a picture only one, of folded things none that is the whole. */
function measured(thing: Exclude<Flat, { kind: 'disc' }>): { width?: string; height?: string } {
  if (thing.kind === 'picture')
    return thing.measured === 'width' ? { width: 'size' } : { height: 'size' };
  if (thing.kind === 'own' && thing.shape === 'circle') return { width: 'width' };
  return { width: 'width', height: 'height' };
}

function discPicture(
  { outer, inner, hub }: Extract<MeasuredThing, { kind: 'disc' }>,
  flat: FlatSize,
): ThingPicture {
  const scale = 200 / Math.max(outer, hub);
  const radius = (outer * scale) / 2;
  const round = (diameter: number): string =>
    inFrame(ellipsePath({ x: 0, y: 0 }, diameter / 2, diameter / 2), scale, X - 10, Y);
  const x = X - 10;
  return new PictureBuilder()
    .draw('top', round(outer * 1.03))
    .draw(
      'label',
      inFrame(shapePath(flat.shape), scale, x, Y),
      compose(translation(x, Y), scaling(scale)),
    )
    .draw('inner', round(Math.min(inner, outer)))
    .draw('body', round(hub))
    .draw(
      'dimension',
      `M${x - radius} ${Y}V${Y - radius - 28}M${x + radius} ${Y}V${Y - radius - 28}`,
    )
    .measure('outer', [x - radius, Y - radius - 20], [x + radius, Y - radius - 20])
    .pointAt('inner', [x + (inner * scale) / 2, Y], [x + radius + 34, Y - 30])
    .pointAt('hub', [x + (hub * scale) / 2, Y + 4], [x + radius + 34, Y + 40])
    .done();
}
