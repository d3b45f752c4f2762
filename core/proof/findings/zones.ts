import { SMALLEST_MODULE } from '../../code/index.ts';
import { corners, isInside, mapRing } from '../../geometry/index.ts';
import type { ElementChanges } from '../../job/index.ts';
import {
  elementInZone,
  elementMap,
  elementSize,
  elementTitle,
  findCodeLayout,
  type Code,
  type CompiledPiece,
  type PieceElement,
  type PlacedElement,
} from '../../piece/index.ts';
import {
  isReadable,
  mainZone,
  zoneAt,
  zoneRoom,
  zonesOf,
  type Thing,
  type Zone,
} from '../../things/index.ts';
import type { Finding, FindingKind, Fix, ProofContext } from '../finding.ts';
import { allWords, place, quotable } from '../words-in-piece.ts';

/** The thing that a piece goes onto. */
const thingOf = ({ piece }: CompiledPiece, { compiled }: ProofContext): Thing =>
  piece.variant?.thing ?? compiled.job.thing;

/** The zones of a piece on its thing. */
export const zonesOfPiece = (piece: CompiledPiece, context: ProofContext): readonly Zone[] =>
  zonesOf(thingOf(piece, context), piece.piece.edge);

/** What differs of an element after a change of it. */
function changesOf(before: PieceElement, after: PieceElement): ElementChanges {
  const was = before as unknown as Record<string, unknown>;
  return Object.fromEntries(Object.entries(after).filter(([name, value]) => was[name] !== value));
}

/**
 * Moves an element into a zone: the one in which its middle lies, as far as that is read, or else the front.
 * Nothing where the label has no zone to which it could go.
 * @param avoid a zone in which it may not stay
 */
export function moveToZone(
  { placed, piece }: { readonly placed: PlacedElement; readonly piece: CompiledPiece },
  context: ProofContext,
  avoid?: Zone['name'],
): Fix | undefined {
  const zones = zonesOfPiece(piece, context);
  const { element } = placed;
  const here = zoneAt(zones, element);
  const zone = here && isReadable(here) && here.name !== avoid ? here : mainZone(zones);
  if (!zone || zone.name === avoid) return undefined;
  const moved = elementInZone(
    element,
    { zone, edge: piece.piece.edge, safe: piece.piece.safe },
    here === zone ? 'nearest' : 'middle',
  );
  return {
    code: 'move-to-zone',
    values: { zone: zone.name },
    call: {
      name: 'change-elements',
      args: {
        piece: piece.piece.id,
        changes: { [element.id]: changesOf(element, moved) },
        doing: 'move',
      },
    },
  };
}

/** Letters up to this size are small print, pt. */
const SMALL_PRINT = 9;

/** Small print and codes on the side on which the thing stands. */
export const onTheGround: FindingKind = {
  code: 'on-the-ground',
  check(context) {
    const isBelow = (piece: CompiledPiece, { element }: PlacedElement): boolean =>
      zoneAt(zonesOfPiece(piece, context), element)?.name === 'bottom';
    const small = allWords(context)
      .filter((found) => found.set.size <= SMALL_PRINT && isBelow(found.piece, found))
      .map((found) => ({ placed: found, piece: found.piece, title: quotable(found.said) }));
    const codes = codesIn(context)
      .filter(({ piece, placed }) => isBelow(piece, placed))
      .map((found) => ({ ...found, title: elementTitle(found.element, () => undefined) }));
    return [...small, ...codes].map(({ placed, piece, title }): Finding => {
      const fix = moveToZone({ placed, piece }, context, 'bottom');
      return {
        code: 'on-the-ground',
        severity: 'note',
        where: place({ ...placed, piece }),
        values: { title, piece: piece.piece.name },
        ...(fix ? { fix } : {}),
      };
    });
  },
};

interface FoundCode {
  readonly placed: PlacedElement;
  readonly element: Code;
  readonly piece: CompiledPiece;
}

const codesIn = ({ compiled }: ProofContext): FoundCode[] =>
  [...compiled.pieces.values()].flatMap((piece) =>
    piece.elements.flatMap((placed): FoundCode[] =>
      placed.element.kind === 'code' ? [{ placed, element: placed.element, piece }] : [],
    ),
  );

/** The radius of the wall that a label goes around, mm; of a cone in the middle. */
function wallRadius(thing: Thing): number | undefined {
  if (thing.kind === 'wrap')
    return thing.measured === 'diameter' ? thing.size / 2 : thing.size / (2 * Math.PI);
  return thing.kind === 'taper' ? (thing.top + thing.bottom) / 4 : undefined;
}

/** By how much a length around a wall is shorter as it is seen from before it, mm: the arc less its chord. */
export const shortOf = (arc: number, radius: number): number =>
  arc - 2 * radius * Math.sin(Math.min(arc / 2 / radius, Math.PI / 2));

/** By so much of a module, as a share, a code may seem shorter than it is. */
const MOST_SHORT = 1 / 3;

/** Codes that go so far around a wall that a scanner sees their sides foreshortened. */
export const codeBent: FindingKind = {
  code: 'code-bent',
  check: (context) =>
    codesIn(context).flatMap((found): Finding[] => {
      const { piece, placed, element } = found;
      const radius = wallRadius(thingOf(piece, context));
      const zones = zonesOfPiece(piece, context);
      const module =
        placed.compiled.code && findCodeLayout(element, placed.compiled.code.made)?.module;
      if (radius === undefined || zones.length === 0 || module === undefined) return [];
      const around = aroundOf(found, zones);
      const short = shortOf(around, radius);
      if (short <= module * MOST_SHORT) return [];
      const fix = straightened(found, { radius, around, module });
      return [
        {
          code: 'code-bent',
          severity: 'warning',
          where: place({ ...placed, piece }),
          values: {
            title: elementTitle(element, () => undefined),
            short: Math.round(short * 100) / 100,
            most: Math.round(module * MOST_SHORT * 100) / 100,
          },
          ...(fix ? { fix } : {}),
        },
      ];
    }),
};

/** How far the modules of a code go around the wall, mm: bars only by their own direction. */
function aroundOf({ element, piece }: FoundCode, zones: readonly Zone[]): number {
  const zone = zoneAt(zones, element);
  const turn =
    ((element.angle - (zone ? zoneRoom(zone, piece.piece.edge).angle : 0)) * Math.PI) / 180;
  const { width, height } = elementSize(element);
  const across = Math.abs(width * Math.cos(turn));
  return element.symbology === 'qr' ? Math.max(across, Math.abs(height * Math.sin(turn))) : across;
}

/** Bars are turned to go up the wall where there is room; a square code is made smaller as far as it can be read. */
function straightened(
  { element, piece }: FoundCode,
  wall: { readonly radius: number; readonly around: number; readonly module: number },
): Fix | undefined {
  const fixOf = (name: Pick<Fix, 'code' | 'values'>, changes: ElementChanges): Fix =>
    ({
      ...name,
      call: {
        name: 'change-elements',
        args: { piece: piece.piece.id, changes: { [element.id]: changes }, doing: 'mend' },
      },
    }) as Fix;
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
    return fits ? fixOf({ code: 'turn-code', values: {} }, { angle }) : undefined;
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
  return fixOf({ code: 'width-of', values: { width: Math.round(width) } }, { width, height });
}
