import type { Drawing, DrawingNode } from '../drawing/index.ts';
import type { CompiledPiece, Piece } from '../piece/index.ts';
import { pieceSymbol } from './sheet-copies.ts';

/**
 * The symbols of a sheet: each look of a piece by its name. Where copies of a piece differ, what they
 * have in common is a symbol of its own that they use, so that a ground stands in a file once.
 */
export function sheetSymbols(present: ReadonlyMap<string, CompiledPiece>): Drawing['symbols'] {
  const looks = new Map<Piece, { symbol: string; look: CompiledPiece }[]>();
  for (const [symbol, look] of present)
    looks.set(look.piece, [...(looks.get(look.piece) ?? []), { symbol, look }]);
  const symbols: Record<string, readonly DrawingNode[]> = {};
  for (const [piece, group] of looks) {
    if (group.length === 1) for (const { symbol, look } of group) symbols[symbol] = look.nodes;
    else {
      const stem = `${pieceSymbol(piece.id)}-shared`;
      const uses = usesOf(group.map(({ look }) => look));
      const shared = (node: DrawingNode): boolean => uses.get(node) === group.length;
      const nameOf = (run: readonly DrawingNode[]): string => {
        const known = Object.keys(symbols).find((name) => symbols[name] === run);
        const name = known ?? `${stem}-${Object.keys(symbols).length + 1}`;
        symbols[name] = run;
        return name;
      };
      for (const { symbol, look } of group) symbols[symbol] = withRuns(look, shared, nameOf);
    }
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

function usesOf(looks: readonly CompiledPiece[]): Map<DrawingNode, number> {
  const uses = new Map<DrawingNode, number>();
  for (const look of looks)
    for (const node of unclipped(look).nodes) uses.set(node, (uses.get(node) ?? 0) + 1);
  return uses;
}

/** The nodes of one look, with each run of what all looks have as a use of it. */
function withRuns(
  look: CompiledPiece,
  shared: (node: DrawingNode) => boolean,
  nameOf: (run: readonly DrawingNode[]) => string,
): readonly DrawingNode[] {
  const { nodes, clip } = unclipped(look);
  const made: DrawingNode[] = [];
  let run: DrawingNode[] = [];
  const close = (): void => {
    if (run.length)
      made.push({ kind: 'use', symbol: nameOf(sameRun(run)), transform: [1, 0, 0, 1, 0, 0] });
    run = [];
  };
  for (const node of nodes) {
    if (shared(node)) run.push(node);
    else {
      close();
      made.push(node);
    }
  }
  close();
  return clip ? [{ kind: 'group', clip, children: made }] : made;
}

const runsKnown = new WeakMap<DrawingNode, (readonly DrawingNode[])[]>();

/** The same value for the same nodes on every sheet, so that it is one object in a file of all of them. */
function sameRun(run: readonly DrawingNode[]): readonly DrawingNode[] {
  const [first] = run as [DrawingNode];
  const known = runsKnown.get(first) ?? [];
  runsKnown.set(first, known);
  const found = known.find(
    (one) => one.length === run.length && one.every((node, at) => node === run[at]),
  );
  if (!found) known.push(run);
  return found ?? run;
}
