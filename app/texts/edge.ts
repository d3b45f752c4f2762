/** Words of the edge desk. */
export const edge = {
  edge: 'Edge',
  bench: 'The piece with its edge and bleed',
  looks: 'How it is seen',
  wholePiece: 'whole piece',
  shape: 'Shape',
  bleedLong: 'Bleed beyond the edge',
  bleed: 'Bleed',
  safe: 'Words keep inside by',
  safeInset: 'Safe inset',
  bleedHint:
    'The ground prints out to the bleed, so that a cut that is a little off shows no paper.',
  seen: { printed: 'As printed', cut: 'As cut' },
} as const;
