export {
  Preparer,
  type KeptBytes,
  type PlacedArt,
  type Preview,
  type ShownSplit,
  type SplitRequest,
} from './prepare.ts';
