export { freeSubject } from './free.ts';
export {
  freeingSchema,
  MOST_STROKES,
  USUAL_FREEING,
  USUAL_STROKE,
  type Freeing,
  type OfferedHole,
  type SubjectStroke,
} from './freeing.ts';
export { SubjectFinder, type FoundSubject } from './subject.ts';
