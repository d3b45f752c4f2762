import type { LabelField } from '../piece/index.ts';

/** What people label. */
export const LABEL_USES = [
  'food',
  'care',
  'plants',
  'gifts',
  'shop',
  'home',
  'children',
  'celebrations',
] as const;
export type LabelUse = (typeof LABEL_USES)[number];

/** What a label is asked first, by what it is put on. */
const FIELDS_OF_USE: Readonly<Record<LabelUse, readonly LabelField[]>> = {
  food: ['name', 'line', 'maker', 'amount', 'best-before', 'batch', 'ingredients'],
  care: ['name', 'line', 'maker', 'amount', 'batch', 'ingredients', 'use', 'warnings'],
  plants: ['name', 'line', 'maker', 'price', 'use'],
  gifts: ['name', 'line', 'maker'],
  shop: ['name', 'line', 'maker', 'price', 'code', 'small'],
  home: ['name', 'line', 'amount', 'best-before'],
  children: ['name', 'line'],
  celebrations: ['name', 'line', 'maker'],
};
const FIELDS_OF_ANY: readonly LabelField[] = ['name', 'line', 'maker'];

/** The fields that are asked for a use, or for none in particular. */
export const fieldsOfUse = (use: LabelUse | undefined): readonly LabelField[] =>
  use ? FIELDS_OF_USE[use] : FIELDS_OF_ANY;
