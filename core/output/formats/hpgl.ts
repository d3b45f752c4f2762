import { cutHpgl } from '../hpgl.ts';
import { utf8, type FormatWriter } from './format.ts';

/** The cut lines of a sheet as a cutter follows them. */
export const hpgl: FormatWriter = {
  scope: 'sheet',
  write: (sheet, names, { choices: { knife, lies, cutBefore } }) => ({
    name: names.hpgl,
    bytes: utf8(cutHpgl(sheet, knife, lies, cutBefore)),
  }),
};
