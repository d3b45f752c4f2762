import fc from 'fast-check';
import {
  boxOf,
  boxOfRings,
  flatten,
  signedArea,
  type Point,
  type Ring,
} from '../geometry/index.ts';
import { shapePath } from '../shape/index.ts';
import { problemText, sizeWarningText } from '../../messages/index.ts';
import {
  domeSurplus,
  THING_KINDS,
  trySize,
  usualThing,
  type FlatSize,
  type MeasuredThing,
} from './index.ts';

const { atan2, hypot } = Math; // a look-up of a global is slow here
const sized = (thing: MeasuredThing): FlatSize => {
  const size = trySize(thing);
  if (!size.ok) throw new Error(size.problem.code);
  return size.value;
};
const refused = (thing: MeasuredThing): string => {
  const size = trySize(thing);
  return size.ok ? '' : problemText(size.problem).what;
};
const area = (rings: readonly Ring[]): number =>
  Math.abs(rings.reduce((sum, ring) => sum + signedArea(ring), 0));
const zoneWidth = (flat: FlatSize, name: string): number =>
  flat.zones
    .filter((zone) => zone.name === name)
    .reduce((sum, { rings }) => {
      const box = boxOfRings(rings);
      return sum + (box ? box.right - box.left : 0);
    }, 0);

test.each(THING_KINDS)('a usual %s fills its outline, with its zones inside', (kind) => {
  const flat = sized(usualThing(kind));
  const outline = flatten(shapePath(flat.shape), 0.005);
  const box = boxOfRings(outline);
  expect((box?.right ?? 0) - (box?.left ?? 0)).toBeCloseTo(flat.width, 2);
  expect((box?.bottom ?? 0) - (box?.top ?? 0)).toBeCloseTo(flat.height, 2);
  expect(flat.warnings).toEqual([]);
  for (const point of flat.zones.flatMap(({ rings }) => rings.flat())) {
    expect(Math.abs(point.x)).toBeLessThanOrEqual(flat.width / 2 + 0.01);
    expect(Math.abs(point.y)).toBeLessThanOrEqual(flat.height / 2 + 0.01);
  }
});

describe('lid', () => {
  test('67 mm with 4.5 mm bare all round take a round label of 58 mm', () => {
    expect(sized(usualThing('lid')).shape).toEqual({ kind: 'circle', diameter: 58 });
  });

  test('a tape around it is divided by π', () => {
    const around = usualThing('lid', { measured: 'circumference', size: 210.487, clearance: 0 });
    expect(sized(around).width).toBeCloseTo(67, 3);
  });

  test('a clearance that eats the label is named with both numbers', () => {
    expect(refused(usualThing('lid', { size: 40, clearance: 20 }))).toBe(
      'A clearance of 20 mm on each side leaves nothing of 40 mm.',
    );
  });

  test('a dome wrinkles paper when its rim has more than a hundredth too much', () => {
    // A half ball of 100 mm: a disc that reaches the equator has π/2 times the rim that fits there.
    expect(domeSurplus({ across: 100, height: 50 }, 50 * Math.PI)).toBeCloseTo(Math.PI / 2 - 1, 9);
    expect(domeSurplus({ across: 100, height: 0 }, 100)).toBe(0);
    // Flat domes: the surplus is (a/ρ)²/6 with the sphere's radius ρ = (a² + h²) / 2h.
    const sphere = (25 * 25 + 3 * 3) / 6;
    expect(domeSurplus({ across: 50, height: 3 }, 50)).toBeCloseTo((25 / sphere) ** 2 / 6, 3);
    expect(sized(usualThing('lid', { dome: 2 })).warnings).toEqual([]);
    expect(sized(usualThing('lid', { dome: 8 })).warnings.map(sizeWarningText)[0]).toContain(
      'wrinkle',
    );
  });
});

