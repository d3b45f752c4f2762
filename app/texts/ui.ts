/** Words of the widgets. */
export const ui = {
  zoomOut: 'Zoom out',
  trueSize: 'True size on a screen of 96 px to the inch',
  zoomIn: 'Zoom in',
  lines: {
    kiss: 'kiss cut',
    through: 'through cut',
    bleed: 'bleed',
    fold: 'fold',
    zone: 'keep clear',
  },
  pickColor: 'Pick a colour from the screen',
  noColor: 'none',
  colorNumber: (label: string): string => `${label}, as a number`,
  otherColor: (label: string): string => `${label}, any other`,
} as const;
