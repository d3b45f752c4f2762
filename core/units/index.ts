export { formatLength, formatNumber, fromMm, parseLength, UNITS, type Unit } from './length.ts';

/** Millimetres in a point of 1/72 in. */
export const MM_PER_PT = 25.4 / 72;
