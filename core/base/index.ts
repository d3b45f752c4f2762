export { dataAddress, findDataBytes } from './data-address.ts';
export { findFault } from './faults.ts';
export { apart, calendarDate, plainId } from './fields.ts';
export { contentHash, freeId, quickContentHash } from './id.ts';
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
  type ProblemCode,
  type Result,
} from './problem.ts';
export { seededRandom, type Random } from './random.ts';
export { isSame, sortedKeys } from './same.ts';
export { shortened } from './shortened.ts';
export type { Coded, NoValues } from './coded.ts';
export type { JobPlace, PlaceStep } from './place.ts';
export type {
  Across,
  JobSource,
  PrinterReason,
  PrinterReasons,
  ProblemValues,
  RefusedChanges,
  SheetDoubts,
} from './problem-values.ts';
export { valueIssue, type ValueIssue, type ValueRule } from './value-issue.ts';
export { doing, type Doing, type Doings } from './doings.ts';
export type { FileWords, Say } from './file-words.ts';
export { joinedBytes } from './joined-bytes.ts';
export { isSameItems, latestFor, onceFor, onceForEach } from './memo.ts';
export { readXml, type XmlListener } from './xml.ts';
export { readZip, type ZipBudget, type ZipFault } from './zip.ts';
export { Cancelled, unwatched, watchedTask, type Task } from './task.ts';
