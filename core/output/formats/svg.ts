import { cutSvg } from '../cut-svg.ts';
import { utf8, type FormatWriter } from './format.ts';

/** The cut lines of a sheet as SVG. */
export const svg: FormatWriter = {
  scope: 'sheet',
  write: (sheet, names) => ({ name: names.svg, bytes: utf8(cutSvg(sheet)) }),
};
