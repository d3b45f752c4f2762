import type { Say } from '../../base/index.ts';
import { solid, type DrawingNode } from '../../drawing/index.ts';
import { rectanglePath, scaling, compose, translation, type Box } from '../../geometry/index.ts';
import type { CompiledPiece } from '../../piece/index.ts';
import { setWords, type Typeface } from '../../type/index.ts';
import { MM_PER_PT } from '../../units/index.ts';
import type { PdfPage } from '../pdf/index.ts';

/** What papers about a job are set in: to be read, and for headings. */
export const PAPER_FACES = { text: 'figtree-regular', head: 'figtree-semibold' } as const;
export type PaperFaces = Readonly<Record<keyof typeof PAPER_FACES, Typeface>>;

/** The paper that they are printed on. */
export const PAPER = { width: 210, height: 297, margin: 16 } as const;
export const INK = '#2a1b2e';
export const QUIET = '#6b5a68';

/** How words stand on a paper. */
export interface PaperWords {
  /** pt */
  readonly size: number;
  readonly face?: keyof PaperFaces;
  readonly color?: string;
}

const LEADING = 1.3;
const ASCENT = 0.95; // of the size, from the top of a line to its baseline

/**
 * Words in lines no wider than given, from a top left corner downwards.
 * @returns what draws them, and how high they are, mm; nothing for no words
 */
export function wordsDown(
  faces: PaperFaces,
  text: string,
  { x, y, width }: { readonly x: number; readonly y: number; readonly width: number },
  { size, face = 'text', color = INK }: PaperWords,
): { readonly nodes: DrawingNode[]; readonly height: number } {
  const set = setWords(
    {
      text,
      typeface: PAPER_FACES[face],
      size,
      tracking: 0,
      leading: LEADING,
      align: 'left',
      fit: 'wrap',
      least: size,
      path: { kind: 'straight' },
    },
    { width, height: 10 },
    faces[face],
  );
  const lines = [...new Set(set.glyphs.map((glyph) => Math.round(glyph.y * 100)))].length;
  if (lines === 0) return { nodes: [], height: 0 };
  const top = Math.min(...set.glyphs.map((glyph) => glyph.y));
  const em = size * MM_PER_PT;
  return {
    nodes: [
      {
        kind: 'group',
        transform: translation(x + width / 2, y + ASCENT * em - top),
        children: [
          {
            kind: 'glyphs',
            typeface: PAPER_FACES[face],
            size: set.size * MM_PER_PT,
            glyphs: set.glyphs,
            fill: solid(color),
            text,
          },
        ],
      },
    ],
    height: lines * LEADING * em,
  };
}

/** A filled or outlined box. */
export function boxNode(box: Box, fill: string | undefined, line?: string): DrawingNode {
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
  return {
    kind: 'path',
    path: rectanglePath(middle, box.right - box.left, box.bottom - box.top, 0.8),
    ...(fill ? { fill: solid(fill) } : {}),
    ...(line ? { stroke: { paint: solid(line), width: 0.2 } } : {}),
  };
}

/** How large a piece is shown in a room: at its own size at most. */
export const shownScale = (
  { width, height }: Pick<CompiledPiece, 'width' | 'height'>,
  room: { readonly width: number; readonly height: number },
): number => Math.min(1, room.width / width, room.height / height);

/** A finished piece cut out along its edge on its material, in a room; never larger than it is. */
export function pieceNode(
  piece: CompiledPiece,
  room: Box,
  material: string,
): { readonly node: DrawingNode; readonly scale: number } {
  const scale = shownScale(piece, {
    width: room.right - room.left,
    height: room.bottom - room.top,
  });
  const at = translation((room.left + room.right) / 2, (room.top + room.bottom) / 2);
  const node: DrawingNode = {
    kind: 'group',
    transform: compose(at, scaling(scale)),
    children: [
      { kind: 'path', path: piece.trim, fill: solid(material) },
      { kind: 'group', clip: piece.trim, children: piece.nodes },
      {
        kind: 'path',
        path: piece.trim,
        stroke: { paint: solid('#b9a9b4'), width: 0.15 / scale },
      },
    ],
  };
  return { node, scale };
}

/** Papers that are filled from the top, a new one where no room is left. */
export class PaperFlow {
  private readonly done: DrawingNode[][] = [[]];
  private readonly faces: PaperFaces;
  /** Gives the words that stand on papers. */
  readonly words: Say;
  y: number = PAPER.margin;

  constructor(faces: PaperFaces, words: Say) {
    this.faces = faces;
    this.words = words;
  }

  /** Makes sure of a height, on a new paper where this one has no more. */
  need(height: number): void {
    if (this.y + height > PAPER.height - PAPER.margin - 8) this.nextPaper();
  }

  /** Goes on at the top of a new paper. */
  nextPaper(): number {
    this.done.push([]);
    return (this.y = PAPER.margin);
  }

  draw(...nodes: readonly DrawingNode[]): void {
    this.done[this.done.length - 1]?.push(...nodes);
  }

  /** Words at a place beside what flows. */
  put(text: string, at: { x: number; y: number; width: number }, look: PaperWords): number {
    const { nodes, height } = wordsDown(this.faces, text, at, look);
    this.draw(...nodes);
    return height;
  }

  /** Words across the paper, with room below them. */
  say(text: string, look: PaperWords, below = 1): void {
    const width = PAPER.width - 2 * PAPER.margin;
    const { height } = wordsDown(this.faces, text, { x: 0, y: 0, width }, look);
    this.need(height);
    this.put(text, { x: PAPER.margin, y: this.y, width }, look);
    this.y += height + below;
  }

  /** The papers, each with a line of words at its foot and its number. */
  pages(foot: string): PdfPage[] {
    return this.done.map((nodes, at): PdfPage => {
      const says = this.words('page-foot', { says: foot, page: at + 1, of: this.done.length });
      const place = {
        x: PAPER.margin,
        y: PAPER.height - PAPER.margin,
        width: PAPER.width - 2 * PAPER.margin,
      };
      const footer = wordsDown(this.faces, says, place, { size: 8, color: QUIET }).nodes;
      return {
        drawing: {
          width: PAPER.width,
          height: PAPER.height,
          symbols: {},
          nodes: [...nodes, ...footer],
        },
      };
    });
  }
}
