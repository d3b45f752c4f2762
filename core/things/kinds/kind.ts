import * as z from 'zod';
import { err, ok, type Result } from '../../base/index.ts';
import { corners, flatten, type Box, type Ring } from '../../geometry/index.ts';
import { shapePath, shapeSize, type EdgeShape } from '../../shape/index.ts';
import { warning, type SizeWarning } from '../size-warnings.ts';
import type { FlatSize, Fold, Reading, Zone, ZoneName } from '../flat.ts';
import { mainZone } from '../zones.ts';

/** A measurement in mm. */
export const mm = z.number().positive().max(2000);
/** What may be nothing, in mm. */
export const some = z.number().min(0).max(500);

/** What each kind of thing can do. */
export interface ThingKind<T> {
  /** Usual measurements, to begin with. */
  readonly usual: T;
  /** The flat label, or what is wrong with the measurements. */
  size(thing: T): Result<FlatSize>;
}

type Extras = Partial<Omit<FlatSize, 'shape' | 'width' | 'height' | 'reading'>>;

/** A flat label of a shape; all of it is the front unless zones are given. */
export function flat(shape: EdgeShape, extras: Extras = {}): Result<FlatSize> {
  const { zones = [ringsZone('front', flatten(shapePath(shape), 0.01))] } = extras;
  return ok({
    shape,
    ...shapeSize(shape),
    zones,
    folds: [],
    reading: mainZone(zones)?.reading ?? 0,
    parts: 1,
    warnings: [],
    ...extras,
  });
}

export const rectangleOf = (width: number, height: number, radius = 0): EdgeShape => ({
  kind: 'rectangle',
  width,
  height,
  radius: Math.min(radius, width / 2, height / 2),
});

/** A part whose words stand upright. */
export const ringsZone = (name: ZoneName, rings: readonly Ring[]): Zone => ({
  name,
  rings,
  reading: 0,
});

export const boxZone = (name: ZoneName, box: Box, reading: Reading = 0): Zone => ({
  name,
  rings: [corners(box)],
  reading,
});

/** A part of a label that is folded: its length along the row, and how its words are turned. */
export interface Panel {
  readonly name: ZoneName;
  readonly length: number;
  readonly reading?: Reading;
}

/** A row of panels from left to right about the middle, and the folds between them. */
export function panelRow(
  panels: readonly Panel[],
  height: number,
): { width: number; zones: Zone[]; folds: Fold[] } {
  const width = panels.reduce((sum, { length }) => sum + length, 0);
  const [top, bottom] = [-height / 2, height / 2];
  let left = -width / 2;
  const zones: Zone[] = [];
  const folds: Fold[] = [];
  panels.forEach(({ name, length, reading }, index) => {
    if (index > 0)
      folds.push([
        { x: left, y: top },
        { x: left, y: bottom },
      ]);
    zones.push(boxZone(name, { left, top, right: left + length, bottom }, reading));
    left += length;
  });
  return { width, zones, folds };
}

/** Why an overlap will not hold, if it will not. */
export function overlapWarning(overlap: number): SizeWarning[] {
  if (overlap >= 5) return [];
  return [overlap === 0 ? warning('no-overlap', {}) : warning('short-overlap', { overlap })];
}

/** Said of an overlap that is longer than what it lies on. */
export const overlapTooLong = (overlap: number): SizeWarning =>
  warning('long-overlap', { overlap });

export const nothingLeft = (across: number, gap: number): Result<never> =>
  err('size/nothing-left', { gap, across });
