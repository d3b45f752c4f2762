import {
  boxAround,
  boxOfRings,
  compose,
  flatten,
  IDENTITY,
  mapPath,
  type Affine,
  type Box,
} from '../../geometry/index.ts';
import { findOutline, findPx, readTransform } from './shapes.ts';
import type { SvgElement } from './tree.ts';

/** How finely curves are followed for a box, in the drawing's own units. */
const FINE = 0.01;

/**
 * The box of what an element fills, in the coordinates that it stands in, without its own transform
 * (`objectBoundingBox`, SVG 2, 8.10); undefined for what has no extent.
 */
export function findBox(element: SvgElement, map: Affine = IDENTITY): Box | undefined {
  const { name, attributes, children } = element;
  if (name === 'g')
    return boxAround(
      children.flatMap(
        (child) => findBox(child, compose(map, readTransform(child.attributes.transform))) ?? [],
      ),
    );
  const [width, height] = [findPx(attributes.width), findPx(attributes.height)];
  const path =
    name === 'image' && width && height
      ? findOutline('rect', attributes)
      : findOutline(name, attributes);
  return path && boxOfRings(flatten(mapPath(path, map), FINE));
}
