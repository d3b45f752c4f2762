import type { IBlock, IEntity, IInsertEntity } from 'dxf-parser';
import {
  compose,
  IDENTITY,
  rotation,
  scaling,
  translation,
  type Affine,
} from '../geometry/index.ts';

/** An entity at its place: from its own coordinates (y down) to the drawing's. */
export interface PlacedEntity {
  readonly entity: IEntity;
  readonly map: Affine;
}

/** How deep blocks may stand in each other. */
const MOST_DEPTH = 16;

/**
 * The entities of a drawing with those of the blocks that it inserts, moved, scaled, turned, mirrored and
 * in rows and columns. An insert of a block that is not there stays as it is.
 * @param most entities that are given; more than that ends with one more than that
 */
export function unfoldBlocks(
  entities: readonly IEntity[],
  blocks: Readonly<Record<string, IBlock>>,
  most: number,
): PlacedEntity[] {
  const found: PlacedEntity[] = [];
  const collect = (list: readonly IEntity[], map: Affine, depth: number): void => {
    for (const entity of list) {
      if (found.length > most) return;
      const insert = entity.type === 'INSERT' ? (entity as IInsertEntity) : undefined;
      const block = insert && Object.hasOwn(blocks, insert.name) ? blocks[insert.name] : undefined;
      if (!insert || !block || depth >= MOST_DEPTH) {
        found.push({ entity, map });
        continue;
      }
      for (let row = 0; row < Math.max(1, insert.rowCount || 1); row++)
        for (let column = 0; column < Math.max(1, insert.columnCount || 1); column++) {
          if (found.length > most) return;
          const own = compose(map, insertMap(insert, block, { row, column }));
          collect(block.entities ?? [], own, depth + 1);
        }
    }
  };
  collect(entities, IDENTITY, 0);
  return found;
}

/** Source: the DXF reference, INSERT: group codes 41 to 45, 50, 70, 71. */
function insertMap(
  insert: IInsertEntity,
  block: IBlock,
  { row, column }: { row: number; column: number },
): Affine {
  const { x = 0, y = 0 } = insert.position ?? {};
  const base = block.position ?? { x: 0, y: 0 };
  // Seen from below, what lies right lies left.
  const flip = insert.extrusionDirection?.z === -1 ? scaling(-1, 1) : IDENTITY;
  const steps: readonly Affine[] = [
    flip,
    translation(x, -y),
    rotation(-(insert.rotation ?? 0)),
    translation(column * (insert.columnSpacing ?? 0), -row * (insert.rowSpacing ?? 0)),
    scaling(insert.xScale ?? 1, insert.yScale ?? 1),
    translation(-base.x, base.y),
  ];
  return steps.reduce(compose);
}
