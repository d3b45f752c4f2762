export {
  distanceOfRings,
  findLayoutViolations,
  type LayoutViolations,
} from './layout-violations.ts';
export { fillBest, freeRooms } from './fill-best.ts';
export { nearestFree } from './nearest-free.ts';
export { nestSheets, type NestEffort } from './nest/nest.ts';
export { type Nested, type NestPlace, type NestWish } from './nest/sheet-search.ts';
export { type NestRoom } from './nest/turned.ts';
export { tryPack, type PackAnswer } from './pack.ts';
export { reserved, stepAndRepeat, type Repeated, type Spot } from './step-and-repeat.ts';
export { freeArea, copiesUpperBound, type BoundTurns } from './upper-bound.ts';
// What the benchmark's plain way of nesting stands on.
export { Board } from './nest/board.ts';
export { gridSize, reachOf, turnedOutline } from './nest/turned.ts';
