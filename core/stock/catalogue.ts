import { shapeSize, type EdgeShape } from '../shape/index.ts';
import { formatLength, type Unit } from '../units/index.ts';
import type { GridStock, SpotPlace, Stock } from './stock.ts';

const inch = (inches: number): number => inches * 25.4;

interface Paper {
  readonly id: string;
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly margin: number;
  /** The unit in which labels on this sheet are told. */
  readonly unit: Unit;
}

const PAPERS: readonly Paper[] = [
  { id: 'a4', name: 'A4', width: 210, height: 297, margin: 5, unit: 'mm' },
  { id: 'letter', name: 'US letter', width: 215.9, height: 279.4, margin: 6.4, unit: 'in' },
  { id: 'legal', name: 'US legal', width: 215.9, height: 355.6, margin: 6.4, unit: 'in' },
  { id: 'a3', name: 'A3', width: 297, height: 420, margin: 5, unit: 'mm' },
  { id: 'a5', name: 'A5', width: 148, height: 210, margin: 5, unit: 'mm' },
  { id: '4x6', name: '4 x 6 in', width: inch(4), height: inch(6), margin: 3, unit: 'in' },
  { id: '12x12', name: '12 x 12 in', width: inch(12), height: inch(12), margin: 6.4, unit: 'in' },
  { id: 'roll-100', name: 'Roll of 100 mm', width: 100, height: 300, margin: 2, unit: 'mm' },
];
const [A4, LETTER] = PAPERS as readonly [Paper, Paper];

const sheetOf = ({ width, height, margin }: Paper) => ({
  width,
  height,
  form: 'sheet' as const,
  margins: [margin, margin, margin, margin] as [number, number, number, number],
});

const plain = (paper: Paper): Stock => ({
  ...sheetOf(paper),
  id: paper.id,
  name: paper.name,
  form: paper.id.startsWith('roll') ? 'roll' : 'sheet',
  spots: null,
});

/** Columns, rows and the gaps between labels, mm; the whole stands in the middle of the sheet. */
type Grid = readonly [columns: number, rows: number, gapX?: number, gapY?: number];

const WORDS: Partial<Record<EdgeShape['kind'], string>> = {
  circle: 'round',
  ellipse: 'oval',
  ring: 'disc',
  arch: 'arched',
  arc: 'bent',
};

/** How large a label is, in words: `40 mm`, `2 x 4 in`. */
function sizeWords(shape: EdgeShape, unit: Unit): string {
  const { width, height } = shapeSize(shape);
  const [across, down] = [formatLength(width, unit), formatLength(height, unit)];
  const bare = across.replace(` ${unit}`, '');
  return shape.kind === 'circle' || shape.kind === 'ring' ? across : `${bare} x ${down}`;
}

/** `24 round labels`, `2 discs`. */
function countWords({ kind }: EdgeShape, count: number): string {
  const [one, many] = kind === 'ring' ? ['disc', 'discs'] : ['label', 'labels'];
  const word = WORDS[kind];
  return `${count} ${word && kind !== 'ring' ? `${word} ` : ''}${count === 1 ? one : many}`;
}

function dieCut(
  paper: Paper,
  shape: EdgeShape,
  [columns, rows, gapX = 0, gapY = 0]: Grid,
): GridStock {
  const { width, height } = shapeSize(shape);
  const [pitchX, pitchY] = [width + gapX, height + gapY];
  const word = WORDS[shape.kind];
  const size = sizeWords(shape, shape.kind === 'ring' ? 'mm' : paper.unit);
  const count = columns * rows;
  const slug = size.replace(/ (mm|in)$/, '').replace(/\s*x\s*/, 'x');
  return {
    ...sheetOf(paper),
    id: `${paper.id}-${word ? `${word}-` : ''}${slug}-${count}`,
    name: `${paper.name} die-cut, ${countWords(shape, count)} of ${size}`,
    spots: {
      layout: 'grid',
      shape,
      columns,
      rows,
      left: (paper.width - (columns - 1) * pitchX) / 2,
      top: (paper.height - (rows - 1) * pitchY) / 2,
      pitchX,
      pitchY,
      stagger: 0,
    },
  };
}

/** Every other row moved by half a pitch, the rows pushed together as far as circles allow. */
function staggered(paper: Paper, diameter: number, [columns, rows, gap = 2]: Grid): GridStock {
  const made = dieCut(paper, { kind: 'circle', diameter }, [columns, rows, gap, gap]);
  const { spots } = made;
  const pitch = diameter + gap;
  const pitchY = (pitch * Math.sqrt(3)) / 2;
  return {
    ...made,
    id: `${made.id}-staggered`,
    name: `${made.name}, staggered`,
    spots: {
      ...spots,
      left: (paper.width - (columns - 1) * pitch - pitch / 2) / 2,
      top: (paper.height - (rows - 1) * pitchY) / 2,
      pitchY,
      stagger: pitch / 2,
    },
  };
}

