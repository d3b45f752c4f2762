import type { FormatWriter } from './format.ts';

/** The print file: a page for each side of a sheet, at true size. */
export const pdf: FormatWriter = {
  scope: 'job',
  async write({ choices, sides, stem, printFile }) {
    const pages = sides.filter(({ side }) => [undefined, side].includes(choices.side)).length;
    return [{ name: `${stem}.pdf`, bytes: await printFile(choices), pages }];
  },
};
