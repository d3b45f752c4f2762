import type { Drawing, DrawingNode } from '../drawing/index.ts';
import type { CompiledPiece } from '../piece/index.ts';
import { pieceSymbol } from './sheet-copies.ts';

/**
 * The symbols of a sheet: each look of a piece by its name. Where copies of a piece differ, what they
 * have in common is a symbol of its own that they use, so that a ground stands in a file once.
 */
export function sheetSymbols(present: ReadonlyMap<string, CompiledPiece>): Drawing['symbols'] {
  const looks = new Map<string, { symbol: string; piece: CompiledPiece }[]>();
  for (const [symbol, piece] of present) {
    const { id } = piece.piece;
    looks.set(id, [...(looks.get(id) ?? []), { symbol, piece }]);
  }
  const symbols: Record<string, readonly DrawingNode[]> = {};
  for (const [id, group] of looks) {
    const shared = new SharedRuns(
      pieceSymbol(id),
      group.map(({ piece }) => piece),
    );
    for (const { symbol, piece } of group)
      symbols[symbol] = group.length === 1 ? piece.nodes : shared.in(piece);
    Object.assign(symbols, shared.symbols);
  }
  return symbols;
}

/** The nodes of a piece, and the clip that they may stand in together. */
function unclipped({ nodes, bleed }: CompiledPiece): {
  nodes: readonly DrawingNode[];
  clip: typeof bleed | undefined;
} {
  const [only] = nodes;
  return nodes.length === 1 && only?.kind === 'group' && only.clip === bleed && !only.transform
    ? { nodes: only.children, clip: bleed }
    : { nodes, clip: undefined };
}

const runsKnown = new WeakMap<DrawingNode, readonly DrawingNode[]>();

class SharedRuns {
  readonly symbols: Record<string, readonly DrawingNode[]> = {};
  private readonly uses = new Map<DrawingNode, number>();
  private readonly names = new Map<DrawingNode, string>();
  private readonly stem: string;
  private readonly looks: number;

  constructor(stem: string, looks: readonly CompiledPiece[]) {
    this.stem = stem;
    this.looks = looks.length;
    for (const look of looks)
      for (const node of unclipped(look).nodes) this.uses.set(node, (this.uses.get(node) ?? 0) + 1);
  }

  /** The nodes of one look, with each run of what all looks have as a use of it. */
  in(look: CompiledPiece): readonly DrawingNode[] {
    const { nodes, clip } = unclipped(look);
    const made: DrawingNode[] = [];
    let run: DrawingNode[] = [];
    const close = (): void => {
      if (run.length)
        made.push({ kind: 'use', symbol: this.nameOf(run), transform: [1, 0, 0, 1, 0, 0] });
      run = [];
    };
    for (const node of nodes) {
      if (this.uses.get(node) === this.looks) run.push(node);
      else {
        close();
        made.push(node);
      }
    }
    close();
    return clip ? [{ kind: 'group', clip, children: made }] : made;
  }

  private nameOf(run: readonly DrawingNode[]): string {
    const [first] = run as [DrawingNode];
    const known = this.names.get(first);
    if (known !== undefined && this.symbols[known]?.length === run.length) return known;
    const name = `${this.stem}-shared-${this.names.size + 1}`;
    this.names.set(first, name);
    // The same value on every sheet, so that it is the same object in a file of all of them.
    const before = runsKnown.get(first);
    const same = before?.length === run.length && before.every((node, at) => node === run[at]);
    const nodes = same ? before : run;
    runsKnown.set(first, nodes);
    this.symbols[name] = nodes;
    return name;
  }
}
