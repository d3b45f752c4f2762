import type { RgbaImage } from '../raster/index.ts';
import type { Freeing } from './freeing.ts';
import { enlarged, freedImage } from './matte.ts';
import { SubjectFinder } from './subject.ts';

/** Pixels of the size at which a subject is looked for that its outline may be off by. */
const OFF = 1.2;

/**
 * Frees the subject of a photograph: all else becomes clear. The same picture and choices give the same
 * bytes.
 * @param picture as it is seen, at its own size or smaller
 * @param finder of the picture at its own size, whose pixels the choices name
 */
export function freeSubject(
  picture: RgbaImage,
  freeing: Freeing,
  finder: SubjectFinder = new SubjectFinder(picture),
): RgbaImage {
  const found = finder.find(freeing);
  const { width, height } = picture;
  const band = Math.max(freeing.band * Math.max(width, height), (OFF * width) / found.width);
  return freedImage(picture, enlarged(found, picture), band);
}
