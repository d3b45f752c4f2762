import { jobWithArt, writePeel } from '../../job/index.ts';
import type { FormatWriter } from './format.ts';

/** The job itself, with its art; nothing where no art is at hand. */
export const peel: FormatWriter = {
  scope: 'job',
  write: async ({ seen, artBytes, stem }) =>
    artBytes
      ? [{ name: `${stem}.peel`, bytes: writePeel(await jobWithArt(seen.job, artBytes)) }]
      : [],
};
