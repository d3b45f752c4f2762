import type { Material, MaterialKind } from './material.ts';
import type { PrinterOffers } from './printer.ts';

export const QUALITIES = ['draft', 'normal', 'high'] as const;
export const COLOR_MODES = ['auto', 'color', 'monochrome'] as const;

/** What a printer is asked for beside the file; an empty tray or kind of paper is left to the printer. */
export interface PrintChoices {
  readonly tray: string;
  readonly type: string;
  readonly quality: (typeof QUALITIES)[number];
  readonly color: (typeof COLOR_MODES)[number];
}

/** Kinds of paper by their standard names (PWG 5101.1, 4), the fittest for a material first. */
const FITTING: Readonly<Record<MaterialKind, readonly string[]>> = {
  paper: ['labels', 'stationery'],
  film: ['photographic-matte', 'photographic-film', 'photographic', 'labels'],
  clear: ['transparency', 'photographic-film', 'photographic'],
  holographic: ['photographic-glossy', 'photographic'],
  pearl: ['photographic-semi-gloss', 'photographic-glossy', 'photographic'],
  metallic: ['photographic-glossy', 'photographic'],
  coloured: ['labels', 'stationery-colored', 'stationery'],
  card: ['cardstock', 'stationery-heavyweight'],
  fabric: ['fabric', 'stationery-heavyweight'],
  transfer: ['transfer', 'transparency', 'stationery'],
};

/** What a printer is asked for unless somebody chose: the kind of paper and quality that the material wants. */
export function usualChoices(
  { kind, print }: Pick<Material, 'kind' | 'print'>,
  { types }: Pick<PrinterOffers, 'types'>,
): PrintChoices {
  const quality = /high|best|fine/i.test(print.quality)
    ? 'high'
    : /draft|fast/i.test(print.quality)
      ? 'draft'
      : 'normal';
  const type = FITTING[kind].find((name) => types.includes(name)) ?? '';
  return { tray: '', type, quality, color: 'auto' };
}

/** The margins of a sheet, as far as a printer leaves more free: top, right, bottom and left, mm. */
export function marginsFor(
  margins: readonly [number, number, number, number],
  { margins: left }: Pick<PrinterOffers, 'margins'>,
): [number, number, number, number] | undefined {
  if (!left) return undefined;
  const [top, right, bottom, side] = margins.map((margin, at) => Math.max(margin, left[at] ?? 0));
  const wider: [number, number, number, number] = [top ?? 0, right ?? 0, bottom ?? 0, side ?? 0];
  return wider.some((margin, at) => margin > (margins[at] ?? 0) + 0.05) ? wider : undefined;
}