describe('wrap', () => {
  test('a jar of 72 mm takes π times as much, its overlap and its wall', () => {
    const flat = sized(usualThing('wrap'));
    expect(flat.width).toBeCloseTo(226.195 + 10, 3);
    expect(flat.height).toBe(76);
    expect(zoneWidth(flat, 'front')).toBeCloseTo(226.195 / 3, 2);
    expect(zoneWidth(flat, 'back')).toBeCloseTo(226.195 / 3, 2);
    expect(zoneWidth(flat, 'overlap')).toBeCloseTo(10, 9);
  });

  test('half of the way round has no back, and an overlap only if one is asked for', () => {
    const flat = sized(usualThing('wrap', { angle: 180, overlap: 0 }));
    expect(flat.width).toBeCloseTo(113.097, 3);
    expect(flat.zones.map(({ name }) => name)).toEqual(['side', 'front', 'side']);
  });

  test('in two parts each is half of the way and an overlap', () => {
    const flat = sized(usualThing('wrap', { parts: 2 }));
    expect([flat.parts, flat.width]).toEqual([2, expect.closeTo(226.195 / 2 + 10, 3)]);
  });

  test('a short overlap is said', () => {
    expect(sized(usualThing('wrap', { overlap: 3 })).warnings.map(sizeWarningText)[0]).toContain(
      '3 mm is short',
    );
    expect(sized(usualThing('wrap', { overlap: 0 })).warnings.map(sizeWarningText)[0]).toContain(
      'only meet',
    );
  });
});

/**
 * Rolls a bent band onto a cone: the apex stays, and turning by the whole wall brings an end onto the
 * other. Where the point of the flat label comes to lie on the wall.
 */
function rolled(
  { x, y }: Point,
  apex: Point,
  cone: { top: number; bottom: number; slant: number },
): { turn: number; radius: number; down: number } {
  const reach = hypot(x - apex.x, y - apex.y);
  const wide = Math.max(cone.top, cone.bottom);
  const full = (Math.PI * Math.abs(cone.top - cone.bottom)) / cone.slant;
  const far = (cone.slant * wide) / Math.abs(cone.top - cone.bottom);
  const up = cone.top > cone.bottom ? apex.y - y : y - apex.y;
  const flatTurn = atan2(x - apex.x, up);
  return {
    turn: (flatTurn / full) * 360,
    radius: (reach / far) * (wide / 2),
    down: far - reach,
  };
}

