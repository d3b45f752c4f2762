import { chosenSides } from '../print-pdf.ts';
import type { FormatWriter } from './format.ts';

/** The print file: a page for each side of a sheet, at true size. */
export const pdf: FormatWriter = {
  scope: 'job',
  async write({ choices, sides, stem, printFile }) {
    const pages = chosenSides(sides, choices.side).length;
    return [{ name: `${stem}.pdf`, bytes: await printFile(choices), pages }];
  },
};
