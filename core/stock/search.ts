import { shapeSize, type EdgeShape } from '../shape/index.ts';
import { formatLength, parseLength, type Unit } from '../units/index.ts';
import { spotCount, type Stock } from './stock.ts';

/** What was typed to find a sheet: any of these may be missing. */
export interface StockQuery {
  /** Sides in mm; one side is a diameter or either side. */
  readonly sides: readonly number[];
  readonly count: number | undefined;
  readonly shape: 'round' | 'disc' | 'oval' | 'square' | 'arched' | 'bent' | undefined;
  /** Other words, lower case: the name of the sheet or the paper. */
  readonly words: readonly string[];
}

/** A sheet that was found, and how its labels differ from what was asked for. */
export interface FoundStock {
  readonly stock: Stock;
  /** Sides of its labels less the sides asked for, mm, width first; empty when no size was asked. */
  readonly off: readonly number[];
  readonly countOff: number;
}

const SHAPES: Readonly<Record<string, StockQuery['shape']>> = {
  round: 'round',
  circle: 'round',
  circles: 'round',
  disc: 'disc',
  discs: 'disc',
  arch: 'arched',
  arched: 'arched',
  bent: 'bent',
  curved: 'bent',
  oval: 'oval',
  ovals: 'oval',
  ellipse: 'oval',
  square: 'square',
  rectangle: 'square',
  rectangular: 'square',
};
const FILLER = new Set([
  'on',
  'a',
  'an',
  'of',
  'the',
  'per',
  'sheet',
  'labels',
  'label',
  'up',
  'die-cut',
  'ø',
]);
const UNITS = /^(mm|cm|in|inch|inches|"|pt)$/;

/**
 * Reads what was typed: `2 x 4 in`, `round 40 mm`, `24 on A4`, `70x37`. A bare number is a count when
 * it is whole and stands alone, a size beside another or with a unit.
 */
export function readStockQuery(text: string, unit: Unit = 'mm'): StockQuery {
  const spaced = text
    .toLowerCase()
    .replace(/(\d+) (\d+)\/(\d+)/g, (_, whole: string, over: string, under: string) =>
      String(Number(whole) + Number(over) / Number(under)),
    )
    .replace(/us letter/g, 'letter')
    .replace(/(\d)\s*(mm|cm|inches|inch|in|"|pt)(?![a-z])/g, '$1 $2 ')
    .replace(/([\d"a-z])\s*[x×]\s*(?=\d)/g, (whole, before: string) =>
      /[\d"mn]/.test(before) ? `${before} × ` : whole,
    );
  const tokens = spaced.split(/\s+|,\s/).filter(Boolean);
  const numbers: { value: string; sized: boolean; unit: string | undefined }[] = [];
  let shape: StockQuery['shape'];
  const words: string[] = [];
  tokens.forEach((token, at) => {
    if (/^\d+([.,]\d+)?(\/\d+)?$/.test(token)) {
      const next = tokens[at + 1];
      const beside = next === '×' || tokens[at - 1] === '×';
      const own = next && UNITS.test(next) ? next : undefined;
      // `round 40` is a size, `24 round` a number of labels.
      const named = (tokens[at - 1] ?? '') in SHAPES;
      numbers.push({
        value: token,
        sized: beside || named || own !== undefined || /[.,/]/.test(token),
        unit: own,
      });
    } else if (token in SHAPES) shape = SHAPES[token];
    else if (token !== '×' && !UNITS.test(token) && !FILLER.has(token)) words.push(token);
  });
  const lastUnit = [...numbers].reverse().find((one) => one.unit)?.unit;
  const unitOf = (given: string | undefined): Unit =>
    given === undefined ? unit : given.startsWith('in') || given === '"' ? 'in' : (given as Unit);
  const sides = numbers
    .filter(({ sized }) => sized)
    .flatMap(({ value, unit: own }) => {
      const read = parseLength(value, unitOf(own ?? lastUnit));
      return read.ok ? [read.value] : [];
    });
  const count = numbers.find(({ sized }) => !sized);
  return { sides: sides.slice(0, 2), count: count && Number(count.value), shape, words };
}

const FORMS: Partial<Record<EdgeShape['kind'], StockQuery['shape']>> = {
  circle: 'round',
  ring: 'disc',
  ellipse: 'oval',
  arch: 'arched',
  arc: 'bent',
};

/** The word by which labels of a shape are looked for. */
export function formOf({ kind }: EdgeShape): NonNullable<StockQuery['shape']> {
  return FORMS[kind] ?? 'square';
}

/** What another form than the one asked for costs; a disc is a round label with a hole. */
function formCost(wanted: StockQuery['shape'], shape: EdgeShape): number {
  const form = formOf(shape);
  if (!wanted || wanted === form) return 0;
  return [wanted, form].every((one) => one === 'round' || one === 'disc') ? 4 : 40;
}

/** How a label's sides differ from those asked for, in the direction that fits better. */
function differences(stock: Stock, sides: readonly number[]): number[] {
  const { width, height } = stock.spots ? shapeSize(stock.spots.shape) : stock;
  const [one, other] = sides;
  if (one === undefined) return [];
  if (other === undefined) {
    const [across, down] = [width - one, height - one];
    return [Math.abs(across) <= Math.abs(down) ? across : down];
  }
  const upright = [width - one, height - other];
  const lying = [height - one, width - other];
  const sum = (off: readonly number[]): number => off.reduce((all, by) => all + Math.abs(by), 0);
  return sum(upright) <= sum(lying) ? upright : lying;
}

/** What a difference costs: a mm is 1, a label more or less 0.4, another shape or sheet much. */
function cost(found: FoundStock, query: StockQuery): number {
  const { stock, off, countOff } = found;
  const size = off.reduce((sum, by) => sum + Math.abs(by), 0);
  // One side alone means a round label or the nearer side; a true round one comes first.
  const guess =
    query.sides.length === 1 && stock.spots && formOf(stock.spots.shape) !== 'round' ? 3 : 0;
  const shape = stock.spots ? formCost(query.shape, stock.spots.shape) : 0;
  const asksLabels =
    query.sides.length > 0 || query.count !== undefined || query.shape !== undefined;
  const name = stock.name.toLowerCase().split(/[\s,]+/);
  const missing = query.words.filter((word) => !name.some((part) => part.startsWith(word))).length;
  const plain = asksLabels === (stock.spots === null) ? 30 : 0;
  return size + guess + shape + plain + missing * 60 + Math.abs(countOff) * 0.4;
}

/** Sheets by how near they come to what was typed, the nearest first; at equal distance the catalogue's order. */
export function searchStock(stocks: readonly Stock[], query: StockQuery, most = 24): FoundStock[] {
  return stocks
    .map((stock, at) => {
      const count = stock.spots ? spotCount(stock.spots) : 1;
      const found: FoundStock = {
        stock,
        off: differences(stock, query.sides),
        countOff: query.count === undefined ? 0 : count - query.count,
      };
      return { found, at, cost: cost(found, query) };
    })
    .sort((one, other) => one.cost - other.cost || one.at - other.at)
    .slice(0, most)
    .map(({ found }) => found);
}

/** A difference in words: `exactly`, `1.5 mm wider, 2 mm lower`, `3 labels more`. */
export function differenceWords({ off, countOff }: FoundStock, unit: Unit): string {
  const parts: string[] = [];
  const [across, down] = off;
  const say = (by: number, more: string, less: string): void => {
    if (Math.abs(by) > 0.05)
      parts.push(`${formatLength(Math.abs(by), unit)} ${by > 0 ? more : less}`);
  };
  if (across !== undefined)
    say(
      across,
      down === undefined ? 'larger' : 'wider',
      down === undefined ? 'smaller' : 'narrower',
    );
  if (down !== undefined) say(down, 'higher', 'lower');
  if (countOff !== 0)
    parts.push(`${Math.abs(countOff)} ${countOff > 0 ? 'more' : 'fewer'} on a sheet`);
  return parts.join(', ') || 'exactly';
}
