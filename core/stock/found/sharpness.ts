/** The mean of some values; 0 of none. */
export const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);

/** A value to the nearest step, mm. */
export const stepped = (value: number, step: number): number =>
  Math.round(Math.round(value / step) * step * 1e6) / 1e6;

/** How exactly labels were seen: limits for their shape and their places, and the step of measures, mm. */
export interface Sharpness {
  readonly shape: number;
  readonly grid: number;
  readonly step: number;
}

/** Of labels in a picture, and of those in a drawing. */
export const SHARPNESS = {
  picture: { shape: 0.16, grid: 0.35, step: 0.1 },
  drawing: { shape: 0.04, grid: 0.05, step: 0.001 },
} as const satisfies Record<string, Sharpness>;
