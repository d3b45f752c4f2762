export { findFault } from './faults.ts';
export { apart, calendarDate, plainId } from './fields.ts';
export { contentHash, freeId } from './id.ts';
export { licenceSchema, withLicence, type Licence } from './licence.ts';
export { changedAt, findLimit, valueAt, withinLimits, type ValuePath } from './limits.ts';
export { cachingPlatform, type Platform } from './port.ts';
export {
  err,
  expectOk,
  ok,
  isProblem,
  problem,
  ProblemError,
  type Problem,
  type Result,
} from './problem.ts';
export { seededRandom, type Random } from './random.ts';
export { isSame, sortedKeys } from './same.ts';
export { readZip, type ZipBudget, type ZipFault } from './zip.ts';
export { Cancelled, unwatched, watchedTask, type Task } from './task.ts';
