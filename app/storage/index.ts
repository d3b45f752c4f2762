export {
  allArt,
  changeArt,
  keepInDrawer,
  putBackInDrawer,
  replaceArtEverywhere,
  takeOutOfDrawer,
  type ChangedJobs,
  type DrawerArt,
  type UsedArt,
} from './art-drawer.ts';
export { confirmedAddresses, keepConfirmed } from './confirmed-addresses.ts';
export { isFull } from './database.ts';
export { dropDesign, keepDesign, ownDesigns } from './designs.ts';
export { blobOf, bytesOf, chooseFiles, download } from './files.ts';
export {
  allJobs,
  changeJob,
  allRuns,
  artBytes,
  deleteJob,
  findJob,
  keepArt,
  keepJob,
  keepJobWithArt,
  keepRun,
  putJobBack,
  originalOf,
  withArt,
  type KeptJob,
  type UnreadJob,
  forgetRun,
} from './jobs.ts';
export { takeOverOnLeaving } from './leaving.ts';
export { houseStyle, keepHouseStyle } from './house-style.ts';
export { hearKept, tellKept } from './news.ts';
export { keepOwnTypefaces, oldTypefaces, ownTypefaces } from './own-typefaces.ts';
export {
  EMPTY_STOCK_ROOM,
  keepStockRoom,
  mergedStockRoom,
  readStockRoom,
  stockRoom,
  type StockRoom,
} from './stock-room.ts';
export { filesNamedBy, keepVersion, versionsOf, type JobVersion } from './versions.ts';
export { askToKeep, backUp, bringDemo, removeDemo, restore, sweep, welcome } from './workshop.ts';
export { askToWrite, asWriter, type WriterLock } from './writer-lock.ts';
