import type { SizeWarnings } from '../../core/things/index.ts';
import type { Words } from '../words.ts';
import { length } from './phrases.ts';

/** What may go wrong with a label of such a size. */
export const SIZE_WARNINGS: Words<SizeWarnings> = {
  'dome-wrinkles': ({ surplus, height }) =>
    `A flat label would wrinkle on this dome: its rim has ${(surplus * 100).toFixed(1)} % too much ` +
    `for the ${length(height)} of height. Paper takes 1 %, film 3 %. A smaller label lies flatter.`,
  'hole-over-edge': () => 'The hole reaches over the edge of the tag.',
  'hole-tears': ({ rim, least }) =>
    `The hole is ${length(rim)} from the edge and would tear out: leave ${length(least)}.`,
  'long-overlap': ({ overlap }) =>
    `An overlap of ${length(overlap)} is more than the label itself is wide.`,
  'no-overlap': () =>
    'Without an overlap the ends only meet: the label needs glue all over to stay on.',
  'opening-wider': () => 'The opening is wider than the tag.',
  'overlap-beyond-panel': () => 'The overlap is longer than the panel that it is glued to.',
  'print-in-hole': ({ hole }) =>
    `The print begins inside the hole of ${length(hole)}; it is left out there.`,
  'round-ends': () =>
    'The corner radius is more than half of the shorter side; the ends become half circles.',
  'short-overlap': ({ overlap }) =>
    `An overlap of ${length(overlap)} is short: glue needs 5 mm to hold the ends together.`,
  'small-clearance': () => 'A clearance below 0.5 mm is less than most hands can place a label by.',
  'wide-strip': ({ strip, along }) =>
    `A strip of ${length(strip)} is wider than the ${length(along)} that it lies along.`,
};
