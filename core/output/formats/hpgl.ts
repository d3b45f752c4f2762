import { cutProgram, programText } from '../cut-program/index.ts';
import { utf8, type FormatWriter } from './format.ts';

/** The cut lines of a sheet as most cutters follow them. */
export const hpgl: FormatWriter = {
  scope: 'sheet',
  write: (sheet, names) => ({ name: names.hpgl, bytes: utf8(programText(cutProgram(sheet))) }),
};
