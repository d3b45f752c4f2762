/** What a picture file may be at most; one place for all limits. */
export const ART_LIMITS = {
  /** Bytes of one file. */
  bytes: 40 * 1024 * 1024,
  /** Pixels of one picture, width times height. */
  pixels: 60_000_000,
  /** Shapes in one vector picture. */
  shapes: 20_000,
} as const;
