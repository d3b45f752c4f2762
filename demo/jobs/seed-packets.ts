import { expectOk, type Platform } from '../../core/base/index.ts';
import type { JobWithArt } from '../../core/job/index.ts';
import { parseList } from '../../core/piece/index.ts';
import { usualThing } from '../../core/things/index.ts';
import { starFlowers } from '../art/borage.ts';
import { thistle } from '../art/thistle.ts';
import { broadLeaf, frond } from '../art/woodland.ts';
import { art, demoFromCommands, drawings, numbered, ornament, plate, words } from './kit.ts';
import { VARIETIES } from './seed-varieties.ts';

const BAND = '#333f94';
const PAPER = '#fbf6ea';
const INK = '#2a1b2e';
const STEM = { leaf: '#4f7f4a', light: '#b9d4a8' };

const ART = {
  'Blue star': starFlowers({ petal: '#5a68c8', shade: '#333f94', eye: '#2a2350', ...STEM }),
  'Rose star': starFlowers({ petal: '#d4697f', shade: '#9a2f4a', eye: '#6b2230', ...STEM }),
  'Gold star': starFlowers({ petal: '#efb63e', shade: '#b5780f', eye: '#7a4a08', ...STEM }),
  Thistle: thistle({ tuft: ['#7b3f8c', '#a05cb0', '#c79ad0'], leaf: '#4f7a43', light: '#cfe0b8' }),
  Frond: frond('#4f7f4a', '#a9c98f'),
  'Broad leaf': broadLeaf('#5c8f4e', '#b9d4a8', '#3f6b3a'),
};

/** Labels for 34 seed packets from the list of the nursery, each in the colour and with the picture of its row. */
export async function seedPackets(platform: Platform): Promise<JobWithArt> {
  const made = await drawings(platform, ART);
  const known = [...made.values()];
  const first = made.get('Blue star')?.art.id ?? '';
  const elements = numbered([
    { ...plate({ kind: 'rectangle', width: 34, height: 58, radius: 0 }, BAND), x: -29 },
    { ...plate({ kind: 'circle', diameter: 27 }, PAPER), x: -26.5 },
    art(first, 21, 24, { x: -26.5 }),
    words('THISTLE & FEN', {
      x: 14.5,
      y: -20,
      size: 9.5,
      tracking: 16,
      width: 48,
      height: 5,
      color: BAND,
    }),
    words('{name}', {
      x: 14.5,
      y: -8.6,
      size: 21,
      least: 11,
      width: 49,
      height: 12,
      color: INK,
      fit: 'wrap-shrink',
      leading: 1.02,
      balanced: true,
    }),
    words('{latin}', {
      x: 14.5,
      y: 1.4,
      size: 10.5,
      least: 6.5,
      width: 49,
      height: 5.5,
      typeface: 'fraunces-italic',
      color: INK,
    }),
    ornament('divider', {
      x: 14.5,
      y: 7.6,
      width: 30,
      height: 4,
      weight: 0.25,
      inks: [BAND, BAND],
    }),
    words('Sow: {sow}', {
      x: 14.5,
      y: 13,
      size: 8.5,
      width: 48,
      height: 4.5,
      typeface: 'figtree-semibold',
      color: INK,
    }),
    words('{bed} · packed {today:MMM yyyy}', {
      x: 14.5,
      y: 18,
      size: 7.5,
      width: 48,
      height: 4.5,
      typeface: 'figtree-regular',
      color: INK,
    }),
    words('No. {#01}', {
      x: -26.5,
      y: 18.6,
      size: 8,
      width: 22,
      height: 4.5,
      typeface: 'figtree-semibold',
      color: PAPER,
    }),
  ]);
  const bound = (column: string) => ({ column, piece: 'piece-1', element: 'picture-1' });
  const job = demoFromCommands('face', { id: 'demo-seed-packets', name: 'Seed packets' }, [
    {
      name: 'measure-thing',
      args: { thing: usualThing('face', { width: 90, height: 58, radius: 2, clearance: 2 }) },
    },
    {
      name: 'change-piece',
      args: { piece: 'piece-1', changes: { name: 'Packet label', ground: PAPER } },
    },
    {
      name: 'add-elements',
      args: { piece: 'piece-1', elements, art: known.map((one) => one.art) },
    },
    { name: 'set-list', args: { list: expectOk(parseList(VARIETIES)) } },
    { name: 'bind-color', args: { color: BAND, column: 'band' } },
    { name: 'bind-picture', args: bound('picture') },
    { name: 'want-rows', args: { piece: 'piece-1', each: 1 } },
    { name: 'change-plan', args: { changes: { gap: 4, cut: 'kiss' } } },
  ]);
  return { job, art: new Map(known.map((one) => [one.art.id, one.bytes])) };
}
