import type { ZoneName } from '../../core/things/index.ts';

/** What the parts of a label are called on its thing. */
export const ZONES: Readonly<Record<ZoneName, string>> = {
  front: 'front',
  back: 'back',
  side: 'side',
  top: 'top',
  bottom: 'bottom',
  overlap: 'overlap',
  flap: 'flap',
  spine: 'spine',
  hub: 'hole',
  hem: 'hem',
};
