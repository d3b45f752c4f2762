import { formatLength } from '../../units/index.ts';

/** A width and height in a sentence, mm. */
export const sizeText = ({ width, height }: { width: number; height: number }): string =>
  `${formatLength(width, 'mm')} x ${formatLength(height, 'mm')}`;
