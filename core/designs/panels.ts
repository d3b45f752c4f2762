import { SMALLEST_MODULE, tryEncode, type Symbology } from '../code/index.ts';
import { isNamed, type LabelField, type PieceElement, type Words } from '../piece/index.ts';
import { MM_PER_PT } from '../units/index.ts';
import type { Layout } from './layout.ts';
import type { TextLook } from './looks.ts';
import { ROUND_EDGES } from './room.ts';
import { hasDetails, LETTER, LINE } from './shared-room.ts';

// What stands beside a design: the panel of what is read closely, spines, and the foot of a ring.

/** Small print is never set larger than this, pt. */
const SMALL_PRINT = 9;
const PARAGRAPHS = ['ingredients', 'use', 'warnings', 'small'] as const;
const FACTS = ['amount', 'best-before', 'batch', 'price'] as const;
const RIGHT_TO_LEFT = /^[^\p{L}]*[\u0590-\u08ff\ufb1d-\ufefc]/u;
const SPREAD = 2.2; // lines between rows, at most
const TITLE_LINES = 1.9; // of small print, for what the label is
const HALVINGS = 14;

/** A row of a panel: what it says and how many lines it takes at a size. */
interface Row {
  /** Lines of small print at a size in pt. */
  readonly lines: (size: number) => number;
  readonly make: (box: { y: number; h: number }, size: number) => PieceElement[];
}

/**
 * What stands behind or beside the front: each thing that is read closely, under its name.
 * @param covered whether it stands on a plate, as what lies beneath is no plain colour
 * @param titled whether it begins with what the label is
 * @param signed whether it ends with who made it
 */
export function detailsPanel(
  l: Layout,
  { covered, titled, signed }: { covered: boolean; titled: boolean; signed: boolean },
): PieceElement[] {
  const inner = (covered ? 0.92 : 0.98) * l.innerShare;
  const code = codeIn(l, inner);
  const [from, width] = code ? [-0.5 + (1 - inner) / 2, inner - code.takes] : [-inner / 2, inner];
  const x = from + width / 2;
  const text = { x, w: width };
  const rows: Row[] = [
    ...(titled && l.said('name') ? [titleRow(l, text)] : []),
    ...PARAGRAPHS.flatMap((field) => (l.said(field) ? [paragraphRow(l, field, text)] : [])),
    ...factRows(l, text),
    ...(signed && l.said('maker') ? [makerRow(l, text)] : []),
  ];
  return [
    ...(covered ? cover(l) : []),
    ...stacked(l, rows, inner),
    ...(code ? [code.element] : []),
  ];
}

/** A plate of the ground over all of a room, for words that would stand on a pattern. */
const cover = (l: Layout): PieceElement[] =>
  l.plate('rectangle', { w: 1, h: 1 }, l.given.colors.ground);

/** Rows below each other, all at the largest size at which they fit, apart by what is left. */
function stacked(l: Layout, rows: readonly Row[], inner: number): PieceElement[] {
  const high = l.height * inner;
  const lineOf = (size: number): number => size * MM_PER_PT * LINE;
  const heights = (size: number): number[] =>
    rows.map((row) => row.lines(size) * lineOf(size) * 1.04);
  const total = (size: number): number =>
    heights(size).reduce((sum, height) => sum + height, 0) + (rows.length - 1) * 0.5 * lineOf(size);
  let [low, size] = [0.5, SMALL_PRINT];
  if (total(size) > high) {
    for (let round = 0; round < HALVINGS; round++) {
      const middle = (low + size) / 2;
      if (total(middle) > high) size = middle;
      else low = middle;
    }
    size = low;
  }
  const wanted = heights(size);
  // What does not fit at the smallest size has as much room as there is, and the proof says so.
  const share = Math.min(1, high / wanted.reduce((sum, height) => sum + height, 0));
  const made = wanted.map((height) => height * share);
  const taken = made.reduce((sum, height) => sum + height, 0);
  const gap =
    rows.length > 1 ? Math.min((high - taken) / (rows.length - 1), SPREAD * lineOf(size)) : 0;
  let top = -(taken + gap * (rows.length - 1)) / 2;
  return rows.flatMap((row, at) => {
    const height = made[at] ?? 0;
    const box = { y: (top + height / 2) / l.height, h: height / l.height };
    top += height + gap;
    return row.make(box, size);
  });
}

interface Column {
  readonly x: number;
  readonly w: number;
}

/** How many lines a text takes in a width, shares of the room's, at a size in pt. */
const linesOf = (l: Layout, letters: number, width: number, size: number): number =>
  Math.max(1, Math.ceil((letters * LETTER * size * MM_PER_PT) / (width * l.width)));

/** Where the lines of a text begin: in the middle of what is round, else where its script begins. */
function sideOf(l: Layout, field: LabelField): Words['align'] {
  if (isRound(l)) return 'centre';
  return RIGHT_TO_LEFT.test(l.said(field)) ? 'right' : 'left';
}

const endOf = (l: Layout): Words['align'] => (isRound(l) ? 'centre' : 'right');

const isRound = ({ given: { room } }: Layout): boolean =>
  ROUND_EDGES.includes(room.edge.kind) || room.edge.kind === 'ring';

const letters = (l: Layout, field: LabelField): number =>
  l.said(field).length + (isNamed(field) ? l.given.names[field].length + 2 : 0);