describe('taper', () => {
  test('a pot of 90, 65 and 80 mm: slant, radius and angle worked by hand', () => {
    const { shape } = sized(usualThing('taper', { overlap: 0 }));
    if (shape.kind !== 'arc') throw new Error('not bent');
    expect(shape.slant).toBeCloseTo(80.9707, 4); // √(80² + 12.5²)
    expect(shape.radius).toBeCloseTo(291.4944, 3); // 80.9707 · 90 / 25
    expect(shape.angle).toBeCloseTo(55.5757, 3); // 180 · 25 / 80.9707
    expect(shape.wide).toBe('top');
  });

  test('rolled up, any pot meets itself and follows both rims within 0.05 mm', () => {
    const side = fc.double({ min: 20, max: 240, noNaN: true });
    fc.assert(
      fc.property(
        side,
        side,
        fc.double({ min: 20, max: 200, noNaN: true }),
        (top, bottom, size) => {
          fc.pre(Math.abs(top - bottom) > 1 && Math.abs(top - bottom) < size * 1.5);
          const flat = sized(usualThing('taper', { top, bottom, size, overlap: 0 }));
          if (flat.shape.kind !== 'arc') return false;
          const ring = flatten(shapePath(flat.shape), 0.005)[0] ?? [];
          const slant = Math.hypot(size, (top - bottom) / 2);
          // The apex: below the label when the pot is wider at its top.
          const sign = top > bottom ? 1 : -1;
          const box = boxOf(ring) ?? { top: 0, bottom: 0 };
          const far = (slant * Math.max(top, bottom)) / Math.abs(top - bottom);
          const apex = { x: 0, y: sign > 0 ? box.top + far : box.bottom - far };
          const places = ring.map((point) => rolled(point, apex, { top, bottom, slant }));
          const [wide, narrow] = [Math.max(top, bottom) / 2, Math.min(top, bottom) / 2];
          const ends = places.filter(({ turn }) => Math.abs(Math.abs(turn) - 180) < 0.05);
          return (
            places.every(({ radius }) => radius > narrow - 0.05 && radius < wide + 0.05) &&
            places.every(
              ({ turn }) => Math.abs(turn) * (Math.PI / 180) * wide < Math.PI * wide + 0.05,
            ) &&
            ends.length >= 4 &&
            places.some(({ radius }) => Math.abs(radius - wide) < 0.05) &&
            places.some(({ radius }) => Math.abs(radius - narrow) < 0.05)
          );
        },
      ),
      { numRuns: 60, endOnFailure: true },
    );
  });

  test('its paper is the wall’s area, and the overlap is nowhere less than asked', () => {
    const flat = sized(usualThing('taper'));
    const own = flat.zones.filter(({ name }) => name !== 'overlap');
    const wall = (Math.PI * (90 + 65) * 80.9707) / 2; // lateral area of a frustum
    expect(own.reduce((sum, { rings }) => sum + area(rings), 0) / wall).toBeCloseTo(1, 3);
    const over = flat.zones.find(({ name }) => name === 'overlap');
    const inner =
      (291.4945 - 80.9707) * ((flat.shape.kind === 'arc' ? flat.shape.angle : 0) - 55.5756);
    expect((inner * Math.PI) / 180).toBeCloseTo(10, 2);
    expect(area(over?.rings ?? [])).toBeGreaterThan(10 * 80.9707);
  });

  test('a wall that is as good as straight takes a straight label', () => {
    const flat = sized(usualThing('taper', { top: 80, bottom: 80.05 }));
    expect(flat.shape.kind).toBe('rectangle');
    expect(flat.width).toBeCloseTo(Math.PI * 80.025 + 10, 3);
  });

  test('a slant shorter than the lean and a cone that is nearly flat are refused', () => {
    const bad = usualThing('taper', { measured: 'slant', size: 10 });
    expect(refused(bad)).toContain('cannot reach from 90 mm to 65 mm');
    expect(refused(usualThing('taper', { top: 300, bottom: 10, size: 5 }))).toContain('so flat');
  });

  test('wider at the bottom bends the other way', () => {
    const up = sized(usualThing('taper', { top: 90, bottom: 65 }));
    const down = sized(usualThing('taper', { top: 65, bottom: 90 }));
    expect(down).toMatchObject({ width: up.width, height: up.height });
    expect(down.shape).toMatchObject({ wide: 'bottom' });
  });
});

const BOX = { width: 120, depth: 35, height: 80, strip: 40 };

describe('band', () => {
  test.each([
    ['h', 2 * (120 + 35), [35, 120, 35, 120], 80],
    ['w', 2 * (80 + 35), [35, 80, 35, 80], 120],
    ['d', 2 * (120 + 80), [80, 120, 80, 120], 35],
  ] as const)(
    'around %s: the girth, the panels and the side it lies along',
    (around, girth, panels, along) => {
      const flat = sized(usualThing('band', { ...BOX, around, strip: null }));
      expect(flat.width).toBeCloseTo(girth + 12, 9);
      expect(flat.height).toBe(along);
      const widths = flat.zones.map(({ rings }) => {
        const box = boxOfRings(rings);
        return (box?.right ?? 0) - (box?.left ?? 0);
      });
      expect(widths.map((width) => Math.round(width * 1e6) / 1e6)).toEqual([...panels, 12]);
      expect(flat.folds).toHaveLength(4);
    },
  );

  test('folded at its lines it comes back to where it began', () => {
    const flat = sized(usualThing('band', { ...BOX, overlap: 0 }));
    const marks = [-flat.width / 2, ...flat.folds.map((fold) => fold[0]?.x ?? 0), flat.width / 2];
    let [x, y, turn] = [0, 0, 0];
    for (let at = 0; at + 1 < marks.length; at++) {
      const length = (marks[at + 1] ?? 0) - (marks[at] ?? 0);
      x += length * Math.cos(turn);
      y += length * Math.sin(turn);
      turn += Math.PI / 2;
    }
    expect(Math.hypot(x, y)).toBeLessThan(1e-9);
  });

  test('a strip is as high as it is asked for, and is told when it stands over', () => {
    expect(sized(usualThing('band', BOX)).height).toBe(40);
    expect(
      sized(usualThing('band', { ...BOX, strip: 90 })).warnings.map(sizeWarningText)[0],
    ).toContain('wider than the 80 mm');
  });

  test('an inside flap is a panel more', () => {
    const flat = sized(usualThing('band', { ...BOX, flap: 30 }));
    expect(flat.width).toBeCloseTo(310 + 12 + 30, 9);
    expect(flat.zones[flat.zones.length - 1]?.name).toBe('flap');
  });

  test('in two it is divided at the folds, each half with an overlap', () => {
    const flat = sized(usualThing('band', { ...BOX, parts: 2 }));
    expect([flat.parts, flat.width]).toEqual([2, 120 + 35 + 12]);
    expect(flat.zones.map(({ name }) => name)).toEqual(['side', 'front', 'overlap']);
  });
});

