/** Words of the widgets. */
export const ui = {
  zoomOut: 'Zoom out',
  trueSize: 'True size on a screen of 96 px to the inch',
  zoomIn: 'Zoom in',
  otherColor: (label: string): string => `${label}, any other`,
} as const;
