import { ornamentOf, type OrnamentName, type PatternName } from '../art/index.ts';
import type { Fill, PatternFill, PieceElement, Plate, Words } from '../piece/index.ts';
import { insetShape, plainShape, type BoxedKind } from '../shape/index.ts';
import { MM_PER_PT } from '../units/index.ts';
import type { DesignGiven } from './given.ts';

/** A place in a room: shares of its width and height from its middle. */
interface Spot {
  readonly x?: number;
  readonly y?: number;
  /** Shares of the room's width and height. */
  readonly w?: number;
  readonly h?: number;
}

interface TextLook {
  readonly face?: 'display' | 'text';
  readonly color?: string;
  readonly tracking?: number;
  readonly case?: Words['case'];
  readonly wrap?: boolean;
  /** Whether its box may grow as wide as the room, as nothing frames it. */
  readonly mayWiden?: boolean;
  /** The largest size of its letters, pt. */
  readonly most?: number;
  readonly align?: Words['align'];
  /** Keeps a rim of the ground around the letters, where a pattern lies beneath. */
  readonly halo?: boolean;
}

interface OrnamentLook {
  readonly inks?: readonly [string, string];
  readonly count?: number;
  readonly weight?: number;
  readonly angle?: number;
  readonly flip?: PieceElement['flip'];
  readonly repeat?: PieceElement['repeat'];
  readonly opacity?: number;
}

const place = { id: '', angle: 0, locked: false };
const LEAST = 5; // pt
const READABLE = 6.5; // pt

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
  square({ x = 0, y = 0, w = 0.9, h = 0.2 }: Spot): Spot {
    const [across, down] = [this.least / this.width, this.least / this.height];
    return { x: x * across, y: y * down, w: w * across, h: h * down };
  }

  private at({ x = 0, y = 0 }: Spot): { x: number; y: number } {
    const { centre } = this.given.room;
    return {
      x: round(centre.x + x * this.width),
      y: round(centre.y + y * this.height),
    };
  }

  private boxOf({ w = 0.9, h = 0.2 }: Spot): { width: number; height: number } {
    return {
      width: Math.max(1, round(w * this.width)),
      height: Math.max(1, round(h * this.height)),
    };
  }

  /** The box of a spot, wider where words in the middle of the room want so much width and there is room. */
  private widened(spot: Spot, wanted: number): { width: number; height: number } {
    const box = this.boxOf(spot);
    if (spot.x || this.given.room.radius !== undefined) return box;
    return {
      ...box,
      width: Math.max(box.width, Math.min(round(wanted), round(0.96 * this.width))),
    };
  }

  /** Words in a box, as large as it takes. */
  text(text: string, spot: Spot, look: TextLook = {}): PieceElement[] {
    if (text.trim() === '') return [];
    const { colors, faces, room } = this.given;
    const line = text.length * MM_PER_PT * letterWidth(look); // for each pt
    const box = look.mayWiden ? this.widened(spot, line * READABLE) : this.boxOf(spot);
    // What is too long for one line at the smallest size has several.
    const wraps = look.wrap ?? line * LEAST > box.width;
    const size = Math.min(
      look.most ?? Infinity,
      Math.max(LEAST + 1, round((box.height * 0.8) / MM_PER_PT)),
    );
    return [
      {
        ...place,
        kind: 'words',
        ...this.at(spot),
        ...box,
        text,
        typeface: look.face === 'text' ? faces.text : faces.display,
        size,
        tracking: look.tracking ?? 0,
        leading: 1.12,
        align: look.align ?? 'centre',
        fit: wraps ? 'wrap-shrink' : 'shrink',
        ...(wraps ? { balanced: true } : {}),
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
   * Words along the rim, at the top or the bottom; a row there where the rim is not round.
   * @param inset how far inside the safe circle, as a share of its radius
   * @param h height of the row as a share of the room's
   */
  around(
    text: string,
    { side, inset, h }: { side: 'top' | 'bottom'; inset: number; h: number },
    look: TextLook = {},
  ): PieceElement[] {
    const { radius } = this.given.room;
    const sign = side === 'top' ? -1 : 1;
    if (radius === undefined)
      return this.text(
        text,
        { y: sign * (0.43 - h * 0.4), w: 0.86, h: h * 0.72 },
        { face: 'text', ...look },
      );
    const high = h * radius * 1.5;
    const [made] = this.text(text, { w: 1, h: 1 }, { face: 'text', ...look });
    if (made?.kind !== 'words') return [];
    const outer = radius * (1 - inset);
    const own = side === 'top' ? outer - high * 0.74 : outer;
    return [
      {
        ...made,
        x: 0,
        y: 0,
        size: round((high * 0.95) / MM_PER_PT),
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
      ...place,
      kind: 'plate',
      x: 0,
      y: 0,
      shape: insetShape(edge, by),
      fill: null,
      line: { color: this.given.colors.ink, width: this.hair, style: 'solid', ...line },
      rim: { inset: by },
    };
  }

  /** A plate in a shape; bands along a bent room have none, their words stand on the ground. */
  plate(kind: BoxedKind, spot: Spot, fill: string, line?: Plate['line']): PieceElement[] {
    if (this.given.room.bent) return [];
    const { width, height } = this.boxOf(spot);
    const radius = Math.min(width, height) * 0.16;
    return [
      {
        ...place,
        kind: 'plate',
        ...this.at(spot),
        shape: plainShape(kind, width, height, radius),
        fill: { color: fill, opacity: 1 },
        line: line ?? null,
      },
    ];
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
      ...place,
      kind: 'ornament',
      ...this.at(spot),
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
      ...place,
      kind: 'picture',
      ...this.at(spot),
      art: picture.art,
      width: round(width),
      height: round(width / picture.ratio),
      fit: 'contain',
    };
  }

  /** A pattern in two of the colours, quiet enough for words on plates over it. */
  pattern(pattern: PatternName, inks: readonly string[], ground: string, scale = 1): PatternFill {
    return {
      kind: 'pattern',
      pattern,
      ground,
      inks: [...inks],
      scale: Math.max(0.25, Math.round(((scale * this.least) / 45) * 20) / 20),
      angle: 0,
    };
  }
}

const round = (mm: number): number => Math.round(mm * 100) / 100;

/** A design by its name. */
export interface Design {
  /** Where its words stand it suits: not every design has a middle to leave out. */
  readonly hollow?: boolean;
  make(layout: Layout): { ground?: Fill | null; elements: readonly PieceElement[] };
}
