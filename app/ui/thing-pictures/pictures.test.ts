import { expectOk } from '../../../core/base/index.ts';
import { apply, type Affine, type Point } from '../../../core/geometry/index.ts';
import { trySize, usualThing, zoneRoom, type MeasuredThing } from '../../../core/things/index.ts';
import { seenFrom, usedPicture, type SeenFrom, type ThingLine } from './index.ts';

const flatOf = (thing: MeasuredThing) => expectOk(trySize(thing));

/** The parts of a label on faces of their own, in the order in which they are drawn. */
function facesOf(
  thing: MeasuredThing,
  seen: SeenFrom = 'front',
): readonly (ThingLine & { lies: Affine })[] {
  return usedPicture(thing, flatOf(thing), seen).flatMap((line) =>
    line.lies ? { ...line, lies: line.lies } : [],
  );
}

/** Where a vector of the flat label points in the picture. */
function pointed({ lies }: { lies: Affine }, { x, y }: Point): Point {
  const [from, to] = [apply(lies, { x: 0, y: 0 }), apply(lies, { x, y })];
  return { x: to.x - from.x, y: to.y - from.y };
}

const box = { width: 90, depth: 30, height: 60, strip: 20, overlap: 12 } as const;

test.each([
  ['h', 1],
  ['w', 0],
  ['d', 1],
] as const)('around %s of a box the label goes over the edge between two faces', (around, fold) => {
  const thing = usualThing('band', { ...box, around });
  const [front, other] = facesOf(thing);
  if (!front || !other) throw new Error('no faces');
  for (const point of flatOf(thing).folds[fold] ?? []) {
    const [here, there] = [apply(front.lies, point), apply(other.lies, point)];
    expect(here.x).toBeCloseTo(there.x, 6);
    expect(here.y).toBeCloseTo(there.y, 6);
  }
});

test.each(['h', 'w', 'd'] as const)('words on a band around %s stand upright', (around) => {
  const thing = usualThing('band', { ...box, around });
  const turn = (flatOf(thing).reading * Math.PI) / 180;
  const [front] = facesOf(thing);
  if (!front) throw new Error('no face');
  const along = pointed(front, { x: Math.cos(turn), y: Math.sin(turn) });
  const down = pointed(front, { x: -Math.sin(turn), y: Math.cos(turn) });
  expect(along.x).toBeGreaterThan(0);
  expect(along.y).toBeCloseTo(0, 6);
  expect(down.y).toBeGreaterThan(0);
});

test.each([
  ['h', 'front', 'back'],
  ['w', 'front', 'back'],
  ['d', 'top', 'bottom'],
] as const)('turned around %s a box shows its %s where its %s was', (around, first, opposite) => {
  const thing = usualThing('band', { ...box, around });
  const flat = flatOf(thing);
  const middle = (name: string): Point => {
    const zone = flat.zones.find((one) => one.name === name);
    if (!zone) throw new Error(name);
    return zoneRoom(zone, flat.shape).centre;
  };
  const [front] = facesOf(thing);
  const [behind] = facesOf(thing, 'back');
  if (!front || !behind) throw new Error('no faces');
  const [here, there] = [apply(front.lies, middle(first)), apply(behind.lies, middle(opposite))];
  expect(there.x).toBeCloseTo(here.x, 6);
  expect(there.y).toBeCloseTo(here.y, 6);
});

test('from behind, words on the back of a band over the top stand upright, and go on over the top', () => {
  const thing = usualThing('band', { ...box, around: 'w' });
  const flat = flatOf(thing);
  const [back, top] = facesOf(thing, 'back');
  const zone = flat.zones.find(({ name }) => name === 'back');
  if (!back || !top || !zone) throw new Error('no back');
  const turn = (zone.reading * Math.PI) / 180;
  const along = pointed(back, { x: Math.cos(turn), y: Math.sin(turn) });
  const down = pointed(back, { x: -Math.sin(turn), y: Math.cos(turn) });
  expect(along.x).toBeGreaterThan(0);
  expect(along.y).toBeCloseTo(0, 6);
  expect(down.y).toBeGreaterThan(0);
  // The upper side of the top's first end is that of the back's last.
  const [height, depth] = [box.height, box.depth];
  const zoneOf = (name: string) =>
    zoneRoom(flat.zones.find((one) => one.name === name) ?? zone, flat.shape).centre;
  const end = apply(back.lies, { x: zoneOf('back').x + height / 2, y: zoneOf('back').y });
  const begin = apply(top.lies, { x: zoneOf('top').x - depth / 2, y: zoneOf('top').y });
  expect(end.x).toBeCloseTo(begin.x, 6);
  expect(end.y).toBeCloseTo(begin.y, 6);
});

