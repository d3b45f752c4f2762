import { err, ok, type Result } from '../base/index.ts';
import { fitCurves, mapRing, scaling, signedArea, type Path } from '../geometry/index.ts';
import { contours, withoutSpecks, type Mask, type RgbaImage } from '../raster/index.ts';

/** How a picture's outline is traced. */
export interface Tracing {
  /** Pixels for each mm. */
  readonly perMm: number;
  /** How far the curves may leave the outline that the pixels show, mm. */
  readonly tolerance: number;
  /** Patches and holes below this area are left out, mm². */
  readonly least: number;
}

/** The outline of what a picture shows, in mm from its top left corner. */
export interface Traced {
  /** Outlines run clockwise as seen, holes the other way. */
  readonly path: Path;
  readonly nodes: number;
  /** How far the curves leave the outline that the pixels show at most, mm. */
  readonly deviation: number;
  readonly parts: number;
  readonly holes: number;
  /** mm² */
  readonly area: number;
}

/** How close a trace keeps to the pixels unless something else is asked for, mm. */
export const USUAL_TOLERANCE = 0.02;
/** Specks below this area are not traced unless something else is asked for, mm². */
export const USUAL_SPECK = 0.1;

/** How much of each pixel is covered. */
export function alphaOf({ width, height, data }: RgbaImage): Mask {
  const alpha = new Uint8Array(width * height);
  for (let at = 0, from = 3; at < alpha.length; at++, from += 4) alpha[at] = data[from] as number;
  return { width, height, data: alpha };
}

/** Traces what a picture covers, as few curves with its corners kept. Fails where it is clear all over. */
export function traceImage(image: RgbaImage, tracing: Tracing): Result<Traced> {
  const { perMm, tolerance, least } = tracing;
  const map = scaling(1 / perMm);
  const seen = withoutSpecks(contours(alphaOf(image)), least * perMm * perMm);
  const rings = seen.map((ring) => mapRing(ring, map));
  if (!rings.some((ring) => signedArea(ring) > 0))
    return err('art/nothing-to-trace', { kind: 'pixels' });
  const { path, nodes, deviation } = fitCurves(rings, { tolerance, blur: 1 / perMm });
  const areas = rings.map(signedArea);
  return ok({
    path,
    nodes,
    deviation,
    parts: areas.filter((area) => area > 0).length,
    holes: areas.filter((area) => area < 0).length,
    area: areas.reduce((sum, area) => sum + area, 0),
  });
}
