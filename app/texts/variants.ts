/** Words of pieces that follow another. */
export const variants = {
  title: 'Its own here',
  follows: (base: string): string =>
    `Follows “${base}”. What you change here stays here; everything else comes from there.`,
  elements: (count: number): string => `${count} element${count === 1 ? '' : 's'} changed`,
  colors: 'Colours of its own',
  again: 'Follow again',
  toBase: (base: string): string => `Show “${base}”`,
  stop: 'Let it go its own way',
  add: 'Add one that follows',
  addHint: 'Other words and colours, the layout stays the same',
  /** What of an element is changed, by the field. */
  fields: {
    text: 'Words',
    color: 'Colour',
    fill: 'Fill',
    inks: 'Colours',
    line: 'Line',
    typeface: 'Typeface',
    size: 'Size',
    x: 'Place',
    y: 'Place',
    angle: 'Turn',
    width: 'Size',
    height: 'Size',
    art: 'Picture',
    hidden: 'Left out',
  } as Readonly<Record<string, string>>,
  other: 'Details',
  adapt: 'On other sizes',
  adapts: { grow: 'grows along', edge: 'keeps its size and distance', room: 'takes the room' },
} as const;
