import { seededRandom } from '../base/index.ts';
import { FlowGraph } from './flow.ts';

type Pair = readonly [number, number, number];

/** What it costs to cut a graph so that these nodes stand with the source. */
function costOf(
  side: ArrayLike<number>,
  terminals: readonly (readonly [number, number])[],
  pairs: readonly Pair[],
): number {
  let cost = 0;
  terminals.forEach(([source, sink], node) => (cost += side[node] ? sink : source));
  for (const [one, other, price] of pairs) if (side[one] !== side[other]) cost += price;
  return cost;
}

function cutOf(
  terminals: readonly (readonly [number, number])[],
  pairs: readonly Pair[],
): Uint8Array {
  const graph = new FlowGraph(terminals.length, pairs.length);
  terminals.forEach(([source, sink], node) => graph.addTerminal(node, source, sink));
  pairs.forEach(([one, other, cost]) => graph.addPair(one, other, cost));
  return graph.cut();
}

test('a chain is cut where it is weakest', () => {
  const none = [0, 0] as const;
  const side = cutOf(
    [[100, 0], none, none, none, [0, 100]],
    [
      [0, 1, 5],
      [1, 2, 2],
      [2, 3, 7],
      [3, 4, 9],
    ],
  );
  expect([...side]).toEqual([1, 1, 0, 0, 0]);
});

test('no cut of a small graph costs less, as trying all of them shows', () => {
  const random = seededRandom(7);
  for (let round = 0; round < 200; round++) {
    const nodes = 2 + Math.floor(random.next() * 8);
    const terminals = Array.from(
      { length: nodes },
      () => [Math.floor(random.next() * 10), Math.floor(random.next() * 10)] as const,
    );
    const pairs: Pair[] = [];
    for (let one = 0; one < nodes; one++)
      for (let other = one + 1; other < nodes; other++)
        if (random.next() < 0.6) pairs.push([one, other, Math.floor(random.next() * 9)]);
    let least = Infinity;
    for (let all = 0; all < 1 << nodes; all++) {
      const side = Array.from({ length: nodes }, (_, node) => (all >> node) & 1);
      least = Math.min(least, costOf(side, terminals, pairs));
    }
    expect(costOf(cutOf(terminals, pairs), terminals, pairs)).toBe(least);
  }
});

test('a grid of many nodes is cut around what pulls to the source', () => {
  const side = 60;
  const inside = (node: number): boolean =>
    Math.hypot((node % side) - 30, Math.floor(node / side) - 28) < 15;
  const random = seededRandom(3);
  // One node in five is pulled to the wrong side.
  const terminals = Array.from({ length: side * side }, (_, node): [number, number] =>
    inside(node) !== random.next() < 0.2 ? [1, 0] : [0, 1],
  );
  const pairs = terminals.flatMap((_, node): Pair[] => [
    ...(node % side < side - 1 ? [[node, node + 1, 1] as const] : []),
    ...(node < side * (side - 1) ? [[node, node + side, 1] as const] : []),
  ]);
  const cut = cutOf(terminals, pairs);
  const wrong = [...cut].filter((one, node) => (one === 1) !== inside(node)).length;
  expect(wrong).toBeLessThan(side * side * 0.02);
  expect(costOf(cut, terminals, pairs)).toBeLessThanOrEqual(
    costOf(
      terminals.map((_, node) => (inside(node) ? 1 : 0)),
      terminals,
      pairs,
    ),
  );
});
