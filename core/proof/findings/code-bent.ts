import { SMALLEST_MODULE } from '../../code/index.ts';
import { corners, isInside, mapRing } from '../../geometry/index.ts';
import { elementMap, elementSize, thingOf } from '../../piece/index.ts';
import { zoneAt, zoneRoom, type Thing, type Zone } from '../../things/index.ts';
import { allCodes, codeTitle, moduleOf, type PlacedCode } from '../codes-in-piece.ts';
import type { Finding, FindingKind, Fix } from '../finding.ts';
import { change, place } from '../words-in-piece.ts';
import { zonesOfPiece } from './zones.ts';

/** The radius of the wall that a label goes around, mm; of a cone in the middle. */
function wallRadius(thing: Thing): number | undefined {
  if (thing.kind === 'wrap')
    return thing.measured === 'diameter' ? thing.size / 2 : thing.size / (2 * Math.PI);
  return thing.kind === 'taper' ? (thing.top + thing.bottom) / 4 : undefined;
}

/** By how much a length around a wall is shorter as it is seen from before it, mm: the arc less its chord. */
const shortOf = (arc: number, radius: number): number =>
  arc - 2 * radius * Math.sin(Math.min(arc / 2 / radius, Math.PI / 2));

/** By so much of a module, as a share, a code may seem shorter than it is. */
const MOST_SHORT = 1 / 3;

/** Codes that go so far around a wall that a scanner sees their sides foreshortened. */
export const codeBent: FindingKind = {
  code: 'code-bent',
  check: (context) =>
    allCodes(context).flatMap((found): Finding[] => {
      const { piece, element } = found;
      const radius = wallRadius(thingOf(piece.piece, context.compiled.job.thing));
      const zones = zonesOfPiece(piece, context);
      const module = moduleOf(found);
      if (radius === undefined || zones.length === 0 || module === undefined) return [];
      const around = aroundOf(found, zones);
      const short = shortOf(around, radius);
      if (short <= module * MOST_SHORT) return [];
      const fix = straightened(found, { radius, around, module });
      return [
        {
          code: 'code-bent',
          severity: 'warning',
          where: place(found),
          values: {
            title: codeTitle(element),
            short: Math.round(short * 100) / 100,
            most: Math.round(module * MOST_SHORT * 100) / 100,
          },
          ...(fix ? { fix } : {}),
        },
      ];
    }),
};

/** How far the modules of a code go around the wall, mm: bars only by their own direction. */
function aroundOf({ element, piece }: PlacedCode, zones: readonly Zone[]): number {
  const zone = zoneAt(zones, element);
  const turn =
    ((element.angle - (zone ? zoneRoom(zone, piece.piece.edge).angle : 0)) * Math.PI) / 180;
  const { width, height } = elementSize(element);
  const across = Math.abs(width * Math.cos(turn));
  return element.symbology === 'qr' ? Math.max(across, Math.abs(height * Math.sin(turn))) : across;
}

/** Bars are turned to go up the wall where there is room; a square code is made smaller as far as it can be read. */
function straightened(
  found: PlacedCode,
  wall: { readonly radius: number; readonly around: number; readonly module: number },
): Fix | undefined {
  const { element, piece } = found;
  if (element.symbology !== 'qr') {
    const angle = (element.angle + 90) % 360;
    const { width, height } = elementSize(element);
    const ring = corners({
      left: -width / 2,
      top: -height / 2,
      right: width / 2,
      bottom: height / 2,
    });
    const turned = mapRing(ring, elementMap({ ...element, angle }));
    const fits = turned.every((point) => isInside(point, piece.rings));
    return fits ? { code: 'turn-code', values: {}, call: change(found, { angle }) } : undefined;
  }
  let [least, most] = [0, 1];
  for (let round = 0; round < 20; round++) {
    const share = (least + most) / 2;
    const isFine = shortOf(wall.around * share, wall.radius) <= wall.module * share * MOST_SHORT;
    if (isFine) least = share;
    else most = share;
  }
  if (wall.module * least < SMALLEST_MODULE.qr) return undefined;
  const width = Math.floor(element.width * least * 10) / 10;
  const height = Math.floor(element.height * least * 10) / 10;
  return {
    code: 'width-of',
    values: { width: Math.round(width) },
    call: change(found, { width, height }),
  };
}
