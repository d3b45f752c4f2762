import type { DrawingNode } from '../../drawing/index.ts';
import type { ArtNote } from '../notes.ts';
import type { ArtOmission } from '../omissions.ts';

/** A vector picture read from SVG: only what is drawn comes in; nothing else can. */
export interface SvgPicture {
  /** mm */
  readonly width: number;
  readonly height: number;
  readonly nodes: readonly DrawingNode[];
  /** What was left out, such as a picture that the file only names. */
  readonly leftOut: readonly ArtOmission[];
  /** What is drawn by other means than the file's. */
  readonly notes?: readonly ArtNote[];
}
