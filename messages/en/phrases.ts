import { formatLength } from '../../core/units/index.ts';

/** A length in a sentence. */
export const length = (mm: number): string => formatLength(mm, 'mm');

/** A name in a sentence. */
export const quoted = (text: string): string => `“${text}”`;

/** A width and height in a sentence, mm. */
export const size = (width: number, height: number): string =>
  `${length(width)} x ${length(height)}`;
