/** Words of sets: several things in one look. */
export const set = {
  things: 'Things of this set',
  add: 'Add another thing',
  addHint: 'It comes in the look of this label, on a sheet of its own.',
  join: 'Or a job from the shelf, as it is',
  joinNone: 'There is no other job on the shelf.',
  joined: (name: string): string =>
    `“${name}” is a part of this set now; its own job stays on the shelf.`,
  names: {
    lid: 'Lid',
    wrap: 'Wrap',
    taper: 'Pot wrap',
    band: 'Band',
    face: 'Face',
    tag: 'Tag',
    disc: 'Disc',
    case: 'Case',
    envelope: 'Envelope',
    picture: 'Picture',
    own: 'Label',
    'label-sheet': 'Sheet',
  },
  menu: (name: string): string => `More for ${name}`,
  rename: 'Rename',
  takeOut: 'Make it a job of its own',
  remove: 'Take it away',
  split: 'Take the set apart',
  wasSplit: (count: number): string => `${count} things are jobs of their own on the shelf now.`,
  takenOut: (name: string): string => `“${name}” is a job of its own on the shelf.`,
  removed: (name: string): string => `“${name}” is no part of the set any more.`,
  undo: 'Undo',
  look: 'Look of the set',
  lookHint: 'Shared by all of its labels. What one has for itself is marked.',
  colors: { ground: 'Ground', main: 'Main', second: 'Second', accent: 'Accent' },
  faces: { title: 'Titles', text: 'Text', small: 'Small print' },
  own: (name: string): string => `Only on ${name}`,
  share: 'As the set has it',
  isOwn: (name: string): string => `${name} has its own`,
  designAll: 'On all things of the set',
  shareAll: 'Take the look of the set',
  goTo: (name: string): string => `Look at ${name}`,
  changeAt: (name: string): string => `Change it on ${name}`,
  ofAll: 'Files of all things of the set',
  count: 'Of the whole set',
  countLong: 'How many of the whole set: of each thing as many, unless it is counted by itself',
  /** What is made on each kind of sheet: `Lid 12, Wrap 12 on A4, matt paper`. */
  summary: (
    groups: readonly { readonly name: string; readonly copies: number; readonly on: string }[],
  ): string =>
    [...new Set(groups.map(({ on }) => on))]
      .map((sheet) => {
        const made = groups.filter(({ on }) => on === sheet);
        return `${made.map(({ name, copies }) => `${name} ${copies}`).join(', ')} on ${sheet}`;
      })
      .join(' · '),
};
