export { alikeSheets, type AlikeSheets } from './alike-sheets.ts';
export { acceptedValues } from './accept-commands.ts';
export { backOf, frontsOf } from './backs.ts';
export { changedSince, printKeys } from './print-keys.ts';
export {
  asPrinted,
  pageOf,
  printedBox,
  printedPages,
  printedSheet,
  printedSides,
  type PrintedPage,
  type PrintedSide,
} from './printed.ts';
export {
  ARCHIVE_LIMITS,
  filesOf,
  jobWithArt,
  isBackup,
  parseBackup,
  mendPeel,
  parsePeel,
  writeBackup,
  writePeel,
  zipFiles,
  type Backup,
  type JobWithArt,
} from './archive.ts';
export { artNamedBy, artOfJob, withArtReplaced } from './art-use.ts';
export type { ElementChanges } from './changed-element.ts';
export {
  COMMANDS,
  runCommand,
  tryCommand,
  tryJob,
  type CommandArgs,
  type CommandCall,
  type CommandName,
} from './commands.ts';
export {
  compileAsRow,
  compileJob,
  compilePieces,
  copySource,
  type CompiledJob,
} from './compile.ts';
export { asRow, copyOf, findArtNamed, type CopyOfJob } from './copies.ts';
export { hasOwnArtwork, withOneOff, type OneOff } from './one-offs.ts';
export { editOneCopy, asSeenByCopy, isOfTheJob } from './edit-one-copy.ts';
export { BEGINNINGS, createJob, edgeFor, type Beginning } from './create.ts';
export { withBuild } from './edges.ts';
export {
  MEASURES,
  mostOfEach,
  pieceArea,
  sharedEdgeSchema,
  type SharedEdge,
  type SizedBy,
} from './together-commands.ts';
export { afterStep, redo, startHistory, undo, type History, type Step } from './history.ts';
export { mendJob, type MendedJob } from './mend.ts';
export { parseJob } from './migrations.ts';
export {
  findTypeface,
  loadResources,
  typefacesOf,
  withTypefaces,
  type ArtBytes,
  type JobResources,
} from './resources.ts';
export {
  compareSheets,
  copiesAtScale,
  scaledAlike,
  scaleThatFits,
  type ComparedSheets,
  type OnHand,
  type SheetWay,
  type SizeStep,
} from './sheet-ways.ts';
export { lookOfJob } from './set-commands.ts';
export { changeThing, isOfTheSet } from './in-thing.ts';
export { ownedLook, type Look, type LookChanges, type OwnLook } from './look.ts';
export { jobSchema, THING_NAME_LETTERS, VERSION, type Job, type SetThing } from './schema.ts';
export { outdatedSources } from './guest-commands.ts';
export { asOfRow, guestNow, guestsOf, ownPieces, type GuestPick } from './guests.ts';
export {
  asThing,
  eachThing,
  groupsOf,
  hostOf,
  lookOfThing,
  ONLY,
  thingAlone,
  thingsOf,
  withArtReplacedInAll,
  withThing,
  type SheetGroup,
  type ThingOfSet,
} from './set.ts';
export {
  callForDesign,
  canBeOpen,
  designFrom,
  isDesign,
  type OpenWords,
  type OwnDesign,
} from './own-design.ts';
export { sizesOf } from './variants.ts';
