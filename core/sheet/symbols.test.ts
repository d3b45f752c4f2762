import type { DrawingNode } from '../drawing/index.ts';
import type { CompiledPiece } from '../piece/index.ts';
import { sheetSymbols } from './symbols.ts';

const PIECE = { id: 'seal' } as CompiledPiece['piece'];
const node = (name: string): DrawingNode =>
  ({ kind: 'group', children: [], clip: [], name }) as never;
const [ground, ring, words, other, leaf] = ['ground', 'ring', 'words', 'other', 'leaf'].map(
  node,
) as [DrawingNode, DrawingNode, DrawingNode, DrawingNode, DrawingNode];
const look = (nodes: readonly DrawingNode[], piece = PIECE): CompiledPiece =>
  ({ piece, nodes, bleed: [] }) as unknown as CompiledPiece;
/** The nodes of a symbol with what it uses put in. */
function whole(
  symbols: ReturnType<typeof sheetSymbols>,
  nodes: readonly DrawingNode[],
): DrawingNode[] {
  return nodes.flatMap((one) =>
    one.kind === 'use' ? whole(symbols, symbols[one.symbol] ?? []) : [one],
  );
}

test('what all looks have stands in symbols that they use, and each look stays as it was', () => {
  const looks: Record<string, DrawingNode[]> = {
    'seal-1': [ground, ring, words, leaf],
    'seal-2': [ground, ring, other, leaf],
    'seal-3': [ground, ring, leaf],
    'seal-4': [ground, ring, words, leaf],
  };
  const symbols = sheetSymbols(
    new Map(Object.entries(looks).map(([name, nodes]) => [name, look(nodes)])),
  );
  for (const [name, nodes] of Object.entries(looks))
    expect([name, whole(symbols, symbols[name] ?? [])]).toEqual([name, nodes]);
  const shared = Object.entries(symbols).filter(([name]) => name.includes('shared'));
  expect(shared.map(([, nodes]) => nodes)).toEqual([[ground, ring], [leaf], [ground, ring, leaf]]);
});

test('a look that is alone, and one of another piece of the same name, share nothing', () => {
  const symbols = sheetSymbols(
    new Map([
      ['seal', look([ground, words])],
      ['seal-own-2', look([ground, other], { ...PIECE })],
    ]),
  );
  expect(symbols).toEqual({ seal: [ground, words], 'seal-own-2': [ground, other] });
});

test('the same run is the same value on every sheet', () => {
  const sheet = () =>
    sheetSymbols(
      new Map([
        ['seal-1', look([ground, ring, words])],
        ['seal-2', look([ground, ring, other])],
      ]),
    );
  const runOf = (symbols: ReturnType<typeof sheet>) =>
    Object.entries(symbols).find(([name]) => name.includes('shared'))?.[1];
  expect(runOf(sheet())).toBe(runOf(sheet()));
});
