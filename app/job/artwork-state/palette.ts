/** Colours to start from: inks, grounds and accents that go together in print. */
export const PALETTE = [
  '#2a1b2e',
  '#44203d',
  '#7a2430',
  '#24356f',
  '#2c4a2f',
  '#c77f3a',
  '#f4ead6',
  '#fbe3c8',
  '#e3e8f4',
  '#e6efdf',
  '#ffffff',
] as const;

const OWN = 9;
const MOST = 17; // chips that stand in three rows

/** The colours offered on a desk: its own come first. */
export const offeredColors = (own: readonly string[]): string[] =>
  [...new Set([...own.slice(0, OWN), ...PALETTE])].slice(0, MOST);
