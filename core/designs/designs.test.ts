import { luminance, contrastRatio, rgbOf } from '../color/index.ts';
import type { PieceElement } from '../piece/index.ts';
import type { EdgeShape } from '../shape/index.ts';
import { NAMES } from '../testing/designed-label.ts';
import { usualThing, type MeasuredThing } from '../things/index.ts';
import { createJob, runCommand } from '../job/index.ts';
import { isProblem } from '../base/index.ts';
import {
  DESIGN_COLORS,
  DESIGN_FACES,
  DESIGN_FAMILIES,
  designsFor,
  fieldsOfUse,
  houseStyleSchema,
  LABEL_USES,
  labelRooms,
  makeDesign,
  NO_HOUSE_STYLE,
  roomOf,
  type Designed,
  type DesignName,
  type LabelGiven,
} from './index.ts';

const [colors, faces] = [DESIGN_COLORS[0], DESIGN_FACES[0]];
if (!colors || !faces) throw new Error('no palettes');
const look = { colors, faces };
const SAYS = { name: 'Sea Holly', line: 'sow in spring', maker: 'Thistle & Fen' };
const lid = usualThing('lid', { size: 67, clearance: 4.5 });
/** A design on the label of a thing, 2 mm safe. */
function made(
  name: DesignName,
  thing: MeasuredThing = lid,
  changes: Partial<LabelGiven> = {},
): Designed {
  const job = runCommand(createJob('lid', { id: 'j', today: '2026-04-18' }), {
    name: 'measure-thing',
    args: { thing },
  });
  const piece = isProblem(job) ? undefined : job.pieces[0];
  if (!piece) throw new Error('no piece');
  const rooms = labelRooms(thing, piece.edge, piece.safe);
  return makeDesign(name, { says: SAYS, names: NAMES, ...look, ...changes }, rooms);
}
const texts = (elements: readonly PieceElement[]): string[] =>
  elements.flatMap((one) => (one.kind === 'words' ? [one.text] : []));
const fieldsIn = ({ elements }: Designed): Set<string | undefined> =>
  new Set(elements.map(({ field }) => field));