const square = (width: number, height: number, radius = 0): EdgeShape => ({
  kind: 'rectangle',
  width,
  height,
  radius,
});
const round = (diameter: number): EdgeShape => ({ kind: 'circle', diameter });
/** A round arch: straight sides under half a circle. */
const arched = (width: number, height: number): EdgeShape => ({
  kind: 'arch',
  width,
  height,
  rise: width / 2,
});
/** A bent band for tapered cups and pots. */
const bent = (radius: number, slant: number, angle: number): EdgeShape => ({
  kind: 'arc',
  radius,
  slant,
  angle,
  wide: 'top',
});
const oval = (width: number, height: number): EdgeShape => ({ kind: 'ellipse', width, height });

const ON_A4: readonly (readonly [EdgeShape, Grid])[] = [
  [square(210, 297), [1, 1]],
  [square(199.6, 289.1, 2), [1, 1]],
  [square(199.6, 143.5, 2), [1, 2]],
  [square(210, 148.5), [1, 2]],
  [square(105, 148.5), [2, 2]],
  [square(105, 99), [2, 3]],
  [square(105, 74), [2, 4]],
  [square(105, 57), [2, 5]],
  [square(105, 42.3), [2, 7]],
  [square(99.1, 139, 2), [2, 2, 2.6]],
  [square(99.1, 93.1, 2), [2, 3, 2.6]],
  [square(99.1, 67.7, 2), [2, 4, 2.6]],
  [square(99.1, 57, 2), [2, 5, 2.6]],
  [square(99.1, 42.3, 2), [2, 6, 2.6]],
  [square(99.1, 38.1, 2), [2, 7, 2.6]],
  [square(99.1, 33.9, 2), [2, 8, 2.6]],
  [square(70, 67.7), [3, 4]],
  [square(70, 50.8), [3, 5]],
  [square(70, 42.4), [3, 7]],
  [square(70, 37), [3, 8]],
  [square(70, 35), [3, 8]],
  [square(70, 29.7), [3, 10]],
  [square(64.6, 33.8, 2), [3, 8, 2.5]],
  [square(63.5, 72, 2), [3, 4, 2.5]],
  [square(63.5, 46.6, 2), [3, 6, 2.5]],
  [square(63.5, 38.1, 2), [3, 7, 2.5]],
  [square(63.5, 33.9, 2), [3, 8, 2.5]],
  [square(52.5, 29.7), [4, 10]],
  [square(52.5, 21.2), [4, 14]],
  [square(48.5, 25.4), [4, 11]],
  [square(48.5, 16.9), [4, 16]],
  [square(45.7, 25.4, 2), [4, 10, 2.5]],
  [square(45.7, 21.2, 2), [4, 12, 2.5]],
  [square(38.1, 21.2, 2), [5, 13, 2.5]],
  [square(35.6, 16.9, 1.5), [5, 16, 2.5]],
  [square(25.4, 10, 1), [7, 27, 2.5]],
  [square(17.8, 10, 1), [10, 27, 1.5]],
  [square(180, 38), [1, 7]],
  [square(65, 65, 3), [3, 4, 2, 3]],
  [square(45, 45, 2), [4, 6, 3, 2]],
  [round(117), [1, 2, 0, 10]],
  [round(90), [2, 3, 6, 4]],
  [round(80), [2, 3, 8, 8]],
  [round(72), [2, 3, 10, 10]],
  [round(63.5), [3, 4, 2.5, 4]],
  [round(60), [3, 4, 6, 6]],
  [round(50), [3, 5, 10, 6]],
  [round(45), [4, 6, 4, 3]],
  [round(40), [4, 6, 8, 6]],
  [round(35), [5, 7, 4, 4]],
  [round(30), [6, 8, 3, 4]],
  [round(25), [7, 10, 3, 3]],
  [round(20), [8, 12, 4, 3]],
  [round(16), [10, 15, 3, 2.5]],
  [oval(95, 53), [2, 5, 5, 4]],
  [oval(63.5, 42.3), [3, 6, 2.5, 4]],
  [oval(40, 30), [4, 8, 8, 4]],
  [arched(90, 120), [2, 2, 10, 12]],
  [arched(60, 80), [3, 3, 6, 8]],
  [arched(45, 60), [4, 4, 4, 6]],
  [bent(180, 40, 60), [1, 4, 0, 6]],
  [bent(130, 45, 80), [1, 4, 0, 6]],
];

const ON_LETTER: readonly (readonly [EdgeShape, Grid])[] = [
  [square(215.9, 279.4), [1, 1]],
  [square(215.9, inch(5.5)), [1, 2]],
  [square(inch(4.25), inch(5.5)), [2, 2]],
  [square(inch(4), inch(1), 2), [2, 10, 4]],
  [square(inch(4), inch(4) / 3, 2), [2, 7, 4]],
  [square(inch(4), inch(2), 2), [2, 5, 4]],
  [square(inch(4), inch(10) / 3, 2), [2, 3, 4]],
  [square(inch(2.625), inch(1), 2), [3, 10, 3.2]],
  [square(inch(1.75), inch(0.5), 1.5), [4, 20, 7.6]],
  [square(inch(3.5), inch(2)), [2, 5, 0, 0]],
  [square(inch(3), inch(2), 2), [2, 5, 12, 2]],
  [square(inch(2), inch(2), 2), [3, 4, 12, 12]],
  [square(inch(1), inch(1), 1), [7, 9, 3, 3]],
  [square(inch(2), inch(0.75), 1.5), [4, 12, 2, 2]],
  [round(inch(3)), [2, 3, 12, 10]],
  [round(inch(2.5)), [3, 4, 3, 4]],
  [round(inch(2)), [3, 4, 12, 12]],
  [round(inch(1.5)), [4, 6, 12, 6]],
  [round(inch(1)), [7, 9, 3, 3]],
  [round(inch(0.75)), [8, 11, 4, 4]],
  [oval(inch(3), inch(2)), [2, 4, 12, 8]],
  [oval(inch(2.5), inch(1.5)), [3, 6, 3, 3]],
];

