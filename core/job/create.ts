import { expectGood } from '../base/index.ts';
import type { EdgeShape } from '../shape/index.ts';
import { SHIPPED_STOCK, type Stock } from '../stock/index.ts';
import { trySize, type Thing } from '../things/index.ts';
import { VERSION, type Job } from './schema.ts';

/** What a job can start from. */
export type Beginning = 'lid' | 'face' | 'label-sheet';

const FIRST: Record<Beginning, { name: string; thing: Thing }> = {
  lid: {
    name: 'Round lid',
    thing: { kind: 'lid', measured: 'diameter', size: 67, clearance: 4.5 },
  },
  face: {
    name: 'Flat face',
    thing: { kind: 'face', width: 80, height: 110, radius: 4, clearance: 4 },
  },
  'label-sheet': { name: 'Label sheet', thing: { kind: 'label-sheet' } },
};

/** The edge that a thing asks for on a stock. */
export function edgeFor(thing: Thing, stock: Stock): EdgeShape {
  if (thing.kind !== 'label-sheet') return expectGood(trySize(thing)).shape;
  return stock.spots?.shape ?? { kind: 'circle', diameter: 40 };
}

/** A new job: a thing with usual measurements, one empty piece and a sheet of it. */
export function createJob(beginning: Beginning, given: { id: string; today: string }): Job {
  const { name, thing } = FIRST[beginning];
  const spots = beginning === 'label-sheet';
  const stock = SHIPPED_STOCK.find((sheet) => (sheet.spots !== null) === spots);
  if (!stock) throw new Error('No stock ships for this beginning.');
  return {
    version: VERSION,
    ...given,
    name,
    thing,
    pieces: [
      {
        id: 'piece-1',
        name: 'Label',
        edge: edgeFor(thing, stock),
        bleed: spots ? 1 : 2,
        safe: 2,
        ground: null,
        elements: [],
      },
    ],
    stock,
    plan: {
      arrangement: spots ? 'spots' : 'step',
      gap: spots ? 0 : 3,
      marks: { on: !spots, size: 5, inset: 11 },
      cut: 'kiss',
      wanted: { 'piece-1': spots ? 24 : 12 },
      moved: {},
    },
    art: {},
  };
}