test('there are more than forty designs, and several of each manner and for each use', () => {
  expect(designsFor().length).toBeGreaterThanOrEqual(40);
  expect(new Set(designsFor()).size).toBe(designsFor().length);
  for (const family of DESIGN_FAMILIES)
    expect([family, designsFor({ family }).length >= 5]).toEqual([family, true]);
  for (const use of LABEL_USES)
    expect([use, designsFor({ use }).length >= 10]).toEqual([use, true]);
  const both = designsFor({ use: 'plants', family: 'cloth' });
  expect(both.length).toBeGreaterThan(0);
  for (const name of both) expect(designsFor({ use: 'plants' })).toContain(name);
  // The first are unlike each other: one of each manner.
  expect(designsFor().slice(0, 2)).toEqual(['seal', 'quiet']);
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

test('a wide ring has its front above the hole and the rest below; a narrow one its rim alone', () => {
  const disc = usualThing('disc', { outer: 116, inner: 30, hub: 15 });
  const wide = labelRooms(disc, { kind: 'ring', outer: 116, inner: 30 } as EdgeShape, 2);
  expect(wide.front.room.hollow).toBe(false);
  const { centre, height, width } = wide.front.room;
  // Outside the hole's 17 mm and inside the rim's 56 mm, corners and all.
  expect(-centre.y - height / 2).toBeGreaterThan(17);
  expect(Math.hypot(width / 2, -centre.y + height / 2)).toBeLessThanOrEqual(56.001);
  expect(wide.foot?.room.centre.y).toBeCloseTo(-centre.y, 6);
  const narrow = labelRooms(disc, { kind: 'ring', outer: 50, inner: 30 } as EdgeShape, 2);
  expect(narrow.front.room.hollow).toBe(true);
  const around = made('gingham', usualThing('disc', { outer: 50, inner: 30 })).elements;
  expect(around.map((one) => one.kind === 'words' && one.path.kind)).toEqual(['circle', 'circle']);
});

test('a design says the name that it is given and shows the picture, or something in its place', () => {
  for (const name of designsFor())
    expect([name, texts(made(name).elements).includes('Sea Holly')]).toEqual([name, true]);
  const picture = { art: 'a'.repeat(64), ratio: 0.8 };
  const { elements } = made('seal', lid, { picture });
  const framed = elements.find((one) => one.kind === 'picture');
  expect(framed?.kind === 'picture' && framed.width / framed.height).toBeCloseTo(0.8, 1);
});

test('what is not said leaves no gap: what remains stands in the middle', () => {
  const says = { name: 'Sea Holly', line: '', maker: ' ' };
  const { elements } = made('quiet', usualThing('face', { width: 90, height: 50 }), { says });
  expect(texts(elements)).toEqual(['Sea Holly']);
  expect(elements[0]?.y).toBeCloseTo(0, 1);
  expect(elements.some(({ kind }) => kind === 'ornament')).toBe(false);
});

test('each field is an element that knows it; named ones are printed with their name', () => {
  const says = {
    ...SAYS,
    ingredients: 'oats, honey',
    batch: '17',
    amount: '40 g',
    price: '3.50',
    code: '4006381333931',
  };
  const names = { ...NAMES, ingredients: 'Zutaten' };
  const label = made('quiet', usualThing('face', { width: 90, height: 60 }), {
    ...{ says, names, emphasis: ['oats'] },
  });
  expect([...fieldsIn(label)].filter(Boolean).sort()).toEqual(
    ['amount', 'batch', 'code', 'ingredients', 'line', 'maker', 'name', 'price'].sort(),
  );
  const ingredients = label.elements.find(({ field }) => field === 'ingredients');
  expect(ingredients).toMatchObject({
    text: 'oats, honey',
    list: { heading: 'Zutaten', runsIn: true },
    emphasis: ['oats'],
  });
  expect(label.elements.find(({ field }) => field === 'amount')).not.toHaveProperty('list');
  // Thirteen digits of trade are bars, an address is a square code.
  const symbologyOf = (code: string): unknown => {
    const one = made('quiet', usualThing('face'), { says: { ...says, code } }).elements.find(
      ({ kind }) => kind === 'code',
    );
    return one?.kind === 'code' && one.symbology;
  };
  expect(symbologyOf('4006381333931')).toBe('ean-13');
  expect(symbologyOf('https://example.org/17')).toBe('qr');
});

test('words that are read from the right begin there', () => {
  const arabic = 'زيت عباد الشمس وشمع العسل وأزهار';
  const { elements } = made('quiet', usualThing('face', { width: 90, height: 60 }), {
    says: { ...SAYS, ingredients: arabic },
  });
  const found = elements.find(({ field }) => field === 'ingredients');
  expect(found?.kind === 'words' && found.align).toBe('right');
});

test('on a bent band words follow the bend', () => {
  const edge: EdgeShape = { kind: 'arc', radius: 300, slant: 80, angle: 50, wide: 'top' };
  const rooms = labelRooms(usualThing('own'), edge, 2);
  const { elements } = makeDesign('quiet', { says: SAYS, names: NAMES, ...look }, rooms);
  const words = elements.filter(({ kind }) => kind === 'words');
  expect(words.length).toBeGreaterThan(1);
  for (const one of words)
    if (one.kind === 'words') expect(one.path).toMatchObject({ kind: 'arc', edge: true });
});

test('a use asks for what belongs to it', () => {
  expect(fieldsOfUse('food')).toEqual(
    expect.arrayContaining(['name', 'amount', 'ingredients', 'best-before', 'batch']),
  );
  expect(fieldsOfUse('care')).toEqual(expect.arrayContaining(['use', 'warnings']));
  expect(fieldsOfUse(undefined)).toEqual(['name', 'line', 'maker']);
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

test('a house style that is damaged is refused as a whole; one of before has no words to stress', () => {
  expect(houseStyleSchema.safeParse(NO_HOUSE_STYLE).success).toBe(true);
  const palettes = [{ name: 'x', colors: ['#112233', 'blue'] }];
  expect(houseStyleSchema.safeParse({ ...NO_HOUSE_STYLE, palettes }).success).toBe(false);
  const { emphasis, ...before } = NO_HOUSE_STYLE;
  expect(houseStyleSchema.parse(before).emphasis).toEqual(emphasis);
});
