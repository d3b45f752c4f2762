export {
  ARCHIVE_LIMITS,
  parseBackup,
  parsePeel,
  writeBackup,
  writePeel,
  zipFiles,
  type Backup,
  type JobWithArt,
} from './archive.ts';
export { artNamedBy, withArtReplaced } from './art-use.ts';
export {
  COMMANDS,
  runCommand,
  tryCommand,
  type CommandArgs,
  type CommandCall,
  type CommandName,
} from './commands.ts';
export { compileJob, compilePieces, copySource, type CompiledJob } from './compile.ts';
export { BEGINNINGS, createJob, edgeFor, type Beginning } from './create.ts';
export { withBuild } from './edges.ts';
export { afterStep, redo, startHistory, undo, type History, type Step } from './history.ts';
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
export { jobSchema, VERSION, type Job } from './schema.ts';
export {
  callForDesign,
  canBeOpen,
  designFrom,
  isDesign,
  type OpenWords,
  type OwnDesign,
} from './own-design.ts';
export { sizesOf, type ElementChanges } from './variants.ts';
