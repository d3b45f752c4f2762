/** Words of stickers within a sticker sheet. */
export const stickers = {
  sticker: 'Sticker',
  of: 'Shows',
  gone: 'a piece that is gone',
  cut: 'Its edge',
  cutLong: 'Whether its edge is cut',
  cuts: { kiss: 'Kiss-cut', none: 'Not cut' },
  open: (name: string): string => `Change “${name}”`,
  ofThisJob: 'Stickers of this job',
  add: (name: string): string => `Add “${name}” as a sticker`,
} as const;
