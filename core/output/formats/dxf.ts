import { cutDxf } from '../dxf.ts';
import { utf8, type FormatWriter } from './format.ts';

/** The cut lines of a sheet as DXF. */
export const dxf: FormatWriter = {
  scope: 'sheet',
  write: (sheet, names) => ({ name: names.dxf, bytes: utf8(cutDxf(sheet)) }),
};
