import { contrastRatio, luminance, mixed, rgbOf } from '../color/index.ts';
import { ornamentOf, type OrnamentName, type PatternName } from '../art/index.ts';
import {
  isNamed,
  type Fill,
  type LabelField,
  type PatternFill,
  type PieceElement,
  type Plate,
} from '../piece/index.ts';
import {
  insetShape,
  plainShape,
  shapeSize,
  type BoxedKind,
  type EdgeShape,
} from '../shape/index.ts';
import { faceForScript } from '../type/index.ts';
import { MM_PER_PT } from '../units/index.ts';
import type { DesignGiven } from './given.ts';
import type { OrnamentLook, Spot, TextLook } from './looks.ts';
import { ROUND_EDGES } from './room.ts';

const unplaced = { id: '', angle: 0, locked: false };
/** Words become as small as it takes to fit, so that nothing overlaps; the proof says what cannot be read. */
const LEAST = 0.5; // pt
const LEAST_SIDE = 0.15; // mm
const ONE_LINE = 5; // pt, below which one line becomes several
const READABLE = 6.5; // pt
const CONTRAST = 4.5; // as WCAG 2.2 asks of ordinary words
const THINNEST = 0.1; // mm, for lines that home printers hold

/** How wide a letter is for its size, about. */
const letterWidth = ({ case: set, tracking = 0 }: TextLook): number =>
  (set === 'upper' ? 0.72 : 0.58) + tracking / 100;

/**
 * Puts things into a room by shares of it, so that a design adapts to any size and shape: words
 * follow a bent band, and what runs around a rim stands in rows where there is none.
 */
export class Layout {
  readonly given: DesignGiven;

  constructor(given: DesignGiven) {
    this.given = given;
  }

  get width(): number {
    return this.given.room.width;
  }
  get height(): number {
    return this.given.room.height;
  }
  /** The smaller side of the room, mm. */
  get least(): number {
    return Math.min(this.width, this.height);
  }
  get isWide(): boolean {
    return this.width / this.height > 1.45;
  }
  get isTall(): boolean {
    return this.height / this.width > 1.35;
  }
  /** Thickness of an ordinary line, mm. */
  get hair(): number {
    return Math.max(0.18, Math.round(this.least * 0.9) / 100);
  }

  /** A spot by shares of the smaller side, for what stands in a square in the middle. */
  square({ x = 0, y = 0, w = 0.9, h = 0.2 }: Spot): Required<Spot> {
    const [across, down] = [this.least / this.width, this.least / this.height];
    return { x: x * across, y: y * down, w: w * across, h: h * down };
  }

  /** What share of a bent room’s width its lines have that lie nearest to where its sides meet. */
  get innerShare(): number {
    const { edge, bent } = this.given.room;
    if (!bent || edge.kind !== 'arc') return 1;
    const middle = edge.radius - edge.slant / 2;
    return (middle - this.height / 2) / middle;
  }

  /** A spot as wide and high as a circle about the middle, mm. */
  aroundRim(radius: number): { w: number; h: number } {
    return { w: (radius * 2) / this.width, h: (radius * 2) / this.height };
  }

  /** Where a spot is, mm. */
  place({ x = 0, y = 0 }: Spot): { x: number; y: number } {
    const { centre } = this.given.room;
    return {
      x: round(centre.x + x * this.width),
      y: round(centre.y + y * this.height),
    };
  }

  private boxOf({ w = 0.9, h = 0.2 }: Spot): { width: number; height: number } {
    return {
      width: Math.max(LEAST_SIDE, round(w * this.width)),
      height: Math.max(LEAST_SIDE, round(h * this.height)),
    };
  }

  /** The box of words in a spot: no wider than what is round is there. */
  private boxOfWords(spot: Spot): { width: number; height: number } {
    const box = this.boxOf(spot);
    const { edge, safe, zoned } = this.given.room;
    if (zoned || !ROUND_EDGES.includes(edge.kind)) return box;
    const { x, y } = this.place(spot);
    const { width, height } = shapeSize(edge);
    const down = (Math.abs(y) + box.height / 2) / (height / 2 - safe);
    const half = (width / 2 - safe) * Math.sqrt(Math.max(0, 1 - down ** 2));
    return { ...box, width: round(Math.max(2, Math.min(box.width, 2 * (half - Math.abs(x))))) };
  }

  /** The box of a spot, wider where words in the middle of the room want so much width and there is room. */
  private widened(spot: Spot, wanted: number): { width: number; height: number } {
    const box = this.boxOfWords(spot);
    if (spot.x || ROUND_EDGES.includes(this.given.room.edge.kind)) return box;
    return {
      ...box,
      width: Math.max(box.width, Math.min(round(wanted), round(0.96 * this.width))),
    };
  }

  /** What the label says in a field; nothing where it has none. */
  said(field: LabelField): string {
    return (this.given.says[field] ?? '').trim();
  }

