import {
  boxAround,
  boxesMeet,
  boxOfRings,
  distanceBetween,
  grown,
  isInside,
  mapRing,
  offsetRegion,
  translation,
  type Box,
  type Ring,
} from '../../geometry/index.ts';
import type { CompiledPiece, PieceElement } from '../../piece/index.ts';
import { nearestFree } from '../../packing/index.ts';
import type { Finding, FindingKind, Fix, Severity } from '../finding.ts';

/** Between the kiss cuts of two stickers, and to the outline around them, mm. */
const APART = 1;
/** How far a sticker is moved to a free place, mm. */
const FARTHEST = 80;

/** A sticker of a sticker sheet: its cut lines in the piece. */
interface Sticker {
  readonly element: PieceElement;
  readonly rings: readonly Ring[];
  readonly box: Box;
}

function stickersOf({ elements }: CompiledPiece): Sticker[] {
  return elements.flatMap(({ element, compiled: { kissCuts }, maps }): Sticker[] => {
    if (!kissCuts?.length) return [];
    const rings = maps.flatMap((map) => kissCuts.map((ring) => mapRing(ring, map)));
    const box = boxOfRings(rings);
    return box ? [{ element, rings, box }] : [];
  });
}

/** A finding about stickers of one piece, told once for all of them. */
function perPiece(
  compiled: ReadonlyMap<string, CompiledPiece>,
  found: (piece: CompiledPiece, stickers: readonly Sticker[]) => readonly Sticker[],
  tell: { readonly code: 'sticker-outside' | 'stickers-touch'; readonly severity: Severity },
): Finding[] {
  return [...compiled.values()].flatMap((piece): Finding[] => {
    const all = stickersOf(piece);
    const wrong = found(piece, all);
    const [first] = wrong;
    const box = boxAround(wrong.map((one) => one.box));
    if (!first || !box) return [];
    const fix = freed(piece, all, wrong);
    return [
      {
        ...tell,
        values: { stickers: wrong.length, piece: piece.piece.name, least: APART },
        where: { piece: piece.piece.id, element: first.element.id, box },
        ...(fix ? { fix } : {}),
      },
    ];
  });
}

/** Each of them moved to the nearest place where it touches nothing. */
function freed(
  piece: CompiledPiece,
  all: readonly Sticker[],
  wrong: readonly Sticker[],
): Fix | undefined {
  const room = offsetRegion(piece.rings, -APART);
  const changes: Record<string, { x: number; y: number }> = {};
  let now = [...all];
  for (const sticker of wrong) {
    const { element } = sticker;
    const others = now.filter((one) => one.element !== element);
    const moved = ({ x, y }: { x: number; y: number }): Sticker => {
      const by = translation(x - element.x, y - element.y);
      const rings = sticker.rings.map((ring) => mapRing(ring, by));
      return { element, rings, box: boxOfRings(rings) ?? sticker.box };
    };
    const at = nearestFree(
      element,
      (place) => {
        const there = moved(place);
        return isWithin(there, room) && !others.some((other) => touches(there, other));
      },
      FARTHEST,
    );
    if (!at || (at.x === element.x && at.y === element.y)) continue;
    changes[element.id] = { x: at.x, y: at.y };
    now = [...others, moved(at)];
  }
  if (Object.keys(changes).length === 0) return undefined;
  return {
    code: 'free-places',
    values: { count: wrong.length },
    call: {
      name: 'change-elements',
      args: { piece: piece.piece.id, changes, doing: 'move-stickers' },
    },
  };
}

const isWithin = ({ rings }: Sticker, room: readonly Ring[]): boolean =>
  rings.every((ring) => ring.every((point) => isInside(point, room)));

const touches = (one: Sticker, other: Sticker): boolean =>
  boxesMeet(grown(one.box, APART), other.box) &&
  distanceBetween(one.rings, other.rings, APART) < APART - 0.01;

export const stickerOutside: FindingKind = {
  code: 'sticker-outside',
  check: ({ compiled }) =>
    perPiece(
      compiled.pieces,
      (piece, stickers) => {
        const room = offsetRegion(piece.rings, -APART);
        return stickers.filter((sticker) => !isWithin(sticker, room));
      },
      { code: 'sticker-outside', severity: 'blocker' },
    ),
};

export const stickersTouch: FindingKind = {
  code: 'stickers-touch',
  check: ({ compiled }) =>
    perPiece(
      compiled.pieces,
      (_, stickers) =>
        stickers.filter((one, at) => stickers.slice(at + 1).some((other) => touches(one, other))),
      { code: 'stickers-touch', severity: 'warning' },
    ),
};
