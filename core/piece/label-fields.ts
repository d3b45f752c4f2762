/** What a label can say, in the order in which it is asked. */
export const LABEL_FIELDS = [
  'name',
  'line',
  'amount',
  'ingredients',
  'use',
  'warnings',
  'best-before',
  'batch',
  'price',
  'code',
  'small',
  'maker',
] as const;

/**
 * One thing that a label says: what it is, a line about it, its weight or volume, what is in it, how it is
 * used, what to be careful of, until when it keeps, its batch, its price, what its code says, other small
 * print, and who made it.
 */
export type LabelField = (typeof LABEL_FIELDS)[number];

/** Fields that are printed with a name before them, as `Ingredients`. */
export const NAMED_FIELDS = ['ingredients', 'use', 'warnings', 'best-before', 'batch'] as const;
export type NamedField = (typeof NAMED_FIELDS)[number];

/** Whether a field is printed with a name before it. */
export const isNamed = (field: LabelField): field is NamedField =>
  NAMED_FIELDS.some((one) => one === field);

/** What a label says in each of its fields; nothing in those that it does not have. */
export type LabelSays = Readonly<Partial<Record<LabelField, string>>>;
