import { shapeSize, type EdgeShape } from '../shape/index.ts';
import type { FlatSize, Fold } from './flat.ts';
import { trySize, type Thing } from './thing.ts';

const NONE: readonly Fold[] = [];
const sizes = new WeakMap<Thing, FlatSize>();

/**
 * Where a label for a thing is folded, about its middle, mm; none where its edge is no longer the one
 * that the thing asks for. The same value for the same thing.
 */
export function foldsOf(thing: Thing, edge: EdgeShape): readonly Fold[] {
  if (thing.kind === 'label-sheet') return NONE;
  const tried = sizes.has(thing) ? undefined : trySize(thing);
  if (tried?.ok) sizes.set(thing, tried.value);
  const size = sizes.get(thing);
  if (!size || size.folds.length === 0 || edge.kind !== size.shape.kind) return NONE;
  const { width, height } = shapeSize(edge);
  const same = Math.abs(width - size.width) < 1e-6 && Math.abs(height - size.height) < 1e-6;
  return same ? size.folds : NONE;
}
