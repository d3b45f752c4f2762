import { freeId, problem, type Problem } from '../base/index.ts';
import { boxAround, boxWithin, grown, type Box } from '../geometry/index.ts';
import type { Piece, PieceElement } from '../piece/index.ts';
import { freeRooms } from '../packing/index.ts';
import { stockOf } from '../sheet/index.ts';
import { keepClear, printable } from '../stock/index.ts';
import { copiesOn } from './outlines.ts';
import type { Job } from './schema.ts';

/** How far a sticker sheet reaches beyond its stickers, and the least that it must, mm. */
const RIM = 6;
const LEAST_RIM = 3;

/** A piece with the copies of a sheet as its stickers, as large as they need with a rim around them. */
export function stickerSheet(job: Job, sheet: number): Piece | Problem {
  const stock = stockOf(job, sheet);
  const room = printable(stock);
  const [free = room] = freeRooms(room, keepClear(stock, job.plan.marks));
  const stickers = copiesOn(job, sheet).filter(({ box }) => boxWithin(grown(box, LEAST_RIM), free));
  const box = boxAround(stickers.map((one) => one.box));
  if (!box) return problem('sheet/no-stickers', {});
  const edge = within(grown(box, RIM), free);
  const middle = { x: (edge.left + edge.right) / 2, y: (edge.top + edge.bottom) / 2 };
  const elements = stickers.map(({ placement, piece }, at): PieceElement => ({
    id: `sticker-${at + 1}`,
    kind: 'piece',
    piece: placement.piece,
    name: piece.piece.name.slice(0, 60),
    cut: 'kiss',
    x: placement.x - middle.x,
    y: placement.y - middle.y,
    angle: placement.angle,
    width: piece.width,
    height: piece.height,
    locked: false,
  }));
  return {
    id: freeId(
      'sheet',
      job.pieces.map(({ id }) => id),
    ),
    name: 'Sticker sheet',
    edge: {
      kind: 'rectangle',
      width: edge.right - edge.left,
      height: edge.bottom - edge.top,
      radius: 4,
    },
    bleed: 2,
    safe: 2,
    ground: null,
    elements,
  };
}

const within = (box: Box, room: Box): Box => ({
  left: Math.max(box.left, room.left),
  top: Math.max(box.top, room.top),
  right: Math.min(box.right, room.right),
  bottom: Math.min(box.bottom, room.bottom),
});