/** Labels of one shape, each at a place of its own, told by what they are for. */
function placedOn(
  paper: Paper,
  shape: EdgeShape,
  {
    id,
    what,
    places,
  }: { id: string; what: string; places: readonly (readonly [number, number])[] },
): Stock {
  return {
    ...sheetOf(paper),
    id: `${paper.id}-${id}`,
    name: `${paper.name} die-cut, ${what}`,
    spots: {
      layout: 'free',
      shape,
      places: places.map(([x, y]): SpotPlace => ({ x, y, angle: 0 })),
    },
  };
}

const LABEL_DISC: EdgeShape = { kind: 'ring', outer: 117, inner: 22 };
const SMALL_DISC: EdgeShape = { kind: 'ring', outer: 78, inner: 18 };
const A5 = PAPERS[4] as Paper;

const DISC_SHEETS: readonly Stock[] = [
  dieCut(A4, LABEL_DISC, [1, 2, 0, 12]),
  dieCut(A5, LABEL_DISC, [1, 1]),
  dieCut(LETTER, LABEL_DISC, [1, 2, 0, 10]),
  dieCut(A4, SMALL_DISC, [2, 3, 10, 8]),
  placedOn(A4, SMALL_DISC, {
    id: 'discs-80-3',
    what: '3 discs of 78 mm, set off',
    places: [
      [60, 55],
      [150, 148.5],
      [60, 242],
    ],
  }),
];

/** How wide the rim of a carrier is around its disc, mm. */
const CARRIER_RIM = { side: 6, end: 25 } as const;

/** The tray that a printer takes printable discs in: discs one below the other, printed to their rims. */
export function discCarrier(disc: { outer: number; inner: number }, count = 1): Stock {
  const width = disc.outer + 2 * CARRIER_RIM.side;
  const pitch = disc.outer + CARRIER_RIM.side;
  return {
    id: `carrier-${disc.outer}-${count}`,
    name: `Disc carrier, ${count === 1 ? 'one disc' : `${count} discs`} of ${disc.outer} mm`,
    form: 'carrier',
    width,
    height: 2 * CARRIER_RIM.end + (count - 1) * pitch + disc.outer,
    margins: [0, 0, 0, 0],
    spots: {
      layout: 'grid',
      shape: { kind: 'ring', outer: disc.outer - 2, inner: disc.inner + 2 },
      columns: 1,
      rows: count,
      left: width / 2,
      top: CARRIER_RIM.end + disc.outer / 2,
      pitchX: disc.outer,
      pitchY: pitch,
      stagger: 0,
    },
  };
}

/** Carriers for printable discs of 120 and 80 mm. */
export const DISC_CARRIERS: readonly Stock[] = [
  discCarrier({ outer: 120, inner: 15 }),
  discCarrier({ outer: 80, inner: 15 }),
  discCarrier({ outer: 80, inner: 15 }, 2),
];

/** The die-cut layouts that ship: geometry in common use, named by size and number alone. */
export const DIE_CUTS: readonly Stock[] = [
  ...ON_A4.map(([shape, grid]) => dieCut(A4, shape, grid)),
  staggered(A4, 30, [6, 9, 2]),
  staggered(A4, 20, [9, 14, 2]),
  placedOn(A4, square(90, 60, 3), {
    id: 'large-and-rows',
    what: '6 labels of 90 x 60 mm in two heights',
    places: [
      [55, 45],
      [155, 45],
      [55, 125],
      [155, 125],
      [55, 225],
      [155, 225],
    ],
  }),
  ...DISC_SHEETS,
  ...ON_LETTER.map(([shape, grid]) => dieCut(LETTER, shape, grid)),
];

/** The plain sheets that ship. */
export const PLAIN_SHEETS: readonly Stock[] = PAPERS.map(plain);

/** Every sheet that ships, plain ones first. */
export const SHIPPED_STOCK: readonly Stock[] = [...PLAIN_SHEETS, ...DIE_CUTS, ...DISC_CARRIERS];

/** The stock that a new job begins on. */
export function firstStock(spots: boolean): Stock {
  const found = spots
    ? DIE_CUTS.find(({ id }) => id === 'a4-round-40-24')
    : PLAIN_SHEETS.find(({ id }) => id === 'a4');
  if (!found) throw new Error('No stock ships for this beginning.');
  return found;
}
