import * as z from 'zod';

/** What keeps a simulated printer from printing. */
export const PRINT_STOPS = ['jam', 'empty', 'media'] as const;
export type PrintStop = (typeof PRINT_STOPS)[number];

/** What goes wrong in simulated devices, beside what always does a little. */
export const faultsSchema = z
  .object({
    stop: z.enum(PRINT_STOPS),
    /** How far from each side of the paper nothing is printed, mm. */
    clipped: z.number().min(0).max(40),
    /** Beside its usual spread: mm, degrees, share. */
    offset: z.number().min(-20).max(20),
    turn: z.number().min(-20).max(20),
    scale: z.number().min(-0.1).max(0.1),
    /** How far ink runs out, mm. */
    inkSpread: z.number().min(0).max(1),
    /** How far the sheet is laid in off its place, mm. */
    load: z.number().min(-30).max(30),
    /** The sheet is laid in the other way round. */
    turned: z.boolean(),
    /** How many marks the sensor misses. */
    missed: z.number().int().min(0).max(6),
    /** The blade is dull: every few lines are torn. */
    dull: z.boolean(),
    /** The force is too small: no line goes through. */
    weak: z.boolean(),
    /** The connection is lost half-way. */
    lost: z.boolean(),
  })
  .partial();
export type SimulatedFaults = z.infer<typeof faultsSchema>;

/** The same faults with another thing that keeps the printer from printing, or with none. */
export function withStop(faults: SimulatedFaults, name: string): SimulatedFaults {
  const { stop, ...others } = faults;
  void stop; // replaced, or left out
  const next = PRINT_STOPS.find((one) => one === name);
  return next ? { ...others, stop: next } : others;
}

/** Devices with nothing wrong. */
export const NO_FAULTS: SimulatedFaults = {};
