import { expectOk } from '../base/index.ts';
import { arcPoint, type ArcShape } from '../shape/index.ts';
import {
  dividingZones,
  isReadable,
  mainZone,
  THING_KINDS,
  trySize,
  usualThing,
  zoneAt,
  zoneRoom,
  type FlatSize,
  type MeasuredThing,
} from './index.ts';

const sized = (thing: MeasuredThing): FlatSize => expectOk(trySize(thing));
const named = (flat: FlatSize, name: string) => {
  const zone = flat.zones.find((one) => one.name === name);
  if (!zone) throw new Error(name);
  return zone;
};

const BOX = { width: 90, depth: 30, height: 60, overlap: 12, strip: 30 } as const;

test('over the top of a box the front is read towards its top, the back the other way round', () => {
  const flat = sized(usualThing('band', { ...BOX, around: 'w' }));
  const front = zoneRoom(named(flat, 'front'), flat.shape);
  // Of 30, 60, 30 and 60 mm and 12 mm of overlap; what is up on the box points to the left here.
  expect(front).toEqual({
    centre: { x: -192 / 2 + 30 + 30, y: 0 },
    width: 30,
    height: 60,
    angle: 270,
    bent: false,
  });
  expect(flat.zones.map(({ reading }) => reading)).toEqual([270, 270, 270, 90, 0]);
  expect(flat.reading).toBe(270);
});

test('around a box, on a fold-over tag and on a case words stand as their part is looked at', () => {
  const around = sized(usualThing('band', { ...BOX, around: 'h' }));
  expect(around.zones.map(({ name, reading }) => `${name} ${reading}`)).toEqual([
    'side 0',
    'front 0',
    'side 0',
    'back 0',
    'overlap 0',
  ]);
  // Its holes lie at both ends: folded up, the lower half hangs upside down.
  const tag = sized(usualThing('tag', { sides: 'fold' }));
  expect(zoneRoom(named(tag, 'front'), tag.shape)).toMatchObject({ centre: { y: -45 }, angle: 0 });
  expect(zoneRoom(named(tag, 'back'), tag.shape)).toMatchObject({ centre: { y: 45 }, angle: 180 });
  const spine = zoneRoom(named(sized(usualThing('case')), 'spine'), {
    kind: 'circle',
    diameter: 1,
  });
  expect(spine).toMatchObject({ width: 118, height: 6.5, angle: 90 });
  // As a whole a label is read as the part that is looked at first.
  expect(sized(usualThing('case')).reading).toBe(0);
});

test.each([
  ['top', 110, 80],
  ['bottom', 80, 110],
] as const)(
  'on a pot that is wide at its %s zones are bent, and turned about its apex',
  (wide, top, bottom) => {
    const thing = usualThing('taper', { top, bottom, measured: 'slant', size: 95, overlap: 10 });
    const flat = sized(thing);
    const arc = flat.shape as ArcShape;
    expect(arc.wide).toBe(wide);
    const front = zoneRoom(named(flat, 'front'), arc);
    // A third of the way around at half height: π · 95 / 3.
    expect(front.width).toBeCloseTo((Math.PI * 95) / 3, 6);
    expect(front.height).toBeCloseTo(95, 9);
    // The overlap hangs on at the end, so that the front lies a little before the middle.
    const before = -((10 / (arc.radius - arc.slant)) * 90) / Math.PI;
    expect(front.angle).toBeCloseTo(wide === 'top' ? before : -before, 9);
    expect(front.centre.x).toBeCloseTo(arcPoint(arc, before, arc.slant / 2).x, 9);
    // What is up points away from the apex of a cone that is wide at its top.
    const apex = arcPoint(arc, 0, arc.radius);
    const turn = (front.angle * Math.PI) / 180;
    const up = { x: Math.sin(turn), y: -Math.cos(turn) };
    const out = { x: front.centre.x - apex.x, y: front.centre.y - apex.y };
    const length = Math.hypot(out.x, out.y) * (wide === 'top' ? 1 : -1);
    expect(up.x).toBeCloseTo(out.x / length, 9);
    expect(up.y).toBeCloseTo(out.y / length, 9);
  },
);

test.each(THING_KINDS)(
  'a usual %s has a zone to begin in, which is found at its middle',
  (kind) => {
    const flat = sized(usualThing(kind));
    const main = mainZone(flat.zones);
    if (!main) throw new Error(kind);
    expect(isReadable(main)).toBe(true);
    const { centre, width, height } = zoneRoom(main, flat.shape);
    expect(Math.min(width, height)).toBeGreaterThan(5);
    // The middle of a disc is a hole.
    if (kind !== 'disc') expect(zoneAt(flat.zones, centre)).toBe(main);
    expect(zoneAt(flat.zones, { x: 5000, y: 0 })).toBeUndefined();
  },
);

test('a label that is all one, two sides of a tag and the hub of a disc are not divided', () => {
  const count = (thing: MeasuredThing): number => dividingZones(sized(thing).zones).length;
  expect(count(usualThing('lid'))).toBe(0);
  expect(count(usualThing('tag', { sides: '2' }))).toBe(0);
  expect(count(usualThing('disc'))).toBe(0);
  expect(count(usualThing('tag', { sides: 'fold' }))).toBe(2);
  expect(count(usualThing('wrap', { angle: 360, overlap: 10 }))).toBe(6);
  expect(count(usualThing('own', { allowance: 5 }))).toBe(2);
});