  /** The words of a field in a box, under its printed name where it has one. */
  says(field: LabelField, spot: Spot, look: TextLook = {}): PieceElement[] {
    const { names, emphasis = [] } = this.given;
    const heading = isNamed(field) ? names[field] : undefined;
    return this.text(this.said(field), spot, heading ? { heading, ...look } : look).map(
      (element): PieceElement => ({
        ...element,
        field,
        ...(field === 'ingredients' && emphasis.length ? { emphasis: [...emphasis] } : {}),
      }),
    );
  }

  /** A colour as words can have it on another: nearer to the ink of the label where it is too weak. */
  readable(color: string, on = this.given.colors.ground): string {
    const { ink, ground } = this.given.colors;
    const contrast = (one: string): number =>
      contrastRatio(luminance(rgbOf(one)), luminance(rgbOf(on)));
    const strong = contrast(ink) >= contrast(ground) ? ink : ground;
    for (const share of [0, 0.2, 0.4, 0.6, 0.8]) {
      const made = mixed(color, strong, share);
      if (contrast(made) >= CONTRAST) return made;
    }
    return strong;
  }

  /** Words in a box, as large as it takes. */
  text(text: string, spot: Spot, look: TextLook = {}): PieceElement[] {
    if (text.trim() === '') return [];
    const { colors, faces, room } = this.given;
    const line = text.length * MM_PER_PT * letterWidth(look); // for each pt
    const box = look.mayWiden ? this.widened(spot, line * READABLE) : this.boxOfWords(spot);
    // What is too long for one line that can be read has several.
    const wraps = look.wrap || line * ONE_LINE > box.width || isLargerInTwo(text, line, box);
    const size = Math.min(
      look.most ?? Infinity,
      Math.max(ONE_LINE + 1, round((box.height * 0.8) / MM_PER_PT)),
    );
    const { heading } = look;
    return [
      {
        ...unplaced,
        kind: 'words',
        ...this.place(spot),
        ...box,
        text,
        typeface:
          look.face === 'text'
            ? faceForScript(text, faces.text, false)
            : faceForScript(text, faces.display, true),
        size,
        tracking: look.tracking ?? 0,
        leading: 1.12,
        align: look.align ?? 'centre',
        fit: wraps ? 'wrap-shrink' : 'shrink',
        ...(wraps && (look.align ?? 'centre') === 'centre' ? { balanced: true } : {}),
        ...(look.settle ? { settle: look.settle } : {}),
        ...(heading ? { list: { heading, between: ' ' as const, runsIn: true } } : {}),
        ...(look.case ? { case: look.case } : {}),
        ...(look.halo
          ? { outlines: [{ color: colors.ground, width: round(box.height * 0.12) }] }
          : {}),
        least: LEAST,
        path: room.bent
          ? { kind: 'arc', radius: 100, bow: 'up', edge: true }
          : { kind: 'straight' },
        color: look.color ?? colors.ink,
      },
    ];
  }

  /**
   * The words of a field along the rim, at the top or the bottom; a row there where the rim is not round.
   * @param inset how far inside the safe circle, as a share of its radius
   * @param h height of the row as a share of the room's
   */
  around(
    field: LabelField,
    { side, inset, h }: { side: 'top' | 'bottom'; inset: number; h: number },
    look: TextLook = {},
  ): PieceElement[] {
    const { radius } = this.given.room;
    const sign = side === 'top' ? -1 : 1;
    if (radius === undefined)
      return this.says(
        field,
        { y: sign * (0.43 - h * 0.4), w: 0.86, h: h * 0.72 },
        { face: 'text', ...look },
      );
    const high = h * radius * 1.5;
    const [made] = this.says(field, { w: 1, h: 1 }, { face: 'text', wrap: false, ...look });
    if (made?.kind !== 'words') return [];
    const outer = radius * (1 - inset);
    const own = side === 'top' ? outer - high * 0.74 : outer;
    return [
      {
        ...made,
        x: 0,
        y: 0,
        size: round((high * 0.95) / MM_PER_PT),
        fit: 'shrink',
        path: {
          kind: 'circle',
          radius: Math.max(2, round(own)),
          side: side === 'top' ? 'outside' : 'inside',
          angle: side === 'top' ? 0 : 180,
          reach: 158,
        },
      },
    ];
  }

  /** A line along the edge, so many shares of the smaller side inside the safe inset. */
  ring(inset: number, line: Partial<NonNullable<Plate['line']>> = {}): PieceElement {
    const { edge, safe } = this.given.room;
    const by = round(safe * 0.6 + inset * this.least);
    return {
      ...unplaced,
      kind: 'plate',
      x: 0,
      y: 0,
      shape: insetShape(edge, by),
      fill: null,
      line: {
        ...{ color: this.given.colors.ink, style: 'solid', ...line },
        width: Math.max(THINNEST, line.width ?? this.hair),
      },
      rim: { inset: by },
    };
  }

