import { jobWithArt, writePeel } from '../../job/index.ts';
import type { FormatWriter } from './format.ts';

/** The job itself, with its art; nothing where no art is at hand. */
export const peel: FormatWriter = {
  scope: 'all',
  write: async ({ job, artBytes, stem }) =>
    artBytes ? [{ name: `${stem}.peel`, bytes: writePeel(await jobWithArt(job, artBytes)) }] : [],
};