describe('flat things', () => {
  test('round corners of a face follow its clearance inwards', () => {
    const flat = sized(usualThing('face', { width: 80, height: 110, radius: 6, clearance: 2 }));
    expect(flat.shape).toEqual({ kind: 'rectangle', width: 76, height: 106, radius: 4 });
  });

  test('a radius that swallows the side is said', () => {
    const flat = sized(usualThing('face', { width: 20, height: 60, radius: 15, clearance: 0 }));
    expect(flat.warnings).toHaveLength(1);
    expect(flat.shape).toMatchObject({ radius: 10 });
  });

  test('a hem lies outside the finished edge and is folded along it', () => {
    for (const thing of [
      usualThing('face', { width: 80, height: 50, radius: 0, clearance: 0, allowance: 5 }),
      usualThing('own', { width: 80, height: 50, allowance: 5 }),
    ]) {
      const flat = sized(thing);
      expect([flat.width, flat.height]).toEqual([90, 60]);
      expect(flat.folds).toHaveLength(4);
      const [front, hem] = flat.zones;
      expect(area(front?.rings ?? [])).toBeCloseTo(80 * 50, 6);
      expect(area(hem?.rings ?? [])).toBeCloseTo(90 * 60 - 80 * 50, 6);
    }
  });

  test('a tag is the outline less its hole, and a fold-over is two of them in one', () => {
    const single = sized(usualThing('tag'));
    const whole = area(flatten(shapePath(single.shape), 0.002));
    expect(whole).toBeCloseTo(50 * 90 - 10 * 10 - Math.PI * 2.5 * 2.5, 1);
    const double = sized(usualThing('tag', { sides: 'fold' }));
    expect(double.height).toBe(180);
    expect(double.folds).toEqual([
      [
        { x: -25, y: 0 },
        { x: 25, y: 0 },
      ],
    ]);
    expect(double.shape).toMatchObject({ holes: [{ y: -82.5 }, { y: 82.5 }] });
  });

  test('a hole too near the rim is said with what it needs', () => {
    expect(sized(usualThing('tag', { rim: 1 })).warnings.map(sizeWarningText)[0]).toContain(
      '1 mm from the edge',
    );
    expect(sized(usualThing('tag', { hole: 48 })).warnings.map(sizeWarningText)[0]).toContain(
      '1 mm from the edge',
    );
    expect(sized(usualThing('tag', { opening: 'none', rim: 0 })).warnings).toEqual([]);
  });

  test('a disc is a ring from its print’s start to its rim', () => {
    const flat = sized(usualThing('disc', { outer: 120, inner: 15, hub: 15 }));
    expect(area(flatten(shapePath(flat.shape), 0.002)) / (Math.PI * (3600 - 56.25))).toBeCloseTo(
      1,
      3,
    );
    expect(refused(usualThing('disc', { outer: 20, inner: 30 }))).toContain('leaves nothing');
  });

  test('a case’s insert has a folded spine at each side, a slim one none', () => {
    const insert = sized(usualThing('case'));
    expect(insert.width).toBe(138 + 13);
    expect(insert.folds.map((fold) => fold[0]?.x)).toEqual([-69, 69]);
    expect(sized(usualThing('case', { for: 'slim', spine: 0 })).folds).toEqual([]);
  });

  test('a picture keeps its shape at an exact side', () => {
    const sleeve = usualThing('picture', { measured: 'height', size: 212, ratio: 0.75 });
    expect(sized(sleeve)).toMatchObject({ width: 159, height: 212 });
  });

  test('a seal is round, an address is not', () => {
    const seal = usualThing('envelope', { use: 'seal', width: 30, height: 30 });
    expect(sized(seal).shape).toEqual({ kind: 'circle', diameter: 30 });
    expect(sized(usualThing('envelope')).shape).toMatchObject({ width: 99, height: 38 });
  });
});

