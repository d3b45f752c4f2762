import { invert, nested, scaling, translation, type Affine } from '../../../core/geometry/index.ts';
import type { RgbaImage } from '../../../core/raster/index.ts';
import { canvasOf, canvasWith, type Canvas } from '../../ui/canvas.ts';

/** Where a label lies in the picture of a sheet and how large it is, mm. */
export interface LabelOnSheet {
  /** From about its middle to the picture. */
  readonly map: Affine;
  readonly width: number;
  readonly height: number;
  /** The width of the sheet. */
  readonly sheet: number;
}

/** The picture of one label out of that of a sheet. */
export function peeledLabel(sheet: RgbaImage, label: LabelOnSheet): Canvas {
  const perMm = sheet.width / label.sheet;
  const made = canvasOf(label.width * perMm, label.height * perMm, true);
  const middle = translation(made.canvas.width / 2, made.canvas.height / 2);
  made.context.setTransform(
    ...nested(middle, scaling(perMm), invert(label.map), scaling(1 / perMm)),
  );
  made.context.drawImage(canvasWith(sheet), 0, 0);
  return made;
}
