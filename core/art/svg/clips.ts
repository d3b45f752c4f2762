import {
  compose,
  evenOddRegion,
  flatten,
  IDENTITY,
  intersectionOf,
  mapPath,
  ringsPath,
  unionOf,
  type Affine,
  type Box,
  type Path,
  type Ring,
} from '../../geometry/index.ts';
import { findLink, unitOf } from './paints.ts';
import { findOutline, readTransform } from './shapes.ts';
import type { SvgElement } from './tree.ts';

/** How finely curves are followed where clips are put together, mm. */
const FINE = 0.002;
const MOST_DEPTH = 20;

/** An outline that lets show what lies in it, in mm. */
export interface Clip {
  readonly path: Path;
  readonly evenOdd: boolean;
}

type Ids = ReadonlyMap<string, SvgElement>;

/**
 * The clips that a `clip-path` asks for, all of which hold; undefined where it names none. One that
 * holds nothing lets nothing show.
 * @param map from the coordinates of what is clipped to mm
 * @param box of what is clipped, in its coordinates
 */
export function findClips(
  reference: string | undefined,
  ids: Ids,
  place: { map: Affine; box: Box | undefined },
  depth = 0,
): Clip[] | undefined {
  const clip = ids.get(findLink(reference) ?? '');
  if (clip?.name !== 'clipPath' || depth > MOST_DEPTH) return undefined;
  const ofBox = clip.attributes.clipPathUnits === 'objectBoundingBox';
  const unit = ofBox ? (place.box ? unitOf(place.box) : undefined) : IDENTITY;
  if (!unit) return [{ path: [], evenOdd: false }];
  const map = compose(compose(place.map, readTransform(clip.attributes.transform)), unit);
  const more = findClips(clip.attributes['clip-path'], ids, place, depth + 1) ?? [];
  const [only] = clip.children;
  const own =
    clip.children.length === 1 && only?.name === 'path' && !only.attributes['clip-path']
      ? plainClip(only, map)
      : {
          path: ringsPath(regionOf(clip.children, ids, { map, box: place.box }, depth)),
          evenOdd: false,
        };
  return [...more, own];
}

function plainClip({ attributes }: SvgElement, map: Affine): Clip {
  const own = compose(map, readTransform(attributes.transform));
  return {
    path: mapPath(findOutline('path', attributes) ?? [], own),
    evenOdd: attributes['clip-rule'] === 'evenodd',
  };
}

/** What any of several elements covers, each inside its own clip. */
function regionOf(
  elements: readonly SvgElement[],
  ids: Ids,
  place: { map: Affine; box: Box | undefined },
  depth: number,
): Ring[] {
  const regions = elements.map(({ name, attributes, children }): Ring[] => {
    const map = compose(place.map, readTransform(attributes.transform));
    const covered =
      name === 'g'
        ? regionOf(children, ids, { ...place, map }, depth + 1)
        : filled(mapPath(findOutline(name, attributes) ?? [], map), attributes['clip-rule']);
    const clips = findClips(attributes['clip-path'], ids, { ...place, map }, depth + 1) ?? [];
    return clips.reduce(
      (left, { path, evenOdd }) =>
        intersectionOf(left, filled(path, evenOdd ? 'evenodd' : undefined)),
      covered,
    );
  });
  return unionOf(...regions);
}

const filled = (path: Path, rule: string | undefined): Ring[] => {
  const rings = flatten(path, FINE);
  return rule === 'evenodd' ? evenOddRegion(rings) : unionOf(rings);
};
