import type { Meeting } from '../../core/piece/index.ts';

/** Words of shapes put together from others. */
export const combined = {
  make: 'Make them one shape:',
  ways: {
    join: 'Join',
    cut: 'Cut away',
    common: 'Overlap only',
    either: 'Overlap out',
  } satisfies Record<Meeting, string>,
  title: 'Combined shape',
  text: 'Words of this part',
  how: (part: string): string => `How ${part} meets what lies beneath`,
  hows: {
    join: 'is added',
    cut: 'is cut away',
    common: 'keeps the common part',
    either: 'takes the overlap out',
  } satisfies Record<Meeting, string>,
  lower: (part: string): string => `Move ${part} down`,
  first: 'lies beneath',
  takeApart: 'Take it apart',
} as const;
