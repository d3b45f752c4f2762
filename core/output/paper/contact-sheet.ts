import type { Say } from '../../base/index.ts';
import type { CompiledJob } from '../../job/index.ts';
import { fieldsOf, fieldsOfRow, textsOf, type CompiledPiece } from '../../piece/index.ts';
import { findCopy } from '../../sheet/index.ts';
import type { PdfPage } from '../pdf/index.ts';
import { PAPER, PaperFlow, pieceNode, QUIET, shownScale, type PaperFaces } from './flow.ts';

const ACROSS = 4;
const GAP = 6; // mm
const NAME = 9; // mm below each picture
/** More than that are not looked through. */
const MOST = 1000;

interface Shown {
  readonly piece: CompiledPiece;
  readonly name: string;
}

/** A paper with a small picture of each label that is another, and its name. */
export function contactPages(compiled: CompiledJob, faces: PaperFaces, words: Say): PdfPage[] {
  const { job } = compiled;
  const flow = new PaperFlow(faces, words);
  flow.say(job.name, { size: 18, face: 'head' }, 5);
  const room = (PAPER.width - 2 * PAPER.margin - (ACROSS - 1) * GAP) / ACROSS;
  const labels = shownLabels(compiled);
  for (let at = 0; at < labels.length; at += ACROSS) {
    const row = labels.slice(at, at + ACROSS);
    const shown = { width: room, height: room };
    const high = Math.max(...row.map(({ piece }) => piece.height * shownScale(piece, shown)));
    flow.need(high + NAME + GAP);
    row.forEach(({ piece, name }, column) => {
      const left = PAPER.margin + column * (room + GAP);
      const box = { left, top: flow.y, right: left + room, bottom: flow.y + high };
      flow.draw(pieceNode(piece, box, job.material.color).node);
      flow.put(name, { x: left, y: flow.y + high + 1.5, width: room }, { size: 8, color: QUIET });
    });
    flow.y += high + NAME + GAP;
  }
  return flow.pages(words('contact-foot', { job: job.name, labels: labels.length }));
}

/** Each drawing that a copy has once, then pieces that no copy is made of. */
function shownLabels({ job, sheets, pieces }: CompiledJob): Shown[] {
  const shown = new Map<string, Shown>();
  for (const { copies } of sheets)
    for (const { symbol, piece, placement } of copies) {
      if (shown.has(symbol) || shown.size >= MOST) continue;
      shown.set(symbol, { piece, name: nameOf(job, piece, placement.copy) });
    }
  const there = new Set([...shown.values()].map(({ piece }) => piece.piece.id));
  const others = [...pieces.values()].filter(({ piece }) => !there.has(piece.id));
  return [...shown.values(), ...others.map((piece) => ({ piece, name: piece.piece.name }))];
}

type Copy = Parameters<typeof findCopy>[1];

/** What the first placeholder of a copy says, or the name of its piece. */
function nameOf(job: CompiledJob['job'], { piece }: CompiledPiece, copy: Copy): string {
  const row = job.list && findCopy(job, copy)?.row;
  const [column] = piece.elements
    .flatMap(textsOf)
    .flatMap(fieldsOf)
    .filter((name) => job.list?.columns.includes(name));
  const said = job.list && row && column ? fieldsOfRow(job.list, row)[column] : undefined;
  return said?.trim() || piece.name;
}
