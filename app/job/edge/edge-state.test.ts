import { shapeSize } from '../../../core/shape/index.ts';
import { closeDesk, openDesk } from '../../testing/desk.ts';

const { useEdgeState } = await import('./edge-state.ts');

afterEach(closeDesk);

async function opened() {
  const desk = await openDesk();
  const edge = useEdgeState(desk);
  const sizes = () => desk.store.job?.pieces.map((piece) => shapeSize(piece.edge).width) ?? [];
  return { desk, edge, sizes, whole: sizes()[0] ?? 0 };
}

test('an offset grows the edge on both sides, as one step while it is typed', async () => {
  const { desk, edge, sizes, whole } = await opened();
  edge.change({ offset: 1 }, 'offset the edge', 'offset');
  edge.change({ offset: 1.5 }, 'offset the edge', 'offset');
  expect(desk.store.past).toHaveLength(1);
  expect(sizes()[0]).toBeCloseTo(whole + 3, 1);
  desk.store.undo();
  expect(sizes()).toEqual([whole]);
});

test('pieces of the same edge get the same one again, a piece of another does not', async () => {
  const { desk, edge, sizes, whole } = await opened();
  desk.store.act({ name: 'copy-piece', args: { piece: 'piece-1', name: 'Second' } });
  desk.store.act({ name: 'copy-piece', args: { piece: 'piece-1', name: 'Third' } });
  const third = desk.store.job?.pieces[2]?.id ?? '';
  desk.store.act({ name: 'size-edge', args: { piece: third, width: whole - 10 } });
  edge.change({ offset: 2 });
  const [first = 0, second = 0, other = 0] = sizes();
  expect(first).toBeCloseTo(whole + 4, 1);
  expect(second).toBe(first);
  expect(other).toBeCloseTo(whole - 10, 6);
});

test('what is left around a hole is told by the least distance to the edge', async () => {
  const { edge, whole } = await opened();
  edge.addHole(false);
  expect(edge.build.value.punched).toHaveLength(1);
  edge.changeHole(0, { x: 0, y: -(whole / 2 - 6), width: 5, height: 5 });
  // From the middle of the hole 6 mm are left, of which its radius takes 2.5.
  expect(edge.rims.value[0]).toBeCloseTo(3.5, 1);
  edge.changeHole(0, { y: -(whole / 2 - 2) });
  expect(edge.rims.value[0]).toBeLessThan(0);
  edge.removeHole(0);
  expect([edge.build.value.punched, edge.rims.value]).toEqual([[], []]);
});

test('another shape keeps the size, and a hole that was chosen is let go with its piece', async () => {
  const { desk, edge, sizes, whole } = await opened();
  edge.reshape('rectangle');
  expect(desk.piece.value?.edge.kind).toBe('rectangle');
  expect(sizes()[0]).toBeCloseTo(whole, 6);
  expect(edge.facts.value.parts).toBe(1);
});
