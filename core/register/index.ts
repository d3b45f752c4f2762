export { findMarks, type MarkPlace, type Registration, type SheetPicture } from './marks.ts';
