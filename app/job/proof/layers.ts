import type { Material } from '../../../core/stock/index.ts';

/** What can be shown over the printed sheet. */
export const LAYERS = ['cuts', 'order', 'bleed', 'zones', 'used'] as const;
export type Layer = (typeof LAYERS)[number];

/** How a material looks beneath the print. */
export type Look = 'plain' | 'clear' | 'shiny' | 'rainbow' | 'woven';

const LOOKS: Partial<Record<Material['kind'], Look>> = {
  clear: 'clear',
  pearl: 'shiny',
  metallic: 'shiny',
  holographic: 'rainbow',
  fabric: 'woven',
};

/** The look of a material: plain in its colour where it has no other. */
export const lookOfMaterial = ({ kind }: Pick<Material, 'kind'>): Look => LOOKS[kind] ?? 'plain';