describe('what was passed over', () => {
  const tag = (given: Partial<Extract<MeasuredThing, { kind: 'tag' }>>): readonly string[] =>
    sized(usualThing('tag', given)).warnings.map(sizeWarningText);

  test('a hole is measured to every part of the edge: outside, at a clipped corner, at the foot, at a fold', () => {
    expect(tag({})).toEqual([]);
    expect(tag({ rim: 300 })).toEqual(['The hole reaches over the edge of the tag.']);
    // 50 wide, clipped by 24: at 6 mm from the top the slope stands 7 mm from the middle, 2.5 of it hole.
    expect(tag({ corner: 24, rim: 3.5 })).toEqual([
      expect.stringMatching(/^The hole is 2\.\d mm from the edge/),
    ]);
    expect(tag({ height: 40, corner: 0, rim: 34 })).toEqual([
      'The hole is 1 mm from the edge and would tear out: leave 3 mm.',
    ]);
    expect(tag({ sides: 'fold', height: 40, corner: 0, rim: 34 })).toHaveLength(1);
    expect(tag({ sides: 'fold', height: 40, corner: 0, rim: 44 })).toHaveLength(1);
  });

  test('a label of 200 m is refused, one of 2 m is not', () => {
    expect(refused(usualThing('wrap', { size: 2000, angle: 360 }))).toContain('The label would be');
    expect(refused(usualThing('own', { width: 2000, height: 2000 }))).toBe('');
    expect(refused(usualThing('own', { width: 2000, height: 2000, allowance: 500 }))).not.toBe('');
    expect(
      refused(usualThing('taper', { top: 2000, bottom: 1999, size: 100, overlap: 0 })),
    ).not.toBe('');
  });

  test('a hem keeps round corners and goes around ovals', () => {
    const face = usualThing('face', {
      width: 60,
      height: 40,
      radius: 6,
      clearance: 0,
      allowance: 5,
    });
    expect(sized(face).shape).toEqual({ kind: 'rectangle', width: 70, height: 50, radius: 11 });
    const oval = usualThing('own', { shape: 'ellipse', width: 60, height: 40, allowance: 5 });
    expect(sized(oval)).toMatchObject({ width: 70, height: 50, shape: { kind: 'ellipse' } });
    expect(sized(oval).zones.map(({ name }) => name)).toEqual(['front', 'hem']);
    const [front] = sized(oval).zones;
    expect(Math.abs(area(front?.rings ?? []) - Math.PI * 30 * 20)).toBeLessThan(1.5);
    const round = usualThing('own', { shape: 'circle', width: 60, height: 60, allowance: 5 });
    expect(sized(round).shape).toEqual({ kind: 'circle', diameter: 70 });
  });

  test('a slim case has the spine that was measured', () => {
    const slim = sized(usualThing('case', { for: 'slim', width: 120, height: 120, spine: 4 }));
    expect([slim.width, slim.folds.length]).toEqual([124, 1]);
    expect(slim.zones.map(({ name }) => name)).toEqual(['spine', 'front']);
  });

  test('an overlap that is longer than the label is told of a bent one, too', () => {
    const short = usualThing('taper', { angle: 20, overlap: 40 });
    expect(sized(short).warnings.map(sizeWarningText)).toEqual([
      'An overlap of 40 mm is more than the label itself is wide.',
    ]);
  });
});
