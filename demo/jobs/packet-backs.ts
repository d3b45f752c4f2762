import type { JobWithArt } from '../../core/job/index.ts';
import type { PieceElement } from '../../core/piece/index.ts';
import { findingKey } from '../../core/proof/index.ts';
import { usualThing } from '../../core/things/index.ts';
import { demoFromCommands, numbered, ornament, plate, ring, words } from './kit.ts';

const INK = '#44203d';
const LEAF = '#3a6636';
const CLAY = '#b5603a';
const PAPER = '#fbf6ea';

/** A hairline across the label, mm from its middle. */
const hairline = (y: number): PieceElement =>
  plate({ kind: 'rectangle', width: 50, height: 0.2, radius: 0 }, INK, null, y);
/** What the customer fills in, and the small word above it. */
const blank = (label: string, field: string, y: number): PieceElement[] => [
  words(label, {
    y: y - 5.4,
    size: 6.5,
    tracking: 14,
    width: 50,
    height: 4,
    typeface: 'figtree-semibold',
    color: LEAF,
  }),
  words(`{${field}}`, { y, size: 13, least: 7, width: 52, height: 7, color: INK }),
  hairline(y + 4),
];

/** Backs for seed packets that are sold as a form: each label has its own fields, the year is typed once. */
export function packetBacks(): Promise<JobWithArt> {
  const sprig = ornament('sprig', {
    y: -37.6,
    width: 4.4,
    height: 7,
    count: 3,
    weight: 0.25,
    inks: [LEAF, CLAY],
  });
  const elements = numbered([
    ring({ kind: 'rectangle', width: 60, height: 86, radius: 2.4 }, INK, 0.4),
    { ...ring({ kind: 'circle', diameter: 12 }, INK, 0.3), y: -27.5 },
    {
      ...sprig,
      repeat: { kind: 'around', times: 5, x: 0, y: -27.5, turned: true },
    } as PieceElement,
    words('T & F', { y: -27.5, size: 9.5, width: 10, height: 6, color: INK }),
    ...blank('PLANT', 'plant', -8),
    ...blank('WHERE IT GREW', 'bed', 8),
    ...blank('GATHERED IN', 'year', 24),
    words('Thistle & Fen · field-grown seed', {
      y: 36.5,
      size: 7,
      width: 52,
      height: 4.5,
      typeface: 'fraunces-italic',
      color: INK,
    }),
  ]);
  const job = demoFromCommands('face', { id: 'demo-packet-backs', name: 'Packet backs' }, [
    {
      name: 'measure-thing',
      args: { thing: usualThing('face', { width: 70, height: 96, radius: 4, clearance: 2 }) },
    },
    {
      name: 'change-piece',
      args: { piece: 'piece-1', changes: { name: 'Packet back', ground: PAPER } },
    },
    { name: 'add-elements', args: { piece: 'piece-1', elements } },
    { name: 'want', args: { piece: 'piece-1', count: 6 } },
    { name: 'change-plan', args: { changes: { gap: 6, cut: 'through' } } },
    ...['plant', 'bed', 'year'].map((field, at) => ({
      name: 'accept-finding' as const,
      args: {
        key: findingKey({
          code: 'column-missing',
          where: { piece: 'piece-1', element: `words-${2 * at + 3}` },
        }),
        values: { columns: [field], piece: 'Packet back', listed: false },
        note: 'The customer fills it in.',
      },
    })),
  ]);
  return Promise.resolve({ job, art: new Map() });
}
