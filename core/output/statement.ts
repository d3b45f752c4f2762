import { apply, flatten, mapRing, type Ring } from '../geometry/index.ts';
import { printedSides } from '../job/index.ts';
import { shapePath } from '../shape/index.ts';
import type { CompiledSheet, SheetCopy } from '../sheet/index.ts';
import { knifeRings, orderCuts } from '../cutting/index.ts';
import { sideFile, type SheetFiles } from './names.ts';
import type { Writing } from './formats/format.ts';
import { HPGL_UNITS } from './cut-program/index.ts';

const rounded = (value: number): number => Math.round(value * 1e4) / 1e4 + 0;
const pairs = (rings: readonly Ring[]): number[][][] =>
  rings.map((ring) => ring.map(({ x, y }) => [rounded(x), rounded(y)]));

/** States where everything is, so that an outsider can verify all other files: mm, y down. */
export function statement(things: readonly StatedThing[]): unknown {
  return { sheets: things.flatMap(sheetsOf), hpgl: HPGL_UNITS };
}

/** One thing of a job as it is printed, and the files that its sheets stand in. */
type StatedThing = Pick<Writing, 'printed' | 'names' | 'thing'>;

function sheetsOf({ printed, names, thing }: StatedThing): object[] {
  const { stock, material } = printed.job;
  const of = thing && {
    group: thing.name,
    thing: printed.job.thing.kind,
    stock: stock.name,
    material: material.name,
  };
  return printedSides(printed).map(({ sheet, of: front, side }, page) => ({
    ...of,
    ...(side === 'front'
      ? sheetStatement(sheet, names[front])
      : { side, ...sheetStatement(sheet, backFiles(names[front], page)) }),
  }));
}

/** The files that the other side of a sheet stands in, on a page counted from 0. */
const backFiles = (front: SheetFiles | undefined, page: number): Partial<SheetFiles> | undefined =>
  front && {
    pdf: front.pdf,
    page: page + 1,
    jpeg: sideFile(front.jpeg, 'back'),
    png: sideFile(front.png, 'back'),
  };

function sheetStatement(sheet: CompiledSheet, files: Partial<SheetFiles> | undefined): object {
  return {
    width: sheet.drawing.width,
    height: sheet.drawing.height,
    marks: sheet.marks.map(({ x, y, size, style, turn }) => ({
      x: rounded(x),
      y: rounded(y),
      size,
      style,
      // Which way the bars of a corner run, degrees clockwise from right and down.
      ...(style === 'corner' ? { turn: turn ?? 0 } : {}),
    })),
    placements: sheet.copies.map(placementStatement),
    cuts: orderCuts(sheet.cuts).map((cut) => ({
      kind: cut.kind,
      copy: cut.copies[0],
      // Whose edges a line is part of where neighbours share it; it is open then.
      ...(cut.copies.length > 1 ? { shared: cut.copies } : {}),
      ...(cut.open ? { open: cut.open } : {}),
      order: cut.order,
      rings: pairs(knifeRings(cut)),
    })),
    files,
  };
}

function placementStatement(copy: SheetCopy): unknown {
  const { placement, piece, box, trim, bleed } = copy;
  const { map } = copy;
  // A map that turns over: the shape is mirrored about its own upright axis, then turned.
  const mirrored = map[0] * map[3] - map[1] * map[2] < 0;
  const rectangle = piece.piece.edge.kind === 'rectangle';
  // A rectangle's own origin is its top left corner, that of round shapes their centre.
  const origin = apply(
    map,
    rectangle ? { x: -piece.width / 2, y: -piece.height / 2 } : { x: 0, y: 0 },
  );
  const outline = flatten(shapePath(piece.piece.edge, bleed), 0.005).map((ring) =>
    mapRing(ring, map),
  );
  return {
    id: placement.piece,
    copy: placement.copy,
    x: rounded(origin.x),
    y: rounded(origin.y),
    angle: mirrored ? rounded(Math.atan2(-map[1], -map[0]) * (180 / Math.PI)) : placement.angle,
    ...(mirrored ? { mirrored } : {}),
    bleed: rounded(bleed),
    bounds: [box.left, box.top, box.right, box.bottom].map(rounded),
    trim: pairs(trim),
    bleedOutline: pairs(outline),
  };
}
