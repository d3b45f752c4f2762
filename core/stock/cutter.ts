import * as z from 'zod';
import { cutProfileSchema } from './cut-profile.ts';

/** A cutter of the workshop and what is known of it. */
export const cutterSchema = z.object({
  id: z.string().min(1).max(100),
  name: z.string().min(1).max(80),
  /** Where it takes HPGL, `tcp://…`; empty where cut files are carried to it. */
  address: z.string().max(300),
  /** The largest sheet that it cuts, mm. */
  width: z.number().min(20).max(3000),
  length: z.number().min(20).max(30_000),
  /** The smallest mark that its sensor finds, mm; null where it has no sensor. */
  smallestMark: z.number().min(1).max(30).nullable(),
  /** From the axis of the knife to its tip, mm; 0 where the cutter sees to it. */
  knifeOffset: z.number().min(0).max(2),
  /** How far a ring is cut on past its start, mm. */
  overcut: z.number().min(0).max(10),
  /** Grams. */
  leastForce: z.number().min(0).max(5000),
  mostForce: z.number().min(1).max(5000),
  /** How it is spoken to, where it does not take cut files as they are exported. */
  profile: cutProfileSchema.optional(),
});
export type Cutter = z.infer<typeof cutterSchema>;

/** A small cutter with a sensor, to be changed. */
export const USUAL_CUTTER: Omit<Cutter, 'id' | 'name'> = {
  address: '',
  width: 216,
  length: 1000,
  smallestMark: 4,
  knifeOffset: 0,
  overcut: 0,
  leastForce: 10,
  mostForce: 210,
};
