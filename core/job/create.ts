import { expectOk } from '../base/index.ts';
import type { EdgeShape } from '../shape/index.ts';
import { firstStock, MATT_PAPER, USUAL_MARKS, type Stock } from '../stock/index.ts';
import {
  THING_KINDS,
  trySize,
  usualThing,
  type MeasuredThing,
  type Thing,
} from '../things/index.ts';
import { VERSION, type Job } from './schema.ts';

/** What a job can start from: a kind of thing, or a bought label sheet. */
export type Beginning = MeasuredThing['kind'] | 'label-sheet';

/** Everything a job can start from, in the order in which it is offered. */
export const BEGINNINGS: readonly Beginning[] = [...THING_KINDS, 'label-sheet'];

const NAMES: Readonly<Record<Beginning, string>> = {
  lid: 'Round lid',
  wrap: 'Jar wrap',
  taper: 'Pot wrap',
  band: 'Box band',
  face: 'Flat face',
  tag: 'Tag',
  disc: 'Disc',
  case: 'Disc case',
  envelope: 'Envelope label',
  picture: 'Picture label',
  own: 'Own size',
  'label-sheet': 'Label sheet',
};

/** The edge that a thing asks for on a stock. */
export function edgeFor(thing: Thing, stock: Stock): EdgeShape {
  if (thing.kind !== 'label-sheet') return expectOk(trySize(thing)).shape;
  return stock.spots?.shape ?? { kind: 'circle', diameter: 40 };
}

/** A new job: a thing with usual measurements, one empty piece and a sheet of it. */
export function createJob(beginning: Beginning, given: { id: string; today: string }): Job {
  const spots = beginning === 'label-sheet';
  const thing: Thing = spots ? { kind: beginning } : usualThing(beginning);
  const stock = firstStock(spots);
  return {
    version: VERSION,
    ...given,
    name: NAMES[beginning],
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
    material: MATT_PAPER,
    plan: {
      arrangement: spots ? 'spots' : 'step',
      gap: spots ? 0 : 3,
      marks: { ...USUAL_MARKS, on: !spots },
      cut: 'kiss',
      wanted: { 'piece-1': spots ? 24 : 12 },
      usedLabels: [],
      handPlaces: {},
    },
    art: {},
  };
}