  /** A plate in a shape; bands along a bent room have none, their words stand on the ground. */
  plate(kind: BoxedKind, spot: Spot, fill: Fill | null, line?: Plate['line']): PieceElement[] {
    if (this.given.room.bent) return [];
    const { width, height } = this.boxOf(spot);
    const radius = Math.min(width, height) * 0.16;
    return [plateIn(plainShape(kind, width, height, radius), { ...this.place(spot), fill, line })];
  }

  /** A thin line across the room or down it; bands along a bent room have none. */
  rule(spot: Spot & { readonly upright?: boolean }, color: string, weight = 1): PieceElement[] {
    if (this.given.room.bent) return [];
    const [box, thick] = [this.boxOf(spot), round(this.hair * weight)];
    const [width, height] = spot.upright ? [thick, box.height] : [box.width, thick];
    const shape: EdgeShape = { kind: 'rectangle', width, height, radius: 0 };
    return [plateIn(shape, { ...this.place(spot), fill: color })];
  }

  /**
   * A block of colour out to the bleed of all of the label that the design has, from one share of the
   * room's height, or its width, to another; what lies beyond the room belongs to the nearest end.
   */
  block(
    { from, to, across = false }: { from: number; to: number; across?: boolean },
    fill: Fill,
  ): PieceElement[] {
    const { centre, whole, bent, hollow } = this.given.room;
    if (bent || hollow) return [];
    const [middle, length] = across ? [centre.x, this.width] : [centre.y, this.height];
    const [start, end] = across ? [whole.left, whole.right] : [whole.top, whole.bottom];
    const [first, last] = [
      from <= -0.5 ? start : middle + from * length,
      to >= 0.5 ? end : middle + to * length,
    ];
    const [left, right] = across ? [first, last] : [whole.left, whole.right];
    const [top, bottom] = across ? [whole.top, whole.bottom] : [first, last];
    const size = { width: round(right - left), height: round(bottom - top) };
    const at = { x: round((left + right) / 2), y: round((top + bottom) / 2) };
    return [plateIn({ kind: 'rectangle', ...size, radius: 0 }, { ...at, fill })];
  }

  /** An ornament whose width is a share of the room's width, or of the smaller side when round. */
  ornament(name: OrnamentName, spot: Spot, look: OrnamentLook = {}): PieceElement {
    const { ratio, round: isRound, count } = ornamentOf(name);
    const { colors } = this.given;
    const box = this.boxOf({ w: spot.w ?? 0.5, h: spot.h ?? 1 });
    const width = isRound
      ? Math.min(box.width, box.height)
      : Math.min(box.width, box.height * ratio);
    const { inks, weight, ...rest } = look;
    return {
      ...unplaced,
      kind: 'ornament',
      ...this.place(spot),
      ornament: name,
      width: round(width),
      height: round(width / ratio),
      count: count?.usual ?? 1,
      weight: weight ?? this.hair,
      inks: inks ? [...inks] : [colors.ink, colors.accent],
      ...rest,
    };
  }

  /** The picture, whole in a box; a sprig stands for it where there is none. */
  picture(spot: Spot): PieceElement {
    const { picture, colors } = this.given;
    const box = this.boxOf(spot);
    if (!picture)
      return this.ornament('sprig', spot, { inks: [colors.ink, colors.accent], count: 4 });
    const width = Math.min(box.width, box.height * picture.ratio);
    return {
      ...unplaced,
      kind: 'picture',
      ...this.place(spot),
      art: picture.art,
      width: round(width),
      height: round(width / picture.ratio),
      fit: 'contain',
    };
  }

  /** A pattern in two of the colours, close to its ground where words stand on it without a plate. */
  pattern(pattern: PatternName, inks: readonly string[], ground: string, scale = 1): PatternFill {
    const { room, colors } = this.given;
    const isBare = room.bent || room.hollow;
    return {
      kind: 'pattern',
      pattern,
      ground: isBare ? colors.ground : ground,
      inks: isBare ? inks.map(() => mixed(colors.ground, colors.soft, 0.7)) : [...inks],
      scale: Math.max(0.25, Math.round(((scale * this.least) / 45) * 20) / 20),
      angle: 0,
    };
  }
}

const round = (mm: number): number => Math.round(mm * 100) / 100;

/** Whether a text is much larger in two lines than in one; `line` is its width in mm for each pt. */
function isLargerInTwo(
  text: string,
  line: number,
  box: { width: number; height: number },
): boolean {
  if (!/\S\s+\S/.test(text)) return false;
  const high = (box.height * 0.8) / MM_PER_PT;
  const one = Math.min(high, box.width / line);
  const two = Math.min(high / 2.1, (1.7 * box.width) / line);
  return two > 1.2 * one;
}

function plateIn(
  shape: EdgeShape,
  {
    x,
    y,
    fill,
    line,
  }: { x: number; y: number; fill: Fill | null; line?: Plate['line'] | undefined },
): Plate {
  return {
    ...unplaced,
    ...{ kind: 'plate', x, y, shape },
    fill: fill === null ? null : { color: fill, opacity: 1 },
    line: line ?? null,
  };
}
