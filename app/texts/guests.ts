import { counted } from './counted.ts';

/** What else lies on the sheets of a thing. */
export const guests = {
  title: 'Sharing these sheets',
  share: (name: string): string => `${name} on these sheets, too`,
  hint: 'Room that is left can take labels of another job.',
  free: (places: number): string =>
    `${counted(places, 'place')} left on these sheets. What is brought stays as it is now; a change there is offered here.`,
  bring: 'Bring labels of another job',
  noJobs: 'There is no other job on the shelf.',
  whichOf: (job: string): string => `How many of “${job}”`,
  find: 'Find a label',
  noneFound: 'No label has this in its name.',
  countOf: (name: string): string => `How many of ${name}`,
  more: (count: number): string => `${count} more: type a part of the name to find them.`,
  doBring: (count: number): string => (count ? `Bring ${counted(count, 'label')}` : 'Bring them'),
  brought: (count: number, job: string): string =>
    `${counted(count, 'label')} of “${job}” ${count === 1 ? 'lies' : 'lie'} on these sheets.`,
  takeOff: 'Take off',
  takeOffOne: (name: string): string => `Take ${name} off these sheets`,
  changed: (job: string): string => `“${job}” has changed since.`,
  update: 'Update',
};
