import { luminance, contrastRatio, rgbOf } from '../color/index.ts';
import { createJob, runCommand } from '../job/index.ts';
import { isProblem } from '../base/index.ts';
import { elementSize, type PieceElement } from '../piece/index.ts';
import type { EdgeShape } from '../shape/index.ts';
import { problemText } from '../../messages/index.ts';
import {
  DESIGN_COLORS,
  DESIGN_FACES,
  designsFor,
  houseStyleSchema,
  makeDesign,
  NO_HOUSE_STYLE,
  roomOf,
  type Designed,
  type DesignName,
  type LabelGiven,
} from './index.ts';

const EDGES: Readonly<Record<string, EdgeShape>> = {
  round: { kind: 'circle', diameter: 58 },
  wide: { kind: 'rectangle', width: 120, height: 40, radius: 2 },
  tall: { kind: 'rectangle', width: 40, height: 90, radius: 2 },
  tiny: { kind: 'circle', diameter: 16 },
  disc: { kind: 'ring', outer: 114, inner: 30 } as EdgeShape,
  band: { kind: 'arc', radius: 300, slant: 80, angle: 50, wide: 'top' },
};
const [colors, faces] = [DESIGN_COLORS[0], DESIGN_FACES[0]];
if (!colors || !faces) throw new Error('no palettes');
const given = (changes: Partial<LabelGiven> = {}): LabelGiven => ({
  words: { name: 'Sea Holly', line: 'sow in spring', maker: 'Thistle & Fen' },
  colors,
  faces,
  ...changes,
});
const made = (name: DesignName, edge: EdgeShape, changes: Partial<LabelGiven> = {}): Designed =>
  makeDesign(name, given(changes), { edge, front: { room: roomOf(edge, 2) }, spines: [] });

test('there are at least twenty designs, and some for a disc with a hole', () => {
  expect(designsFor({ hollow: false }).length).toBeGreaterThanOrEqual(20);
  expect(designsFor({ hollow: true }).length).toBeGreaterThan(0);
});

test('a room is the largest box that is safe: square in a disc, all of a rectangle but its inset', () => {
  const round = roomOf({ kind: 'circle', diameter: 58 }, 2);
  expect(round.radius).toBe(27);
  expect(round.width).toBeCloseTo(round.height, 6);
  // The square in the safe circle, 38.2 mm, and a little more.
  expect(round.width).toBeGreaterThan(38);
  expect(round.width).toBeLessThan(46);
  const wide = roomOf({ kind: 'rectangle', width: 90, height: 45, radius: 0 }, 3);
  expect(wide.width).toBeGreaterThan(75);
  expect(wide.height).toBeLessThanOrEqual(39);
  const tag = roomOf(
    {
      kind: 'tag',
      width: 50,
      height: 90,
      corner: 8,
      corners: 'clipped',
      which: 'top',
      holes: [{ x: 0, y: -38, width: 5, height: 5 }],
    } as EdgeShape,
    2,
  );
  expect(tag.centre.y).toBeGreaterThan(0);
  expect(tag.centre.y - tag.height / 2).toBeGreaterThan(-34);
});

test.each(Object.entries(EDGES))('every design can be put on a %s piece', (_, edge) => {
  const room = roomOf(edge, 2);
  for (const name of designsFor(room)) {
    const label = made(name, edge);
    const job = runCommand(createJob('own', { id: 'j', today: '2026-04-18' }), {
      name: 'set-artwork',
      args: { piece: 'piece-1', ...label },
    });
    expect([name, isProblem(job) ? problemText(job).what : 'fits']).toEqual([name, 'fits']);
    expect(label.elements.length).toBeGreaterThan(0);
    for (const element of label.elements) {
      const { width, height } = elementSize(element);
      expect(Number.isFinite(width * height * element.x * element.y)).toBe(true);
    }
  }
});

test('a design says the name that it is given and shows the picture, or something in its place', () => {
  const shown = (elements: readonly PieceElement[]): string[] =>
    elements.flatMap((one) => (one.kind === 'words' ? [one.text] : []));
  for (const name of designsFor({ hollow: false })) {
    const { elements } = made(name, EDGES.round as EdgeShape);
    expect([name, shown(elements).includes('Sea Holly')]).toEqual([name, true]);
  }
  const picture = { art: 'a'.repeat(64), ratio: 0.8 };
  const { elements } = made('seal', EDGES.round as EdgeShape, { picture });
  const framed = elements.find((one) => one.kind === 'picture');
  expect(framed?.kind === 'picture' && framed.width / framed.height).toBeCloseTo(0.8, 1);
  const words = { name: 'Sea Holly', line: '', maker: ' ' };
  const bare = made('quiet', EDGES.wide as EdgeShape, { words });
  expect(shown(bare.elements)).toEqual(['Sea Holly']);
});

test('on a bent band words follow the bend', () => {
  const { elements } = made('quiet', EDGES.band as EdgeShape);
  const words = elements.filter(({ kind }) => kind === 'words');
  expect(words.length).toBeGreaterThan(1);
  for (const one of words)
    if (one.kind === 'words') expect(one.path).toMatchObject({ kind: 'arc', edge: true });
});

test.each(DESIGN_COLORS.map((one) => [one.name, one] as const))(
  'in the palette %s ink stands out from ground and soft colour',
  (_, { ground, ink, soft }) => {
    const ratio = (one: string, other: string): number =>
      contrastRatio(luminance(rgbOf(one)), luminance(rgbOf(other)));
    expect(ratio(ground, ink)).toBeGreaterThan(7);
    expect(ratio(soft, ink)).toBeGreaterThan(4.5);
  },
);

test('a house style that is damaged is refused as a whole', () => {
  expect(houseStyleSchema.safeParse(NO_HOUSE_STYLE).success).toBe(true);
  const palettes = [{ name: 'x', colors: ['#112233', 'blue'] }];
  expect(houseStyleSchema.safeParse({ ...NO_HOUSE_STYLE, palettes }).success).toBe(false);
});
