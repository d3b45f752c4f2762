export {
  Preparer,
  type KeptBytes,
  type PlacedArt,
  type Preview,
  type ShownSplit,
  type SplitRequest,
} from './prepare.ts';
export {
  cutSticker,
  cutStickers,
  withoutOutline,
  withPiece,
  type StickerCut,
  type StickerWay,
} from './sticker-cut.ts';
export { cutPiece, stickerPiece, type BoxShape } from './sticker-piece.ts';
