import type { Say } from '../../base/index.ts';
import { linesPath } from '../../geometry/index.ts';
import { solid, type DrawingNode } from '../../drawing/index.ts';
import type { CompiledJob } from '../../job/index.ts';
import {
  colorsOfPieces,
  differences,
  fieldsOf,
  fieldsOfRow,
  filledFor,
  rowsOn,
  textsOf,
  type CompiledPiece,
} from '../../piece/index.ts';
import { copyCount, rowInTurn } from '../../sheet/index.ts';
import { formatLength } from '../../units/index.ts';
import type { PdfPage } from '../pdf/index.ts';
import {
  boxNode,
  INK,
  PAPER,
  PaperFlow,
  pieceNode,
  QUIET,
  shownScale,
  type PaperFaces,
} from './flow.ts';

const PICTURE = { width: 78, height: 74 } as const; // mm: the most that a piece is shown in
const CAPTION = 6; // mm below the picture
const LEAST = 40; // mm that a piece takes on the paper
const SWATCH = 5.5; // mm
const MOST_COLORS = 12;
const SIGNING = 62; // mm
const { margin } = PAPER;
const BESIDE = margin + PICTURE.width + 8;
const BESIDE_WIDTH = PAPER.width - margin - BESIDE;

/**
 * A paper to be sent to somebody for approval: each piece with its size, number, material and colours,
 * all words to be read over, and a place to sign. For lengths in mm.
 */
export function approvalPages(compiled: CompiledJob, faces: PaperFaces, words: Say): PdfPage[] {
  const { job } = compiled;
  const flow = new PaperFlow(faces, words);
  flow.say(words('approval-title', { job: job.name }), { size: 18, face: 'head' }, 1);
  flow.say(words('approval-intro', { today: job.today }), { size: 9.5, color: QUIET }, 6);
  for (const piece of compiled.pieces.values()) pieceBlock(flow, compiled, piece);
  listBlock(flow, compiled);
  signing(flow);
  return flow.pages(words('approval-foot', { job: job.name }));
}

function pieceBlock(flow: PaperFlow, { job }: CompiledJob, compiled: CompiledPiece): void {
  const { piece } = compiled;
  const high = compiled.height * shownScale(compiled, PICTURE);
  flow.need(Math.max(high + CAPTION, LEAST));
  const top = flow.y;
  const room = {
    left: margin,
    top,
    right: margin + PICTURE.width,
    bottom: top + high,
  };
  const { node, scale } = pieceNode(compiled, room, job.material.color);
  flow.draw(node);
  flow.put(
    flow.words('approval-scale', { scale }),
    { x: margin, y: room.bottom + 1.5, width: PICTURE.width },
    { size: 8, color: QUIET },
  );
  let y = top;
  const say = (text: string, size: number, color = INK, below = 1): void => {
    const face = size > 11 ? ('head' as const) : ('text' as const);
    y += flow.put(text, { x: BESIDE, y, width: BESIDE_WIDTH }, { size, face, color }) + below;
  };
  say(piece.name, 13);
  const front = job.pieces.find(({ id }) => id === piece.behind);
  const count = front
    ? flow.words('approval-behind', { piece: front.name })
    : flow.words('approval-copies', { count: copyCount(job, piece.id) });
  const size = [compiled.width, compiled.height].map((mm) => formatLength(mm, 'mm')).join(' × ');
  say(`${size}, ${count}, ${job.material.name.toLowerCase()}`, 9.5, QUIET, 3);
  y += colors(flow, compiled, y);
  const row = rowInTurn(job.list, 1);
  /** Where what follows stands at least: below the picture, or at the top of a new paper. */
  let least = top + Math.max(high + CAPTION, LEAST);
  for (const { element } of compiled.elements) {
    const filled = filledFor(element, job, { number: 1, row })?.element ?? element;
    for (const text of textsOf(filled)) {
      if (text.trim() === '') continue;
      if (y > PAPER.height - 2 * margin - 12) {
        least = margin;
        y = flow.nextPaper();
      }
      say(text, 10.5, INK, 1.6);
    }
  }
  flow.y = Math.max(least, y) + 5;
}

function colors(flow: PaperFlow, { piece }: CompiledPiece, y: number): number {
  const found = colorsOfPieces([piece]).slice(0, MOST_COLORS);
  const each = 22;
  const across = Math.floor(BESIDE_WIDTH / each);
  found.forEach((color, at) => {
    const left = BESIDE + (at % across) * each;
    const top = y + Math.floor(at / across) * (SWATCH + 1.5);
    flow.draw(boxNode({ left, top, right: left + SWATCH, bottom: top + SWATCH }, color, '#b9a9b4'));
    flow.put(
      color,
      { x: left + SWATCH + 1.2, y: top + 1, width: each - SWATCH },
      { size: 7, color: QUIET },
    );
  });
  return found.length ? Math.ceil(found.length / across) * (SWATCH + 1.5) + 3 : 0;
}

/** What the rows of the list say, of the columns that are printed. */
function listBlock(flow: PaperFlow, { job }: CompiledJob): void {
  const { list } = job;
  if (!list || !job.pieces.some((piece) => differences(piece, job).fields)) return;
  const named = new Set(
    job.pieces.flatMap(({ elements }) => elements.flatMap(textsOf).flatMap(fieldsOf)),
  );
  const columns = list.columns.filter((column) => named.has(column));
  const rows = rowsOn(list);
  flow.need(20);
  flow.say(flow.words('approval-list', { rows: rows.length }), { size: 13, face: 'head' }, 2);
  rows.forEach((row, at) => {
    const fields = fieldsOfRow(list, row);
    const said = columns.map((column) => fields[column] ?? '').filter(Boolean);
    flow.say(`${at + 1}.  ${said.join('  ·  ')}`, { size: 9 }, 0.6);
  });
  flow.y += 5;
}

function signing(flow: PaperFlow): void {
  flow.need(SIGNING);
  const right = PAPER.width - margin;
  const box = { left: margin, top: flow.y, right, bottom: flow.y + SIGNING };
  const at = (x: number, y: number, width = 80): { x: number; y: number; width: number } => ({
    x,
    y,
    width,
  });
  const level = (x: number, y: number, to: number): DrawingNode => ({
    kind: 'path',
    path: linesPath([
      [
        { x, y },
        { x: to, y },
      ],
    ]),
    stroke: { paint: solid(QUIET), width: 0.2 },
  });
  const tick = (x: number, y: number): DrawingNode =>
    boxNode({ left: x, top: y, right: x + 4, bottom: y + 4 }, undefined, INK);
  const [left, top] = [box.left + 6, box.top + 6];
  flow.draw(boxNode(box, undefined, '#b9a9b4'));
  flow.draw(tick(left, top), tick(left, top + 8));
  flow.put(flow.words('approval-as-shown', {}), at(left + 6.5, top), { size: 10.5 });
  flow.put(flow.words('approval-with-changes', {}), at(left + 6.5, top + 8), { size: 10.5 });
  flow.draw(level(left, top + 22, right - 6), level(left, top + 31, right - 6));
  const columns = [
    ['approval-name', left, 52],
    ['approval-date', left + 58, 30],
    ['approval-signature', left + 94, right - 6 - left - 94],
  ] as const;
  for (const [name, x, width] of columns) {
    flow.draw(level(x, top + 45, x + width));
    flow.put(flow.words(name, {}), at(x, top + 46), { size: 8, color: QUIET });
  }
  flow.y = box.bottom;
}
