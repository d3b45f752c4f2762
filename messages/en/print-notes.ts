import type { PrintNote } from '../../core/run/index.ts';

/** What is worth telling of a print though it went well. */
export const PRINT_NOTES: Readonly<Record<PrintNote, string>> = {
  'may-scale': 'The printer does not promise to print without scaling: measure the first sheet.',
};
