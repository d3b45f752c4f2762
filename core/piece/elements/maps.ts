import {
  compose,
  nested,
  placed,
  rotation,
  scaling,
  translation,
  type Affine,
} from '../../geometry/index.ts';
import type { Repeat } from './common.ts';

/** What says where an element is drawn. */
export interface Placing {
  readonly x: number;
  readonly y: number;
  readonly angle: number;
  readonly flip?: 'across' | 'down' | 'both' | undefined;
  readonly repeat?: Repeat | undefined;
}

type Axes = NonNullable<Placing['flip']>;

const mirror = (axes: Axes): Affine =>
  scaling(axes === 'down' ? 1 : -1, axes === 'across' ? 1 : -1);

/** From an element's own mm to the piece's, mirrored as it is. */
export function elementMap({ x, y, angle, flip }: Placing): Affine {
  const map = placed(x, y, angle);
  return flip ? compose(map, mirror(flip)) : map;
}

/** The maps of all its repetitions, its own first. */
export function elementMaps(element: Placing): readonly Affine[] {
  const own = elementMap(element);
  return element.repeat ? repeated(element.repeat, own) : [own];
}

function repeated(repeat: Repeat, own: Affine): Affine[] {
  switch (repeat.kind) {
    case 'around':
      return Array.from({ length: repeat.times }, (_, at) => {
        const turn = (at * 360) / repeat.times;
        const turned = compose(about(repeat, rotation(turn)), own);
        // Upright: only the place goes around.
        return repeat.turned ? turned : [own[0], own[1], own[2], own[3], turned[4], turned[5]];
      });
    case 'line':
      return Array.from({ length: repeat.times }, (_, at) =>
        compose(translation(repeat.dx * at, repeat.dy * at), own),
      );
    case 'mirror': {
      const axes: readonly Axes[] =
        repeat.axes === 'both' ? ['across', 'down', 'both'] : [repeat.axes];
      return [own, ...axes.map((one) => compose(about(repeat, mirror(one)), own))];
    }
  }
}

const about = ({ x, y }: { x: number; y: number }, map: Affine): Affine =>
  nested(translation(x, y), map, translation(-x, -y));
