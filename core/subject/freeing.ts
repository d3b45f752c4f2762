import * as z from 'zod';

const place = z.tuple([z.number().finite(), z.number().finite()]);

/** A stroke that says of what it covers whether it is the subject; pixels of the picture as it is seen. */
export const subjectStrokeSchema = z.object({
  mode: z.enum(['keep', 'drop']),
  radius: z.number().positive().max(2000),
  points: z.array(place).min(1).max(5000),
});
export type SubjectStroke = z.infer<typeof subjectStrokeSchema>;

/** Strokes that are kept with a picture at most. */
export const MOST_STROKES = 300;

/** How a subject is freed from its photograph. */
export const freeingSchema = z.object({
  /** Two corners of a frame, or a rough line around the subject. */
  around: z.array(place).min(2).max(5000),
  strokes: z.array(subjectStrokeSchema).max(MOST_STROKES),
  /** How far strokes reach, as a share of the picture's longer side. */
  reach: z.number().min(0.01).max(1),
  /** How wide the soft edge is at most, to each side of the outline, as a share of the longer side. */
  band: z.number().min(0).max(0.05),
  /** Small holes that are open: a place in each. All others are filled. */
  holes: z.array(place).max(200),
});
export type Freeing = z.infer<typeof freeingSchema>;

/** What is chosen beside the frame until somebody chooses otherwise. */
export const USUAL_FREEING: Omit<Freeing, 'around'> = {
  strokes: [],
  reach: 0.15,
  band: 0.002,
  holes: [],
};

/** How wide a stroke is unless it is said: its radius as a share of the longer side. */
export const USUAL_STROKE = 0.005;

/** A hole that is small beside the subject: it may be part of it, or seen through it. */
export interface OfferedHole {
  /** A place in it, pixels of the picture. */
  readonly place: readonly [number, number];
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  readonly isOpen: boolean;
}