function paragraphRow(l: Layout, field: LabelField, column: Column): Row {
  return {
    lines: (size) => linesOf(l, letters(l, field), column.w, size),
    make: (box, size) =>
      l.says(
        field,
        { ...column, ...box },
        {
          ...{ face: 'text', wrap: true, most: size, settle: 'top' },
          align: sideOf(l, field),
        },
      ),
  };
}

const TITLE: TextLook = { most: 20 };
const MAKER: TextLook = { face: 'text', case: 'upper', tracking: 8 };

const titleRow = (l: Layout, column: Column): Row => ({
  lines: (size) =>
    TITLE_LINES * Math.min(2, linesOf(l, l.said('name').length * 1.7, column.w, size)),
  make: (box) => l.says('name', { ...column, ...box }, TITLE),
});

const makerRow = (l: Layout, column: Column): Row => ({
  lines: () => 1.3,
  make: (box, size) => l.says('maker', { ...column, ...box }, { ...MAKER, most: size * 1.1 }),
});

/** Short things beside each other: as many as fit a row. */
function factRows(l: Layout, column: Column): Row[] {
  const said = FACTS.filter((field) => l.said(field));
  if (said.length === 0) return [];
  const longest = Math.max(...said.map((field) => letters(l, field)));
  const room = (column.w * l.width) / (USUAL_FACT * MM_PER_PT * LETTER);
  const perRow = Math.max(1, Math.min(said.length, 2, Math.floor(room / (longest + 2))));
  const rows = Array.from({ length: Math.ceil(said.length / perRow) }, (_, at) =>
    said.slice(at * perRow, (at + 1) * perRow),
  );
  const each = column.w / perRow;
  return rows.map((fields) => ({
    lines: (size) =>
      Math.max(...fields.map((field) => linesOf(l, letters(l, field), each * 0.96, size))),
    make: (box, size) =>
      fields.flatMap((field, at) =>
        l.says(
          field,
          {
            // The first begins at the left of its column, the last ends at the right.
            x: column.x + (at === 0 ? -1 : 1) * (column.w / 2 - each * 0.48),
            w: each * 0.96,
            ...box,
          },
          { face: 'text', most: size, align: at === 0 ? sideOf(l, field) : endOf(l) },
        ),
      ),
  }));
}
const USUAL_FACT = 7; // pt

/** Digits of trade numbers have bars of their own; everything else is a square code. */
function symbologyOf(text: string): Symbology {
  const digits = /^\d{12,13}$/.test(text) && text.length;
  const wanted = digits === 13 ? 'ean-13' : digits === 12 ? 'upc-a' : 'qr';
  return tryEncode(wanted, text).ok ? wanted : 'qr';
}

/** The code of a label at the right of a panel, and what share of its width that takes. */
function codeIn(l: Layout, inner: number): { element: PieceElement; takes: number } | undefined {
  const text = l.said('code');
  if (!text) return undefined;
  const symbology = symbologyOf(text);
  const made = tryEncode(symbology, text);
  const { columns = 29, quiet } = made.ok ? made.value : {};
  const across = columns + (quiet ? quiet.before + quiet.behind : 8);
  const least = across * SMALLEST_MODULE[symbology] * 1.12;
  const isSquare = symbology === 'qr';
  const most = { width: l.width * inner * 0.62, height: l.height * inner };
  const width = Math.min(
    Math.max(least, isSquare ? 16 : 0),
    most.width,
    isSquare ? most.height : 99,
  );
  const height = isSquare ? width : Math.min(Math.max(10, width * 0.45), most.height);
  const { colors } = l.given;
  const { x, y } = l.place({ x: (inner - width / l.width) / 2 });
  return {
    takes: width / l.width + 0.04,
    element: {
      ...{ id: '', kind: 'code', x, y, angle: 0, locked: false },
      ...{ symbology, text, width, height, field: 'code', caption: !isSquare },
      color: l.readable(colors.ink, '#ffffff'),
      ground: '#ffffff',
    },
  };
}

/** Along a spine stands what it is. */
export function spinePanel(l: Layout, covered: boolean): PieceElement[] {
  return [...(covered ? cover(l) : []), ...l.says('name', { w: 0.7, h: 0.84 }, { most: 16 })];
}

/** Below the hole of a ring: what is read closely and who made it, or who made it alone. */
export function footPanel(l: Layout, covered: boolean): PieceElement[] {
  if (hasDetails(l.given.says)) return detailsPanel(l, { covered, titled: false, signed: true });
  return [
    ...(covered && l.said('maker')
      ? l.plate('rectangle', { y: -0.06, w: 0.7, h: 0.5 }, l.given.colors.ground)
      : []),
    ...l.says('maker', { y: -0.06, w: 0.62, h: 0.3 }, { ...MAKER, tracking: 14, most: 14 }),
  ];
}

/** On a ring that is too narrow for rows of words they run along its rim. */
export function rimPanel(l: Layout): PieceElement[] {
  const { room } = l.given;
  const { edge } = room;
  const band = edge.kind === 'ring' ? (edge.outer - edge.inner) / 2 - 2 * room.safe : l.height;
  const share = Math.max(0.04, (band * 0.7) / (1.5 * (room.radius ?? l.height)));
  const rest = l.said('line') ? 'line' : 'maker';
  return [
    ...l.around('name', { side: 'top', inset: 0.03, h: share * 0.94 }, { face: 'display' }),
    ...l.around(
      rest,
      { side: 'bottom', inset: 0.02, h: share * 0.62 },
      { case: 'upper', tracking: 8 },
    ),
  ];
}
