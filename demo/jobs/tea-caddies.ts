import type { JobWithArt } from '../../core/job/index.ts';
import type { MeasuredThing } from '../../core/things/index.ts';
import { demoFromCommands, numbered, ornament, plate, words } from './kit.ts';

const OCHRE = '#e3b04b';
const DEEP = '#4a2a12';
const PALE = '#fbf0d4';

/** The flat inside the rim of each caddy, mm. */
const lid = (size: number): MeasuredThing => ({
  kind: 'lid',
  measured: 'diameter',
  size,
  clearance: 1,
  dome: 0,
});

/** Three lids of tea caddies from one artwork in ochre: the smaller ones follow the largest. */
export function teaCaddies(): JobWithArt {
  const small = { typeface: 'josefin-sans-bold', case: 'upper', tracking: 12, least: 5 } as const;
  const elements = numbered([
    plate({ kind: 'circle', diameter: 57 }, PALE, { color: DEEP, width: 0.5, style: 'double' }),
    words('Thistle & Fen', {
      ...small,
      color: DEEP,
      size: 10.5,
      path: { kind: 'circle', radius: 30, side: 'outside', angle: 0, reach: 150 },
      outlines: [{ color: OCHRE, width: 0.9 }],
    }),
    words('Fifty cups to the tin', {
      ...small,
      color: DEEP,
      size: 8.6,
      path: { kind: 'circle', radius: 32.5, side: 'inside', angle: 180, reach: 150 },
      outlines: [{ color: OCHRE, width: 0.9 }],
    }),
    ornament('sprig', {
      y: -16,
      width: 6,
      height: 11,
      count: 3,
      weight: 0.3,
      inks: [DEEP, '#a8652a'],
    }),
    words('Lemon Balm', {
      typeface: 'playfair-display-bold',
      color: DEEP,
      size: 24,
      y: -1,
      width: 48,
      height: 12,
      least: 9,
    }),
    ornament('divider', { y: 7.6, width: 30, height: 3.3, weight: 0.35, inks: [DEEP, DEEP] }),
    words('dried slowly, cut by hand', {
      typeface: 'playfair-display-italic',
      color: DEEP,
      size: 10,
      y: 13.5,
      width: 38,
      height: 6,
    }),
    words('best by {today+2y:MMMM yyyy}', {
      typeface: 'josefin-sans-regular',
      color: DEEP,
      size: 7.6,
      y: 19.4,
      width: 34,
      height: 4,
    }),
  ]);
  const made = demoFromCommands('lid', { id: 'demo-tea-caddies', name: 'Tea caddies' }, [
    { name: 'measure-thing', args: { thing: lid(75) } },
    {
      name: 'change-piece',
      args: {
        piece: 'piece-1',
        changes: {
          name: 'Large caddy',
          ground: {
            kind: 'pattern',
            pattern: 'herringbone',
            ground: OCHRE,
            inks: ['#dba53d', '#e9bd63'],
            scale: 1.1,
            angle: 0,
          },
        },
      },
    },
    { name: 'add-elements', args: { piece: 'piece-1', elements } },
    { name: 'add-size', args: { piece: 'piece-1' } },
    { name: 'change-piece', args: { piece: 'piece-2', changes: { name: 'Middle caddy' } } },
    { name: 'measure-size', args: { piece: 'piece-2', thing: lid(62) } },
    { name: 'add-size', args: { piece: 'piece-1' } },
    { name: 'change-piece', args: { piece: 'piece-3', changes: { name: 'Small caddy' } } },
    { name: 'measure-size', args: { piece: 'piece-3', thing: lid(46) } },
    { name: 'change-plan', args: { changes: { gap: 4 } } },
    // What is too small on the smallest lid is larger there, or left out.
    {
      name: 'change-elements',
      args: {
        piece: 'piece-3',
        changes: { 'words-2': { size: 6.1 }, 'words-5': { hidden: true } },
      },
    },
    ...[1, 2, 3].map((piece) => ({
      name: 'want' as const,
      args: { piece: `piece-${piece}`, count: 4 },
    })),
  ]);
  return { job: made, art: new Map() };
}