test('of two bands the second begins at the edge where the first one ends', () => {
  const thing = usualThing('band', { ...box, overlap: 0, parts: 2 });
  const { width, height } = flatOf(thing);
  const [front, side] = facesOf(thing);
  if (!front || !side) throw new Error('no faces');
  const end = apply(front.lies, { x: width / 2, y: height / 2 });
  const start = apply(side.lies, { x: -width / 2, y: height / 2 });
  expect(start.x).toBeCloseTo(end.x, 6);
  expect(start.y).toBeCloseTo(end.y, 6);
});

test('the case of a disc is seen from its back with a spine, a slim one as its card', () => {
  const thing = usualThing('case', { width: 138, height: 118, spine: 6.5 });
  const [back, spine] = facesOf(thing);
  if (!back || !spine) throw new Error('no faces');
  const [middle, right] = [apply(back.lies, { x: 0, y: 0 }), apply(spine.lies, { x: 72, y: 0 })];
  expect(right.x).toBeGreaterThan(middle.x);
  // Both are drawn to one scale: 69 mm from the middle of the back to its edge.
  const edge = apply(spine.lies, { x: 69, y: 0 });
  expect(edge.x - middle.x).toBeCloseTo(69 * back.lies[0], 6);
  expect(facesOf(usualThing('case', { for: 'slim', spine: 0 }))).toHaveLength(1);
});

test('tipped back, a band over the top shows its bottom in front and its front above, both upright', () => {
  const thing = usualThing('band', { ...box, around: 'w' });
  const flat = flatOf(thing);
  expect(seenFrom(thing)).toEqual(['front', 'back', 'below']);
  const [bottom, front] = facesOf(thing, 'below');
  if (!bottom || !front) throw new Error('no faces');
  for (const [face, name] of [
    [bottom, 'bottom'],
    [front, 'front'],
  ] as const) {
    const zone = flat.zones.find((one) => one.name === name);
    if (!zone) throw new Error(name);
    const turn = (zone.reading * Math.PI) / 180;
    expect(pointed(face, { x: Math.cos(turn), y: Math.sin(turn) }).x).toBeGreaterThan(0);
    expect(pointed(face, { x: -Math.sin(turn), y: Math.cos(turn) }).y).toBeGreaterThan(0);
  }
  // They share the edge between them.
  for (const point of flat.folds[1] ?? []) {
    const [here, there] = [apply(bottom.lies, point), apply(front.lies, point)];
    expect(here.x).toBeCloseTo(there.x, 6);
    expect(here.y).toBeCloseTo(there.y, 6);
  }
});

test('of a folded tag each leaf is seen on its own side, upright', () => {
  const thing = usualThing('tag', { sides: 'fold' });
  const { height } = flatOf(thing);
  const [front] = facesOf(thing);
  const [back] = facesOf(thing, 'back');
  if (!front || !back) throw new Error('no leaf');
  const [middle, behind] = [
    apply(front.lies, { x: 0, y: -height / 4 }),
    apply(back.lies, { x: 0, y: height / 4 }),
  ];
  expect(behind.x).toBeCloseTo(middle.x, 6);
  expect(behind.y).toBeCloseTo(middle.y, 6);
  // The end below, which is folded up, is above there.
  expect(pointed(front, { x: 0, y: 1 }).y).toBeGreaterThan(0);
  expect(pointed(back, { x: 0, y: 1 }).y).toBeLessThan(0);
});
