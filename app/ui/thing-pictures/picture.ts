import { pathData } from '../../../core/drawing/index.ts';
import {
  mapPath,
  nested,
  scaling,
  translation,
  type Affine,
  type Path,
} from '../../../core/geometry/index.ts';

/** How a line or face of a drawn thing looks. */
export type Look =
  'body' | 'top' | 'inner' | 'label' | 'overlap' | 'fold' | 'behind' | 'dimension' | 'arrow';

/** From where a thing is seen. */
export type SeenFrom = 'front' | 'back' | 'below';

/** A line or face of a drawn thing. */
export interface ThingLine {
  readonly look: Look;
  readonly d: string;
  /** For a label or a part of it on a flat face: from mm of the flat label, about its middle, to the frame. */
  readonly lies?: Affine;
}

/** A thing as it is drawn, in a frame of 360 by 300, and where its measurements are typed into it. */
export interface ThingPicture {
  readonly lines: readonly ThingLine[];
  /** A measurement by its name and the middle of its field. */
  readonly fields: readonly { readonly key: string; readonly x: number; readonly y: number }[];
}

export const FRAME = { width: 360, height: 300 } as const;

/** Builds a picture line by line. */
export class PictureBuilder {
  private readonly lines: ThingLine[] = [];
  private readonly fields: { key: string; x: number; y: number }[] = [];

  draw(look: Look, d: string, lies?: Affine): this {
    this.lines.push({ look, d, ...(lies ? { lies } : {}) });
    return this;
  }

  /** A measurement between two points, with arrows at its ends and its field in the middle. */
  measure(key: string, from: readonly [number, number], to: readonly [number, number]): this {
    const [[x1, y1], [x2, y2]] = [from, to];
    const length = Math.hypot(x2 - x1, y2 - y1) || 1;
    const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length];
    const head = (x: number, y: number, way: number): string =>
      `M${x} ${y}L${x + way * 10 * ux - 4 * uy} ${y + way * 10 * uy + 4 * ux}` +
      `L${x + way * 10 * ux + 4 * uy} ${y + way * 10 * uy - 4 * ux}Z`;
    return this.draw('dimension', `M${x1} ${y1}L${x2} ${y2}`)
      .draw('arrow', head(x1, y1, 1) + head(x2, y2, -1))
      .field(key, (x1 + x2) / 2, (y1 + y2) / 2);
  }

  /** A measurement that points at a place. */
  pointAt(key: string, place: readonly [number, number], field: readonly [number, number]): this {
    const [x, y] = place;
    return this.draw('dimension', `M${x} ${y}L${field[0]} ${field[1]}`)
      .draw('arrow', `M${x - 3} ${y}a3 3 0 1 0 6 0a3 3 0 1 0 -6 0Z`)
      .field(key, ...field);
  }

  field(key: string, x: number, y: number): this {
    this.fields.push({ key, x, y });
    return this;
  }

  done(): ThingPicture {
    return { lines: this.lines, fields: this.fields };
  }
}

/** A path in mm about its middle, scaled and moved into the frame. */
export function inFrame(path: Path, scale: number, x: number, y: number): string {
  return pathData(mapPath(path, nested(translation(x, y), scaling(scale))));
}
