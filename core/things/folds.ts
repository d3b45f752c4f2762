import { onceFor } from '../base/index.ts';
import { shapeSize, type EdgeShape } from '../shape/index.ts';
import type { FlatSize, Fold, Zone } from './flat.ts';
import { trySize, type MeasuredThing, type Thing } from './thing.ts';

const sizeOf = onceFor((thing: MeasuredThing): FlatSize | undefined => {
  const tried = trySize(thing);
  return tried.ok ? tried.value : undefined;
});

/**
 * The flat label that a thing asks for; undefined where an edge is no longer the one that it asks for.
 * The same value for the same thing.
 */
function flatOf(thing: Thing, edge: EdgeShape): FlatSize | undefined {
  if (thing.kind === 'label-sheet') return undefined;
  const size = sizeOf(thing);
  if (!size || edge.kind !== size.shape.kind) return undefined;
  const { width, height } = shapeSize(edge);
  const same = Math.abs(width - size.width) < 1e-6 && Math.abs(height - size.height) < 1e-6;
  return same ? size : undefined;
}

const NO_FOLDS: readonly Fold[] = [];
const NO_ZONES: readonly Zone[] = [];

/** Where a label for a thing is folded, about its middle, mm; none where it has another edge by now. */
export const foldsOf = (thing: Thing, edge: EdgeShape): readonly Fold[] =>
  flatOf(thing, edge)?.folds ?? NO_FOLDS;

/** What the parts of a label will be on its thing, about its middle; none where it has another edge by now. */
export const zonesOf = (thing: Thing, edge: EdgeShape): readonly Zone[] =>
  flatOf(thing, edge)?.zones ?? NO_ZONES;
